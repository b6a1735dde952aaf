/** What the records say of people and items: everything a response is made from, read in a handful of queries for a whole crew. */
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { placeOf } from "@kind-grip/core/crew";
import type { Library } from "@kind-grip/core/library";
import { lightWeekOf, rampOn, type Presence, type Program } from "@kind-grip/core/program";
import type { MarkKind } from "@kind-grip/core/run";
import { presentOf, type ItemFacts, type ItemRun } from "@kind-grip/core/response";
import { capFor, FULL_PARTICIPATION, refusalOf, type Participation } from "@kind-grip/core/safety";
import type { Item, SessionSlot } from "@kind-grip/core/session";
import { grouped } from "@kind-grip/core/units";
import { Op, QueryTypes, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import { decryptedFrom } from "../db/encrypted";
import type { CrewRow } from "../crew/tables";
import { beforeRaise, changesSomething, decisionsThatCount, loadsHeldLast, overruledOn } from "./decided";
import { presencesIn } from "../program/ramps";
import { participationsIn, symptomHistory, symptomsOn, type AskedSymptoms } from "../safety/participations";
import { dayOfRun } from "../run/person-days";

/** How far back evidence reaches, days: a block of eight weeks. */
const REACH_DAYS = 56;

export interface PersonItem {
  personId: string;
  programId: string;
  itemId: string;
  facts: ItemFacts;
}

interface FlatRun {
  runId: string;
  day: string;
  movementId: string;
  personId: string;
  itemId: string;
  startedAt: Date;
  workingDay: string | null;
  status: ItemRun["status"];
  effort: number | null;
  present: number;
  alone: number;
  marks: { kind: MarkKind; itemId: string | null }[];
  leftOut: string | string[];
}

/** As the records were at that moment. @param personIds everybody of the crew when left out @returns one entry for each person and item of a program that was ever due */
export async function itemFacts(
  db: Db,
  library: Library,
  crew: CrewRow,
  at: Date,
  personIds?: readonly string[],
  transaction?: Transaction,
): Promise<PersonItem[]> {
  const { timeZone } = crew.detail;
  const today = dateAt(at.getTime(), timeZone);
  const since = addDays(today, -REACH_DAYS);
  const of = personIds ? { personId: [...personIds] } : {};
  const [programs, runs, presences, decisions, mornings, felt, absences, participations, masses] = await Promise.all([
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null }, transaction }),
    flatRuns(db, crew, [new Date(`${since}T00:00:00Z`), at], personIds, transaction),
    presencesIn(db, crew.id, today, { backDays: REACH_DAYS, transaction }),
    decisionsThatCount(db, crew.id, at, of, transaction),
    db.models.CheckIn.findAll({
      where: { crewId: crew.id, day: { [Op.between]: [since, today] as [string, string] }, ...of },
      order: ["day"],
      transaction,
    }),
    symptomHistory(db, { crewId: crew.id }, transaction),
    db.models.Absence.findAll({ where: { crewId: crew.id, ...of }, transaction }),
    participationsIn(db, { id: crew.id, timeZone }, at, transaction),
    bodyMasses(db, crew.id, transaction),
  ]);
  const decided = grouped(decisions, ({ personId, itemId }) => `${personId} ${itemId}`);
  const items = new Map<string, { programId: string; item: Item; program: Program; slot: SessionSlot }>();
  for (const program of programs)
    for (const session of program.get().document.sessions)
      for (const item of session.items)
        items.set(item.id, { programId: program.get().id, item, program: program.get().document, slot: session.slot });

  const groups = grouped(
    runs.filter(({ itemId }) => items.has(itemId)),
    ({ personId, itemId }) => `${personId} ${itemId}`,
  );
  const movements = new Map([...grouped(runs, ({ runId }) => runId)].map(([id, list]) => [id, new Set(list.map((run) => run.movementId))]));
  const answered = grouped(
    mornings.map((row) => row.get({ plain: true })),
    ({ personId }) => personId,
  );
  const asked = grouped(
    felt.filter(({ askedOn }) => askedOn <= today),
    ({ personId }) => personId,
  );
  const emptyHanded = [...groups.keys()].flatMap((key) => {
    const [personId = "", itemId = ""] = key.split(" ");
    const { item } = items.get(itemId)!;
    const { movementId } = item;
    return library.find(movementId)?.load && presentOf(library, item, personId).loadKg === null ? [{ personId, movementId }] : [];
  });
  const heldLast = await loadsHeldLast(db, crew.id, at, emptyHanded, transaction);
  return [...groups].map(([key, list]) => {
    const [personId = "", itemId = ""] = key.split(" ");
    const { programId, item, program, slot } = items.get(itemId)!;
    const own = decided.get(key) ?? [];
    // Choosing against a proposal says what is done meanwhile; the evidence and the clocks stay.
    const decision = own.findLast(changesSomething);
    const present = presentOf(library, item, personId);
    const history = asked.get(personId) ?? [];
    const theirs = (answered.get(personId) ?? []).filter((row) => !decision || row.day > dateAt(decision.decidedAt.getTime(), timeZone));
    const away = (day: string) =>
      absences.some((row) => row.get().personId === personId && row.get().fromDay <= day && day <= row.get().untilDay);
    const counted = decision ? list.filter((run) => run.startedAt > decision.decidedAt) : list;
    const start = decision ? addDays(dateAt(decision.decidedAt.getTime(), timeZone), 1) : list[0]!.day;
    return {
      personId,
      programId,
      itemId,
      facts: {
        today,
        item,
        present,
        since: start,
        eased: decision?.decided === "ease",
        beforeRaise: beforeRaise(decision, present),
        putDown: (present.loadKg === null && heldLast.get(`${personId} ${item.movementId}`)) || null,
        overruled: overruledOn(own.at(-1), list, theirs),
        ...runFacts(
          library,
          counted,
          item,
          program,
          presences.get(personId),
          participations.get(personId) ?? FULL_PARTICIPATION,
          away,
          (runId) => movements.get(runId)!,
        ),
        mornings: theirs
          .filter((row) => row.day >= start)
          .map(({ day, level, regions, tingling }) => {
            const usualLevel = feltIn(library, item, symptomsOn(history, day)) ?? 0;
            return { day, level, usualLevel, regions, tingling: Boolean(tingling) };
          }),
        usualLevel: feltIn(library, item, symptomsOn(history, today)) ?? 0,
        startLevel: feltIn(library, item, symptomsOn(history, start)),
        participation: participations.get(personId) ?? FULL_PARTICIPATION,
        place: { ...placeOf(crew.detail, slot), bodyKg: masses.get(personId) ?? null },
      },
    };
  });
}

