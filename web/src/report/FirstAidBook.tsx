/** The first-aid book of a crew as its trainer enters it: days and places out of the employer's own book, never a name. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useId, useState, type FormEvent } from "react";
import { FIRST_AID_DOCUMENT, type FirstAidBook as Book } from "@kind-grip/core/followup";
import { REGIONS, type Region } from "@kind-grip/core/library";
import type { CrewEntry, FirstAidEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { useOwner } from "../base/api";
import { wholeDayText } from "../base/dates";
import { useWords } from "../base/library";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { SaveState } from "../document/SaveState";
import { useDocument } from "../document/use-document";
import { Loaded } from "../parts/Loaded";
import { reportApi } from "./api";
import { DateField } from "../parts/DateField";

export function FirstAidBook({ crew }: { crew: CrewEntry }) {
  const entry = reportApi.useFirstAidQuery(crew.id, { refetchOnMountOrArgChange: true });
  return <Loaded query={entry}>{(stored) => <EditedBook crew={crew} entry={stored} />}</Loaded>;
}

/** Cases shown before the rest is asked for. */
const SHOWN = 8;

function EditedBook({ crew, entry }: { crew: CrewEntry; entry: FirstAidEntry }) {
  const words = useWords();
  const headingId = useId();
  const today = dateAt(useNow(60_000), crew.timeZone);
  const [save] = reportApi.useSaveFirstAidMutation();
  const edited = useDocument<Book>({
    draft: { storage: localStorage, owner: useOwner(), id: `first-aid ${crew.id}`, of: FIRST_AID_DOCUMENT },
    start: { version: entry.version, value: entry.book },
    save: (version, book) => save({ crewId: crew.id, version, book }),
    theirsFrom: (detail) => {
      const newer = detail as FirstAidEntry | undefined;
      return newer?.book ? { version: newer.version, value: newer.book } : null;
    },
  });
  const { since, cases } = edited.value;
  const [all, setAll] = useState(false);
  const newest = [...cases].sort((a, b) => b.day.localeCompare(a.day));
  const early = cases.filter(({ day }) => since !== null && day < since).length;
  return (
    <Box component="section" aria-labelledby={headingId} sx={{ mt: 6, maxWidth: 900, "@media print": { display: "none" } }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        <Typography variant="h2" id={headingId} sx={{ flex: 1, minWidth: 200 }}>
          {t("First-aid book")}
        </Typography>
        <SaveState edited={edited} what={t("the first-aid book")} />
      </Box>
      <Typography sx={{ color: "text.secondary", mb: 2 }}>
        {t(
          "Cases of hands, wrists and arms out of the employer's own book: the day and the place, no names. Cases from before the program make the comparison.",
        )}
      </Typography>
      <DateField
        label={t("The book is complete since")}
        value={since}
        onChange={(date) => edited.change({ ...edited.value, since: date }, "since")}
        error={early > 0 || (since === null && cases.length > 0)}
        helperText={
          early > 0
            ? t("{{count}} cases are from before this day", { count: early, defaultValue_one: "{{count}} case is from before this day" })
            : undefined
        }
        max={today}
        sx={{ width: 240, mb: 2 }}
      />
      {since !== null && (
        <NewCase
          since={since}
          today={today}
          onAdd={(day, region, count) =>
            edited.change({
              ...edited.value,
              cases: [...cases, ...Array.from({ length: count }, () => ({ id: uuid(), day, region }))],
            })
          }
        />
      )}
      {newest.length === 0 ? (
        <Typography sx={{ mt: 2 }}>{t("No case is entered.")}</Typography>
      ) : (
        <>
          <Typography sx={{ mt: 2.5, fontWeight: 700 }}>
            {t("{{count}} cases", { count: newest.length, defaultValue_one: "{{count}} case" })}
          </Typography>
          <Box component="ul" aria-label={t("First-aid cases")} sx={{ listStyle: "none", m: 0, p: 0 }}>
            {newest.slice(0, all ? undefined : SHOWN).map(({ id, day, region }) => {
              const where = region ? words.label("place", region) : t("place not said");
              return (
                <Box
                  component="li"
                  key={id}
                  sx={{ display: "flex", gap: 2, alignItems: "center", borderTop: "1px solid", borderColor: "line", minHeight: 48 }}
                >
                  <Typography sx={{ width: 150, fontWeight: 650 }}>{wholeDayText(day)}</Typography>
                  <Typography sx={{ flex: 1 }}>{where}</Typography>
                  <IconButton
                    aria-label={t("Remove {{day}}, {{where}}", { day: wholeDayText(day), where })}
                    onClick={() => edited.change({ ...edited.value, cases: cases.filter((each) => each.id !== id) })}
                  >
                    <Trash2 size={20} />
                  </IconButton>
                </Box>
              );
            })}
          </Box>
          {newest.length > SHOWN && (
            <Button onClick={() => setAll(!all)}>{all ? t("Show fewer") : t("Show all {{count}}", { count: newest.length })}</Button>
          )}
        </>
      )}
    </Box>
  );
}

interface NewCaseProps {
  since: string;
  today: string;
  onAdd(day: string, region: Region | null, count: number): void;
}

const NOT_SAID = "";
const MOST_AT_ONCE = 20;

/** One line of the book; the day stays for the next. */
function NewCase({ since, today, onAdd }: NewCaseProps) {
  const words = useWords();
  const [day, setDay] = useState("");
  const [region, setRegion] = useState<Region | typeof NOT_SAID>(NOT_SAID);
  const [count, setCount] = useState("1");
  const [asked, setAsked] = useState(false);
  const dayProblem = !day ? t("Which day?") : day < since ? t("Before the book begins") : day > today ? t("Has not come yet") : undefined;
  const number = Number(count);
  const countProblem =
    Number.isInteger(number) && number >= 1 && number <= MOST_AT_ONCE ? undefined : t("1 to {{most}}", { most: MOST_AT_ONCE });
  const add = (event: FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (dayProblem || countProblem) return;
    onAdd(day, region === NOT_SAID ? null : region, number);
    setCount("1");
    setAsked(false);
  };
  return (
    <Box component="form" noValidate onSubmit={add} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
      <DateField
        label={t("Day")}
        value={day}
        onChange={(date) => setDay(date ?? "")}
        inForm
        error={asked && !!dayProblem}
        helperText={asked ? dayProblem : undefined}
        min={since}
        max={today}
        sx={{ width: 200 }}
      />
      <TextField
        select
        label={t("Place")}
        value={region}
        onChange={(event) => setRegion(event.target.value as Region | typeof NOT_SAID)}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        sx={{ width: 240 }}
      >
        <MenuItem value={NOT_SAID}>{t("place not said")}</MenuItem>
        {REGIONS.map((each) => (
          <MenuItem key={each} value={each}>
            {words.label("place", each)}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label={t("How many")}
        value={count}
        onChange={(event) => setCount(event.target.value)}
        error={asked && !!countProblem}
        helperText={asked ? countProblem : undefined}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
        sx={{ width: 110 }}
      />
      <Button type="submit" variant="outlined" startIcon={<Plus size={20} />} sx={{ minHeight: 56 }}>
        {t("Add")}
      </Button>
    </Box>
  );
}
