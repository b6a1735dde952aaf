/**
 * Loads the demo practice: four crews, three programs, this week's plan, eight weeks of runs, mornings and decisions, work, measuring rounds.
 * Same seed, same demo. */
import { addDays, dateAt } from "@kind-grip/core/calendar";
import type { Program } from "@kind-grip/core/program";
import type { Transaction } from "sequelize";
import { hashPassword } from "../auth/password";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { seedRounds } from "./baseline";
import { seedBookings, type KeptBooking } from "./bookings";
import { seedContacts } from "./contacts";
import { DEMO_CREWS, DEMO_LANGUAGES, TIME_ZONE } from "./crews";
import { seedFirstAid } from "./first-aid";
import { seedHistory } from "./history";
import { replayDecisions } from "./mornings";
import { DEMO_NOW, SEED, WEEKS, type SeededCrew } from "./practice";
import { oysterProgram, roofProgram, spaProgram, workshopProgram } from "./programs";
import { seededRandom, type SeededRandom } from "./seeded-random";
import { seedAccess, seedLeaders, seedStaff } from "./staff";
import { demoWork } from "./work";

export const DEMO_PASSWORD = "fernhollow-hands";
export const DEMO_SIGN_INS = [
  { name: "Maren Holt", email: "maren@fernhollow.example" },
  { name: "Teo Vance", email: "teo@fernhollow.example" },
] as const;
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
