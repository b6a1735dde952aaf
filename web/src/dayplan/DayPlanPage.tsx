/** The day plan: a week of shift ribbons with sessions pinned on them, their spacing and what clashes. */
import { Alert, Box, Button } from "@mui/material";

import { BellRing, UsersRound } from "lucide-react";
import { DateTime } from "luxon";
import { useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import { isHere } from "@kind-grip/core/crew";
import { addDays, dateAt, mondayOf, shiftOf, shiftsFrom } from "@kind-grip/core/calendar";
import { clashesOf, suggestStart } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import { notHeldOut } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useLibrary, useWords } from "../base/library";
import type { CrewEntry, PersonEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { workApi } from "../work/api";
import { todayApi } from "../today/api";
import { programApi } from "../program/api";
import { dayPlanApi } from "./api";
import { crewApi } from "../crew/api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { SaveState } from "../document/SaveState";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { useParticipations } from "../safety/use-participations";
import { placeableSessions, placedOf, sameIn, type PlaceableSession } from "./placed";
import { PlacementPanel } from "./PlacementPanel";
import { PlanDayDialog } from "./PlanDayDialog";
import { RemindersDialog } from "./RemindersDialog";
import { ribbonParts } from "./work-ribbon";
import { useWeek } from "./use-week";
import { ShiftRow } from "./ShiftRow";
import { ClashList } from "./ClashList";
import { WeekTitle } from "./WeekTitle";
import { clashText } from "./clash-text";

export default function DayPlanPage() {
  const library = useLibrary();
  const crew = useCrew();
  const now = useNow();
  const { weekStart = mondayOf(dateAt(now, crew.timeZone)) } = useParams();
  const programs = programApi.useProgramsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const plan = dayPlanApi.useWeekPlanQuery({ crewId: crew.id, weekStart: mondayOf(weekStart) }, { refetchOnMountOrArgChange: true });
  const today = dateAt(now, crew.timeZone);
  const participations = useParticipations(crew.id);
  const here = useMemo(
    () =>
      notHeldOut(
        (people.data ?? []).filter((person) => isHere(person, today)),
        participations,
      ),
    [people.data, today, participations],
  );
  const sessions = useMemo(
    () =>
      placeableSessions(
        library,
        programs.data ?? [],
        here.map((person) => person.id),
        participations,
      ),
    [library, programs.data, here, participations],
  );
  if (plan.isFetching && plan.data?.weekStart !== mondayOf(weekStart)) return <WeekTitle crew={crew} weekStart={mondayOf(weekStart)} />;
  return (
    <Loaded query={plan}>
      {(entry) => (
        <Loaded query={programs}>
          {() =>
            sessions.length === 0 ? (
              <>
                <WeekTitle crew={crew} weekStart={entry.weekStart} />
                <Empty
                  title={t("There is nothing to place yet")}
                  text={t("The day plan puts a program's sessions on this crew's shifts. Make a session with a few movements first.")}
                >
                  <Button component={Link} to={`/crews/${crew.id}/program`} variant="contained">
                    {t("Go to Program")}
                  </Button>
                </Empty>
              </>
            ) : (
              <Week key={entry.weekStart} crew={crew} entry={entry} sessions={sessions} now={now} people={here} />
            )
          }
        </Loaded>
      )}
    </Loaded>
  );
}

interface WeekProps {
  /** Who may take part today. */
  people: PersonEntry[];
  crew: CrewEntry;
  entry: WeekPlanEntry;
  sessions: PlaceableSession[];
  now: number;
}

function Week({ crew, entry, sessions, now, people }: WeekProps) {
  const library = useLibrary();
  const words = useWords();
  // A session that was taken out of its program since leaves the plan with the next change.
  const plan = useWeek({ ...entry, placements: entry.placements.filter((each) => placedOf([each], sessions).length > 0) });
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [open, setOpen] = useState<"planDay" | "outgoing" | null>(null);
  const work = workApi.useWorkQuery(crew.id).data?.work;
  const parts = useMemo(() => ribbonParts(work), [work]);
  const today = todayApi.useTodayQuery().data;
  const led = new Set(today?.entries.flatMap((each) => (each.runId ? [each.placementId] : [])));
  const { weekStart } = entry;
  const around = useMemo(() => shiftsFrom(crew.shiftPattern, crew.timeZone, addDays(weekStart, -2), 11), [crew, weekStart]);
  const shifts = around.filter((shift) => shift.date >= weekStart && shift.date < addDays(weekStart, 7));
  const placed = useMemo(() => placedOf(plan.value, sessions), [plan.value, sessions]);
  const clashes = useMemo(() => {
    const all = clashesOf(library, [...placed, ...placedOf(entry.neighbours, sessions)], around, crew.timeZone);
    const mine = new Set(placed.map((each) => each.id));
    return all.filter((clash) =>
      clash.placementIds.length > 0
        ? clash.placementIds.some((id) => mine.has(id))
        : clash.date >= weekStart && clash.date < addDays(weekStart, 7),
    );
  }, [library, placed, entry.neighbours, sessions, around, crew.timeZone, weekStart]);

  const shiftAt = (startMs: number) => shiftOf(around, startMs);
  const place = (found: PlaceableSession, date: string) => {
    const shift = shifts.find((each) => each.date === date);
    if (!shift) return;
    const taken = placed.filter((each) => shiftAt(each.startMs) === shift).map((each) => each.startMs);
    const made = {
      id: uuid(),
      people: null,
      groupName: null,
      programId: found.programId,
      sessionId: found.session.id,
      startsAt: new Date(
        suggestStart(
          found.session.slot,
          found.lengthSec,
          shift,
          found.session.slot === "break" && taken.length === 0 ? [shift.startMs] : taken,
        ),
      ).toISOString(),
    };
    plan.change([...plan.value, made]);
    setChosenId(made.id);
  };
  const move = (id: string, startMs: number) =>
    plan.change(plan.value.map((each) => (each.id === id ? { ...each, startsAt: new Date(startMs).toISOString() } : each)));
  const remove = (...ids: string[]) => {
    plan.change(plan.value.filter((each) => !ids.includes(each.id)));
    setChosenId(null);
  };
  const chosen = placed.find((each) => each.id === chosenId);
  const onDay = (date: string) => plan.value.filter((each) => shiftAt(Date.parse(each.startsAt))?.date === date);
  const repeat = (id: string) => {
    const placement = plan.value.find((each) => each.id === id);
    const each = placed.find((one) => one.id === id);
    const from = each && shiftAt(each.startMs);
    if (!placement || !each || !from) return;
    const copies = shifts
      .filter((shift) => shift !== from && shift.kind.id === from.kind.id)
      .flatMap((shift) => {
        const startMs = sameIn(shift, from, each.startMs, each.session.slot);
        const there = placed.some((one) => one.session.id === each.session.id && one.startMs === startMs);
        return there ? [] : [{ ...placement, id: uuid(), startsAt: new Date(startMs).toISOString() }];
      });
    if (copies.length > 0) plan.change([...plan.value, ...copies]);
  };
  const nameOf = (id: string) => {
    const each = [...placed, ...placedOf(entry.neighbours, sessions)].find((one) => one.id === id);
    return each
      ? `${each.session.name} (${dateText(DateTime.fromMillis(each.startMs, { zone: crew.timeZone }), "ccc HH:mm")})`
      : t("a session");
  };
  const days = Array.from({ length: 7 }, (_, i) => addDays(weekStart, i));
  const widestMin = Math.max(...shifts.map((shift) => (shift.endMs - shift.startMs) / 60_000), 240) + 150;

  return (
    <>
      <WeekTitle crew={crew} weekStart={weekStart}>
        {shifts.length > 0 && (
          <Button variant="outlined" startIcon={<UsersRound size={20} />} onClick={() => setOpen("planDay")}>
            {t("Plan a day")}
          </Button>
        )}
        <Button startIcon={<BellRing size={20} />} onClick={() => setOpen("outgoing")}>
          {t("Reminders")}
        </Button>
        <SaveState
          edited={plan}
          what={t("this week")}
          summary={(placements) => `${placements.length} ${t("sessions", { count: placements.length, defaultValue_one: "session" })}`}
        />
      </WeekTitle>
      {open === "outgoing" && <RemindersDialog crew={crew} onClose={() => setOpen(null)} />}
      {open === "planDay" && (
        <PlanDayDialog
          crew={crew}
          shifts={shifts}
          sessions={sessions}
          people={people}
          parts={parts}
          now={now}
          today={dateAt(now, crew.timeZone)}
          placedOn={onDay}
          keptOn={(date) => onDay(date).filter(({ id }) => led.has(id))}
          onUse={(date, placements) => {
            const gone = new Set(
              onDay(date)
                .filter(({ id }) => !led.has(id))
                .map(({ id }) => id),
            );
            plan.change([...plan.value.filter(({ id }) => !gone.has(id)), ...placements]);
            setOpen(null);
          }}
          onClose={() => setOpen(null)}
        />
      )}
      {shifts.length === 0 && (
        <Alert severity="info" variant="outlined" sx={{ mb: 2 }}>
          {t("This crew has no shift in this week. The pattern is under the crew's settings.")}
        </Alert>
      )}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 286px" },
          columnGap: 4,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <Box>
          {days.map((date) => {
            const shift = shifts.find((each) => each.date === date);
            const inShift = placed.filter((each) =>
              shift ? shiftAt(each.startMs)?.date === date : !shiftAt(each.startMs) && dateAt(each.startMs, crew.timeZone) === date,
            );
            return (
              <ShiftRow
                key={date}
                date={date}
                shift={shift}
                parts={parts}
                placed={inShift}
                sessions={sessions}
                clashes={clashes}
                chosenId={chosenId}
                timeZone={crew.timeZone}
                widestMin={widestMin}
                now={now}
                onPlace={place}
                onMove={move}
                onChoose={setChosenId}
                onRemove={remove}
              />
            );
          })}
        </Box>
        <Box sx={{ display: "grid", gap: 3, position: "sticky", top: 16 }}>
          {chosen && (
            <PlacementPanel
              crew={crew}
              placed={chosen}
              shift={shiftAt(chosen.startMs)}
              programId={plan.value.find((each) => each.id === chosen.id)?.programId ?? ""}
              groupName={plan.value.find((each) => each.id === chosen.id)?.groupName ?? null}
              stored={plan.status === "saved"}
              onMove={(startMs) => move(chosen.id, startMs)}
              onRepeat={() => repeat(chosen.id)}
              onRemove={() => remove(chosen.id)}
              onClose={() => setChosenId(null)}
            />
          )}
          <ClashList
            clashes={clashes}
            text={(clash) => clashText(clash, nameOf, (region) => words.label("region", region))}
            empty={placed.length === 0}
            onChoose={setChosenId}
            zone={crew.timeZone}
          />
        </Box>
      </Box>
    </>
  );
}
