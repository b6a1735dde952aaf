/**
 * Symptom reports and what they do at once: an alert that pauses its place for the person until the trainer has answered (rule 13).
 * Raised in the transaction that stores the report, check-in or run it comes from; answered in one act, with a reply to the person.
 */
import { placeOf } from "@kind-grip/core/crew";
import type { Library, Region } from "@kind-grip/core/library";
import type { Present } from "@kind-grip/core/program";
import { easierThan, presentOf, type Fired } from "@kind-grip/core/response";
import {
  FULL_PARTICIPATION,
  restrictionsOfReport,
  isMeant,
  pauseScope,
  refusalOf,
  reportPauses,
  type AlertAnswer,
  type AlertCause,
  type AlertKind,
  type SymptomReport,
} from "@kind-grip/core/safety";
import { setPersonalForm } from "@kind-grip/core/session";
import type { HandSide } from "@kind-grip/core/units";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import type { DecisionRow } from "../response/tables";
import type { SymptomAlertRow } from "./tables";
import { inRow } from "../db/encrypted";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import { settingsOf } from "../practice/settings";
import { decideToGoOn, decisionRow, refreshProposals } from "../response/decisions";
import { raiseRestrictions } from "./restrictions";
import { participationsIn } from "./participations";

export interface Told {
  cause: AlertCause;
  causeId: string;
  kind: AlertKind;
  side: HandSide | null;
  regions: Region[];
  /** Whether anything is paused until it is answered. */
  pauses: boolean;
}

/** Of whom, by whom: a crew member of themselves, a trainer or lead of somebody in a run. */
export interface ReportOf {
  crewId: string;
  personId: string;
  cause: AlertCause;
}

/** Stored once however often it is sent; the pause is there with the answer. @throws Problem 404 when the id is somebody else's */
export async function storeReport(
  db: Db,
  caller: Caller,
  at: Date,
  { crewId, personId, cause }: ReportOf,
  report: SymptomReport,
): Promise<{ id: string; stored: "new" | "already" }> {
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    if (!(await db.models.Person.findOne({ where: { id: personId, crewId, erasedAt: null }, attributes: ["id"], transaction })))
      throw invalid([{ path: "personId", message: "is not in this crew" }]);
    const known = (await db.models.SymptomReport.findByPk(report.id, { transaction }))?.get();
    if (known && known.personId !== personId) throw notFound("thing");
    if (known) return { id: report.id, stored: "already" };
    // A phone's clock may be ahead; the server's decides.
    const since = new Date(Math.min(Date.parse(report.at), at.getTime()));
    const { id, kind, movementId, words, side, regions, stillThere, freshInjury } = report;
    await db.models.SymptomReport.create(
      {
        id,
        crewId,
        personId,
        movementId,
        kind,
        words: words || null,
        at: since,
        seenAt: null,
        seenBy: null,
        side,
        regions,
        stillThere,
        freshInjury,
      },
      { transaction },
    );
    const told: Told = { cause, causeId: id, kind, side, regions, pauses: reportPauses(report) };
    await raiseAlert(db, caller, crew, at, { personId, since }, told, transaction);
    await raiseRestrictions(db, caller, at, crew, { personId, roundId: null }, restrictionsOfReport(report), transaction);
    await refreshProposals(db, caller.practiceId, crew, at, [personId], transaction);
    return { id, stored: "new" };
  });
}

/** One alert a person and cause. Proposals are refreshed by whoever raises it. */
export async function raiseAlert(
  db: Db,
  caller: Caller,
  crew: Pick<CrewRow, "id">,
  at: Date,
  { personId, since }: { personId: string; since: Date },
  { pauses, ...told }: Told,
  transaction: Transaction,
): Promise<void> {
  if ((await db.models.SymptomAlert.count({ where: { personId, causeId: told.causeId }, transaction })) > 0) return;
  await db.models.SymptomAlert.create(
    {
      id: uuid(),
      crewId: crew.id,
      personId,
      ...told,
      since,
      answer: null,
      reply: null,
      answeredAt: null,
      answeredBy: null,
      endedAt: pauses ? null : since,
    },
    { transaction },
  );
  await noteChanged(
    db,
    caller,
    at,
    { crewId: crew.id, personId, subject: "report", what: pauses ? "paused by itself" : "told" },
    transaction,
  );
}

/** How long an answered alert stays on the person's page, days. */
const SHOWN_DAYS = 14;

/** A person's own alerts: those that wait, those that pause, and lately answered ones; newest first. */
export async function alertsOf({ models }: Db, personId: string, at: Date): Promise<SymptomAlertRow[]> {
  const rows = await models.SymptomAlert.findAll({
    where: {
      personId,
      [Op.or]: [{ endedAt: null }, { answeredAt: null }, { answeredAt: { [Op.gte]: new Date(at.getTime() - SHOWN_DAYS * 86_400_000) } }],
    },
    order: [["since", "DESC"]],
    limit: 20,
  });
  return rows.map((row) => row.get({ plain: true }));
}

