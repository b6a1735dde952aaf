/**
 * Loads the demo practice: four crews, three programs, this week's plan, eight weeks of runs, mornings and decisions, work, measuring rounds.
 * Same seed, same demo. */
import { addDays, dateAt, mondayOf, shiftsFrom, type Shift } from "@kind-grip/core/calendar";
import { suggestStart } from "@kind-grip/core/dayplan";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { compileGroup, isShiftSession, type Session, type ShiftSession, type SlotKind } from "@kind-grip/core/session";
import { grouped } from "@kind-grip/core/units";
import type { Transaction } from "sequelize";
import { hashPassword } from "../auth/password";
import type { Caller } from "../auth/caller";
import { PERSON_DAY_SUMS, personDays } from "../run/person-days";
import type { Db } from "../db/connection";
import { placement } from "../dayplan/standing";
import type { PlacementRow } from "../dayplan/tables";
import type { PersonDayRow, RunItemRow, RunPersonRow, RunRow } from "../run/tables";
import { inTransaction } from "../db/transaction";
import { demoHeldOutFrom, seedRounds } from "./baseline";
import { seedBookings, type KeptBooking } from "./bookings";
import { seedContacts } from "./contacts";
import { seedFirstAid } from "./first-aid";
import { DEMO_AWAY, DEMO_CREWS, DEMO_LANGUAGES, TIME_ZONE, type DemoCrew } from "./crews";
import { seedQuickTests } from "./quick-tests";
import { type SeededRandom, seededRandom } from "./seeded-random";
import { replayDecisions, seedMornings } from "./mornings";
import { oysterProgram, roofProgram, spaProgram, workshopProgram } from "./programs";
import { seedAccess, seedLeaders, seedStaff } from "./staff";
import { goingOn } from "./standing";
import { demoWork } from "./work";

/** A Thursday, twenty minutes before the slate crew's shift; the clocks change on the Sunday after. */
export const DEMO_NOW = new Date("2026-03-26T06:40:00Z");
export const DEMO_PASSWORD = "fernhollow-hands";
export const DEMO_SIGN_INS = [
  { name: "Maren Holt", email: "maren@fernhollow.example" },
  { name: "Teo Vance", email: "teo@fernhollow.example" },
] as const;
const SEED = 20260326;
/** The history: eight weeks, the last one running. */
const WEEKS = { from: "2026-02-02", count: 8 } as const;

interface SeededCrew {
  id: string;
  people: { id: string; name: string }[];
  programId?: string;
  program?: Program;
}

/** Does nothing when a practice is there already. @returns what the calendar that ships with it begins with; undefined when nothing was loaded */
export async function loadDemo(db: Db): Promise<KeptBooking[] | undefined> {
  return (await db.models.Practice.count()) > 0 ? undefined : seedDemo(db);
}

/** The same, beside whatever practices there are. */
export async function seedDemo(db: Db): Promise<KeptBooking[]> {
  let kept: KeptBooking[] = [];
  const random = seededRandom(SEED);
  const seeded: SeededCrew[] = [];
  let trainer: Caller | undefined;
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await inTransaction(db, async (transaction) => {
    const practiceId = random.id();
    await db.models.Practice.create({ id: practiceId, name: "Fernhollow Hand Works", demoNow: DEMO_NOW }, { transaction });
    const [maren] = await db.models.Account.bulkCreate(
      DEMO_SIGN_INS.map(({ name, email }) => ({ id: random.id(), practiceId, role: "trainer" as const, email, name, passwordHash })),
      { transaction },
    );
    trainer = { role: "trainer", accountId: maren!.get().id, practiceId };
    await seedStaff(db, random, practiceId, passwordHash, transaction);
    // Its own random, so that more of it does not change what was there before.
    const measuring = seededRandom(SEED + 1);
    const reading = seededRandom(SEED + 3);
    for (const demo of DEMO_CREWS) {
      const crew = await seedCrew(db, random, maren!.get().id, demo, transaction);
      if (crew.program && !demo.crew.byBookings) await seedHistory(db, random, maren!.get().id, crew, demo, transaction);
      const work = demoWork(
        measuring,
        demo.key,
        crew.people.map(({ id }) => id),
      );
      if (work) await db.models.Work.create({ crewId: crew.id, document: work, version: 1, changedAt: WORK_DESCRIBED }, { transaction });
      if (work?.treatments) {
        const today = dateAt(DEMO_NOW.getTime(), TIME_ZONE);
        kept = await seedBookings(db, seededRandom(SEED + 4), crew.id, crew.people, work.treatments, today, transaction);
      }
      await seedRounds(db, measuring, demo.key, crew, transaction);
      await seedFirstAid(db, reading, demo.key, crew.id, DEMO_NOW, transaction);
      seeded.push(crew);
    }
    await seedAccess(db, seeded, DEMO_NOW, transaction);
    await seedContacts(db, seeded, transaction);
    await seedLeaders(db, trainer, seeded[1]!.id, DEMO_NOW, transaction);
  });
  const habits = seededRandom(SEED + 2);
  const mondays = Array.from({ length: WEEKS.count - 1 }, (_, i) => addDays(WEEKS.from, 7 * (i + 1)));
  for (const [i, crew] of seeded.entries())
    if (crew.program && !DEMO_CREWS[i]!.crew.byBookings) await replayDecisions(db, trainer!, crew, mondays, DEMO_NOW, habits);
  return kept;
}