function runFacts(
  library: Library,
  list: readonly FlatRun[],
  { id: itemId, movementId }: Item,
  program: Program,
  presence: Presence | undefined,
  participation: Participation,
  away: (day: string) => boolean,
  movementsOf: (runId: string) => ReadonlySet<string>,
) {
  const movement = library.find(movementId);
  const cap = movement ? capFor(participation, movement) : 0;
  // A light week and a way back are below the dose: done, but not to its top. Getting ready is what it is.
  const isLighter = (day: string) =>
    lightWeekOf(program, day) !== null || (presence !== undefined && movement?.phase !== "getReady" && rampOn(presence, day) !== null);
  const dated = list.filter((run) => !parsed(run.leftOut).includes(itemId));
  const due = dated.filter((run) => !run.alone && !away(run.day));
  const took = dated.filter((run) => run.present);
  return {
    due: due.length,
    done: took.filter(({ status }) => status === "done").length,
    runs: took.map((run): ItemRun => {
      const most = sessionCap(library, movementsOf(run.runId), participation);
      return {
        day: run.day,
        status: run.status === "done" && isLighter(run.day) ? "part" : run.status,
        effort: run.effort,
        sessionCap: most,
        // A mark set after the session names no item: like its effort it is about its hardest ones.
        marks: run.marks.flatMap((mark) => (mark.itemId === itemId || (mark.itemId === null && cap >= most) ? [mark.kind] : [])),
      };
    }),
  };
}

