/** Planning a day for groups: who with whom, when, with the fewest minutes lost; pins stay, the rest is planned again. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { PinOff } from "lucide-react";
import { useMemo, useState } from "react";
import { type Shift } from "@kind-grip/core/calendar";
import { type Placement, type PlanGroup, type Series, type SessionRequest } from "@kind-grip/core/dayplan";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { timeText, wholeDayText } from "../base/dates";
import { useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { crewApi } from "../crew/api";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { meantFor, meeting, type CrewDay } from "./crew-day";
import { dayOfGroups } from "./day-of-groups";
import { GroupRow } from "./GroupRow";
import { patternOfDay } from "./pattern-of-day";
import type { PlaceableSession } from "./placed";
import { useDayPlanner } from "./use-day-planner";
import { useJoinedCrews } from "./use-joined-crews";
import { relaxationText } from "./relaxation-text";
import { nearnessText } from "../parts/nearness-text";

interface PlanDayProps {
  crew: CrewEntry;
  shifts: readonly Shift[];
  sessions: readonly PlaceableSession[];
  people: readonly PersonEntry[];
  /** Groups the crew keeps. */
  groups: readonly PlanGroup[];
  partsOf: CrewDay["partsOf"];
  now: number;
  today: string;
  placedOn(date: string): readonly Placement[];
  /** Placements of a day that were led already: they stay as they are. */
  keptOn(date: string): readonly Placement[];
  onUse(date: string, placements: Placement[]): void;
  /** As the pattern of its kind of shift from that day on. */
  onUseEvery(date: string, series: Series[], groups: PlanGroup[]): void;
  onClose(): void;
}