/** The work was looked at before the programs began. */
const WORK_DESCRIBED = new Date("2026-01-26T10:00:00Z");

async function seedCrew(
  db: Db,
  random: SeededRandom,
  trainerId: string,
  demo: (typeof DEMO_CREWS)[number],
  transaction: Transaction,
): Promise<SeededCrew> {
  const id = random.id();
  const { name, ...detail } = demo.crew;
  await db.models.Crew.create({ id, trainerId, name, detail, version: 1, removedAt: null }, { transaction });
  const people = demo.people.map((personName, i) => ({
    id: random.id(),
    crewId: id,
    name: personName,
    badge: `${demo.badgePrefix}-${String(101 + i * 3)}`,
    handedness: random.chance(0.12) ? ("left" as const) : ("right" as const),
    startedOn: `20${random.whole(14, 25)}-${String(random.whole(1, 12)).padStart(2, "0")}-01`,
    leftOn: null,
    language: DEMO_LANGUAGES[personName] ?? null,
    version: 1,
  }));
  await db.models.Person.bulkCreate(people, { transaction });
  const at = (index: number) => people[index]!.id;
  const programs: Record<string, (() => Program) | undefined> = {
    roof: () => roofProgram(random, { shoulder: at(4), wrist: at(7) }),
    workshop: () => workshopProgram(random, { thumb: at(2), elbow: at(6) }),
    oyster: () => oysterProgram(random, { wrist: at(9) }),
    spa: spaProgram,
  };
  const program = programs[demo.key]?.();
  const programId = random.id();
  if (program)
    await db.models.Program.create(
      {
        id: programId,
        crewId: id,
        name: program.name,
        document: program,
        version: 1,
        changedAt: new Date("2026-03-01T15:00:00Z"),
        removedAt: null,
      },
      { transaction },
    );
  return { id, people, programId: program && programId, program };
}

/** Eight weeks of placements up to the demo's own week, and a run for nearly every one that lies in the past. */
async function seedHistory(
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
    const run = seedRun(random, ledBy, crew, each, session, habits, demo.key);
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
    for (const row of personDays(record, dateAt(run.startedAt.getTime(), TIME_ZONE), () => true)) {
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

function seedRun(
  random: SeededRandom,
  ledBy: string,
  crew: SeededCrew,
  placement: PlacementRow,
  session: ShiftSession,
  habits: ReadonlyMap<string, { attends: number; effort: number }>,
  key: DemoCrew["key"],
) {
  const runId = random.id();
  const { totalSec, segments } = compileGroup(
    session,
    SHIPPED_LIBRARY.timings,
    crew.people.map((person) => person.id),
  );
  const startedAt = new Date(placement.startsAt.getTime() + random.whole(-60, 240) * 1000);
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
    const day = dateAt(startedAt.getTime(), TIME_ZONE);
    if (away && away.from <= day && day <= away.until)
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
    plannedSec: totalSec,
    doneSec,
  };
  return { run, people, items };
}
