/** Eight weeks of the demo: what was placed, led, answered and excused. */
import { addDays, shiftsFrom, type Shift } from "@kind-grip/core/calendar";
import { suggestStart } from "@kind-grip/core/dayplan";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { compileGroup, isShiftSession, type Session, type SlotKind } from "@kind-grip/core/session";
import { grouped } from "@kind-grip/core/units";
import type { Transaction } from "sequelize";
import { dayOfRun, PERSON_DAY_SUMS, personDays } from "../run/person-days";
import type { Db } from "../db/connection";
import { placement } from "../dayplan/standing";
import type { PlacementRow } from "../dayplan/tables";
import type { PersonDayRow, RunItemRow, RunPersonRow, RunRow } from "../run/tables";
import { DEMO_AWAY, TIME_ZONE, type DemoCrew } from "./crews";
import { seedMornings } from "./mornings";
import { DEMO_NOW, SEED, WEEKS, type SeededCrew } from "./practice";
import { seedQuickTests } from "./quick-tests";
import { seedRun } from "./run";
import { seededRandom, type SeededRandom } from "./seeded-random";
import { goingOn } from "./standing";

/** Eight weeks of placements up to the demo's own week, and a run for nearly every one that lies in the past. */
export async function seedHistory(
  db: Db,
  random: SeededRandom,
  ledBy: string,
  crew: SeededCrew,
  demo: DemoCrew,
  transaction: Transaction,
): Promise<void> {
  const program = crew.program!;
  const sessions = new Map(program.sessions.filter(isShiftSession).map((session) => [session.slot, session]));
  const placements: PlacementRow[] = [];
  for (let week = 0; week < WEEKS.count; week++) {
    const weekStart = addDays(WEEKS.from, week * 7);
    await db.models.WeekPlan.create({ crewId: crew.id, weekStart, version: 1 }, { transaction });
    for (const shift of shiftsFrom(demo.crew.shiftPattern, TIME_ZONE, weekStart, 7))
      placements.push(...placeOn(random, crew, sessions, shift, weekStart));
  }
  const past = placements.filter(({ startsAt }) => startsAt < DEMO_NOW);
  await db.models.Placement.bulkCreate(past, { transaction });
  const calendar = { shiftPattern: demo.crew.shiftPattern, timeZone: TIME_ZONE };
  const slotOf = (id: string) => program.sessions.filter(isShiftSession).find((session) => session.id === id)?.slot ?? null;
  const seriesIds = seededRandom(SEED + 2000 + crew.people.length);
  const document = goingOn(placements.map(placement), calendar, DEMO_NOW, slotOf, () => seriesIds.id());
  await db.models.StandingPlan.create({ crewId: crew.id, version: 1, changedAt: DEMO_NOW, document }, { transaction });

  const habits = new Map(
    crew.people.map((person) => [person.id, { attends: 0.78 + random.next() * 0.2, effort: 1.4 + random.next() * 1.8 }]),
  );
  const runs: RunRow[] = [];
  const runPeople: RunPersonRow[] = [];
  const runItems: RunItemRow[] = [];
  for (const each of past) {
    if (random.chance(0.08)) continue;
    const session = program.sessions.filter(isShiftSession).find(({ id }) => id === each.sessionId)!;
    const run = seedRun(random, ledBy, crew, each, session, habits, demo);
    runs.push(run.run);
    runPeople.push(...run.people);
    runItems.push(...run.items);
  }
  await seedQuickTests(db, demo.key, crew, runs, runPeople, transaction);
  await db.models.Run.bulkCreate(runs, { transaction });
  await db.models.RunPerson.bulkCreate(runPeople, { transaction });
  await db.models.RunItem.bulkCreate(runItems, { transaction });
  await db.models.PersonDay.bulkCreate(rolledUp(runs, runPeople, runItems), { transaction });
  // Random numbers of their own, so that more of it does not change what was there before.
  const ids = seededRandom(SEED + 1000 + crew.people.length);
  await db.models.Absence.bulkCreate(
    crew.people.flatMap(({ id, name }) => {
      const away = DEMO_AWAY[name];
      return away ? [{ id: ids.id(), crewId: crew.id, personId: id, fromDay: away.from, untilDay: away.until }] : [];
    }),
    { transaction },
  );
  const mornings = seedMornings(seededRandom(SEED + crew.people.length), crew, runs, runPeople, DEMO_NOW);
  await db.models.CheckIn.bulkCreate(mornings, { transaction });
}

/** The roll-ups that storing these runs one by one would have written. */
function rolledUp(runs: readonly RunRow[], people: readonly RunPersonRow[], items: readonly RunItemRow[]): PersonDayRow[] {
  const days = new Map<string, PersonDayRow>();
  const itemsOf = grouped(items, ({ runId }) => runId);
  const peopleOf = grouped(people, ({ runId }) => runId);
  for (const run of runs) {
    const record = {
      ...run,
      items: itemsOf.get(run.id) ?? [],
      people: (peopleOf.get(run.id) ?? []).map((person) => ({ ...person, marks: person.marks ?? [] })),
    };
    for (const row of personDays(record, dayOfRun(run, TIME_ZONE), () => true)) {
      const known = days.get(`${row.personId} ${row.day}`);
      if (!known) days.set(`${row.personId} ${row.day}`, row);
      else for (const sum of PERSON_DAY_SUMS) known[sum] += row[sum];
    }
  }
  return [...days.values()];
}

/** Warm-up every day, a break session every day, post-shift work on Monday, Wednesday and Friday. */
function placeOn(
  random: SeededRandom,
  crew: SeededCrew,
  sessions: ReadonlyMap<SlotKind, Session>,
  shift: Shift,
  weekStart: string,
): PlacementRow[] {
  const weekday = (Date.parse(`${shift.date}T00:00:00Z`) / 86_400_000 + 3) % 7;
  const wanted: SlotKind[] = ["preShift", "break", ...([0, 2, 4].includes(weekday) ? (["postShift"] as const) : [])];
  return wanted.flatMap((slot) => {
    const session = sessions.get(slot);
    if (!session) return [];
    const { totalSec } = compileGroup(
      session,
      SHIPPED_LIBRARY.timings,
      crew.people.map((person) => person.id),
    );
    const startsAt = new Date(suggestStart(slot, totalSec, shift, slot === "break" ? [shift.startMs] : []));
    return [{ id: random.id(), crewId: crew.id, weekStart, programId: crew.programId!, sessionId: session.id, startsAt }];
  });
}
