/**
 * The demo's check-ins and its eight weeks of decisions. The check-ins are invented, the decisions are not: they come out of the same
 * rules as everybody's, asked every Monday, and the trainer of the demo confirms most of them. Stories: a flare that settled, a week
 * without gain, a load step that came too soon.
 */
import { addDays } from "@kind-grip/core/calendar";
import type { Region } from "@kind-grip/core/library";
import type { NewDecision } from "@kind-grip/core/response";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import type { CheckInRow } from "../response/tables";
import { dayOfRun } from "../run/person-days";
import type { RunPersonRow, RunRow } from "../run/tables";
import { decide, refreshProposals, waitingDecisions } from "../response/decisions";
import { TIME_ZONE } from "./crews";
import type { SeededRandom } from "./seeded-random";

/** Day → level and places, for the days a story is about. */
type Mornings = Readonly<Record<string, readonly [level: number, ...regions: Region[]]>>;

const FLARE: Mornings = {
  "2026-02-03": [1],
  "2026-02-04": [2],
  "2026-02-05": [2],
  "2026-02-06": [1],
  "2026-02-07": [0],
  "2026-02-10": [0],
};
const TOO_SOON: Mornings = {
  "2026-02-27": [3, "wristExtensors"],
  "2026-02-28": [4, "wristExtensors"],
  "2026-03-01": [3, "wristExtensors"],
  "2026-03-03": [1, "wristExtensors"],
  "2026-03-05": [0],
};

export const STORIES: Readonly<Record<string, Mornings>> = { "Ives Tarrant": FLARE, "Viggo Marsh": TOO_SOON };
/** Level every morning, week by week: for those who had something at the start. */
const COURSES: Readonly<Record<string, { region: Region; levels: readonly number[] }>> = {
  "Freya Holloway": { region: "wristFlexors", levels: [5, 5, 5, 5, 5, 5, 5, 5] },
  "Dessa Quill": { region: "elbowOuter", levels: [3, 3, 2, 2, 2, 2, 2, 2] },
  "Hale Birchmore": { region: "wristFlexors", levels: [1, 1, 1, 0, 0, 0, 0, 0] },
};
/** What the demo's trainer decided against the proposal. */
const OVERRULED: readonly { day: string; name: string; movementId: string; decided: "progress"; why: string }[] = [
  { day: "2026-02-23", name: "Viggo Marsh", movementId: "lift-palm-down", decided: "progress", why: "Finds it easy and asks for more." },
  { day: "2026-02-26", name: "Viggo Marsh", movementId: "lift-palm-down", decided: "progress", why: "Wants the heavier dumbbell." },
];

/** One answer on most mornings after a day with a run. */
export function seedMornings(
  random: SeededRandom,
  crew: { id: string; people: readonly { id: string; name: string }[] },
  runs: readonly RunRow[],
  runPeople: readonly RunPersonRow[],
  until: Date,
): CheckInRow[] {
  const names = new Map(crew.people.map((person) => [person.id, person.name]));
  const workDays = new Map(runs.map((run) => [run.id, dayOfRun(run, TIME_ZONE)]));
  const asked = new Map<string, Set<string>>();
  for (const { runId, personId, present } of runPeople)
    if (present) asked.set(personId, (asked.get(personId) ?? new Set()).add(addDays(workDays.get(runId)!, 1)));
  const first = [...workDays.values()].sort()[0] ?? "";
  return [...asked].flatMap(([personId, days]) => {
    const name = names.get(personId)!;
    for (const day of Object.keys(STORIES[name] ?? {})) days.add(day);
    return [...days].sort().flatMap((day): CheckInRow[] => {
      const at = new Date(`${day}T05:30:00Z`);
      const story = STORIES[name]?.[day];
      if (at > until || (!story && !random.chance(0.82))) return [];
      const course = COURSES[name];
      const week = Math.floor((Date.parse(day) - Date.parse(first)) / (7 * 86_400_000));
      const [level, ...regions] = story ?? [
        course ? course.levels[Math.min(week, 7)]! : random.chance(0.05) ? 1 : 0,
        ...(course ? [course.region] : []),
      ];
      return [{ id: random.id(), crewId: crew.id, personId, day, level, regions: level > 0 ? regions : [], tingling: false, at }];
    });
  });
}

/** Asks the rules every Monday, and on the days of a story, and takes most of what they propose; the last days' news is left to be decided. */
export async function replayDecisions(
  db: Db,
  caller: Caller,
  crew: { id: string; people: readonly { id: string; name: string }[] },
  mondays: readonly string[],
  now: Date,
  random: SeededRandom,
): Promise<void> {
  for (const day of [...new Set([...mondays, ...OVERRULED.map((each) => each.day)])].sort()) {
    const at = new Date(`${day}T03:00:00Z`);
    const waiting = await waitingDecisions(db, caller, at, crew.id, true);
    const decisions = waiting.flatMap(({ personId, name, programId, itemId, movementId, response }): NewDecision[] => {
      const own = { id: uuid(), personId, programId, itemId, proposed: response.kind };
      const overruled = OVERRULED.find((each) => each.day === day && each.name === name && each.movementId === movementId);
      if (overruled) return [{ ...own, decided: overruled.decided, why: overruled.why }];
      if (response.kind === "hold" || !mondays.includes(day)) return [];
      const taken = response.kind === "progress" ? random.chance(0.55) : random.chance(0.92);
      return taken ? [{ ...own, decided: response.kind, why: null }] : [];
    });
    if (decisions.length > 0) await decide(db, caller, at, crew.id, decisions);
  }
  const row = (await db.models.Crew.findByPk(crew.id, { rejectOnEmpty: true })).get({ plain: true });
  await inTransaction(db, (transaction) =>
    refreshProposals(
      db,
      caller.practiceId,
      row,
      now,
      crew.people.map(({ id }) => id),
      transaction,
    ),
  );
}
