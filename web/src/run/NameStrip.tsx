/** The names of the group with their own form; a tap on a name eases or marks. */
import { Ban } from "lucide-react";
import { Box, ButtonBase, Divider, Menu, MenuItem, Typography } from "@mui/material";
import { useState } from "react";
import { wordsIn } from "@kind-grip/core/language";
import { easierForm, movementOf, type Movement } from "@kind-grip/core/library";
import { capFor, refusalOf, type Participation } from "@kind-grip/core/safety";
import { MARKS, type MarkKind } from "@kind-grip/core/run";
import type { Item } from "@kind-grip/core/session";
import type { PersonEntry } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch } from "../app/store";
import { MARK_NAMES } from "./mark-names";
import type { RunScreenProps } from "./BeforeRun";

type NameStripProps = Pick<RunScreenProps, "people" | "participations" | "run"> & { item: Item };

export function NameStrip({ people, participations, run, item }: NameStripProps) {
  const words = wordsIn();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<{ person: PersonEntry; at: HTMLElement } | null>(null);
  const movement = movementOf(item.movementId);
  const marksOf = (personId: string) => [...new Set(run.marks.filter((mark) => mark.personId === personId).map((mark) => mark.kind))];
  const limitOf = (personId: string) => limitIn(participations.get(personId), movement);
  const own = people.filter((person) => item.personal[person.id] || limitOf(person.id) || marksOf(person.id).length > 0);
  const others = people.filter((person) => !own.includes(person));
  const mark = (person: PersonEntry, kind: MarkKind) => {
    run.mark(person.id, kind);
    setOpen(null);
    const text =
      kind === "tingling"
        ? `${person.name}: ease one step. If it stays, stop this one for them.`
        : `${MARK_NAMES[kind]} noted for ${person.name}.`;
    dispatch(notify({ text, undo: () => run.unmark(person.id, kind) }));
  };
  const easier = open && easierForm(movement, item.personal[open.person.id]?.formId ?? item.formId);
  return (
    <Box
      sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, px: 2.5, py: 1, maxHeight: "22vh", overflowY: "auto" }}
      role="group"
      aria-label="People"
    >
      {[...own, ...others].map((person) => {
        const form = item.personal[person.id]?.formId;
        const marks = marksOf(person.id);
        const limit = limitOf(person.id);
        const stopped = marks.includes("stopped") || limit?.out;
        return (
          <ButtonBase
            key={person.id}
            aria-haspopup="menu"
            onClick={(event) => setOpen({ person, at: event.currentTarget })}
            sx={{
              px: 1.25,
              minHeight: 44,
              borderRadius: 2,
              border: "2px solid",
              borderColor: form ? "warm.main" : "line",
              bgcolor: form ? "warm.light" : "background.paper",
              fontSize: "1.05rem",
              gap: 0.75,
              textDecoration: stopped ? "line-through" : "none",
            }}
          >
            <Box component="span" sx={{ fontWeight: form ? 750 : 500 }}>
              {person.name}
            </Box>
            {limit && (
              <Box component="span" sx={{ color: "error.main", fontWeight: 750, display: "inline-flex", alignItems: "center", gap: 0.5 }}>
                {limit.out && <Ban size={18} aria-hidden />}
                {limit.text}
              </Box>
            )}
            {form && !limit?.out && <Box component="span">{words.formName(item.movementId, form).toLowerCase()}</Box>}
            {marks.length > 0 && (
              <Box component="span" sx={{ color: "warm.dark", fontWeight: 650 }}>
                {marks.map((kind) => MARK_NAMES[kind].toLowerCase()).join(", ")}
              </Box>
            )}
          </ButtonBase>
        );
      })}
      <Menu
        anchorEl={open?.at}
        open={open !== null}
        onClose={() => setOpen(null)}
        anchorOrigin={{ vertical: "top", horizontal: "left" }}
        transformOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        <Typography sx={{ px: 2, pb: 0.5, fontWeight: 700 }}>{open?.person.name}</Typography>
        <MenuItem
          disabled={!easier || (open !== null && limitOf(open.person.id)?.out)}
          onClick={() => {
            run.ease(open!.person.id);
            setOpen(null);
          }}
        >
          {easier ? `Easier: ${words.formName(movement.id, easier.id).toLowerCase()}` : "Already the easiest form"}
        </MenuItem>
        <Divider />
        {MARKS.map((kind) => (
          <MenuItem key={kind} onClick={() => mark(open!.person, kind)}>
            {MARK_NAMES[kind]}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}

/** What somebody does differently because of what they were asked; never why. */
function limitIn(participation: Participation | undefined, movement: Movement): { text: string; out: boolean } | undefined {
  if (!participation) return undefined;
  const refusal = refusalOf(participation, movement.id);
  if (refusal === "heldOut") return { text: "held out: stop now", out: true };
  if (refusal) return { text: "leaves this out", out: true };
  const cap = capFor(participation, movement);
  if (cap < movement.effortCap) return { text: `at most ${cap} of 10`, out: false };
  const { shortOfEndDeg } = participation;
  return shortOfEndDeg !== null && movement.phase === "stretch"
    ? { text: `stops ${shortOfEndDeg}° before the end`, out: false }
    : undefined;
}
