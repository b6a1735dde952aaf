/** How crew members get in: a crew code and a PIN, or a card with a secret link. Secrets are shown once and kept as hashes. */
import type { Card } from "@kind-grip/core/api";
import { workingDayAt } from "@kind-grip/core/calendar";
import { hasLeft } from "@kind-grip/core/crew";
import { createHash, randomBytes, randomInt } from "node:crypto";
import type { Request } from "express";
import type { Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import { attempted, knownDevice } from "../auth/attempts";
import { endSessions } from "../auth/sessions";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { hashPassword, passwordMatches } from "../auth/password";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow, PersonRow } from "../crew/tables";
import type { MemberAccessRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, Problem } from "../http/problem";

/** Letters and digits nobody takes for another. */
const CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";
const CODE_LENGTH = 6;
/** The first digits say who it is, the rest is secret. */
const NUMBER_DIGITS = 3;
const SECRET_DIGITS = 5;

export interface AccessEntry {
  code: string | null;
  people: { personId: string; number: number; issuedAt: string }[];
}

export async function accessOf(db: Db, caller: Caller, crewId: string): Promise<AccessEntry> {
  const crew = await crewOf(db, caller, crewId);
  const rows = await db.models.MemberAccess.findAll({ where: { crewId }, order: ["number"] });
  return {
    code: crew.code ?? null,
    people: rows.map((row) => {
      const { personId, number, issuedAt } = row.get({ plain: true });
      return { personId, number, issuedAt: issuedAt.toISOString() };
    }),
  };
}

/** New PINs and cards; what these people had before stops working. */
export async function issueCards(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  personIds: readonly string[],
): Promise<{ code: string; cards: Card[] }> {
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const people = (await db.models.Person.findAll({ where: { crewId, id: [...personIds], erasedAt: null }, transaction })).map((row) =>
      row.get(),
    );
    if (people.length !== new Set(personIds).size)
      throw invalid([{ path: "personIds", message: "names somebody who is not in this crew" }]);
    const code = crew.code ?? (await newCode(db, crew, transaction));
    const known = (await db.models.MemberAccess.findAll({ where: { crewId }, transaction })).map((row) => row.get({ plain: true }));
    let highest = Math.max(0, ...known.map(({ number }) => number));
    const cards: Card[] = [];
    for (const person of people) {
      const number = known.find(({ personId }) => personId === person.id)?.number ?? ++highest;
      const secret = String(randomInt(10 ** SECRET_DIGITS)).padStart(SECRET_DIGITS, "0");
      const token = randomBytes(24).toString("base64url");
      const row: MemberAccessRow = {
        personId: person.id,
        crewId,
        number,
        pinHash: await hashPassword(secret),
        cardHash: hashOf(token),
        issuedAt: at,
      };
      await db.models.MemberAccess.upsert(row, { transaction });
      cards.push({ personId: person.id, name: person.name, pin: `${String(number).padStart(NUMBER_DIGITS, "0")}-${secret}`, token });
    }
    await endSessions(
      db,
      people.map(({ id }) => id),
      transaction,
    );
    await noteChanged(db, caller, at, { crewId, personId: null, subject: "access", what: `${cards.length} cards made` }, transaction);
    return { code, cards };
  });
}

export async function withdrawAccess(db: Db, caller: Caller, at: Date, crewId: string, personIds: readonly string[]): Promise<AccessEntry> {
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crewId, transaction);
    const where = { crewId, personId: [...personIds] };
    const theirs = (await db.models.MemberAccess.findAll({ where, attributes: ["personId"], transaction })).map(
      (row) => row.get().personId,
    );
    const gone = await db.models.MemberAccess.destroy({ where, transaction });
    await endSessions(db, theirs, transaction);
    if (gone > 0)
      await noteChanged(db, caller, at, { crewId, personId: null, subject: "access", what: `${gone} cards withdrawn` }, transaction);
  });
  return accessOf(db, caller, crewId);
}

/**
 * @param at by the real clock: tries are counted by it
 * @throws Problem 401 alike for an unknown code, number and PIN; 429 after too many failures for this person or from this address
 */
