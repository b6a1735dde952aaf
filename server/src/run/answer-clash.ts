/** What the trainer says of a late run with somebody who is out of it. */
import { Op } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { notFound } from "../http/problem";
import { refreshProposals } from "../response/decisions";
import { addToPersonDays, dayOfRun } from "./person-days";
import { runOf } from "./runs";

/** `before`: it was before, and counts from now on. `mistake`: it stays on record and never counts. */
export async function answerClash(
  db: Db,
  caller: Caller,
  at: Date,
  runId: string,
  personId: string,
  answer: "before" | "mistake",
): Promise<void> {
  const run = await runOf(db, caller, runId);
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, run.crewId, transaction);
    const where = { runId, personId, clash: { [Op.ne]: null } };
    if ((await db.models.RunPerson.count({ where, transaction })) === 0) throw notFound("clash");
    const [changed] = await db.models.RunPerson.update({ clashAnswer: answer }, { where: { ...where, clashAnswer: null }, transaction });
    if (changed === 0) return;
    if (answer === "before") {
      const row = (await db.models.Run.findByPk(runId, { attributes: ["workingDay", "startedAt"], transaction }))!.get();
      const theirs = { ...run, people: run.people.filter((person) => person.personId === personId) };
      await addToPersonDays(db, theirs, dayOfRun(row, crew.detail.timeZone), transaction);
    }
    await noteChanged(db, caller, at, { crewId: crew.id, personId, subject: "run", what: `late run: ${answer}` }, transaction);
    await refreshProposals(db, caller.practiceId, crew, at, [personId], transaction);
  });
}
