/** Who does which task, for how long: everybody's shift, what would change it, and the ways it is filled. */
import { Alert, Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { FlaskConical, Plus, Scale } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { dateAt, shiftsFrom, type Shift } from "@kind-grip/core/calendar";
import { exchangedPeople, strainOfPeople } from "@kind-grip/core/rotation";
import { MAX_DAYS, RAISED_STRAIN, workProblems, type RotationAsked, type Work, type WorkDay } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { wholeDayText } from "../base/dates";
import { useNow } from "../base/now";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { DayPlanAnswer } from "./DayPlanAnswer";
import { LevelHands } from "./LevelHands";
import { PeopleRows } from "./PeopleRows";
import { strainText } from "./strain-text";
import type { EditedWork } from "./use-work";
import { WayOfShift } from "./WayOfShift";

/** Printed is who does what when. */
const ON_SCREEN_ONLY = { "@media print": { display: "none" } } as const;
/** So many ways are all shown to be changed; of more, the one that is chosen. */
const ALL_SHOWN = 4;
/** A shift is looked for so many days ahead. */
const AHEAD_DAYS = 28;

interface WorkDaysProps {
  crew: CrewEntry;
  edited: EditedWork;
  people: PersonEntry[];
  shiftMin: number;
}

export function WorkDays({ crew, edited, people, shiftMin }: WorkDaysProps) {
  const dispatch = useAppDispatch();
  const shift = useNextShift(crew, shiftMin);
  const [trial, setTrial] = useState<Pick<Work, "days" | "rotation"> | null>(null);
  const [levelling, setLevelling] = useState(false);
  const [openId, setOpenId] = useState<string | null>(null);
  const real = edited.value;
  const work = useMemo(() => (trial ? { ...real, ...trial } : real), [real, trial]);
  const ids = useMemo(() => people.map(({ id }) => id), [people]);
  const rows = useMemo(() => strainOfPeople(work, ids), [work, ids]);
  const before = useMemo(() => new Map(strainOfPeople(real, ids).map(({ personId, strain }) => [personId, strain])), [real, ids]);
  const problems = trial ? workProblems(work, shiftMin) : edited.found;
  const problemAt = (path: string) => problems.find((problem) => problem.path === path)?.message;

  const set = (days: WorkDay[], gesture?: string, rotation: RotationAsked | undefined = work.rotation) => {
    const change = { days, ...(rotation ? { rotation } : {}) };
    if (trial) setTrial(change);
    else edited.change({ ...real, ...change }, gesture);
  };
  const bar = useRef<HTMLDivElement>(null);
  const pressed = useRef(false);
  const tryOut = (next: typeof trial) => {
    pressed.current = true;
    setTrial(next);
  };
  const trying = trial !== null;
  // The button that was pressed is gone: the first of those in its place has the focus then.
  useEffect(() => {
    if (pressed.current) bar.current?.querySelector("button")?.focus();
    pressed.current = false;
  }, [trying]);
  const keep = () => {
    if (!trial) return;
    edited.change({ ...real, ...trial });
    setLevelling(false);
    tryOut(null);
    dispatch(notify({ text: t("Who does what is as it was tried."), undo: edited.undo }));
  };
  const drop = () => {
    setLevelling(false);
    tryOut(null);
  };
  const add = () => {
    const day = {
      id: uuid(),
      name: t("Rotation {{days}}", { days: work.days.length + 1 }),
      parts: work.days[0]?.parts ?? [],
      personIds: [],
    };
    set([...work.days, day]);
    setOpenId(day.id);
  };
  const hardest = rows[0];
  const wasHardest = Math.max(0, ...before.values());
  const nameOf = (personId: string) => people.find(({ id }) => id === personId)?.name ?? t("Somebody");
  const chosen = work.days.length <= ALL_SHOWN ? work.days : work.days.filter(({ id }, d) => (openId ? id === openId : d === 0));

  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Typography sx={{ display: "none", "@media print": { display: "block", fontWeight: 700 } }}>
        {t("{{crew}}, {{date}}: who does what when", { crew: crew.name, date: wholeDayText(shift.date) })}
      </Typography>
      <Box ref={bar} sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center", "& button": ON_SCREEN_ONLY }}>
        {hardest && (
          <Typography component="p" sx={{ flex: 1, minWidth: 260, fontSize: "1.15rem" }}>
            {t("Hardest hand: ")}
            {trial && strainText(wasHardest) !== strainText(hardest.strain) && `${strainText(wasHardest)} → `}
            <Box component="strong" sx={{ fontSize: "1.6rem", color: hardest.strain > RAISED_STRAIN ? "warm.dark" : "text.primary" }}>
              {strainText(hardest.strain)}
            </Box>
            {`, ${nameOf(hardest.personId)}`}
          </Typography>
        )}
        {trial ? (
          <>
            <Button variant="contained" onClick={keep} disabled={problems.length > 0}>
              {t("Keep it so")}
            </Button>
            <Button onClick={drop}>{t("Back to how it is")}</Button>
          </>
        ) : (
          <Button
            startIcon={<FlaskConical size={18} />}
            variant="outlined"
            onClick={() => tryOut({ days: real.days, rotation: real.rotation })}
          >
            {t("What if …")}
          </Button>
        )}
        <Button
          startIcon={<Scale size={18} />}
          variant="outlined"
          aria-expanded={levelling}
          disabled={people.length === 0 || work.tasks.length === 0}
          onClick={() => setLevelling(!levelling)}
        >
          {t("Level the hardest hand")}
        </Button>
      </Box>
      {trial && (
        <Alert severity="info" variant="outlined" sx={ON_SCREEN_ONLY}>
          {t("This is tried, not kept: nobody else sees it, and the day plan goes by the work as it is.")}
        </Alert>
      )}
      {levelling && (
        <Box sx={ON_SCREEN_ONLY}>
          <LevelHands work={real} people={people} shiftMin={shiftMin} onFound={(days, rotation) => setTrial({ days, rotation })} />
        </Box>
      )}
      {trial && <Exchange work={work} people={people} onExchange={(days) => set(days)} />}
      {rows.length > 0 && (
        <PeopleRows
          work={work}
          rows={rows}
          {...(trial ? { before } : {})}
          shift={shift}
          timeZone={crew.timeZone}
          nameOf={nameOf}
          onOpen={setOpenId}
        />
      )}
      <Box sx={{ display: "grid", gap: 3, ...ON_SCREEN_ONLY }}>
        {trial && <DayPlanAnswer crew={crew} shift={shift} work={real} tried={work} />}
        {work.days.length > ALL_SHOWN && (
          <TextField
            select
            label={t("Way of the shift to change")}
            value={chosen[0]?.id ?? ""}
            onChange={(event) => setOpenId(event.target.value)}
            sx={{ width: 320, maxWidth: "100%" }}
          >
            {work.days.map(({ id, name, personIds }) => (
              <MenuItem key={id} value={id}>
                {personIds.length > 0 ? `${name}: ${personIds.map(nameOf).join(", ")}` : name}
              </MenuItem>
            ))}
          </TextField>
        )}
        {chosen.map((day) => {
          const d = work.days.indexOf(day);
          return (
            <WayOfShift
              key={day.id}
              day={day}
              first={d === 0}
              work={work}
              people={people}
              shiftMin={shiftMin}
              problem={problemAt(`days.${d}.parts`)}
              onChange={(changed, gesture) =>
                set(
                  work.days.map((each) => (each.id === changed.id ? changed : each)),
                  gesture,
                )
              }
              onRemove={work.days.length > 1 ? () => set(work.days.filter(({ id }) => id !== day.id)) : undefined}
            />
          );
        })}
        <Box>
          <Button
            startIcon={<Plus size={18} />}
            variant="outlined"
            onClick={add}
            disabled={work.tasks.length === 0 || work.days.length >= MAX_DAYS}
          >
            {t("Another way the shift is filled")}
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

/** Two people take each other's way. */
function Exchange({ work, people, onExchange }: { work: Work; people: PersonEntry[]; onExchange(days: WorkDay[]): void }) {
  const [one, setOne] = useState("");
  const [other, setOther] = useState("");
  const choices = [
    { label: t("Exchange"), value: one, set: setOne },
    { label: t("with"), value: other, set: setOther },
  ];
  return (
    <Box
      component="section"
      aria-label={t("Exchange two people")}
      sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}
    >
      {choices.map(({ label, value, set }) => (
        <TextField key={label} select label={label} value={value} onChange={(event) => set(event.target.value)} sx={{ width: 220 }}>
          {people.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      ))}
      <Button variant="outlined" disabled={!one || !other || one === other} onClick={() => onExchange(exchangedPeople(work, one, other))}>
        {t("Exchange them")}
      </Button>
    </Box>
  );
}

/** The shift the strips are drawn on: the crew's next, or as many hours from midnight where it has none. */
function useNextShift(crew: CrewEntry, shiftMin: number): Shift {
  const today = dateAt(useNow(), crew.timeZone);
  return useMemo(() => {
    const [next] = shiftsFrom(crew.shiftPattern, crew.timeZone, today, AHEAD_DAYS);
    if (next) return next;
    const [usual] = crew.shiftPattern.shifts;
    const startMs = Date.parse(`${today}T00:00:00Z`);
    return { date: today, startMs, endMs: startMs + shiftMin * 60_000, breaks: [], away: [], kind: usual!, clockChangeMin: 0 };
  }, [crew, today, shiftMin]);
}