export async function memberByPin(
  { db, now }: Pick<AppContext, "db" | "now">,
  typedCode: string,
  typedPin: string,
  request: Request,
  at: Date,
): Promise<Caller> {
  const code = typedCode.toUpperCase().replace(/[^A-Z0-9]/g, "");
  const digits = typedPin.replace(/\D/g, "");
  const number = Number(digits.slice(0, NUMBER_DIGITS));
  const crew = (await db.models.Crew.findOne({ where: { code, removedAt: null } }))?.get({ plain: true });
  const access = crew && (await db.models.MemberAccess.findOne({ where: { crewId: crew.id, number } }))?.get({ plain: true });
  const attempt = {
    account: `member ${code} ${number}`,
    crew: `member ${code} `,
    address: request.ip ?? "unknown",
    device: await knownDevice(db, request, access?.personId),
  };
  const caller = await attempted(db, attempt, at, async () => {
    const matches = await passwordMatches(access?.pinHash, digits.slice(NUMBER_DIGITS));
    return matches && access ? callerFor({ db, now }, access) : undefined;
  });
  if (!caller) throw new Problem(401, "wrongSignIn", "This code and PIN do not belong together.");
  return caller;
}

/**
 * A card's secret is too long to be guessed, so a good one is let in without counting: a whole crew photographs theirs in the same moment,
 * from one address. What is no card is counted.
 */
export async function memberByCard(
  { db, now }: Pick<AppContext, "db" | "now">,
  token: string,
  request: Request,
  at: Date,
): Promise<Caller> {
  const access = (await db.models.MemberAccess.findOne({ where: { cardHash: hashOf(token) } }))?.get({ plain: true });
  const caller = access && (await callerFor({ db, now }, access));
  if (caller) return caller;
  const attempt = { account: `card from ${request.ip ?? "unknown"}`, addressOnly: true, address: request.ip ?? "unknown" };
  await attempted(db, attempt, at, () => Promise.resolve(undefined));
  throw new Problem(401, "wrongSignIn", "This card is no longer good. Ask your trainer for a new one.");
}

/** Whoever has left the crew, or whose card was withdrawn, is nobody. */
async function callerFor(
  { db: { models }, now }: Pick<AppContext, "db" | "now">,
  { personId, crewId }: MemberAccessRow,
): Promise<Caller | undefined> {
  const person = (await models.Person.findByPk(personId))?.get() as PersonRow | undefined;
  const crew = (await models.Crew.findOne({ where: { id: crewId, removedAt: null } }))?.get();
  const account = crew && (await models.Account.findByPk(crew.trainerId))?.get();
  if (!person || !account) return undefined;
  const caller = { role: "member", accountId: personId, practiceId: account.practiceId, crewId } as const;
  return isOver(person, crew, await now(caller)) ? undefined : caller;
}

/**
 * Still good? Asked at every call: a withdrawn card and a removed account end what they opened, and so does the end of somebody's last
 * shift, by the clock of their crew.
 */
export async function isStillGood({ models }: Db, { accountId }: Caller, at: Date): Promise<boolean> {
  const access = await models.MemberAccess.findByPk(accountId, { attributes: ["personId"] });
  const person = access && (await models.Person.findByPk(accountId, { attributes: ["leftOn", "crewId"] }))?.get();
  if (!person) return false;
  if (person.leftOn === null) return true;
  const crew = (await models.Crew.findByPk(person.crewId))?.get();
  return !!crew && !isOver(person, crew, at);
}

/** Whether the shift of somebody's last day is over: at night it goes on past midnight. */
function isOver(person: Pick<PersonRow, "leftOn">, { detail: { shiftPattern, timeZone } }: Pick<CrewRow, "detail">, at: Date): boolean {
  return hasLeft(person, workingDayAt(shiftPattern, timeZone, at.getTime()));
}

async function newCode({ models }: Db, crew: CrewRow, transaction: Transaction): Promise<string> {
  for (;;) {
    const code = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join("");
    if (await models.Crew.findOne({ where: { code }, transaction })) continue;
    await models.Crew.update({ code }, { where: { id: crew.id }, transaction });
    return code;
  }
}

export function hashOf(token: string): string {
  return createHash("sha256").update(token).digest("hex");
}
