/** Everything that is kept of one person, newest first: runs, mornings, rounds, decisions, reports, holds and clearances, absences, notes. */
import type { PersonRecordPage, RecordEvent } from "@kind-grip/core/api";
import { DateTime } from "luxon";
import { Op, QueryTypes } from "sequelize";
import { noteSeen } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { decryptedFrom } from "../db/encrypted";
import { notFound } from "../http/problem";
import { raisedMornings } from "../followup/mornings";
import { decisionEntries } from "../response/decisions";
import { dayOfRun } from "../run/person-days";
import type { RunPersonRow, RunRow } from "../run/tables";
import { dated } from "../safety/restrictions";
import { toldReports } from "../safety/person-alerts";
import type { OfPerson } from "./notes";

/** As many as somebody with three sessions a day has in eight weeks. */
const EVENTS_PER_PAGE = 240;

/** @param before only what came before; everything when left out */
export async function personRecord(db: Db, caller: Caller, at: Date, place: OfPerson, before?: string): Promise<PersonRecordPage> {
  const crew = await crewOf(db, caller, place.crewId);
  if (!(await db.models.Person.findOne({ where: { id: place.personId, crewId: place.crewId }, attributes: ["id"] })))
    throw notFound("person");
  const until = before === undefined ? new Date("9999-12-31") : new Date(before);
  const read = new Reading(db, place, until, crew.detail.timeZone);
  const events = (
    await Promise.all([read.runs(), read.mornings(), read.rounds(), read.decisions(), read.health(), read.absences(), read.notes()])
  )
    .flat()
    .sort((a, b) => b.at.localeCompare(a.at));
  if (before === undefined) await noteSeen(db, caller, at, { ...place, subject: "record", what: "everything on record" });
  return { events: events.slice(0, EVENTS_PER_PAGE), more: events.length > EVENTS_PER_PAGE };
}

/** Of each kind one more than a page holds, so that it is known whether there are older ones. */
const LIMIT = EVENTS_PER_PAGE + 1;

class Reading {
  constructor(
    private readonly db: Db,
    private readonly place: OfPerson,
    private readonly until: Date,
    private readonly timeZone: string,
  ) {}

  private newest<C extends string>(column: C, where: object = this.place) {
    return { where: { ...where, [column]: { [Op.lt]: this.until } }, order: [[column, "DESC"]] as [C, string][], limit: LIMIT };
  }

  /** The beginning of a day at the crew's place. */
  private startOf(day: string): string {
    return DateTime.fromISO(day, { zone: this.timeZone }).toUTC().toISO()!;
  }

  private get dayUntil(): string {
    return DateTime.fromJSDate(this.until, { zone: this.timeZone }).toISODate()!;
  }

  async runs(): Promise<RecordEvent[]> {
    type Row = Pick<RunRow, "id" | "sessionName" | "startedAt" | "workingDay"> &
      Pick<RunPersonRow, "effort"> &
      Record<"alone" | "present", number>;
    const rows = await this.db.sequelize.query<Row & { marks: string | null; leftOut: unknown }>(
      `SELECT r.id, r.sessionName, r.startedAt, DATE_FORMAT(r.workingDay, '%Y-%m-%d') AS workingDay, r.alone, p.present, p.effort, p.marks, p.leftOut
       FROM run_people p JOIN runs r ON r.id = p.runId
       WHERE p.personId = :personId AND r.crewId = :crewId AND r.startedAt < :until ORDER BY r.startedAt DESC LIMIT ${LIMIT}`,
      { replacements: { ...this.place, until: this.until }, type: QueryTypes.SELECT },
    );
    const list = <T>(value: unknown) => (typeof value === "string" ? JSON.parse(value) : (value ?? [])) as T[];
    return rows.map((row) => ({
      kind: "run",
      at: new Date(row.startedAt).toISOString(),
      day: dayOfRun({ startedAt: new Date(row.startedAt), workingDay: row.workingDay }, this.timeZone),
      runId: row.id,
      sessionName: row.sessionName,
      alone: Boolean(row.alone),
      present: Boolean(row.present),
      effort: row.effort,
      marks: (
        decryptedFrom<RunPersonRow["marks"]>(
          this.db.sequelize,
          { table: "run_people", key: [row.id, this.place.personId] },
          "marks",
          row.marks,
        ) ?? []
      ).map(({ kind }) => kind),
      leftOut: list(row.leftOut).length,
    }));
  }

