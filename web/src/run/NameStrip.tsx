/** The names of those who do this item, with their own form and never a reason: others read the screen. A tap on a name eases or marks. */
import { Box, ButtonBase, Divider, Menu, MenuItem, Typography } from "@mui/material";
import { useRef, useState } from "react";
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
import type { RunScreenProps } from "./BeforeRun";
import { useWhatFits } from "./use-what-fits";

/** About what a name takes: its frame and space, and each letter. */
const CHIP_PX = 34;
const LETTER_PX = 9;
/** A row with the ring of what has the keyboard. */
const ROW_PX = 50;
/** On a telephone that stands, a name has its own form below it, in up to two lines. */
const UPRIGHT = "@media (max-width: 899.95px) and (orientation: portrait)";
const UPRIGHT_ROW_PX = 76;

/** More names than a wide screen has room for need not be laid out. */
const MOST_ROOM_PX = 2600;

const OWN_FORM = {
  overflow: "hidden",
  textOverflow: "ellipsis",
  [UPRIGHT]: { fontSize: "0.9rem", lineHeight: 1.1, whiteSpace: "normal", textAlign: "start" },
} as const;

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
  const movement = library.find(item.movementId);
  const taking = people.filter(({ id }) => {
    const participation = participations.get(id);
    return !participation || refusalOf(library, participation, item.movementId) === null;
  });
  const own = taking.filter((person) => item.personal[person.id]);
  const others = taking.filter((person) => !own.includes(person));
  const formOf = (person: PersonEntry): string | undefined => {
    const theirs = item.personal[person.id];
    if (!theirs) return undefined;
    const isForm = theirs.formId !== item.formId || !theirs.dose;
    return isForm ? theirWords.within(theirWords.formName(item.movementId, theirs.formId)) : theirWords.shortDose(theirs.dose!);
  };
  // One row, or two where own forms ask for it and there is room: own forms first, then others; whoever does not fit is counted.
  const inOrder = [...own, ...others];
  const widths = inOrder.map((person) => CHIP_PX + (person.name.length + (formOf(person)?.length ?? 0)) * LETTER_PX);
  const offered = inOrder.filter((_, i) => i === 0 || widths.slice(0, i).reduce((sum, width) => sum + width, 0) <= MOST_ROOM_PX);
  const row = useRef<HTMLDivElement>(null);
  const fitting = useWhatFits(row, offered.map((person) => `${person.id} ${formOf(person)}`).join(" "));
  const inRow = offered.slice(0, fitting);
  const counted = inOrder.filter((person) => !inRow.includes(person));
  const countedOwn = counted.filter((person) => own.includes(person)).length;
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
    <Box sx={{ display: "flex", gap: 0.75, px: 2.5, py: 1, whiteSpace: "nowrap", minWidth: 0 }} role="group" aria-label={t("People")}>
      <Box
        ref={row}
        sx={{
          position: "relative",
          display: "flex",
          flexWrap: "wrap",
          gap: 0.75,
          minWidth: 0,
          flex: "0 1 auto",
          maxHeight: ROW_PX,
          ...(own.length > 0 && { [UPRIGHT]: { maxHeight: UPRIGHT_ROW_PX } }),
          ...(own.length > 0 && { "@media (min-width: 900px) and (min-height: 700px)": { maxHeight: 2 * ROW_PX } }),
          overflow: "hidden",
          p: "3px",
          m: "-3px",
        }}
      >
        {offered.map((person, i) => {
          const form = formOf(person);
          return (
            <ButtonBase
              key={person.id}
              aria-haspopup="menu"
              onClick={(event) => choose(person, event.currentTarget)}
              style={{ visibility: i < fitting ? "visible" : "hidden" }}
              sx={{
                px: 1.25,
                minHeight: 44,
                borderRadius: 2,
                border: "2px solid",
                borderColor: form ? "warm.main" : "line",
                bgcolor: form ? "warm.light" : "background.paper",
                fontSize: "1.05rem",
                gap: 0.75,
                maxWidth: "100%",
                justifyContent: "start",
                overflow: "hidden",
                [UPRIGHT]: { flexDirection: "column", gap: 0, alignItems: "start", justifyContent: "center" },
              }}
            >
              <Box
                component="span"
                sx={{
                  fontWeight: form ? 750 : 500,
                  maxWidth: { xs: 150, md: "none" },
                  overflow: "hidden",
                  textOverflow: "ellipsis",
                  flex: "none",
                }}
              >
                {person.name}
              </Box>
              {form && (
                <>
                  {" "}
                  <Box component="span" sx={OWN_FORM}>
                    <InLanguage words={theirWords} text={form} />
                  </Box>
                </>
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
            borderColor: countedOwn > 0 ? "warm.main" : "edge",
            bgcolor: countedOwn > 0 ? "warm.light" : undefined,
            fontSize: "1.05rem",
            fontWeight: 700,
            flex: "none",
            flexDirection: "column",
            lineHeight: 1.1,
            alignSelf: "end",
            [UPRIGHT]: { alignSelf: "stretch" },
          }}
        >
          <span>{t("and {{count}} others", { count: counted.length, defaultValue_one: "and {{count}} other" })}</span>{" "}
          {countedOwn > 0 && <span>{t("{{count}} their own way", { count: countedOwn })}</span>}
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
          <MenuItem key={person.id} onClick={() => choose(person, allAt!)} sx={{ gap: 1 }}>
            {person.name}
            {formOf(person) && (
              <Box component="span" sx={{ color: "text.secondary" }}>
                {" "}
                <InLanguage words={theirWords} text={formOf(person)!} />
              </Box>
            )}
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
