/** A run of the demo as it may have gone: who came, how hard it was, what was marked. */
import { mondayOf, workingDayAt } from "@kind-grip/core/calendar";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { compileGroup, type ShiftSession } from "@kind-grip/core/session";
import type { PlacementRow } from "../dayplan/tables";
import type { RunItemRow, RunPersonRow, RunRow } from "../run/tables";
import { demoHeldOutFrom } from "./baseline";
import { DEMO_AWAY, TIME_ZONE, type DemoCrew } from "./crews";
import { WEEKS, type SeededCrew } from "./practice";
import type { SeededRandom } from "./seeded-random";

export function seedRun(
  random: SeededRandom,
  ledBy: string,
  crew: SeededCrew,
  placement: PlacementRow,
  session: ShiftSession,
  habits: ReadonlyMap<string, { attends: number; effort: number }>,
  { key, crew: { shiftPattern } }: DemoCrew,
) {
  const runId = random.id();
  const { totalSec, segments } = compileGroup(
    session,
    SHIPPED_LIBRARY.timings,
    crew.people.map((person) => person.id),
  );
  const startedAt = new Date(placement.startsAt.getTime() + random.whole(-60, 240) * 1000);
  const workingDay = workingDayAt(shiftPattern, TIME_ZONE, startedAt.getTime());
  const cutShort = random.chance(0.1);
  const items = session.items.map((item, position): RunItemRow => {
    const plannedSec = segments
      .filter((segment) => segment.itemId === item.id && (segment.kind === "work" || segment.kind === "hold"))
      .reduce((sum, segment) => sum + segment.leadSec, 0);
    const missed = cutShort && position === session.items.length - 1;
    return {
      runId,
      position,
      itemId: item.id,
      movementId: item.movementId,
      formId: item.formId,
      plannedSec,
      doneSec: missed ? 0 : plannedSec,
      status: missed ? "skipped" : "done",
    };
  });
  // Strengthening is felt more; what felt hard in the first week is felt less in the sixth.
  const weeksIn = (Date.parse(mondayOf(placement.startsAt.toISOString().slice(0, 10))) - Date.parse(WEEKS.from)) / (14 * 86_400_000);
  const slotEffort = { preShift: 0, break: -0.4, postShift: 1.6 }[session.slot];
  const people = crew.people.map((person): RunPersonRow => {
    const habit = habits.get(person.id)!;
    const heldOutFrom = demoHeldOutFrom(key, person.name);
    const present = random.chance(habit.attends) && !(heldOutFrom && startedAt >= heldOutFrom);
    const felt = Math.round(habit.effort + slotEffort - weeksIn * 0.25 + (random.next() - 0.5) * 1.6);
    const marks =
      present && random.chance(0.004)
        ? [{ kind: random.chance(0.7) ? ("tooMuch" as const) : ("tingling" as const), itemId: items.at(-1)!.itemId }]
        : [];
    const forms = Object.fromEntries(
      session.items.flatMap((item) => (item.personal[person.id] ? [[item.id, item.personal[person.id]!.formId]] : [])),
    );
    const away = DEMO_AWAY[person.name];
    if (away && away.from <= workingDay && workingDay <= away.until)
      return {
        runId,
        personId: person.id,
        present: false,
        effort: null,
        markCount: 0,
        marks: [],
        forms,
        leftOut: [],
        quick: null,
        counted: null,
      };
    return {
      runId,
      personId: person.id,
      present,
      effort: present && random.chance(0.94) ? Math.max(0, Math.min(10, felt)) : null,
      markCount: marks.length,
      marks,
      forms,
      leftOut: [],
      quick: null,
      counted: null,
    };
  });
  const doneSec = items.reduce((sum, item) => sum + item.doneSec, 0);
  const run: RunRow = {
    id: runId,
    crewId: crew.id,
    ledBy,
    programId: crew.programId!,
    placementId: placement.id,
    sessionName: session.name,
    slot: session.slot,
    session,
    startedAt,
    endedAt: new Date(startedAt.getTime() + totalSec * 1000),
    workingDay,
    plannedSec: totalSec,
    doneSec,
  };
  return { run, people, items };
}