  async mornings(): Promise<RecordEvent[]> {
    const rows = (await this.db.models.CheckIn.findAll(this.newest("at"))).map((row) => row.get());
    if (rows.length === 0) return [];
    const days = rows.map(({ day }) => day).sort();
    const judged = await raisedMornings(this.db, { ...this.place, from: days[0]!, until: days.at(-1)! });
    const raised = new Set(judged.flatMap((each) => (each.raised ? [each.day] : [])));
    return rows.map(({ id, day, level, tingling, at }) => ({
      kind: "morning",
      at: at.toISOString(),
      id,
      day,
      level,
      raised: raised.has(day),
      tingling: Boolean(tingling),
    }));
  }

  async rounds(): Promise<RecordEvent[]> {
    const rows = await this.db.models.Baseline.findAll({
      ...this.newest("changedAt", { personId: this.place.personId }),
      attributes: ["roundId", "changedAt", "progress"],
    });
    const rounds = await this.db.models.Round.findAll({ where: { id: rows.map((row) => row.get().roundId), crewId: this.place.crewId } });
    const names = new Map(rounds.map((round) => [round.get().id, round.get().name]));
    return rows
      .map((row) => row.get())
      .filter(({ roundId }) => names.has(roundId))
      .map(({ roundId, changedAt, progress }) => ({
        kind: "round",
        at: changedAt.toISOString(),
        roundId,
        name: names.get(roundId)!,
        progress,
      }));
  }

  async decisions(): Promise<RecordEvent[]> {
    const rows = await this.db.models.Decision.findAll(this.newest("decidedAt"));
    const entries = await decisionEntries(
      this.db,
      rows.map((row) => row.get({ plain: true })),
    );
    return entries.map((decision) => ({ kind: "decision", at: decision.decidedAt, decision }));
  }

  /** Reports with their answers, holds, clearances. */
  async health(): Promise<RecordEvent[]> {
    const { models } = this.db;
    const [alerts, restrictions, clearances] = await Promise.all([
      models.SymptomAlert.findAll(this.newest("since")),
      models.Restriction.findAll(this.newest("since")),
      models.Clearance.findAll(this.newest("enteredAt")),
    ]);
    const rows = alerts.map((row) => row.get({ plain: true }));
    const reports = await toldReports(this.db, rows);
    const names = await accountNames(
      this.db,
      rows.flatMap(({ answeredBy }) => answeredBy ?? []),
    );
    return [
      ...rows.map(({ reply, answeredAt, answeredBy }, i): RecordEvent => ({
        kind: "report",
        at: reports[i]!.at,
        report: reports[i]!,
        reply,
        answeredAt: answeredAt?.toISOString() ?? null,
        answeredBy: answeredBy && (names.get(answeredBy) ?? "somebody gone"),
      })),
      ...restrictions.map((row): RecordEvent => {
        const { words = null, ...held } = dated(row.get({ plain: true }));
        const restriction = { ...held, words };
        return { kind: "restriction", at: restriction.since, restriction };
      }),
      ...clearances.map((row): RecordEvent => {
        const clearance = dated(row.get({ plain: true }));
        return { kind: "clearance", at: clearance.enteredAt, clearance };
      }),
    ];
  }

  async absences(): Promise<RecordEvent[]> {
    const rows = await this.db.models.Absence.findAll({
      where: { ...this.place, fromDay: { [Op.lte]: this.dayUntil } },
      order: [["fromDay", "DESC"]],
      limit: LIMIT,
    });
    return rows
      .map((row) => row.get())
      .map(({ id, fromDay, untilDay }): RecordEvent => ({ kind: "absence", at: this.startOf(fromDay), id, from: fromDay, until: untilDay }))
      .filter(({ at }) => at < this.until.toISOString());
  }

  async notes(): Promise<RecordEvent[]> {
    const rows = await this.db.models.PersonNote.findAll({ ...this.newest("at"), attributes: { exclude: ["content"] } });
    const notes = rows.map((row) => row.get());
    const names = await accountNames(
      this.db,
      notes.map(({ writtenBy }) => writtenBy),
    );
    return notes.map(({ id, at, text, writtenBy, fileName, fileType, fileBytes }) => ({
      kind: "note",
      at: at.toISOString(),
      id,
      text,
      by: names.get(writtenBy) ?? "somebody gone",
      attachment: fileType ? { name: fileName!, type: fileType, bytes: fileBytes! } : null,
    }));
  }
}

async function accountNames({ models }: Db, ids: readonly string[]): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map();
  const accounts = await models.Account.findAll({ where: { id: [...new Set(ids)] }, attributes: ["id", "name"] });
  return new Map(accounts.map((account) => [account.get().id, account.get().name]));
}
