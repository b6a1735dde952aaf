/** Where the demo's people agreed to be reminded: most by one way, some by both, every fifth by none. Invented addresses and numbers. */
import type { Transaction } from "sequelize";
import type { ContactRow } from "../contact/tables";
import type { Db } from "../db/connection";
import { seededRandom } from "./seeded-random";

const SEED = 47;
const AGREED = new Date("2026-02-02T08:00:00Z");
/** Numbers of nobody: kept free for stories. */
const numberOf = (random: { whole(min: number, max: number): number }) =>
  `+1${random.whole(201, 989)}55501${String(random.whole(0, 99)).padStart(2, "0")}`;
const mailOf = (name: string) => `${name.toLowerCase().replace(/[^a-z]+/g, ".")}@post.example`;

export async function seedContacts(
  db: Db,
  crews: readonly { id: string; people: readonly { id: string; name: string }[] }[],
  transaction: Transaction,
): Promise<void> {
  const random = seededRandom(SEED);
  const rows = crews.flatMap((crew) =>
    crew.people.flatMap(({ id: personId, name }, i): ContactRow[] => {
      const row = { crewId: crew.id, personId, givenAt: AGREED, givenBy: null, withdrawnAt: null, withdrawnBy: null };
      const email = { ...row, id: random.id(), way: "email", address: mailOf(name) } as const;
      const telephone = { ...row, id: random.id(), way: "telephone", address: numberOf(random) } as const;
      if (i % 5 === 4) return [];
      return i % 5 === 0 ? [email, telephone] : [i % 2 === 0 ? email : telephone];
    }),
  );
  await db.models.Contact.bulkCreate(rows, { transaction });
}
