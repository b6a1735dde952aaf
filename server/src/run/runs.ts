/** Runs: stored once, whole, however often they are sent. */
import type { LastPresence } from "@kind-grip/core/api";
import { workingDayAt } from "@kind-grip/core/calendar";
import type { Library } from "@kind-grip/core/library";
import type { RunRecord, RunSummary } from "@kind-grip/core/run";
import { itemsLeftOut, markAlarm, type Participations } from "@kind-grip/core/safety";
import { grouped } from "@kind-grip/core/units";
import { fn, col, literal, Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { excusedIn, excusedOn } from "../crew/absences";
import { crewOf, crewOfThing, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import { keepPlacement } from "../dayplan/standing";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem, type FieldProblem } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import { refreshProposals } from "../response/decisions";
import { raiseAlert } from "../safety/symptom-alerts";
import { byServerClock, clashesNow } from "./clashes";
import { withOwnEfforts } from "./own-answers";
import { addToPersonDays, dayOfRun } from "./person-days";
import { participationsIn } from "../safety/participations";
import type { RunRow } from "./tables";

/** Of the last run that was led, a session followed alone being nobody's roll call; and who is excused today. */
export async function lastPresence(db: Db, caller: Caller, at: Date, crewId: string): Promise<LastPresence> {
  const { shiftPattern, timeZone } = (await crewOf(db, caller, crewId)).detail;
  const { models } = db;
  const excused = await excusedOn(db, crewId, workingDayAt(shiftPattern, timeZone, at.getTime()));
  const run = await models.Run.findOne({
    where: { crewId, alone: false },
    attributes: ["id", "startedAt", "workingDay"],
    order: [["startedAt", "DESC"]],
  });
  if (!run) return { startedAt: null, absent: [], excused: [...excused] };
  const [away, excusedThen] = await Promise.all([
    models.RunPerson.findAll({ where: { runId: run.get().id, present: false }, attributes: ["personId"] }),
    excusedOn(db, crewId, dayOfRun(run.get(), timeZone)),
  ]);
  const absent = away.map((row) => row.get().personId).filter((id) => !excusedThen.has(id) || excused.has(id));
  return { startedAt: run.get().startedAt.toISOString(), absent, excused: [...excused] };
}

/** A placement of another crew would mark their session as led. One that was taken out of the plan meanwhile is nobody's. */
async function refuseForeignPlacement({ models }: Db, crew: CrewRow, run: RunRecord, transaction: Transaction): Promise<void> {
  const { placementId: id, people } = run;
  if (!id) return;
  const refuse = (message: string) => invalid([{ path: "placementId", message }]);
  const placement = (await models.Placement.findByPk(id, { attributes: ["crewId"], transaction }))?.get();
  if (placement && placement.crewId !== crew.id) throw refuse("is not of this crew");
  const booked = (await models.BookedSession.findByPk(id, { attributes: ["crewId", "personId"], transaction }))?.get();
  if (booked && booked.crewId !== crew.id) throw refuse("is not of this crew");
  if (booked && people.some(({ personId }) => personId !== booked.personId)) throw refuse("is laid for somebody else");
}

/** Marks that pause by themselves. What was reported at once while the run went on has done so already. */
async function pauseByMarks(db: Db, caller: Caller, crew: CrewRow, at: Date, run: RunRecord, transaction: Transaction): Promise<void> {
  for (const { personId, marks } of run.people) {
    const kind = markAlarm(marks);
    if (!kind) continue;
    const since = { [Op.gte]: new Date(run.startedAt) };
    if ((await db.models.SymptomAlert.count({ where: { personId, since }, transaction })) > 0) continue;
    const told = { cause: "run" as const, causeId: run.id, kind, side: null, regions: [], pauses: true };
    await raiseAlert(db, caller, crew, at, { personId, since: at }, told, transaction);
  }
}

/** Of whoever was forgotten meanwhile nothing is kept but that they were there. */
function withoutErased(run: RunRecord, erased: ReadonlySet<string>): RunRecord {
  const people = run.people.map((person) =>
    erased.has(person.personId) ? { ...person, marks: [], forms: {}, leftOut: [], quick: null, counted: null } : person,
  );
  return { ...run, people };
}

/**
 * Stores a run in one transaction. A run that is there already stays as it is and is answered again: sending twice
 * after a lost answer is harmless.
 * @throws Problem 400 for people who are not in the crew; 409 when the id is another run's, and when somebody took part in what they
 * were held out of as the run began: the answer says of whom and what, so that it can be stored without
 */
export async function storeRun(db: Db, caller: Caller, at: Date, sent: RunRecord): Promise<{ id: string; stored: "new" | "already" }> {
  const told = byServerClock(sent, at);
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, told.crewId, transaction);
    const known = (await db.models.Run.findByPk(told.id, { transaction }))?.get();
    if (known && known.crewId !== told.crewId) throw new Problem(409, "taken", "This id belongs to another run.");
    if (known) return { id: told.id, stored: "already" };
    const crewPeople = await db.models.Person.findAll({ where: { crewId: told.crewId }, attributes: ["id", "erasedAt"], transaction });
    const there = new Set(crewPeople.map((person) => person.get().id));
    const erased = new Set(crewPeople.flatMap((person) => (person.get().erasedAt ? [person.get().id] : [])));
    const run = withoutErased(await withOwnEfforts(db, told, transaction), erased);
    const strangers = run.people.flatMap((person, i) =>
      there.has(person.personId) ? [] : [{ path: `people.${i}.personId`, message: "is not in this crew" }],
    );
    if (strangers.length > 0) throw invalid(strangers);
    if (run.programId && !(await db.models.Program.findOne({ where: { id: run.programId, crewId: run.crewId }, transaction })))
      throw invalid([{ path: "programId", message: "is not a program of this crew" }]);

    await refuseForeignPlacement(db, crew, run, transaction);
    if (run.placementId && !run.alone) await keepPlacement(db, crew, run.placementId, transaction);
    const place = { id: crew.id, timeZone: crew.detail.timeZone };
    const library = await practiceLibrary(db, caller.practiceId, transaction);
    refuseHeldOut(library, run, await participationsIn(db, place, new Date(run.startedAt), transaction));
    const clashes = await clashesNow(db, library, run, await participationsIn(db, place, at, transaction), at, transaction);
    const { session } = run;
    const doneSec = run.items.reduce((sum, item) => sum + item.doneSec, 0);
    const workingDay = workingDayAt(crew.detail.shiftPattern, crew.detail.timeZone, Date.parse(run.startedAt));
    await db.models.Run.create(
      {
        id: run.id,
        crewId: run.crewId,
        ledBy: caller.accountId,
        programId: run.programId,
        placementId: run.placementId,
        sessionName: session.name,
        slot: session.slot,
        session,
        startedAt: new Date(run.startedAt),
        endedAt: new Date(run.endedAt),
        workingDay,
        plannedSec: run.plannedSec,
        doneSec,
        alone: run.alone,
        receivedAt: at,
      },
      { transaction },
    );
    await db.models.RunItem.bulkCreate(
      run.items.map((item, position) => ({ runId: run.id, position, ...item })),
      { transaction },
    );
    await db.models.RunPerson.bulkCreate(
      run.people.map(({ personId, present, effort, marks, forms, leftOut, quick, counted }) => ({
        runId: run.id,
        personId,
        present,
        effort,
        markCount: marks.length,
        marks,
        forms,
        leftOut,
        quick,
        counted,
        clash: clashes.get(personId) ?? null,
        clashAnswer: null,
      })),
      { transaction },
    );
    await addToPersonDays(db, { ...run, people: run.people.filter(({ personId }) => !clashes.has(personId)) }, workingDay, transaction);
    await pauseByMarks(db, caller, crew, at, run, transaction);
    const present = run.people.flatMap((person) => (person.present ? [person.personId] : []));
    await refreshProposals(db, caller.practiceId, crew, at, present, transaction);
    return { id: run.id, stored: "new" };
  });
}

