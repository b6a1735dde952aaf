/** Every need of the work: how much of it a proposal meets and by what, in words and on the hand; for the rest, what stands in the way. */
import { Box, Typography } from "@mui/material";
import { useMemo } from "react";
import { MAP_VIEWS, type MapMark } from "@kind-grip/core/figure";
import { MET, type Hindrance, type Met, type Proposal } from "@kind-grip/core/compose";
import type { SlotKind } from "@kind-grip/core/session";
import { firstListText } from "../base/lists";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { HandMapPicture } from "../figure/HandMapPicture";
import { Why } from "../parts/Why";

/** How strongly a region is marked: what it is given of what it needs. */
export function marksOf(met: readonly Met[]): MapMark[] {
  return [...new Set(met.map(({ region }) => region))].flatMap((region) => {
    const needs = met.filter((each) => each.region === region);
    const given = needs.reduce((sum, { need, covered }) => sum + need * covered, 0);
    const strength =
      given /
      Math.max(
        1e-9,
        needs.reduce((sum, { need }) => sum + need, 0),
      );
    return (["left", "right"] as const).map((side) => ({ side, region, strength }));
  });
}

/** Movements named for a need; more of them are counted. */
const NAMED = 3;

export function NeedsMet({ proposal: { met, unmet } }: { proposal: Proposal }) {
  const words = useWords();
  const marks = useMemo(() => marksOf(met), [met]);
  if (met.length === 0) return null;
  const hindranceOf = (need: Met) => unmet.find(({ region, kind }) => region === need.region && kind === need.kind)?.because;
  const slots = (list: readonly SlotKind[]) => listText(list.map((slot) => words.label("slot", slot).toLowerCase()));
  const because = (hindrance: Hindrance): string => {
    switch (hindrance.kind) {
      case "kit":
        return t("needs kit: {{needs}}", {
          needs: listText(
            hindrance.needs.map((kind) => words.label("kit", kind).toLowerCase()),
            "or",
          ),
        });
      case "place":
        return t("needs a place: {{needs}}", {
          needs: listText(
            hindrance.needs.map((setting) => words.label("setting", setting).toLowerCase()),
            "or",
          ),
        });
      case "time":
        return t("no time left in {{slots}}", { slots: slots(hindrance.slots) });
      case "items":
        return t("no more items fit in {{slots}}", { slots: slots(hindrance.slots) });
      case "movements":
        return t("would need one more movement to remember");
      case "nothing":
        return t("nothing in the library does more for it here");
    }
  };
  const givers = ({ by }: Met) => {
    if (by.length === 0) return t("nothing yet");
    return firstListText(
      by.map((id) => words.movementName(id).toLowerCase()),
      NAMED,
    );
  };
  const regions = [...new Set(met.map(({ region }) => region))];
  const oneNeed = (need: Met) => {
    const hindrance = hindranceOf(need);
    return (
      <>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
          <span>{need.kind === "strength" ? t("Strength") : t("Relief")}</span>
          <Box aria-hidden sx={{ flex: 1, maxWidth: 120, height: 10, border: "1px solid", borderColor: "text.secondary", borderRadius: 1 }}>
            <Box
              className="keeps-colour"
              sx={{ width: `${need.covered * 100}%`, height: "100%", bgcolor: need.covered >= MET ? "primary.main" : "warning.main" }}
            />
          </Box>
          <strong>{need.covered >= MET ? t("met") : shareText(need.covered)}</strong>
        </Box>
        <Typography sx={{ color: "text.secondary", fontSize: "0.95rem" }}>
          {need.by.length > 0 && t("by {{movements}}", { movements: givers(need) })}{" "}
          {hindrance && t("({{because}})", { because: because(hindrance) })}
        </Typography>
      </>
    );
  };
  return (
    <Box component="section" aria-label={t("Needs of the work")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t("What it gives, and what it does not")}
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1, maxWidth: 420, mb: 1 }}>
        {MAP_VIEWS.slice(0, 2).map((view) => (
          <HandMapPicture key={view} view={view} marks={marks} />
        ))}
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {regions.map((region) => (
          <Box
            component="li"
            key={region}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "1fr", sm: "minmax(0, 0.7fr) minmax(0, 1fr) minmax(0, 1fr)" },
              columnGap: 3,
              rowGap: 0.5,
              py: 0.75,
              borderBottom: "1px solid",
              borderColor: "line",
            }}
          >
            <Typography sx={{ fontWeight: 700 }}>{words.label("region", region)}</Typography>
            {(["relief", "strength"] as const).map((kind) => {
              const need = met.find((each) => each.region === region && each.kind === kind);
              return <Box key={kind}>{need && oneNeed(need)}</Box>;
            })}
          </Box>
        ))}
      </Box>
      <Why label={t("How it is composed")}>
        {t(
          "Every way a movement could stand in a session is weighed, one aim after the other: first to meet what the work asks of each region and to reverse its postures; then whole doses; then to use the time there is; then few movements to remember, and few changes of place and kit. A later aim never costs an earlier one more than one percent. Every session of four minutes or more gets ready for a minute, and ends with something that lets go. Strengthening starts without load and never stands before the work. How much of a need is met is counted in points of this practice: it is a plan, not a measured effect.",
        )}
      </Why>
    </Box>
  );
}

/** In words: points of a plan are no measured percentages. */
function shareText(covered: number): string {
  if (covered <= 0) return t("not met");
  if (covered < 0.4) return t("a little of it");
  return covered < 0.75 ? t("about half of it") : t("most of it");
}
