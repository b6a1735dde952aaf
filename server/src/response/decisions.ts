/** Decisions: proposed from the records, confirmed or overruled by the trainer, and in force with the next session. */
import type { DecisionEntry, WaitingDecision } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { hasLeft } from "@kind-grip/core/crew";
import type { Library } from "@kind-grip/core/library";
import {
  KINDS_BY_URGENCY,
  oneAtATime,
  respond,
  sameDoing,
  type DecisionKind,
  type NewDecision,
  type Response,
} from "@kind-grip/core/response";
import { refusalOf } from "@kind-grip/core/safety";
import { heldIn, setPersonalForm } from "@kind-grip/core/session";
import { nextRaise, type Present } from "@kind-grip/core/program";
import type { Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf, crewOfThing, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import type { DecisionRow, ProposalRow } from "./tables";
import { inRow } from "../db/encrypted";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { practiceLibrary } from "../library/practice-library";
import { settingsOf } from "../practice/settings";
import { itemFacts, type PersonItem } from "./item-facts";

interface Proposed extends PersonItem {
  response: Response;
}

/** Every proposal of a crew that is not "hold", most urgent first; with `all`, those too. */
export async function waitingDecisions(db: Db, caller: Caller, at: Date, crewId: string, all: boolean): Promise<WaitingDecision[]> {
  const crew = await crewOf(db, caller, crewId);
  const [proposed, people] = await Promise.all([
    proposals(db, caller.practiceId, crew, at),
    db.models.Person.findAll({ where: { crewId } }),
  ]);
  const names = new Map(people.map((person) => [person.get().id, person.get()]));
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const gone = new Set(people.flatMap((person) => (hasLeft(person.get(), today) ? [person.get().id] : [])));
  return proposed
    .filter(({ personId, response }) => !gone.has(personId) && (all || response.kind !== "hold"))
    .sort((a, b) => KINDS_BY_URGENCY.indexOf(a.response.kind) - KINDS_BY_URGENCY.indexOf(b.response.kind))
    .map(({ personId, programId, itemId, facts, response }) => ({
      personId,
      name: names.get(personId)?.name ?? "",
      programId,
      itemId,
      movementId: facts.item.movementId,
      was: facts.present,
      response,
      runs: facts.runs.slice(-14).map(({ day, effort, status, marks }) => ({ day, effort, status, marks: marks.length })),
      mornings: facts.mornings.slice(-14).map(({ day, level }) => ({ day, level })),
      usualLevel: facts.usualLevel,
    }));
}

async function proposals(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  at: Date,
  personIds?: readonly string[],
  transaction?: Transaction,
): Promise<Proposed[]> {
  const library = await practiceLibrary(db, practiceId, transaction);
  const [facts, { settings }] = await Promise.all([
    itemFacts(db, library, crew, at, personIds, transaction),
    settingsOf(db, practiceId, transaction),
  ]);
  const answers = facts.flatMap((each) => {
    const response = respond(library, each.facts, settings.thresholds);
    return response ? [{ ...each, movementId: each.facts.item.movementId, response }] : [];
  });
  return [...new Set(answers.map(({ personId }) => personId))].flatMap((personId) =>
    oneAtATime(
      library,
      answers.filter((answer) => answer.personId === personId),
    ),
  );
}

/** Writes down what waits for some people, in the transaction that brought the news. */
export async function refreshProposals(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  at: Date,
  personIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (personIds.length === 0) return;
  const rows = (await proposals(db, practiceId, crew, at, personIds, transaction))
    .filter(({ response }) => response.kind !== "hold")
    .map(({ personId, programId, itemId, facts, response }): ProposalRow => ({
      personId,
      itemId,
      crewId: crew.id,
      programId,
      movementId: facts.item.movementId,
      kind: response.kind,
      madeAt: at,
    }));
  await db.models.Proposal.destroy({ where: { crewId: crew.id, personId: [...personIds] }, transaction });
  await db.models.Proposal.bulkCreate(rows, { transaction });
}

/**
 * Takes decisions, all or none. What was proposed is worked out again from the records: when it is not what the screen showed, nothing
 * is stored and the new proposals are looked at first. Deciding the same thing twice decides it once.
 */
export async function decide(db: Db, caller: Caller, at: Date, crewId: string, decisions: readonly NewDecision[]): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const there = (
      await db.models.Decision.findAll({ where: { id: decisions.map(({ id }) => id) }, attributes: ["id", "crewId"], transaction })
    ).map((row) => row.get());
    // An id names the same decision sent again, and nothing of another crew.
    if (there.some((row) => row.crewId !== crewId)) throw notFound("decision");
    const known = new Set(there.map(({ id }) => id));
    const fresh = decisions.filter(({ id }) => !known.has(id));
    if (fresh.length === 0) return;
    const personIds = [...new Set(fresh.map(({ personId }) => personId))];
    const [library, proposed, practice] = await Promise.all([
      practiceLibrary(db, caller.practiceId, transaction),
      proposals(db, caller.practiceId, crew, at, personIds, transaction),
      settingsOf(db, caller.practiceId, transaction),
    ]);
    const rows: DecisionRow[] = [];
    for (const [i, decision] of fresh.entries()) {
      const found = proposed.find((each) => each.personId === decision.personId && each.itemId === decision.itemId);
      if (!found || found.programId !== decision.programId)
        throw invalid([{ path: `decisions.${i}.itemId`, message: "there is nothing to decide here" }]);
      if (found.response.kind !== decision.proposed)
        throw new Problem(409, "changed", "New answers came in meanwhile. Look at this one again.", [], { itemId: decision.itemId });
      if (decision.decided !== decision.proposed && (decision.why ?? "").length < 3)
        throw invalid([{ path: `decisions.${i}.why`, message: "say why it is not what was proposed" }]);
      const next = nextFor(library, found, decision.decided);
      if (next) await giveForm(db, library, found, next, transaction);
      const { id, decided, why } = decision;
      rows.push(decisionRow({ ...decidedOf(found), id, decided, why: why || null, next }, caller, at, crewId, practice));
    }
    await db.models.Decision.bulkCreate(rows, { transaction });
    for (const { personId, decided } of rows)
      await noteChanged(db, caller, at, { crewId, personId, subject: "decision", what: decided }, transaction);
    await refreshProposals(db, caller.practiceId, crew, at, personIds, transaction);
  });
}