export function PlanDayDialog(props: PlanDayProps) {
  const { crew, shifts, sessions, people, groups: keptGroups, partsOf, now, today, placedOn, keptOn, onUse, onUseEvery, onClose } = props;
  const library = useLibrary();
  const [date, setDate] = useState((shifts.find((shift) => shift.date >= today) ?? shifts[0])!.date);
  const shift = shifts.find((each) => each.date === date)!;
  const over = shift.endMs <= now;
  const notMeant = (on: string) => {
    const meant = meantFor(placedOn(on), sessions);
    return new Set(sessions.flatMap((each) => (meant.includes(each) ? [] : [each.session.id])));
  };
  const [left, setLeft] = useState<ReadonlySet<string>>(() => notMeant(date));
  const [breaks, setBreaks] = useState(1);
  const [mostOffJob, setMostOffJob] = useState(crew.mostOffJob);
  const [leaders, setLeaders] = useState(1);
  const [count, setCount] = useState<number | null>(null);
  const [fromNow, setFromNow] = useState(true);
  const [takesKept, setTakesKept] = useState(keptGroups.some((group) => group.people.length > 0));
  const [pinned, setPinned] = useState<ReadonlyMap<string, number>>(new Map());

  const joined = useJoinedCrews(now);
  const { others, trouble } = joined;
  const begun = [shift, ...others.map((day) => day.shift)].some(({ startMs, endMs }) => startMs < now && now < endMs);
  // The same list as long as it says the same: the page works it out anew at every look.
  const keptNow = keptOn(date);
  const [kept, setKept] = useState(keptNow);
  if (keptNow.map(({ id }) => id).join() !== kept.map(({ id }) => id).join()) setKept(keptNow);

  // The moment matters to the minute only.
  const notBeforeMs = begun && fromNow ? Math.floor(now / 60_000) * 60_000 : 0;
  const { problem, withReach, groups, needed } = useMemo(() => {
    const own = { crew, shift, sessions: sessions.filter(({ session }) => !left.has(session.id)), people, partsOf, kept };
    return dayOfGroups(
      library,
      [
        { day: own, mostOffJob, groupCount: count, kept: takesKept ? keptGroups : null },
        ...others.map((day) => ({ day, mostOffJob: day.crew.mostOffJob, groupCount: null })),
      ],
      { breaks, leaders, notBeforeMs, pinned },
    );
  }, [
    crew,
    shift,
    sessions,
    people,
    partsOf,
    kept,
    library,
    mostOffJob,
    count,
    others,
    breaks,
    leaders,
    notBeforeMs,
    pinned,
    left,
    takesKept,
    keptGroups,
  ]);
  const couldJoin = meeting(crewApi.useCrewsQuery().data ?? [], crew, shift);
  const { plan, stage, gap, saved, relaxations } = useDayPlanner(problem, withReach);
  const missing = problem.requests.filter(({ id }) => !plan.has(id));
  const everySession = [...sessions, ...others.flatMap((day) => day.sessions)];
  const nameOf = (sessionId: string) => everySession.find(({ session }) => session.id === sessionId)!.session.name;
  const axis = {
    startMs: Math.min(...groups.map(({ day }) => day.shift.startMs), shift.startMs),
    endMs: Math.max(...groups.map(({ day }) => day.shift.endMs), shift.endMs),
  };

  const placementsOf = (crewId: string) =>
    problem.requests.flatMap((request): Placement[] => {
      const at = plan.get(request.id);
      const { day, name, people: inGroup, whole } = groups[request.group]!;
      if (at === undefined || day.crew.id !== crewId) return [];
      return [
        {
          id: uuid(),
          programId: day.sessions.find(({ session }) => session.id === request.sessionId)!.programId,
          sessionId: request.sessionId,
          startsAt: new Date(at).toISOString(),
          people: whole ? null : inGroup,
          groupName: whole ? null : name,
        },
      ];
    });
  const use = async () => {
    if (await joined.store(placementsOf)) onUse(date, placementsOf(crew.id));
  };
  const useEvery = () => {
    const named = groups.filter(({ day, whole }) => day.crew.id === crew.id && !whole);
    const made = patternOfDay(crew, shift, placementsOf(crew.id), named, takesKept ? keptGroups : [], sessions);
    onUseEvery(date, made.series, made.groups);
  };
  const togglePin = (request: SessionRequest) => {
    const next = new Map(pinned);
    if (next.has(request.id)) next.delete(request.id);
    else if (plan.has(request.id)) next.set(request.id, plan.get(request.id)!);
    setPinned(next);
  };
  const again = () => setPinned(new Map());

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="plan-day">
      <DialogTitle id="plan-day">{t("Plan a day for groups")}</DialogTitle>
      <DialogContent
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "270px minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <Box sx={{ display: "grid", gap: 2 }}>
          <Choice
            label={t("Day")}
            value={date}
            onChange={(next) => {
              setDate(next);
              joined.leaveAll();
              setLeft(notMeant(next));
              again();
            }}
            options={shifts.map((each) => ({ value: each.date, label: `${weekday(each)} ${Number(each.date.slice(8))}` }))}
          />
          <Box>
            <Typography sx={{ mb: 0.5 }}>{t("Sessions")}</Typography>
            <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
              {sessions.map(({ session, lengthSec }) => (
                <Toggle
                  key={session.id}
                  label={`${session.name} ${durationText(lengthSec)}`}
                  pressed={!left.has(session.id)}
                  onChange={(on) => {
                    const next = new Set(left);
                    if (on) next.delete(session.id);
                    else next.add(session.id);
                    setLeft(next);
                    again();
                  }}
                />
              ))}
            </Box>
          </Box>
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
            <Stepper
              label={t("Stretch breaks")}
              value={breaks}
              min={1}
              max={3}
              onChange={(next) => {
                setBreaks(next);
                again();
              }}
            />
            {!takesKept && (
              <Stepper
                label={t("Groups")}
                value={groups.filter(({ day }) => day.crew.id === crew.id).length}
                min={1}
                max={Math.max(1, people.length)}
                onChange={(next) => {
                  setCount(next);
                  again();
                }}
              />
            )}
            <Stepper
              label={t("Off the job at once")}
              value={mostOffJob}
              min={1}
              max={200}
              onChange={(next) => {
                setMostOffJob(next);
                setCount(null);
                again();
              }}
            />
            <Stepper label={t("Leaders")} value={leaders} min={1} max={10} onChange={setLeaders} />
          </Box>
          {keptGroups.length > 0 && (
            <Box>
              <Toggle
                label={t("The crew's own groups")}
                pressed={takesKept}
                onChange={(on) => {
                  setTakesKept(on);
                  again();
                }}
              />
            </Box>
          )}
          {begun && (
            <Toggle label={t("Only from now, {{time}}", { time: timeText(now, crew.timeZone) })} pressed={fromNow} onChange={setFromNow} />
          )}
          {couldJoin.length > 0 && (
            <Box>
              <Typography sx={{ mb: 0.5 }}>{t("Led together with")}</Typography>
              <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
                {couldJoin.map((other) => (
                  <Toggle
                    key={other.crew.id}
                    label={`${other.crew.name}${joined.reading === other.crew.id ? " …" : ""}`}
                    pressed={others.some(({ crew: { id } }) => id === other.crew.id)}
                    onChange={(on) => {
                      if (on) void joined.join(other);
                      else joined.leave(other.crew.id);
                    }}
                  />
                ))}
              </Box>
            </Box>
          )}
          <Typography sx={{ color: "text.secondary" }}>
            {t("{{people}} people; {{count}} groups are needed for the job and the kit.", {
              people: people.length,
              count: needed,
              defaultValue_one: "{{people}} people; {{count}} group is needed for the job and the kit.",
            })}
            {kept.length > 0 &&
              ` ${t("{{count}} sessions of this day led already: they stay.", { count: kept.length, defaultValue_one: "{{count}} session of this day led already: they stay." })}`}
          </Typography>
        </Box>
        <Box>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1, flexWrap: "wrap" }}>
            <Typography role="status" sx={{ flex: 1, fontWeight: 650 }}>
              {stage === "first"
                ? t("First answer; looking for a better one …")
                : `${nearnessText(gap)}.${saved > 0.005 ? ` ${t("{{saved}} % less lost than the first answer.", { saved: Math.round(saved * 100) })}` : ""}`}
            </Typography>
            {pinned.size > 0 && (
              <Button onClick={again} startIcon={<PinOff size={18} />}>
                {t("Let go of {{count}} pins", { count: pinned.size, defaultValue_one: "Let go of {{count}} pin" })}
              </Button>
            )}
          </Box>
          {over && (
            <Alert severity="info" variant="outlined" sx={{ mb: 1.5 }}>
              {t("This shift is over.")}
            </Alert>
          )}
          {trouble && (
            <Alert severity="error" variant="outlined" sx={{ mb: 1.5 }}>
              {trouble}
            </Alert>
          )}
          {missing.length > 0 && (
            <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
              {t("{{missing}} of {{requests}} sessions find no place within {{count}} leaders, {{what}} and the spacing. {{relaxations}}", {
                missing: missing.length,
                requests: problem.requests.length,
                count: leaders,
                what: others.length === 0 ? t("{{mostOffJob}} off the job", { mostOffJob }) : t("what each job can spare"),
                relaxations: relaxations
                  .map((each) =>
                    relaxationText(
                      each,
                      [crew, ...others.map((day) => day.crew)].map(({ name }) => name),
                    ),
                  )
                  .join(" "),
                defaultValue_one:
                  "{{missing}} of {{requests}} sessions find no place within one leader, {{what}} and the spacing. {{relaxations}}",
              })}
            </Alert>
          )}
          {groups.map(({ day, name, people: inGroup, whole }, g) => (
            <GroupRow
              key={`${day.crew.id} ${name}`}
              day={day}
              axis={axis}
              name={others.length === 0 ? name : whole ? day.crew.name : `${day.crew.name}, ${name.toLowerCase()}`}
              people={inGroup.map((id) => day.people.find((person) => person.id === id)?.name ?? "")}
              parts={day.partsOf(inGroup)}
              requests={problem.requests.filter((request) => request.group === g)}
              plan={plan}
              pinned={pinned}
              nameOf={nameOf}
              onPin={togglePin}
              onMove={(request, at) => setPinned(new Map(pinned).set(request.id, at))}
            />
          ))}
          <Typography sx={{ color: "text.secondary", mt: 1 }}>
            {t("Drag a session, or tap it to pin it and move it with the arrow keys; the rest is planned round it.")}
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        {others.length === 0 && kept.length === 0 && (
          <Button variant="contained" disabled={plan.size === 0} onClick={useEvery}>
            {t("Use it for every {{shift}} shift from {{date}} on", { shift: shift.kind.name.toLowerCase(), date: wholeDayText(date) })}
          </Button>
        )}
        <Button
          variant={others.length === 0 && kept.length === 0 ? "outlined" : "contained"}
          disabled={plan.size === 0 || joined.storing}
          onClick={() => void use()}
        >
          {t("Use it for {{shift}} {{date}}", { shift: weekday(shift), date: Number(date.slice(8)) })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function weekday({ date }: Shift): string {
  return [t("Sun"), t("Mon"), t("Tue"), t("Wed"), t("Thu"), t("Fri"), t("Sat")][new Date(`${date}T00:00:00Z`).getUTCDay()]!;
}
