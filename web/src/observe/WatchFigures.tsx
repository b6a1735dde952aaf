/** What was seen of one hand, live: how often, how long, how much of the time, each with its error. */
import { Box, Typography } from "@mui/material";
import type { SeenHand } from "@kind-grip/core/observe";
import { numberText } from "../base/measures";
import { t } from "../base/words";

const errorText = (share: number) => (share >= 1 ? t("not known yet") : `± ${numberText(share * 100, 0)} %`);

export function WatchFigures({ seen: { side, rhythm, efforts }, name }: { seen: SeenHand; name: string }) {
  return (
    <Box aria-live="off" sx={{ borderTop: "4px solid", borderColor: `hand.${side}`, pt: 0.5, minWidth: 0 }}>
      <Typography noWrap sx={{ fontWeight: 650, color: "text.secondary" }}>
        {name}
      </Typography>
      {rhythm ? (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "repeat(3, minmax(0, 1fr))" },
            columnGap: 1.5,
          }}
        >
          <Figure
            value={numberText(rhythm.perMin.value, 1)}
            unit={t("a minute")}
            error={errorText(rhythm.perMin.error / rhythm.perMin.value)}
          />
          <Figure
            value={`${numberText(rhythm.secEach.value, 1)} s`}
            unit={t("each")}
            error={errorText(rhythm.secEach.error / rhythm.secEach.value)}
          />
          <Figure
            value={`${numberText(rhythm.duty.value * 100, 0)} %`}
            unit={t("of the time")}
            error={errorText(rhythm.duty.error / Math.max(rhythm.duty.value, 1e-9))}
          />
        </Box>
      ) : (
        <Typography>{efforts.length === 0 ? t("Press as the hand begins.") : t("A few more, then the figures come.")}</Typography>
      )}
    </Box>
  );
}

function Figure({ value, unit, error }: { value: string; unit: string; error: string }) {
  return (
    <Typography component="div" sx={{ fontVariantNumeric: "tabular-nums" }}>
      <strong>{value}</strong> {unit}{" "}
      <Box component="span" sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
        {error}
      </Box>
    </Typography>
  );
}
