/** What the records say of people and items: everything a response is made from, read in a handful of queries for a whole crew. */
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { findMovement, FORM_TIMINGS } from "@kind-grip/core/library";
import { isSettling, type Program } from "@kind-grip/core/program";
import type { MarkKind } from "@kind-grip/core/run";
import type { ItemFacts, ItemRun, Present } from "@kind-grip/core/response";
import { capFor, FULL_PARTICIPATION, refusalOf, type Participation, type Symptom } from "@kind-grip/core/safety";
import { doseInForm, type Item } from "@kind-grip/core/session";
import { grouped } from "@kind-grip/core/units";
import { Op, QueryTypes, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { CrewRow } from "../db/models";
import { latestSymptoms, participationsIn } from "../safety/participations";

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
  status: ItemRun["status"];
  effort: number | null;
  present: number;
  alone: number;
  marks: string | { kind: MarkKind; itemId: string | null }[];
  leftOut: string | string[];
}

/** As the records were at that moment. @param personIds everybody of the crew when left out @returns one entry for each person and item of a program that was ever due */
export async function itemFacts(
  db: Db,
  crew: CrewRow,
  at: Date,
  personIds?: readonly string[],
  transaction?: Transaction,
): Promise<PersonItem[]> {
  const { timeZone } = crew.detail;
  const today = dateAt(at.getTime(), timeZone);
  const since = addDays(today, -REACH_DAYS);
  const of = personIds ? { personId: [...personIds] } : {};
  const [programs, runs, decisions, mornings, felt, absences, participations] = await Promise.all([
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null }, transaction }),
    flatRuns(db, crew, [new Date(`${since}T00:00:00Z`), at], personIds, transaction),
    db.models.Decision.findAll({ where: { crewId: crew.id, decidedAt: { [Op.lte]: at }, ...of }, order: ["decidedAt"], transaction }),
    db.models.CheckIn.findAll({ where: { crewId: crew.id, day: { [Op.lte]: today }, ...of }, order: ["day"], transaction }),
    latestSymptoms(db, [crew.id], transaction, today),
    db.models.Absence.findAll({ where: { crewId: crew.id, ...of }, transaction }),
    participationsIn(db, { id: crew.id, timeZone }, at, transaction),
  ]);
  const last = new Map(decisions.map((row) => [`${row.get().personId} ${row.get().itemId}`, row.get({ plain: true })]));
  const items = new Map<string, { programId: string; item: Item; program: Program }>();
  for (const program of programs)
    for (const session of program.get().document.sessions)
      for (const item of session.items) items.set(item.id, { programId: program.get().id, item, program: program.get().document });

  const groups = grouped(
    runs.filter(({ itemId }) => items.has(itemId)),
    ({ personId, itemId }) => `${personId} ${itemId}`,
  );
  const movements = new Map([...grouped(runs, ({ runId }) => runId)].map(([id, list]) => [id, new Set(list.map((run) => run.movementId))]));
  const answered = grouped(
    mornings.map((row) => row.get({ plain: true })),
    ({ personId }) => personId,
  );
  const symptoms = new Map(felt.map((each) => [each.personId, each.symptoms]));
  return [...groups].map(([key, list]) => {
    const [personId = "", itemId = ""] = key.split(" ");
    const { programId, item, program } = items.get(itemId)!;
    const decision = last.get(key);
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
        present: presentOf(item, personId),
        since: start,
        eased: decision?.decided === "ease",
        ...runFacts(counted, item, program, participations.get(personId) ?? FULL_PARTICIPATION, away, (runId) => movements.get(runId)!),
        mornings: (answered.get(personId) ?? [])
          .filter((row) => row.day >= start)
          .map(({ day, level, regions, tingling }) => ({ day, level, regions, tingling: Boolean(tingling) })),
        ...levels(item, symptoms.get(personId) ?? []),
        participation: participations.get(personId) ?? FULL_PARTICIPATION,
        place: { settings: crew.detail.settings, kit: crew.detail.kit },
      },
    };
  });
}

