/** The program of which something was done last: what a crew works by where nothing else says so. */
import type { Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { ProgramRow } from "./tables";

/**
 * @param programs of the crew that are not removed
 * @param of `led`: runs of the crew together; `any`: what people follow alone too
 * @returns undefined where nothing of any was done
 */
export async function programDoneLast(
  { models }: Db,
  crewId: string,
  programs: readonly ProgramRow[],
  of: "led" | "any",
  transaction?: Transaction,
): Promise<ProgramRow | undefined> {
  const run = await models.Run.findOne({
    where: { crewId, ...(of === "led" ? { alone: false } : {}), programId: programs.map(({ id }) => id) },
    attributes: ["programId"],
    order: [["startedAt", "DESC"]],
    transaction,
  });
  return programs.find(({ id }) => id === run?.get().programId);
}
