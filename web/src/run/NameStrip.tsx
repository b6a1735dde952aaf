/** The names of those who do this item, with their own form and never a reason: others read the screen. A tap on a name eases or marks. */
import { Box, ButtonBase, Divider, Menu, MenuItem, Typography, useMediaQuery } from "@mui/material";
import { useState } from "react";
import { easierForm } from "@kind-grip/core/library";
import { refusalOf } from "@kind-grip/core/safety";
import { MARKS, type MarkKind } from "@kind-grip/core/run";
import type { Item } from "@kind-grip/core/session";
import type { Words } from "@kind-grip/core/language";
import { t } from "../base/words";
import { useLibrary, useOwnWords } from "../base/library";
import type { PersonEntry } from "@kind-grip/core/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { InLanguage } from "./InLanguage";
import { MARK_NAMES } from "./mark-names";
import { shortDose } from "./short-dose";
import type { RunScreenProps } from "./BeforeRun";

/** About what a name takes: its frame and space, and each letter. */
const CHIP_PX = 34;
const LETTER_PX = 9;

type NameStripProps = Pick<RunScreenProps, "people" | "participations" | "run" | "onMark"> & {
  item: Item;
  /** In which each reads their own form. */
  theirWords: Words;
};

export function NameStrip({ people, participations, run, item, theirWords, onMark }: NameStripProps) {
  const library = useLibrary();
  const words = useOwnWords();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<{ person: PersonEntry; at: HTMLElement } | null>(null);
  const [allAt, setAllAt] = useState<HTMLElement | null>(null);
  const [wide, medium] = [useMediaQuery("(min-width: 1500px)"), useMediaQuery("(min-width: 1200px)")];
  const movement = library.find(item.movementId);
  const taking = people.filter(({ id }) => {
    const participation = participations.get(id);
    return !participation || refusalOf(library, participation, item.movementId) === null;
  });
  const own = taking.filter((person) => item.personal[person.id]);
  const others = taking.filter((person) => !own.includes(person));
  // One row, whatever the crew: own forms first, then as many others as there is room for; the rest is counted.
  const room = wide ? 1300 : medium ? 1000 : 560;
  const widths = [...own, ...others].map(({ name }) => CHIP_PX + name.length * LETTER_PX);
  const fitting = widths.filter((_, i) => widths.slice(0, i + 1).reduce((sum, width) => sum + width, 0) <= room).length;
  const inRow = [...own, ...others].slice(0, Math.max(own.length, fitting, 1));
  const counted = taking.filter((person) => !inRow.includes(person));
  const choose = (person: PersonEntry, at: HTMLElement) => {
    setAllAt(null);
    setOpen({ person, at });
  };
  const mark = (person: PersonEntry, kind: MarkKind) => {
    setOpen(null);
    if (onMark(person.id, kind))
      return void dispatch(notify({ text: t("{{name}} is out from now on. You answer on Today.", { name: person.name }) }));
    const text =
      kind === "tingling"
        ? t("{{name}}: ease one step. If it stays, mark it again.", { name: person.name })
        : t("Noted for {{name}}.", { name: person.name });
    dispatch(notify({ text, undo: () => run.unmark(person.id, kind) }));
  };
  const easier = open && movement && easierForm(movement, item.personal[open.person.id]?.formId ?? item.formId);
  return (
    <Box
      sx={{ display: "flex", gap: 0.75, px: 2.5, py: 1, overflowX: "auto", whiteSpace: "nowrap", minWidth: 0, alignItems: "end" }}
      role="group"
      aria-label={t("People")}
    >
      {/* Whoever does something of their own is seen without scrolling: a second row where one is too short. */}
      <Box
        sx={{ display: "flex", flexWrap: { md: "wrap" }, gap: 0.75, minWidth: 0, maxHeight: 100, overflow: "auto", p: "3px", m: "-3px" }}
      >
        {inRow.map((person) => {
          const theirs = item.personal[person.id];
          const form = theirs?.formId;
          return (
            <ButtonBase
              key={person.id}
              aria-haspopup="menu"
              onClick={(event) => choose(person, event.currentTarget)}
              sx={{
                px: 1.25,
                minHeight: 44,
                borderRadius: 2,
                border: "2px solid",
                borderColor: form ? "warm.main" : "line",
                bgcolor: form ? "warm.light" : "background.paper",
                fontSize: "1.05rem",
                gap: 0.75,
                flex: "none",
              }}
            >
              <Box
                component="span"
                sx={{ fontWeight: form ? 750 : 500, maxWidth: { xs: 150, md: "none" }, overflow: "hidden", textOverflow: "ellipsis" }}
              >
                {person.name}
              </Box>
              {theirs && (
                <InLanguage
                  words={theirWords}
                  text={
                    form !== item.formId || !theirs.dose
                      ? theirWords.within(theirWords.formName(item.movementId, form!))
                      : shortDose(theirWords, theirs.dose)
                  }
                />
              )}
            </ButtonBase>
          );
        })}
      </Box>
      {counted.length > 0 && (
        <ButtonBase
          aria-haspopup="menu"
          onClick={(event) => setAllAt(event.currentTarget)}
          sx={{
            px: 1.25,
            minHeight: 44,
            borderRadius: 2,
            border: "2px solid",
            borderColor: "edge",
            fontSize: "1.05rem",
            fontWeight: 700,
            flex: "none",
          }}
        >
          {t("and {{count}} others", { count: counted.length, defaultValue_one: "and {{count}} other" })}
        </ButtonBase>
      )}
      <Menu
        anchorEl={allAt}
        open={allAt !== null}
        onClose={() => setAllAt(null)}
        anchorOrigin={{ vertical: "top", horizontal: "right" }}
        transformOrigin={{ vertical: "bottom", horizontal: "right" }}
        slotProps={{ list: { sx: { columns: { md: counted.length > 12 ? 3 : 1 } } }, paper: { sx: { maxWidth: 900 } } }}
      >
        {counted.map((person) => (
          <MenuItem key={person.id} onClick={() => choose(person, allAt!)}>
            {person.name}
          </MenuItem>
        ))}
      </Menu>
      <Menu
        anchorEl={open?.at}
        open={open !== null}
        onClose={() => setOpen(null)}
        anchorOrigin={{ vertical: "top", horizontal: "left" }}
        transformOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        <Typography sx={{ px: 2, pb: 0.5, fontWeight: 700 }}>{open?.person.name}</Typography>
        <MenuItem
          disabled={!easier}
          onClick={() => {
            run.ease(open!.person.id);
            setOpen(null);
          }}
        >
          {easier ? t("Easier: {{name}}", { name: words.within(words.formName(movement.id, easier.id)) }) : t("Already the easiest form")}
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