/**
 * The trainer has looked at what a person reported and gives it back: what the same evidence proposes to ease or pause is decided with
 * that, in the transaction that holds the lock of the crew, so that it does not come a second time.
 * @param isAbout whether a movement was meant @param why kept with each decision
 */
export async function decideToGoOn(
  db: Db,
  caller: Caller,
  at: Date,
  crew: CrewRow,
  personId: string,
  isAbout: (movementId: string) => boolean,
  why: string,
  transaction: Transaction,
): Promise<void> {
  const [proposed, practice] = await Promise.all([
    proposals(db, caller.practiceId, crew, at, [personId], transaction),
    settingsOf(db, caller.practiceId, transaction),
  ]);
  const rows = proposed
    .filter(({ response: { kind }, facts }) => (kind === "ease" || kind === "pauseAndRefer") && isAbout(facts.item.movementId))
    .map((found) => decisionRow({ ...decidedOf(found), id: uuid(), decided: "hold", why, next: null }, caller, at, crew.id, practice));
  await db.models.Decision.bulkCreate(rows, { transaction });
}

interface Decided extends Pick<DecisionRow, "id" | "personId" | "programId" | "itemId" | "movementId" | "was" | "decided" | "why"> {
  response: Response;
  next: Present | null;
}

/** A decision as it is kept: what was proposed, what was decided, and the thresholds of that day. */
export function decisionRow(
  { response, next, ...rest }: Decided,
  caller: Caller,
  at: Date,
  crewId: string,
  { settings, version }: Awaited<ReturnType<typeof settingsOf>>,
): DecisionRow {
  return {
    ...rest,
    crewId,
    proposed: response.kind,
    response: { ...response, next },
    settings: settings.thresholds,
    settingsVersion: version,
    decidedBy: caller.accountId,
    decidedAt: at,
    resumedAt: null,
    resumedWhy: null,
  };
}

function decidedOf({ personId, programId, itemId, facts, response }: Proposed) {
  return { personId, programId, itemId, movementId: facts.item.movementId, was: facts.present, response };
}