/** Nobody takes part in what they are held out of, whatever the screen that sent it knew. */
function refuseHeldOut(library: Library, run: RunRecord, participations: Participations): void {
  const fields: FieldProblem[] = [];
  const withoutPeople: string[] = [];
  const withoutItems: Record<string, string[]> = {};
  run.people.forEach((person, i) => {
    const participation = participations.get(person.personId);
    if (!participation || !person.present) return;
    if (participation.heldOut) {
      fields.push({ path: `people.${i}.present`, message: "was held out when this run began" });
      withoutPeople.push(person.personId);
      return;
    }
    const out = itemsLeftOut(library, participation, run.session);
    const did = (itemId: string) => person.forms[itemId] !== undefined || person.counted?.some((bout) => bout.itemId === itemId);
    const given = out.filter((itemId) => !person.leftOut.includes(itemId) || did(itemId));
    if (given.length === 0) return;
    fields.push({ path: `people.${i}.leftOut`, message: `was held out of ${given.length} of the items` });
    withoutItems[person.personId] = out;
  });
  if (fields.length > 0)
    throw new Problem(409, "heldOut", "Somebody in this run was held out of it, or of a part of it.", fields, {
      withoutPeople,
      withoutItems,
    });
}

const RUNS_PER_PAGE = 40;

