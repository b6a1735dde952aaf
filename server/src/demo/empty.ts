/** An empty practice with one trainer, for starting without the demo. */
import { randomBytes } from "node:crypto";
import { v7 as uuid } from "uuid";
import { hashPassword } from "../auth/password";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";

/** Does nothing when a practice is there already. The password is shown once, at the start, and kept only as a hash. */
export async function loadEmpty(db: Db): Promise<{ email: string; password: string } | undefined> {
  if ((await db.models.Practice.count()) > 0) return undefined;
  const email = "trainer@practice.example";
  const password = randomBytes(9).toString("base64url");
  const passwordHash = await hashPassword(password);
  await inTransaction(db, async (transaction) => {
    const practiceId = uuid();
    await db.models.Practice.create({ id: practiceId, name: "My practice", demoNow: null }, { transaction });
    await db.models.Account.create({ id: uuid(), practiceId, role: "trainer", email, name: "Trainer", passwordHash }, { transaction });
  });
  return { email, password };
}