/** What a person does of an item now. */
export function presentOf(item: Item, personId: string): Present {
  const own = item.personal[personId];
  const formId = own?.formId ?? item.formId;
  return {
    formId,
    dose: own?.dose ?? doseInForm(item.dose, FORM_TIMINGS.get(item.movementId)?.get(formId)),
    loadKg: own?.loadKg === undefined ? item.loadKg : own.loadKg,
  };
}

function runFacts(
  list: readonly FlatRun[],
  { id: itemId, movementId }: Item,
  program: Program,
  participation: Participation,
  away: (day: string) => boolean,
  movementsOf: (runId: string) => ReadonlySet<string>,
) {
  const movement = findMovement(movementId);
  const cap = movement ? capFor(participation, movement) : 0;
  const dated = list.filter((run) => !parsed(run.leftOut).includes(itemId));
  const due = dated.filter((run) => !run.alone && !away(run.day));
  const took = dated.filter((run) => run.present);
  return {
    due: due.length,
    done: took.filter(({ status }) => status === "done").length,
    runs: took.map((run): ItemRun => {
      const most = sessionCap(movementsOf(run.runId), participation);
      return {
        day: run.day,
        // The settling-in week is below the dose: done, but not to its top.
        status: run.status === "done" && isSettling(program, run.day) ? "part" : run.status,
        effort: run.effort,
        sessionCap: most,
        // A mark set after the session names no item: like its effort it is about its hardest ones.
        marks: parsed(run.marks).flatMap((mark) => (mark.itemId === itemId || (mark.itemId === null && cap >= most) ? [mark.kind] : [])),
      };
    }),
  };
}

/** The highest cap among what a session had in it for a person. */
function sessionCap(movementIds: ReadonlySet<string>, participation: Participation): number {
  return Math.max(
    0,
    ...[...movementIds].flatMap((id) => {
      const movement = findMovement(id);
      return movement && refusalOf(participation, id) === null ? [capFor(participation, movement)] : [];
    }),
  );
}

/** What was felt where the item works or stretches, when the person was last asked: what mornings are compared with. */
function levels(item: Item, symptoms: readonly Pick<Symptom, "region" | "level">[]): { usualLevel: number; startLevel: number | null } {
  const regions = findMovement(item.movementId)?.regions;
  const touched: readonly string[] = regions ? [...regions.worked, ...regions.stretched, ...regions.released] : [];
  const found = symptoms.filter(({ region, level }) => level > 0 && touched.includes(region)).map(({ level }) => level);
  return { usualLevel: Math.max(0, ...found), startLevel: found.length > 0 ? Math.max(...found) : null };
}

async function flatRuns(
  { sequelize }: Db,
  { id: crewId, detail: { timeZone } }: CrewRow,
  [since, until]: readonly [Date, Date],
  personIds: readonly string[] | undefined,
  transaction?: Transaction,
): Promise<FlatRun[]> {
  const rows = await sequelize.query<FlatRun>(
    `SELECT r.id AS runId, i.movementId, rp.personId, i.itemId, r.startedAt, i.status, rp.effort, rp.present, r.alone, rp.marks, rp.leftOut
     FROM runs r JOIN run_people rp ON rp.runId = r.id JOIN run_items i ON i.runId = r.id
     WHERE r.crewId = :crewId AND r.startedAt >= :since AND r.startedAt <= :until ${personIds ? "AND rp.personId IN (:personIds)" : ""} ORDER BY r.startedAt, r.id`,
    { replacements: { crewId, since, until, personIds }, type: QueryTypes.SELECT, transaction },
  );
  // Working out the day of a moment at a place is slow, and there are many rows of each run.
  const days = new Map<string, string>();
  return rows.map((row) => {
    const startedAt = new Date(row.startedAt);
    if (!days.has(row.runId)) days.set(row.runId, dateAt(startedAt.getTime(), timeZone));
    return { ...row, startedAt, day: days.get(row.runId)! };
  });
}

function parsed<T>(value: string | T[]): T[] {
  return typeof value === "string" ? (JSON.parse(value) as T[]) : value;
}