export async function listRuns(
  db: Db,
  caller: Caller,
  crewId: string,
  page: number,
): Promise<{ runs: RunSummary[]; total: number; pageSize: number }> {
  const { timeZone } = (await crewOf(db, caller, crewId)).detail;
  const total = await db.models.Run.count({ where: { crewId } });
  const rows = (
    await db.models.Run.findAll({
      where: { crewId },
      attributes: { exclude: ["session"] },
      order: [
        ["startedAt", "DESC"],
        ["id", "DESC"],
      ],
      limit: RUNS_PER_PAGE,
      offset: page * RUNS_PER_PAGE,
    })
  ).map((row) => row.get({ plain: true }));
  const counts = (await db.models.RunPerson.findAll({
    where: { runId: rows.map((row) => row.id) },
    attributes: [
      "runId",
      [fn("COUNT", literal("*")), "expected"],
      [fn("SUM", col("present")), "present"],
      [fn("AVG", col("effort")), "meanEffort"],
      [fn("SUM", col("markCount")), "marks"],
    ],
    group: ["runId"],
    raw: true,
  })) as unknown as {
    runId: string;
    expected: number | string;
    present: number | string;
    meanEffort: number | string | null;
    marks: number | string;
  }[];
  const byRun = new Map(counts.map((count) => [count.runId, count]));
  const excused = await excusedOfRuns(db, rows, timeZone);
  const runs = rows.map((row): RunSummary => {
    const count = byRun.get(row.id);
    return {
      id: row.id,
      sessionName: row.sessionName,
      slot: row.slot,
      startedAt: row.startedAt.toISOString(),
      plannedSec: row.plannedSec,
      doneSec: row.doneSec,
      present: Number(count?.present ?? 0),
      expected: Number(count?.expected ?? 0) - (excused.get(row.id) ?? 0),
      meanEffort: count?.meanEffort == null ? null : Number(count.meanEffort),
      marks: Number(count?.marks ?? 0),
    };
  });
  return { runs, total, pageSize: RUNS_PER_PAGE };
}

/** How many of those who were not there were excused on the day a run counts for: nobody expected them. */
async function excusedOfRuns(
  db: Db,
  runs: readonly Pick<RunRow, "id" | "crewId" | "workingDay" | "startedAt">[],
  timeZone: string,
): Promise<Map<string, number>> {
  const days = new Map(runs.map((run) => [run.id, dayOfRun(run, timeZone)]));
  const [first] = runs;
  if (!first) return new Map();
  const sorted = [...days.values()].sort();
  const [away, isExcused] = await Promise.all([
    db.models.RunPerson.findAll({ where: { runId: [...days.keys()], present: false }, attributes: ["runId", "personId"] }),
    excusedIn(db, [first.crewId], sorted[0]!, sorted.at(-1)!),
  ]);
  const of = away.map((row) => row.get()).filter(({ runId, personId }) => isExcused(personId, days.get(runId)!));
  return new Map([...grouped(of, ({ runId }) => runId)].map(([runId, list]) => [runId, list.length]));
}

/** The whole record of one run. */
export async function runOf(db: Db, caller: Caller, runId: string): Promise<RunRecord> {
  const row = await db.models.Run.findByPk(runId);
  if (!row) throw notFound("run");
  const run = row.get({ plain: true });
  await crewOfThing(db, caller, run.crewId, "run");
  const [items, people] = await Promise.all([
    db.models.RunItem.findAll({ where: { runId }, order: ["position"] }),
    db.models.RunPerson.findAll({ where: { runId } }),
  ]);
  return {
    id: run.id,
    crewId: run.crewId,
    programId: run.programId,
    placementId: run.placementId,
    session: run.session,
    startedAt: run.startedAt.toISOString(),
    endedAt: run.endedAt.toISOString(),
    plannedSec: run.plannedSec,
    alone: Boolean(run.alone),
    items: items.map((item) => {
      const { runId: _run, position: _position, ...rest } = item.get({ plain: true });
      return rest;
    }),
    people: people.map((person) => {
      const { runId: _run, markCount: _count, clash: _clash, clashAnswer: _answer, ...rest } = person.get({ plain: true });
      return { ...rest, marks: rest.marks ?? [], present: Boolean(rest.present) };
    }),
  };
}
