/** The week that is shown: its shifts with what is on them, what is chosen, what clashes, and what does not work out in weeks ahead. */
import { Alert, Box, Button, useMediaQuery } from "@mui/material";
import { BellRing, CopyPlus, Users, UsersRound } from "lucide-react";
import { DateTime } from "luxon";
import { useCallback, useMemo, useState } from "react";
import type { CrewEntry, PersonEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { dayInstead, patternFrom, takenOutOnce, type LaidPlacement } from "@kind-grip/core/dayplan";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { SaveState } from "../document/SaveState";
import { todayApi } from "../today/api";
import { useWorkDone } from "../work/api";
import { AheadList, NextBlocks } from "./AheadList";
import { ClashList } from "./ClashList";
import { clashText } from "./clash-text";
import { CopyWeek } from "./CopyWeek";
import { GroupsDialog } from "./GroupsDialog";
import type { PlaceableSession } from "./placed";
import { PlacementPanel } from "./PlacementPanel";
import { PlanDayDialog } from "./PlanDayDialog";
import { RemindersDialog } from "./RemindersDialog";
import { ShiftRow } from "./ShiftRow";
import { useMends } from "./use-mends";
import { usePlan } from "./use-plan";
import { useWeekActs } from "./use-week-acts";
import { WeekTitle } from "./WeekTitle";
import { ribbonParts } from "./work-ribbon";

/** Px of the window: narrower, and the names along a day that lies are cut. */
const UPRIGHT_BELOW = 760;

interface WeekProps {
  /** Who may take part today. */
  /** Who takes part, now or later. */
  people: PersonEntry[];
  /** Those, and who is held out. */
  memberIds: ReadonlySet<string>;
  crew: CrewEntry;
  entry: WeekPlanEntry;
  sessions: PlaceableSession[];
  now: number;
}

export function Week({ crew, entry, sessions, now, people, memberIds }: WeekProps) {
  const words = useWords();
  const planned = usePlan(crew, entry, sessions);
  const { document, plan, change, shifts: around, placed, clashes, laid, laidById, shiftAt } = planned;
  const [open, setOpen] = useState<"planDay" | "outgoing" | "groups" | "copy" | null>(null);
  const work = useWorkDone(crew.id);
  const partsOf = useCallback((personIds: readonly string[]) => ribbonParts(work, personIds), [work]);
  const parts = useMemo(() => partsOf(people.map(({ id }) => id)), [partsOf, people]);
  const today = todayApi.useTodayQuery().data;
  const led = new Set([
    ...(today?.entries.flatMap((each) => (each.runId ? [each.placementId] : [])) ?? []),
    ...entry.kept.map(({ id }) => id),
  ]);
  const { weekStart } = entry;
  const todaysDate = dateAt(now, crew.timeZone);
  const mends = useMends(planned, crew.timeZone, weekStart > todaysDate ? weekStart : todaysDate, led);
  const isInWeek = (date: string) => date >= weekStart && date < addDays(weekStart, 7);
  const shifts = around.filter(({ date }) => isInWeek(date));
  const { chosenId, chosen, chosenLaid, reach, setReach, every, setEvery, choose, changeChosen, place, move, remove, toSeries } =
    useWeekActs({
      crew,
      entry,
      sessions,
      planned,
      led,
    });
  const onDay = (date: string): LaidPlacement[] => laid.filter((each) => each.date === date);
  const nameOf = (id: string) => {
    const each = placed.find((one) => one.id === id);
    return each
      ? `${each.session.name} (${dateText(DateTime.fromMillis(each.startMs, { zone: crew.timeZone }), "ccc HH:mm")})`
      : t("a session");
  };
  const upright = useMediaQuery(`(max-width: ${UPRIGHT_BELOW - 0.05}px)`);
  const days = Array.from({ length: 7 }, (_, i) => addDays(weekStart, i));
  const widestMin = Math.max(...shifts.map((shift) => (shift.endMs - shift.startMs) / 60_000), 240) + 150;
  const text = (clash: (typeof clashes)[number]) => clashText(clash, nameOf, (region) => words.label("region", region));
  const chosenPanel = chosen && chosenLaid && (
    <PlacementPanel
      crew={crew}
      plan={plan}
      placed={chosen}
      laid={chosenLaid}
      shift={shiftAt(chosen.startMs)}
      stored={document.status === "saved"}
      reach={reach}
      onReach={setReach}
      onChange={changeChosen}
      onMove={(startMs) => move(chosen.id, startMs)}
      onRepeat={() => toSeries(chosenLaid)}
      onRemove={() => remove(chosen.id)}
      onClose={() => choose(null)}
    />
  );

  return (
    <>
      <WeekTitle crew={crew} weekStart={weekStart}>
        {shifts.length > 0 && (
          <>
            <Button variant="outlined" startIcon={<UsersRound size={20} />} onClick={() => setOpen("planDay")}>
              {t("Plan a day")}
            </Button>
            <Button startIcon={<CopyPlus size={20} />} onClick={() => setOpen("copy")}>
              {t("Copy a week")}
            </Button>
          </>
        )}
        <Button startIcon={<Users size={20} />} onClick={() => setOpen("groups")}>
          {t("Groups")}
        </Button>
        <Button startIcon={<BellRing size={20} />} onClick={() => setOpen("outgoing")}>
          {t("Reminders")}
        </Button>
        <SaveState
          edited={document}
          what={t("this plan")}
          summary={({ placements, standing }) =>
            t("{{series}} series, {{count}} sessions placed once in this week", {
              series: standing?.series.length ?? 0,
              count: placements.length,
              defaultValue_one: "{{series}} series, {{count}} session placed once in this week",
            })
          }
        />
      </WeekTitle>
      {open === "outgoing" && <RemindersDialog crew={crew} onClose={() => setOpen(null)} />}
      {open === "groups" && (
        <GroupsDialog crew={crew} plan={plan} people={people} today={todaysDate} onChange={change} onClose={() => setOpen(null)} />
      )}
      {open === "copy" && (
        <CopyWeek
          crew={crew}
          weekStart={weekStart}
          plan={plan}
          sessions={sessions}
          onCopy={(next) => {
            change(next);
            setOpen(null);
          }}
          onClose={() => setOpen(null)}
        />
      )}
      {open === "planDay" && (
        <PlanDayDialog
          crew={crew}
          shifts={shifts}
          sessions={sessions}
          people={people}
          groups={plan.standing.groups}
          partsOf={partsOf}
          now={now}
          today={todaysDate}
          placedOn={onDay}
          keptOn={(date) => onDay(date).filter(({ id }) => led.has(id))}
          onUse={(date, placements) => {
            change(dayInstead(plan, onDay(date), led, placements));
            setOpen(null);
          }}
          onUseEvery={(date, series, groups) => {
            const kind = shifts.find((each) => each.date === date)!.kind.id;
            const once = onDay(date).filter(({ id, seriesId }) => seriesId === null && !led.has(id));
            change(patternFrom(takenOutOnce(plan, ...once), kind, date, series, groups));
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
            const inShift = placed.filter(({ startMs }) => shiftAt(startMs)?.date === date);
            const stranded = placed.filter(({ startMs }) => !shiftAt(startMs) && dateAt(startMs, crew.timeZone) === date);
            return (
              <ShiftRow
                key={date}
                date={date}
                shift={shift}
                parts={parts}
                placed={inShift}
                stranded={stranded}
                laidById={laidById}
                sessions={sessions}
                clashes={clashes}
                chosenId={chosenId}
                timeZone={crew.timeZone}
                widestMin={widestMin}
                now={now}
                upright={upright}
                chosenPanel={chosenLaid?.date === date && chosenPanel}
                every={every}
                onEvery={setEvery}
                onPlace={place}
                onMove={move}
                onChoose={choose}
                onRemove={remove}
              />
            );
          })}
        </Box>
        <Box sx={{ display: "grid", gap: 3, position: "sticky", top: 16 }}>
          {!upright && chosenPanel}
          <ClashList
            clashes={[...clashes]}
            text={text}
            empty={!placed.some(({ id }) => isInWeek(laidById.get(id)!.date))}
            onChoose={choose}
            zone={crew.timeZone}
            mends={mends}
          />
          <NextBlocks planned={planned} sessions={sessions} weekStart={weekStart} today={todaysDate} />
          <AheadList
            crew={crew}
            planned={planned}
            sessions={sessions}
            people={people}
            memberIds={memberIds}
            weekStart={weekStart}
            today={todaysDate}
            mends={mends}
            text={text}
          />
        </Box>
      </Box>
    </>
  );
}