/** What the person does from now on: as proposed, or what the trainer's own choice comes to. */
function nextFor(library: Library, { facts, response }: Proposed, decided: DecisionKind): Present | null {
  if (decided === response.kind) return response.next;
  if (decided === "progress") {
    const raise = nextRaise(library, facts.item, facts.present, facts.place, facts.putDown);
    return raise.change === "none" ? null : raise.next;
  }
  // What easing would come to is asked of the same rules, as if the person had just stopped early.
  if (decided === "ease")
    return (
      respond(library, {
        ...facts,
        eased: false,
        runs: [{ day: facts.today, status: "part", effort: null, sessionCap: 0, marks: ["stopped"] }],
      })?.next ?? null
    );
  return null;
}

async function giveForm(
  db: Db,
  library: Library,
  { personId, programId, itemId, facts }: Proposed,
  next: Present,
  transaction: Transaction,
): Promise<void> {
  if (refusalOf(library, facts.participation, facts.item.movementId) !== null || !library.find(facts.item.movementId)) return;
  const row = await db.models.Program.findByPk(programId, { transaction, lock: transaction.LOCK.UPDATE, rejectOnEmpty: true });
  const { document, version } = row.get({ plain: true });
  const sessions = document.sessions.map((session) => {
    const item = session.items.find((each) => each.id === itemId);
    if (!item) return session;
    const asWritten = sameDoing(next, { formId: item.formId, dose: item.dose, ...heldIn(item, library.timings) });
    return setPersonalForm(session, itemId, personId, asWritten ? undefined : next);
  });
  await row.update({ document: { ...document, sessions }, version: version + 1, changedAt: new Date() }, { transaction });
}

const DECISIONS_PER_PAGE = 40;

/** Decisions of a crew or one person, newest first. */
export async function decisionHistory(
  db: Db,
  caller: Caller,
  crewId: string,
  { page, personId }: { page: number; personId?: string },
): Promise<{ total: number; pageSize: number; decisions: DecisionEntry[] }> {
  await crewOf(db, caller, crewId);
  const { count, rows } = await db.models.Decision.findAndCountAll({
    where: { crewId, ...(personId && { personId }) },
    order: [
      ["decidedAt", "DESC"],
      ["id", "DESC"],
    ],
    limit: DECISIONS_PER_PAGE,
    offset: page * DECISIONS_PER_PAGE,
  });
  return {
    total: count,
    pageSize: DECISIONS_PER_PAGE,
    decisions: await decisionEntries(
      db,
      rows.map((row) => row.get({ plain: true })),
    ),
  };
}

/** With the names of who decided. */
export async function decisionEntries(db: Db, list: readonly DecisionRow[]): Promise<DecisionEntry[]> {
  if (list.length === 0) return [];
  const accounts = await db.models.Account.findAll({ where: { id: [...new Set(list.map(({ decidedBy }) => decidedBy))] } });
  const names = new Map(accounts.map((account) => [account.get().id, account.get().name]));
  return list.map(({ crewId: _crew, decidedAt, resumedAt, ...rest }) => ({
    ...rest,
    decidedAt: decidedAt.toISOString(),
    resumedAt: resumedAt?.toISOString() ?? null,
    by: names.get(rest.decidedBy) ?? "somebody gone",
  }));
}

/** Ends a pause: the item is the person's again, with a reason that is kept. */
export async function resume(db: Db, caller: Caller, at: Date, decisionId: string, why: string): Promise<void> {
  const row = (await db.models.Decision.findByPk(decisionId))?.get({ plain: true });
  if (!row) throw notFound("decision");
  await crewOfThing(db, caller, row.crewId, "decision");
  await inTransaction(db, async (transaction) => {
    const [changed] = await db.models.Decision.update(
      { resumedAt: at, ...inRow(db.models.Decision, [decisionId], { resumedWhy: why }) },
      { where: { id: decisionId, decided: "pauseAndRefer", resumedAt: null }, transaction },
    );
    if (changed === 1)
      await noteChanged(
        db,
        caller,
        at,
        { crewId: row.crewId, personId: row.personId, subject: "decision", what: "taken up again" },
        transaction,
      );
  });
}
