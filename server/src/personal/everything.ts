/** Everything that is kept of one person as one open file (docs/formats/person.md), and what there is of it, in short. */
import type { KeptKind, KeptOfPerson } from "@kind-grip/core/api";
import type { Session } from "@kind-grip/core/session";
import { Op, type Transaction, type Model, type ModelStatic, type WhereOptions } from "sequelize";
import { withoutPhoneKeys } from "../contact/contacts";
import type { ContactRow } from "../contact/tables";
import type { Db } from "../db/connection";
import { inOneMoment } from "../db/transaction";
import { notFound } from "../http/problem";
import type { OfPerson } from "../record/notes";

type Rows = Record<string, unknown>[];

/** Kinds of what is kept, each with its rows; none that says nothing of the person. */
async function rowsOf(db: Db, { crewId, personId }: OfPerson, transaction: Transaction): Promise<Record<KeptKind, Rows>> {
  const { models } = db;
  const all = async (table: unknown, where: object = { personId }): Promise<Rows> =>
    (await (table as ModelStatic<Model>).findAll({ where: where as WhereOptions, transaction })).map(
      (row) => row.get({ plain: true }) as Record<string, unknown>,
    );
  const attended = await all(models.RunPerson);
  const runIds = attended.map(({ runId }) => runId as string);
  const runs = new Map((await all(models.Run, { id: runIds })).map((run) => [run.id as string, run]));
  const records = await all(models.Baseline);
  const rounds = new Map((await all(models.Round, { id: records.map(({ roundId }) => roundId) })).map((round) => [round.id, round]));
  const files = (await all(models.PersonNote)).map(({ content, ...note }) => ({
    ...note,
    content: content === null ? null : (content as Buffer).toString("base64"),
  }));
  const calendars = (await all(models.BookingCalendar)).map(({ address, ...calendar }) => ({
    ...calendar,
    host: new URL(address as string).host,
  }));
  return {
    absences: await all(models.Absence),
    contacts: (await all(models.Contact)).map((row) => ({ ...withoutPhoneKeys(row as unknown as ContactRow) })),
    choices: [...(await all(models.ReminderWish)), ...(await all(models.QuickTestWish))],
    rounds: records.map((record) => ({ ...record, round: rounds.get(record.roundId)?.name, at: rounds.get(record.roundId)?.startedOn })),
    restrictions: await all(models.Restriction),
    clearances: await all(models.Clearance),
    reports: await all(models.SymptomReport),
    alerts: await all(models.SymptomAlert),
    mornings: await all(models.CheckIn),
    decisions: await all(models.Decision),
    runs: attended.map((row) => {
      const { sessionName, startedAt, endedAt, session, alone } = runs.get(row.runId as string)!;
      return { ...row, sessionName, startedAt, endedAt, session: forOne(session as Session, personId), alone };
    }),
    ownAnswers: await all(models.OwnAnswer),
    days: await all(models.PersonDay),
    observations: await all(models.Observation),
    notes: files,
    bookings: await all(models.Booking),
    calendars,
    messages: await all(models.Message),
    readings: (
      await models.TrailEntry.findAll({ where: { crewId, personId: { [Op.or]: [personId, null] } }, order: ["at"], transaction })
    ).map((row) => {
      const { id: _id, lineId: _line, practiceId: _practice, segmentId: _segment, crewId: _crew, ...entry } = row.get({ plain: true });
      return entry;
    }),
  };
}

/** A session as it was led, without the forms of the others. */
function forOne(session: Session, personId: string): Session {
  const items = session.items.map((item) => {
    const own = item.personal[personId];
    return { ...item, personal: own ? { [personId]: own } : {} };
  });
  return { ...session, items };
}

/** The moment or day a row is of. */
const WHEN = ["at", "day", "startedAt", "since", "decidedAt", "enteredAt", "givenAt", "queuedAt", "startsAt", "fromDay", "madeAt"];
const dayOf = (row: Record<string, unknown>): string | undefined => {
  const when = WHEN.map((name) => row[name]).find((value) => value !== null && value !== undefined);
  return when === undefined ? undefined : when instanceof Date ? when.toISOString().slice(0, 10) : String(when).slice(0, 10);
};

/** @throws Problem 404 for nobody of that crew */
export async function everythingOf(db: Db, of: OfPerson, at: Date): Promise<object> {
  return inOneMoment(db, async (transaction) => {
    const person = (await db.models.Person.findOne({ where: { id: of.personId, crewId: of.crewId }, transaction }))?.get({ plain: true });
    const crew = (await db.models.Crew.findByPk(of.crewId, { transaction }))?.get({ plain: true });
    if (!person || !crew) throw notFound("person");
    const kept = await rowsOf(db, of, transaction);
    const accounts = await db.models.Account.findAll({
      where: { id: [...new Set(kept.readings.map(({ accountId }) => accountId as string))] },
      attributes: ["id", "name"],
      transaction,
    });
    return {
      format: "kind-grip-person",
      version: 1,
      writtenAt: at.toISOString(),
      crew: { id: crew.id, name: crew.name },
      person,
      people: Object.fromEntries(accounts.map((row) => [row.get().id, row.get().name])),
      ...kept,
    };
  });
}

/** What there is, counted, and from when until when. Kinds without anything are left out. */
export async function keptOf(db: Db, of: OfPerson): Promise<KeptOfPerson> {
  const kept = await inOneMoment(db, (transaction) => rowsOf(db, of, transaction));
  return (Object.entries(kept) as [KeptKind, Rows][]).flatMap(([kind, rows]) => {
    if (rows.length === 0) return [];
    const days = rows.flatMap((row) => dayOf(row) ?? []).sort();
    return [{ kind, count: rows.length, from: days[0] ?? null, until: days.at(-1) ?? null }];
  });
}
