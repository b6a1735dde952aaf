/** Before and after runs of the last weeks: the crew's answer, then each person's own. */
import { Box, Typography } from "@mui/material";
import { Link } from "react-router";
import type { PersonEntry, QuickSeries } from "@kind-grip/core/api";
import { t } from "../base/words";
import { Loaded } from "../parts/Loaded";
import { PictureRow } from "../parts/PictureRow";
import { quickTestApi } from "./api";
import { SeriesStrip } from "./SeriesStrip";
import { pairedText, QUICK_TEST_NAMES, readingText } from "./words";

/** @param personId only of this one */
export function QuickTests({ crewId, people, personId }: { crewId: string; people: readonly PersonEntry[]; personId?: string }) {
  const query = quickTestApi.useQuickTestsQuery({ crewId, personId });
  const { data } = query;
  // Nothing stands here until there is something; what could not be read is said.
  if (query.error) return <Loaded query={query}>{() => null}</Loaded>;
  if (!data || data.people.length === 0) return null;
  const nameOf = (id: string) => people.find((each) => each.id === id)?.name ?? t("left the crew");
  return (
    <Box component="section" aria-label={t("Before and after")} sx={{ mt: 4 }}>
      <Typography variant="h2">{t("Before and after")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 760 }}>
        {t(
          "Each mark is a run: up is better after than before. Grey is what one pair alone cannot tell apart; the dashed line is the mean of all.",
        )}
      </Typography>
      {data.crew.map(({ test, answer }) => (
        <Typography key={test} sx={{ fontSize: "1.2rem", mb: 1.5 }}>
          <strong>{QUICK_TEST_NAMES[test]}.</strong> {pairedText(test, answer, "people")}
        </Typography>
      ))}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {data.people
          .map((each) => ({ ...each, name: nameOf(each.personId) }))
          .sort((a, b) => a.name.localeCompare(b.name))
          .flatMap(({ personId: id, name, series }) =>
            series.map((one) => (
              <Series
                key={`${id} ${one.test}`}
                series={one}
                name={personId === undefined ? name : undefined}
                to={`/crews/${crewId}/people/${id}`}
              />
            )),
          )}
      </Box>
    </Box>
  );
}

function Series({ series, name, to }: { series: QuickSeries; name?: string; to: string }) {
  const { test, answer } = series;
  const said = pairedText(test, answer, "runs");
  return (
    <PictureRow
      name={
        name && (
          <Typography component={Link} to={to} sx={{ fontWeight: 700, color: "inherit" }}>
            {name}
          </Typography>
        )
      }
      about={QUICK_TEST_NAMES[test]}
      picture={<SeriesStrip series={series} label={`${name ?? QUICK_TEST_NAMES[test]}: ${said}`} />}
    >
      <Typography sx={{ fontWeight: answer.verdict === "better" || answer.verdict === "worse" ? 700 : 500 }}>{said}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t("One pair tells apart from {{noise}} on.", { noise: readingText(test, answer.noise) })}
      </Typography>
    </PictureRow>
  );
}
