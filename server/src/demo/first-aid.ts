/** The demo's first-aid books: cases from before the programs and since. All invented. */
import type { FirstAidBook } from "@kind-grip/core/followup";
import type { Region } from "@kind-grip/core/library";
import type { Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { DemoCrew } from "./crews";
import type { SeededRandom } from "./seeded-random";

interface DemoBook {
  since: string;
  cases: readonly (readonly [day: string, region: Region | null])[];
}

const BOOKS: Readonly<Partial<Record<DemoCrew["key"], DemoBook>>> = {
  roof: {
    since: "2025-06-09",
    cases: [
      ["2025-06-17", "thumbBase"],
      ["2025-07-02", "elbowOuter"],
      ["2025-07-15", "thumbSideWrist"],
      ["2025-08-21", "fingerFlexors"],
      ["2025-09-10", "thumbBase"],
      ["2025-09-11", null],
      ["2025-10-08", "elbowOuter"],
      ["2025-10-28", "wristExtensors"],
      ["2025-11-19", "thumbBase"],
      ["2025-12-03", "fingerFlexors"],
      ["2026-01-14", "thumbSideWrist"],
      ["2026-02-26", "thumbBase"],
    ],
  },
  oyster: {
    since: "2025-09-01",
    cases: [
      ["2025-09-09", "wristFlexors"],
      ["2025-09-30", "fingerFlexors"],
      ["2025-10-21", "wristFlexors"],
      ["2025-11-04", "handIntrinsics"],
      ["2025-11-25", null],
      ["2025-12-16", "wristFlexors"],
      ["2026-01-13", "fingerFlexors"],
      ["2026-03-03", "wristFlexors"],
      ["2026-03-17", "handIntrinsics"],
    ],
  },
};

export async function seedFirstAid(
  db: Db,
  random: SeededRandom,
  key: DemoCrew["key"],
  crewId: string,
  at: Date,
  transaction: Transaction,
): Promise<void> {
  const demo = BOOKS[key];
  if (!demo) return;
  const document: FirstAidBook = { since: demo.since, cases: demo.cases.map(([day, region]) => ({ id: random.id(), day, region })) };
  await db.models.FirstAidBook.create({ crewId, document, version: 1, changedAt: at }, { transaction });
}
