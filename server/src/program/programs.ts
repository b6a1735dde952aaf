/** Programs of a crew, saved whole with a version: a save against an older one is refused and shows the newer. */
import { isEqual } from "es-toolkit";
import type { ListedProgram, ProgramEntry } from "@kind-grip/core/api";
import type { Library } from "@kind-grip/core/library";
import { programProblems, type Program } from "@kind-grip/core/program";
import { refusalOf } from "@kind-grip/core/safety";
import type { Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf, crewOfThing } from "../crew/crews";
import type { Db } from "../db/connection";
import { programInUse } from "./in-use";
import type { ProgramRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { practiceLibrary } from "../library/practice-library";
import { invalid, notFound, stale } from "../http/problem";
import { participationsIn } from "../safety/participations";

export async function listPrograms(db: Db, caller: Caller, at: Date, crewId: string): Promise<ListedProgram[]> {
  const crew = await crewOf(db, caller, crewId);
  const rows = await db.models.Program.findAll({ where: { crewId, removedAt: null }, order: [["changedAt", "DESC"]] });
  const programs = rows.map((row) => row.get({ plain: true }));
  const inUse = await programInUse(db, crew, programs, at);
  return programs.map((program) => ({ ...answer(program), inUse: program === inUse }));
}

/** @throws Problem 404 for an unknown or foreign program; removed ones only with `removedToo` */
export async function programOf(db: Db, caller: Caller, programId: string, removedToo = false): Promise<ProgramEntry> {
  const program = await db.models.Program.findByPk(programId);
  if (!program || (program.get().removedAt && !removedToo)) throw notFound("program");
  await crewOfThing(db, caller, program.get().crewId, "program");
  return answer(program.get({ plain: true }));
}

export async function createProgram(db: Db, caller: Caller, at: Date, crewId: string, id: string, program: Program): Promise<ProgramEntry> {
  return inTransaction(db, async (transaction) => {
    await crewOf(db, caller, crewId, transaction);
    await refuseProblems(db, caller, at, crewId, program, undefined, transaction);
    const [row] = await db.models.Program.findOrCreate({
      where: { id },
      defaults: { id, crewId, name: program.name, document: program, version: 1, changedAt: new Date(), removedAt: null },
      transaction,
    });
    if (row.get().crewId !== crewId) throw notFound("program");
    return answer(row.get({ plain: true }));
  });
}

/** @param version the version the editor started from */
export async function saveProgram(
  db: Db,
  caller: Caller,
  at: Date,
  programId: string,
  version: number,
  program: Program,
): Promise<ProgramEntry> {
  const before = await programOf(db, caller, programId);
  return inTransaction(db, async (transaction) => {
    await refuseProblems(db, caller, at, before.crewId, program, before.program, transaction);
    const [changed] = await db.models.Program.update(
      { name: program.name, document: program, version: version + 1, changedAt: new Date() },
      { where: { id: programId, version, removedAt: null }, transaction },
    );
    const now = answer((await db.models.Program.findByPk(programId, { transaction, rejectOnEmpty: true })).get({ plain: true }));
    if (changed === 1) return now;
    // The same save sent twice after a lost answer: it is there already.
    if (now.version === version + 1 && isEqual(now.program, program)) return now;
    throw stale(now);
  });
}

export async function setProgramRemoved(db: Db, caller: Caller, programId: string, removed: boolean): Promise<void> {
  await programOf(db, caller, programId, true);
  await db.models.Program.update({ removedAt: removed ? new Date() : null }, { where: { id: programId } });
}

/** What the schema cannot see: people who are not in the crew or held out of the item. */
async function refuseProblems(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  program: Program,
  before: Program | undefined,
  transaction: Transaction,
): Promise<void> {
  const library = await practiceLibrary(db, caller.practiceId, transaction);
  const problems = programProblems(library, program).map(({ path, message }) => ({ path: `program.${path}`, message }));
  const named = program.sessions.flatMap((session, s) =>
    session.items.flatMap((item, i) =>
      Object.keys(item.personal).map((personId) => ({ personId, path: `program.sessions.${s}.items.${i}.personal.${personId}` })),
    ),
  );
  if (named.length > 0) {
    const there = new Set(
      (await db.models.Person.findAll({ where: { crewId }, attributes: ["id"], transaction })).map((person) => person.get().id),
    );
    problems.push(...named.filter(({ personId }) => !there.has(personId)).map(({ path }) => ({ path, message: "is not in this crew" })));
  }
  problems.push(...(await heldOutProblems(db, caller, library, at, crewId, program, before, transaction)));
  if (problems.length > 0) throw invalid(problems);
}

/**
 * Own forms newly given to people who are held out of the item. Those that were there before they were held out stay, unused, for the
 * day they are cleared.
 */
async function heldOutProblems(
  db: Db,
  caller: Caller,
  library: Library,
  at: Date,
  crewId: string,
  program: Program,
  before: Program | undefined,
  transaction: Transaction,
): Promise<{ path: string; message: string }[]> {
  const crew = await crewOf(db, caller, crewId, transaction);
  const participations = await participationsIn(db, { id: crewId, timeZone: crew.detail.timeZone }, at, transaction);
  const known = new Map(before?.sessions.flatMap((session) => session.items.map((item) => [item.id, item] as const)));
  return program.sessions.flatMap((session, s) =>
    session.items.flatMap((item, i) =>
      Object.entries(item.personal).flatMap(([personId, own]) => {
        const participation = participations.get(personId);
        if (!participation || refusalOf(library, participation, item.movementId) === null) return [];
        const old = known.get(item.id);
        if (old?.movementId === item.movementId && isEqual(old.personal[personId], own)) return [];
        return [{ path: `program.sessions.${s}.items.${i}.personal.${personId}`, message: "is held out of this item" }];
      }),
    ),
  );
}

function answer({ id, crewId, version, changedAt, document }: ProgramRow): ProgramEntry {
  return { id, crewId, version, changedAt: changedAt.toISOString(), program: document };
}
