/** Seconds under tension by region, left and right from one middle line: balance is seen, not computed. */
import { Box, Typography } from "@mui/material";
import { torqueIn } from "@kind-grip/core/program";
import { groupWaits, sessionTotals, type Session, type Timeline } from "@kind-grip/core/session";
import { spanText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { PersonEntry } from "@kind-grip/core/api";

export function RegionBalance({ session, timeline, people }: { session: Session; timeline: Timeline; people: PersonEntry[] }) {
  const library = useLibrary();
  const words = useWords();
  const totals = sessionTotals(session, timeline, library.tensionRegions, torqueIn(library));
  const most = Math.max(1, ...totals.regions.flatMap(({ tensionSec }) => [tensionSec.left, tensionSec.right]));
  const waits = groupWaits(
    session,
    library.timings,
    people.map((person) => person.id),
  );
  const waiting = people.filter((person) => (waits.get(person.id) ?? 0) > 0 && session.items.some((item) => item.personal[person.id]));
  const even = Math.abs(totals.leftShare - 0.5) < 0.005;
  return (
    <Box
      component="section"
      aria-label={t("Under tension by region")}
      sx={{
        mt: 3,
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.5fr) minmax(220px, 1fr)" },
        columnGap: 5,
        rowGap: 2,
      }}
    >
      <Box>
        <Typography variant="h3" sx={{ mb: 1 }}>
          {t("Under tension, by region")}
        </Typography>
        {totals.regions.map(({ region, tensionSec }) => (
          <Box
            key={region}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "48px 1fr minmax(0, 120px) 1fr 48px", sm: "54px 1fr 190px 1fr 54px" },
              alignItems: "center",
              columnGap: 1,
              minHeight: 28,
            }}
          >
            <Typography sx={{ textAlign: "right", fontWeight: 650 }}>{Math.round(tensionSec.left)} s</Typography>
            <Box sx={{ display: "flex", justifyContent: "flex-end" }}>
              <Box
                className="keeps-colour"
                sx={{ width: `${(tensionSec.left / most) * 100}%`, height: 14, bgcolor: "hand.left", borderRadius: "3px 0 0 3px" }}
              />
            </Box>
            <Typography sx={{ textAlign: "center", lineHeight: 1.1, fontSize: "0.95rem" }}>{words.label("region", region)}</Typography>
            <Box
              className="keeps-colour"
              sx={{ width: `${(tensionSec.right / most) * 100}%`, height: 14, bgcolor: "hand.right", borderRadius: "0 3px 3px 0" }}
            />
            <Typography sx={{ fontWeight: 650 }}>{Math.round(tensionSec.right)} s</Typography>
          </Box>
        ))}
      </Box>
      <Box
        component="dl"
        sx={{
          m: 0,
          display: "grid",
          gridTemplateColumns: "auto 1fr",
          columnGap: 2,
          rowGap: 0.5,
          alignContent: "start",
          "& dt": { color: "text.secondary" },
          "& dd": { m: 0, fontWeight: 650 },
        }}
      >
        <dt>{t("Left and right")}</dt>
        <dd>
          {even
            ? t("even")
            : t("{{leftShare}} % left, {{round}} % right", {
                leftShare: Math.round(totals.leftShare * 100),
                round: Math.round((1 - totals.leftShare) * 100),
              })}
        </dd>
        <dt>{t("Repetitions")}</dt>
        <dd>
          L {totals.repetitions.left}, R {totals.repetitions.right}
        </dd>
        <dt>{t("Rest and changing")}</dt>
        <dd>{spanText(totals.restSec)}</dd>
        {totals.loadedNmSec.left + totals.loadedNmSec.right > 0 && (
          <>
            <dt>{t("Load × time")}</dt>
            <dd>
              L {Math.round(totals.loadedNmSec.left)}, R {Math.round(totals.loadedNmSec.right)} N·m·s
            </dd>
          </>
        )}
        {waiting.length > 0 && (
          <>
            <dt>{t("Waits in the group")}</dt>
            <dd>{waiting.map((person) => `${person.name} ${spanText(waits.get(person.id)!)}`).join(", ")}</dd>
          </>
        )}
      </Box>
    </Box>
  );
}
