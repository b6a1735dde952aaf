/** Before and after on one's own page: what the pairs of the last weeks tell, also when it is nothing. */
import { Box, Typography } from "@mui/material";
import type { QuickSeries } from "@kind-grip/core/api";
import { massText, numberText } from "@kind-grip/core/units";
import { useWords } from "../base/library";
import { SeriesStrip } from "../quicktest/SeriesStrip";

export function OwnQuickSeries({ series }: { series: readonly QuickSeries[] }) {
  const words = useWords();
  if (series.length === 0) return null;
  const said = ({ answer: { verdict, gain, pairs }, test }: QuickSeries) => {
    const points = (value: number) =>
      words.digits(test === "grip" ? massText(value, words.measures, 1) : numberText(value, 1, words.measures));
    if (!gain) return words.member("quickTooFew", { count: pairs });
    const values = { count: pairs, points: points(Math.abs(gain.mean)) };
    return words.member(verdict === "better" ? "quickBetter" : verdict === "worse" ? "quickWorse" : "quickNothing", values);
  };
  return (
    <Box component="section" aria-label={words.member("quickTitle")} sx={{ mt: 4 }}>
      <Typography variant="h3" component="h2">
        {words.member("quickTitle")}
      </Typography>
      {series.map((one) => (
        <Box key={one.test} sx={{ mt: 1 }}>
          <Typography sx={{ color: "text.secondary" }}>{words.member(`quick.${one.test}`)}</Typography>
          <SeriesStrip series={one} label={said(one)} />
          <Typography sx={{ fontWeight: 650 }}>{said(one)}</Typography>
        </Box>
      ))}
    </Box>
  );
}
