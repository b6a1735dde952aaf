/** Roll-ups by person and day, written in the transaction that stores a run: crew figures are read from these, not from the runs. */
import { dateAt } from "@kind-grip/core/calendar";
import type { RunRecord } from "@kind-grip/core/run";
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { PersonDayRow, RunRow } from "./tables";

export const PERSON_DAY_SUMS = ["itemsDue", "itemsDone", "doneSec", "runs", "effortSum", "efforts", "marks"] as const;

/** The day a run counts for: its working day; for one from before that was kept, the day it began on at the place. */
export function dayOfRun({ workingDay, startedAt }: Pick<RunRow, "workingDay" | "startedAt">, timeZone: string): string {
  return workingDay ?? dateAt(startedAt.getTime(), timeZone);
}

/** @param day the run counts for */
export async function addToPersonDays(db: Db, run: RunRecord, day: string, transaction: Transaction): Promise<void> {
  const counted = await dueAlready(db, run, transaction);
  const rows = personDays(run, day, (personId) => !counted.has(personId));
  if (rows.length === 0) return;
  const sums = PERSON_DAY_SUMS;
  const columns = ["personId", "day", "crewId", ...sums] as const;
  await db.sequelize.query(
    `INSERT INTO person_days (${columns.join(", ")}) VALUES ${rows.map(() => `(${columns.map(() => "?").join(", ")})`).join(", ")}
     ON DUPLICATE KEY UPDATE ${sums.map((column) => `${column} = ${column} + VALUES(${column})`).join(", ")}`,
    { replacements: rows.flatMap((row) => columns.map((column) => row[column])), transaction },
  );
}

/** @param counts whether this run's items are due for a person: a session led and followed alone as well is due once */
export function personDays(
  run: Pick<RunRecord, "crewId" | "items" | "people">,
  day: string,
  counts: (personId: string) => boolean,
): PersonDayRow[] {
  return run.people.map((person) => {
    const theirs = run.items.filter(({ itemId }) => !person.leftOut.includes(itemId));
    const done = person.present ? theirs.filter(({ status }) => status === "done") : [];
    return {
      personId: person.personId,
      day,
      crewId: run.crewId,
      itemsDue: counts(person.personId) ? theirs.length : 0,
      itemsDone: done.length,
      doneSec: person.present ? theirs.reduce((sum, { doneSec }) => sum + doneSec, 0) : 0,
      runs: person.present ? 1 : 0,
      effortSum: person.effort ?? 0,
      efforts: person.effort === null ? 0 : 1,
      marks: person.marks.length,
    };
  });
}

/** People for whom another run of the same placed session was stored before. */
async function dueAlready({ models }: Db, run: RunRecord, transaction: Transaction): Promise<Set<string>> {
  if (!run.placementId) return new Set();
  const others = await models.Run.findAll({
    where: { placementId: run.placementId, id: { [Op.ne]: run.id } },
    attributes: ["id"],
    transaction,
  });
  if (others.length === 0) return new Set();
  const people = await models.RunPerson.findAll({
    where: { runId: others.map((row) => row.get().id), personId: run.people.map(({ personId }) => personId) },
    attributes: ["personId"],
    transaction,
  });
  return new Set(people.map((row) => row.get().personId));
}
