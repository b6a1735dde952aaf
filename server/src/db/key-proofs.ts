/** That the keys here are the ones the database was written with, shown before anything is read with others. */
import { QueryTypes, type Sequelize } from "sequelize";
import type { DataKeys } from "./data-keys";

const PROOF = "Kind Grip";
const placeOf = (id: string) => `data_keys.proof:${id}`;

export const KEYS_TABLE = `CREATE TABLE IF NOT EXISTS data_keys (
  id VARCHAR(16) NOT NULL PRIMARY KEY,
  proof LONGTEXT CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
  madeAt DATETIME(3) NOT NULL
)`;

/** Keys the database knows: some server was started with each. */
export async function provenKeys(sequelize: Sequelize): Promise<string[]> {
  return (await sequelize.query<{ id: string }>("SELECT id FROM data_keys", { type: QueryTypes.SELECT })).map(({ id }) => id);
}

/** Remembers the newest key. @throws Error in words where what the database was written with is not among them */
export async function proveKeys(sequelize: Sequelize, keys: DataKeys): Promise<void> {
  const rows = await sequelize.query<{ id: string; proof: string }>("SELECT id, proof FROM data_keys", { type: QueryTypes.SELECT });
  for (const { id, proof } of rows) {
    if (!keys.ids.includes(id))
      throw new Error(
        `health answers in this database are encrypted with the data key ${id}, which is not here (${keys.ids.join(", ") || "none"}); bring the data-keys file of the server that wrote it, or set DATA_KEYS`,
      );
    if (keys.decrypt(placeOf(id), proof).toString() !== PROOF) throw new Error(`the data key ${id} does not open what it should`);
  }
  const { currentId } = keys;
  if (currentId === undefined) throw new Error("there is no data key");
  await sequelize.query("INSERT IGNORE INTO data_keys (id, proof, madeAt) VALUES (:id, :proof, UTC_TIMESTAMP(3))", {
    replacements: { id: currentId, proof: keys.encrypt(placeOf(currentId), Buffer.from(PROOF)) },
  });
}
