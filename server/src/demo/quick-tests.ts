/** The slate crew twists a lid before its warm-up and after it: for some it becomes easier, for most nothing can be told. */
import type { Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { RunPersonRow, RunRow } from "../run/tables";
import type { DemoCrew } from "./crews";
import { seededRandom } from "./seeded-random";

const SEED = 31;
/** Three of four people say both numbers. */
const SAYS = 0.75;
/** Mean points easier after than before, person by person, over and over. */
const GAINS = [0, 0.9, 0.2, 0, 1.2, -0.1, 0.4, 0] as const;

/** Sets the readings in the rows, before they are stored. */
export async function seedQuickTests(
  db: Db,
  key: DemoCrew["key"],
  crew: { id: string; people: readonly { id: string }[] },
  runs: readonly RunRow[],
  rows: readonly RunPersonRow[],
  transaction: Transaction,
): Promise<void> {
  if (key !== "roof") return;
  await db.models.QuickTestRule.create({ crewId: crew.id, test: "twistLid" }, { transaction });
  const random = seededRandom(SEED);
  const warmUps = new Set(runs.flatMap(({ id, slot, alone }) => (slot === "preShift" && !alone ? [id] : [])));
  const scale = (value: number) => Math.min(10, Math.max(0, Math.round(value)));
  for (const row of rows) {
    if (!warmUps.has(row.runId) || !row.present || !random.chance(SAYS)) continue;
    const at = crew.people.findIndex(({ id }) => id === row.personId);
    const felt = 3 + (at % 3) + (random.next() - 0.5) * 2;
    row.quick = { test: "twistLid", before: scale(felt), after: scale(felt - GAINS[at % GAINS.length]! + (random.next() - 0.5) * 1.8) };
  }
}