/**
 * Answers some alerts of one person in one act. The same answer sent twice is one; alerts that came meanwhile stay open.
 * @throws Problem 404 for somebody else's alerts; 409 when they were answered another way and nothing waits any more
 */
export async function answerAlerts(
  db: Db,
  caller: Caller,
  at: Date,
  { crewId, personId, alertIds }: { crewId: string; personId: string; alertIds: readonly string[] },
  { answer, reply, reason, words }: AlertAnswer,
): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const rows = await db.models.SymptomAlert.findAll({ where: { id: [...alertIds], crewId, personId }, transaction });
    if (rows.length !== new Set(alertIds).size) throw notFound("report");
    const alerts = rows.map((row) => row.get({ plain: true }));
    const open = alerts.filter(({ answeredAt, endedAt }) => answeredAt === null || endedAt === null);
    if (open.length === 0) {
      if (alerts.every((alert) => alert.answer === answer)) return;
      throw new Problem(409, "answered", "Somebody has answered this already. Look again.");
    }
    const answered = { answer, answeredAt: at, answeredBy: caller.accountId, ...(answer === "keepPaused" ? {} : { endedAt: at }) };
    for (const { id } of open)
      await db.models.SymptomAlert.update(
        { ...answered, ...inRow(db.models.SymptomAlert, [id], { reply: reply || null }) },
        { where: { id }, transaction },
      );
    await db.models.SymptomReport.update(
      { seenAt: at, seenBy: caller.accountId },
      { where: { id: open.map(({ causeId }) => causeId), seenAt: null }, transaction },
    );
    if (answer === "refer")
      await raiseRestrictions(db, caller, at, crew, { personId, roundId: null }, [reason!], transaction, words || null);
    const scopes = open.map(({ regions }) => pauseScope(regions));
    const library = await practiceLibrary(db, caller.practiceId, transaction);
    const isAbout = (movementId: string) => {
      const movement = library.find(movementId);
      return movement !== undefined && scopes.some((scope) => scope === null || isMeant(scope, movement));
    };
    if (answer === "giveBack")
      await decideToGoOn(db, caller, at, crew, personId, isAbout, reply || "Given back after what was reported", transaction);
    if (answer === "ease") await easeWhere(db, caller, library, at, crew, personId, open, isAbout, transaction);
    await noteChanged(db, caller, at, { crewId, personId, subject: "report", what: `answered: ${answer}` }, transaction);
    await refreshProposals(db, caller.practiceId, crew, at, [personId], transaction);
  });
}

/** Everything of the person that touches the places, one form or dose easier; what has nothing easier is paused by a decision. */
async function easeWhere(
  db: Db,
  caller: Caller,
  library: Library,
  at: Date,
  crew: CrewRow,
  personId: string,
  alerts: readonly SymptomAlertRow[],
  isAbout: (movementId: string) => boolean,
  transaction: Transaction,
): Promise<void> {
  const [programs, may, practice] = await Promise.all([
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null }, transaction, lock: transaction.LOCK.UPDATE }),
    participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, at, transaction),
    settingsOf(db, caller.practiceId, transaction),
  ]);
  const participation = may.get(personId) ?? FULL_PARTICIPATION;
  const rows: DecisionRow[] = [];
  for (const program of programs) {
    const { id: programId, document, version: programVersion } = program.get({ plain: true });
    let changed = false;
    const sessions = document.sessions.map((session) =>
      session.items.reduce((now, item) => {
        const movement = library.find(item.movementId);
        if (!movement || refusalOf(library, participation, movement.id) !== null) return now;
        if (!isAbout(movement.id)) return now;
        const was = presentOf(library, item, personId);
        const next = easierThan(library, { present: was, place: placeOf(crew.detail, session.slot) }, movement);
        rows.push(decisionFor(item.id, movement.id, programId, was, next ?? null));
        if (!next) return now;
        changed = true;
        return setPersonalForm(now, item.id, personId, next);
      }, session),
    );
    if (changed)
      await program.update({ document: { ...document, sessions }, version: programVersion + 1, changedAt: new Date() }, { transaction });
  }
  await db.models.Decision.bulkCreate(rows, { transaction });

  function decisionFor(itemId: string, movementId: string, programId: string, was: Present, next: Present | null): DecisionRow {
    const kind = next ? "ease" : "pauseAndRefer";
    const fired: Fired[] = alerts.map(({ kind: reported }) => ({ rule: "reported", kind: reported }));
    const response = { kind, fired, next, raised: null, largeStep: false } as const;
    return decisionRow(
      { id: uuid(), personId, programId, itemId, movementId, was, decided: kind, why: null, response, next },
      caller,
      at,
      crew.id,
      practice,
    );
  }
}