/** The highest cap among what a session had in it for a person. */
function sessionCap(library: Library, movementIds: ReadonlySet<string>, participation: Participation): number {
  return Math.max(
    0,
    ...[...movementIds].flatMap((id) => {
      const movement = library.find(id);
      return movement && refusalOf(library, participation, id) === null ? [capFor(participation, movement)] : [];
    }),
  );
}

/** The most of what was felt where the item works, stretches or releases; null when nothing was. */
function feltIn(library: Library, item: Item, symptoms: AskedSymptoms["symptoms"]): number | null {
  const regions = library.find(item.movementId)?.regions;
  const touched: readonly string[] = regions ? [...regions.worked, ...regions.stretched, ...regions.released] : [];
  const found = symptoms.filter(({ region, level }) => level > 0 && touched.includes(region)).map(({ level }) => level);
  return found.length > 0 ? Math.max(...found) : null;
}

/** What people weigh who agreed to be weighed, as they said last, kg. */
async function bodyMasses({ sequelize }: Db, crewId: string, transaction?: Transaction): Promise<Map<string, number>> {
  const rows = await sequelize.query<{ roundId: string; personId: string; kg: string }>(
    `SELECT b.roundId, b.personId, b.bodyMassKg AS kg FROM baseline_records b JOIN baseline_rounds r ON r.id = b.roundId
     WHERE r.crewId = :crewId AND b.bodyMassKg IS NOT NULL ORDER BY r.startedOn, b.changedAt`,
    { replacements: { crewId }, type: QueryTypes.SELECT, transaction },
  );
  const last = new Map(rows.map((row) => [row.personId, row]));
  return new Map(
    [...last.values()].map(({ roundId, personId, kg }) => {
      const place = { table: "baseline_records", key: [roundId, personId] };
      return [personId, decryptedFrom<number>(sequelize, place, "bodyMassKg", kg)!];
    }),
  );
}

async function flatRuns(
  { sequelize }: Db,
  { id: crewId, detail: { timeZone } }: CrewRow,
  [since, until]: readonly [Date, Date],
  personIds: readonly string[] | undefined,
  transaction?: Transaction,
): Promise<FlatRun[]> {
  const rows = await sequelize.query<Omit<FlatRun, "marks"> & { marks: string | null }>(
    `SELECT r.id AS runId, i.movementId, rp.personId, i.itemId, r.startedAt, DATE_FORMAT(r.workingDay, '%Y-%m-%d') AS workingDay, i.status, rp.effort, rp.present, r.alone, IF(rp.markCount > 0, rp.marks, NULL) AS marks, rp.leftOut
     FROM runs r JOIN run_people rp ON rp.runId = r.id JOIN run_items i ON i.runId = r.id
     WHERE r.crewId = :crewId AND r.startedAt >= :since AND r.startedAt <= :until AND (rp.clash IS NULL OR rp.clashAnswer = 'before') ${personIds ? "AND rp.personId IN (:personIds)" : ""} ORDER BY r.startedAt, r.id`,
    { replacements: { crewId, since, until, personIds }, type: QueryTypes.SELECT, transaction },
  );
  // Working out the day of a moment at a place is slow, and there are many rows of each run.
  const days = new Map<string, string>();
  // A person's marks of a run stand in a row for each of its items.
  const marked = new Map<string, FlatRun["marks"]>();
  return rows.map((row) => {
    const startedAt = new Date(row.startedAt);
    if (!days.has(row.runId)) days.set(row.runId, dayOfRun({ workingDay: row.workingDay, startedAt }, timeZone));
    if (row.marks !== null && !marked.has(row.marks))
      marked.set(row.marks, decryptedFrom(sequelize, { table: "run_people", key: [row.runId, row.personId] }, "marks", row.marks)!);
    return { ...row, startedAt, day: days.get(row.runId)!, marks: row.marks === null ? [] : marked.get(row.marks)! };
  });
}

function parsed<T>(value: string | T[]): T[] {
  return typeof value === "string" ? (JSON.parse(value) as T[]) : value;
}
