/** Two or three programs beside the best: after another taste and nearly as good. One can be taken in its place. */
import { Box, Button, Typography } from "@mui/material";
import { useMemo } from "react";
import { kitOf, MET, type Alternative, type Proposal, type Taste } from "@kind-grip/core/compose";
import { durationText } from "@kind-grip/core/units";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { HandMapPicture } from "../figure/HandMapPicture";
import { SESSION_NAMES } from "../program/session-names";
import { marksOf } from "./NeedsMet";

const TASTES: Readonly<Record<Taste, string>> = {
  fewest: t("Fewest to remember"),
  variety: t("Most variety"),
  leastKit: t("Least kit"),
  others: t("Other movements"),
};

interface OtherProgramsProps {
  best: Proposal;
  alternatives: readonly Alternative[] | undefined;
  /** Which one is shown above; none is the best. */
  taken: Taste | null;
  onTake(taste: Taste | null): void;
}

export function OtherPrograms({ best, alternatives, taken, onTake }: OtherProgramsProps) {
  if (!alternatives || alternatives.length === 0) return null;
  const columns = [{ taste: null, proposal: best }, ...alternatives];
  return (
    <Box component="section" aria-label={t("Side by side")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, mb: 3 }}>
      <Typography variant="h2">{t("Side by side")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1.5, maxWidth: 760 }}>
        {t("Nearly as good, after another taste. Take one, lock what you like of it, take another: the locks stay.")}
      </Typography>
      <Box
        component="ul"
        sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(175px, 1fr))", gap: 3 }}
      >
        {columns.map(({ taste, proposal }) => (
          <Column key={taste ?? "best"} taste={taste} proposal={proposal} isTaken={taken === taste} onTake={() => onTake(taste)} />
        ))}
      </Box>
    </Box>
  );
}

function Column({ taste, proposal, isTaken, onTake }: { taste: Taste | null; proposal: Proposal; isTaken: boolean; onTake(): void }) {
  const words = useWords();
  const library = useLibrary();
  const marks = useMemo(() => marksOf(proposal.met), [proposal]);
  const name = taste === null ? t("Meets most") : TASTES[taste];
  const items = proposal.program.sessions.flatMap((session) => session.items);
  const movements = [...new Set(items.map(({ movementId }) => movementId))];
  const kit = [
    ...new Set(
      items.flatMap(({ movementId, formId }) => {
        const kinds = kitOf(library.get(movementId), formId);
        return kinds.length === 0 ? [] : [kinds.map((kind) => words.label("kit", kind).toLowerCase()).join(" / ")];
      }),
    ),
  ];
  const facts: (readonly [string, string])[] = [
    [
      t("Needs met"),
      t("{{met}} of {{all}}", { met: proposal.met.filter(({ covered }) => covered >= MET).length, all: proposal.met.length }),
    ],
    [t("Movements"), String(movements.length)],
    [t("Kit"), kit.length === 0 ? t("none") : listText(kit)],
    ...proposal.program.sessions.map(({ slot }) => [SESSION_NAMES[slot], durationText(proposal.seconds.get(slot) ?? 0)] as const),
  ];
  return (
    <Box component="li" aria-label={name} sx={{ borderTop: "4px solid", borderColor: isTaken ? "primary.main" : "line", pt: 1 }}>
      <Typography variant="h3">{name}</Typography>
      <Box sx={{ maxWidth: 150, my: 1 }}>
        <HandMapPicture view="palms" marks={marks} />
      </Box>
      <Box
        component="dl"
        sx={{ display: "grid", gridTemplateColumns: "auto 1fr", columnGap: 1.5, rowGap: 0.25, m: 0, "& dd": { m: 0, fontWeight: 700 } }}
      >
        {facts.map(([label, text]) => (
          <Box key={label} sx={{ display: "contents" }}>
            <dt>{label}</dt>
            <dd>{text}</dd>
          </Box>
        ))}
      </Box>
      <Typography sx={{ color: "text.secondary", lineHeight: 1.35, my: 1 }}>
        {movements.map((id) => words.movementName(id)).join(" · ")}
      </Typography>
      <Button
        variant={isTaken ? "contained" : "outlined"}
        aria-pressed={isTaken}
        onClick={onTake}
        aria-label={t("Take: {{name}}", { name })}
      >
        {isTaken ? t("Shown above") : t("Take this one")}
      </Button>
    </Box>
  );
}
