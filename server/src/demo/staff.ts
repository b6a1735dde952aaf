/** People of the demo practice beside its trainers: what they may see, the cards of members, and what a crew lead leads. */
import { createHash } from "node:crypto";
import { DEMO_CREWS } from "./crews";
import type { Transaction } from "sequelize";
import { placeKey } from "@kind-grip/core/dayplan";
import type { Caller } from "../auth/caller";
import { hashPassword } from "../auth/password";
import type { Db } from "../db/connection";
import { shownOf } from "../dayplan/leaders";
import { standingOf, writeStanding } from "../dayplan/standing";
import type { SeededRandom } from "./seeded-random";

export const DEMO_STAFF = [
  { name: "Ivo Lantern", email: "ivo@fernhollow.example", role: "lead" },
  { name: "Greta Sloane", email: "greta@fernhollow.example", role: "employer" },
] as const;
/** Codes of the crews; everybody with a card has the same last five digits, which a real card never has. */
export const DEMO_MEMBER = { codes: ["RDGE24", "TANSY5", "SHUCK7", "STONE9"], pin: "001-24680" } as const;

/** A crew lead for the early crews, and a contact of the employer. */
export async function seedStaff(
  db: Db,
  random: SeededRandom,
  practiceId: string,
  passwordHash: string,
  transaction: Transaction,
): Promise<void> {
  await db.models.Account.bulkCreate(
    DEMO_STAFF.map(({ name, email, role }) => ({ id: random.id(), practiceId, role, email, name, passwordHash })),
    { transaction },
  );
}

/** Staff are given their crews; some members have cards, with a code and PIN that are always the same. */
export async function seedAccess(
  db: Db,
  crews: readonly { id: string; people: readonly { id: string }[] }[],
  issuedAt: Date,
  transaction: Transaction,
): Promise<void> {
  const pinHash = await hashPassword(DEMO_MEMBER.pin.slice(-5));
  for (const [i, { id, people }] of crews.entries()) {
    const code = DEMO_MEMBER.codes[i]!;
    await db.models.Crew.update({ code }, { where: { id }, transaction });
    await db.models.MemberAccess.bulkCreate(
      people.slice(0, 4).map((person, n) => ({
        personId: person.id,
        crewId: id,
        number: n + 1,
        pinHash,
        cardHash: createHash("sha256")
          .update(`${code}-${n + 1}-demonstration-card`)
          .digest("hex"),
        issuedAt,
      })),
      { transaction },
    );
  }
  const accounts = await db.models.Account.findAll({ where: { email: DEMO_STAFF.map(({ email }) => email) }, transaction });
  await db.models.CrewAccess.bulkCreate(
    accounts.flatMap((account) =>
      crews.slice(0, account.get().role === "lead" ? 3 : 2).map((crew) => ({ accountId: account.get().id, crewId: crew.id })),
    ),
    { transaction },
  );
}

/** The minutes between the places of the first three crews, door to door. */
const WAYS = [
  [0, 1, 25],
  [0, 2, 40],
  [1, 2, 30],
] as const;

/** The crew lead leads the breaks of one crew: they were shown them and approved. */
export async function seedLeaders(db: Db, trainer: Caller, crewId: string, at: Date, transaction: Transaction): Promise<void> {
  const lead = (await db.models.Account.findOne({ where: { email: DEMO_STAFF[0].email }, rejectOnEmpty: true, transaction })).get();
  const programs = await db.models.Program.findAll({ where: { crewId }, transaction });
  const session = programs.flatMap((row) => row.get().document.sessions).find(({ slot }) => slot === "break")!;
  const standing = await standingOf(db, crewId, transaction);
  const series = standing.document.series.map((each) => (each.sessionId === session.id ? { ...each, leaderId: lead.id } : each));
  await writeStanding(db, standing, { ...standing.document, series }, at, transaction);
  const row = { accountId: lead.id, sessionId: session.id, crewId, approvedBy: trainer.accountId, at: SHOWN_AT, shown: shownOf(session) };
  await db.models.LeadApproval.create(row, { transaction });
  await db.models.Way.bulkCreate(
    WAYS.map(([a, b, minutes]) => {
      const [fromPlace, toPlace] = [a, b].map((i) => placeKey(DEMO_CREWS[i]!.crew.place)).sort() as [string, string];
      return { practiceId: trainer.practiceId, fromPlace, toPlace, minutes };
    }),
    { transaction },
  );
}

const SHOWN_AT = new Date("2026-03-02T11:00:00Z");
