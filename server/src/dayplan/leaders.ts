/** Who leads what: who can lead sessions of which crews, who is to lead each, and which crew leads were shown what they lead. */
import type { Approval, HandedOver, Leader } from "@kind-grip/core/api";
import { isShiftSession, type Session } from "@kind-grip/core/session";
import { isEqual } from "es-toolkit";
import { Op, type Transaction } from "sequelize";
import { noteChanged } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { lockCrew } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { placementById, standingOf, writeStanding } from "./standing";

/** Trainers of the crews and those they are shared with, and the crew leads that were given them. */
export async function leadersOf(
  { models }: Db,
  crews: readonly Pick<CrewRow, "id" | "trainerId">[],
  transaction?: Transaction,
): Promise<Leader[]> {
  const crewId = { [Op.in]: crews.map(({ id }) => id) };
  const [shared, given] = await Promise.all([
    models.CrewColleague.findAll({ where: { crewId, acceptedAt: { [Op.ne]: null } }, attributes: ["accountId", "crewId"], transaction }),
    models.CrewAccess.findAll({ where: { crewId }, transaction }),
  ]);
  const pairs = [
    ...crews.map(({ id, trainerId }) => ({ accountId: trainerId, crewId: id })),
    ...[...shared, ...given].map((row) => ({ accountId: row.get().accountId, crewId: row.get().crewId })),
  ];
  const accounts = await models.Account.findAll({
    where: { id: [...new Set(pairs.map(({ accountId }) => accountId))], role: { [Op.in]: ["trainer", "lead"] } },
    attributes: ["id", "name", "role"],
    order: ["name"],
    transaction,
  });
  return accounts.map((row) => {
    const { id, name, role } = row.get();
    return {
      id,
      name,
      role: role as "trainer" | "lead",
      crewIds: pairs.filter(({ accountId }) => accountId === id).map((pair) => pair.crewId),
    };
  });
}

/** What a crew lead has to have been shown: another order or dose is the same, another movement or form is not. */
export function shownOf({ items }: Session): string[] {
  return [...new Set(items.map(({ movementId, formId }) => `${movementId} ${formId}`))].sort();
}

export async function approvalsOf({ models }: Db, crewIds: readonly string[], sessions: ReadonlyMap<string, Session>): Promise<Approval[]> {
  const rows = (await models.LeadApproval.findAll({ where: { crewId: { [Op.in]: [...crewIds] } } })).map((row) => row.get());
  const names = await models.Account.findAll({
    where: { id: [...new Set(rows.map(({ approvedBy }) => approvedBy))] },
    attributes: ["id", "name"],
  });
  return rows.map(({ accountId, sessionId, at, approvedBy, shown }) => {
    const session = sessions.get(sessionId);
    const by = names.find((row) => row.get().id === approvedBy)?.get().name ?? "";
    return { accountId, sessionId, at: at.toISOString(), by, outdated: !session || !isEqual(shownOf(session), [...shown].sort()) };
  });
}

/**
 * Hands a session over for its day.
 * @throws Problem 404 for a placement that is in no plan of the crew; 409 when a crew lead was not shown it as it is now
 */
export async function handOver(db: Db, caller: Caller, at: Date, crewId: string, placementId: string, handed: HandedOver): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const placement = await placementById(db, crew, placementId, transaction);
    if (!placement) throw notFound("placed session");
    await mayLead(db, caller, at, crew, placement, handed, transaction);
    if (handed.leaderId === null) await db.models.PlacementLeader.destroy({ where: { placementId }, transaction });
    else await db.models.PlacementLeader.upsert({ placementId, crewId, leaderId: handed.leaderId }, { transaction });
  });
}

/** Hands a series over: every day of it that was not handed over by itself. */
export async function handOverSeries(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  seriesId: string,
  handed: HandedOver,
): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, crewId, transaction);
    const standing = await standingOf(db, crewId, transaction);
    const own = standing.document.series.find(({ id }) => id === seriesId);
    if (!own) throw notFound("series");
    await mayLead(db, caller, at, crew, own, handed, transaction);
    const series = standing.document.series.map((each) => (each === own ? { ...each, leaderId: handed.leaderId } : each));
    if (!(await writeStanding(db, standing, { ...standing.document, series }, at, transaction)))
      throw new Problem(409, "stale", "Somebody else changed this plan meanwhile.");
  });
}

async function mayLead(
  db: Db,
  caller: Caller,
  at: Date,
  crew: CrewRow,
  { programId, sessionId }: { programId: string; sessionId: string },
  { leaderId, shown }: HandedOver,
  transaction: Transaction,
): Promise<void> {
  if (leaderId === null) return;
  const leader = (await leadersOf(db, [crew], transaction)).find(({ id }) => id === leaderId);
  if (!leader) throw invalid([{ path: "leaderId", message: "leads no sessions of this crew" }]);
  if (leader.role === "trainer") return;
  const program = (await db.models.Program.findOne({ where: { id: programId, crewId: crew.id }, transaction }))?.get();
  const session = program?.document.sessions.find((each) => each.id === sessionId);
  if (!session || !isShiftSession(session)) throw notFound("session");
  const known = (await db.models.LeadApproval.findOne({ where: { accountId: leaderId, sessionId }, transaction }))?.get();
  const now = shownOf(session);
  if (known && isEqual([...known.shown].sort(), now)) return;
  if (!shown) throw new Problem(409, "notShown", `${leader.name} was not shown this session as it is now.`);
  const row = { accountId: leaderId, sessionId, crewId: crew.id, approvedBy: caller.accountId, at, shown: now };
  await db.models.LeadApproval.upsert(row, { transaction });
  const what = `showed ${leader.name} the session ${session.name} and approved them to lead it`;
  await noteChanged(db, caller, at, { crewId: crew.id, personId: null, subject: "access", what }, transaction);
}
