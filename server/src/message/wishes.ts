/** Who wants to be reminded, and how long before a session: as the crew is, or as they chose themselves. */
import type { MemberDay, ReminderRule } from "@kind-grip/core/api";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";

type Before = ReminderRule["minutesBefore"];

export async function ruleOf({ models }: Db, crewId: string): Promise<ReminderRule> {
  return { minutesBefore: ((await models.ReminderRule.findByPk(crewId))?.get().minutesBefore ?? null) as Before };
}

export async function changeRule(db: Db, caller: Caller, crewId: string, { minutesBefore }: ReminderRule): Promise<ReminderRule> {
  await crewOf(db, caller, crewId);
  await db.models.ReminderRule.upsert({ crewId, minutesBefore });
  return ruleOf(db, crewId);
}

export async function reminderOf(db: Db, crewId: string, personId: string): Promise<MemberDay["reminder"]> {
  const [crew, wish] = await Promise.all([ruleOf(db, crewId), db.models.ReminderWish.findByPk(personId)]);
  return { crew, own: wish ? { minutesBefore: wish.get().minutesBefore as Before } : null };
}

export async function chooseReminder({ models }: Db, { accountId, crewId }: Caller, own: ReminderRule | null): Promise<void> {
  if (own === null) await models.ReminderWish.destroy({ where: { personId: accountId } });
  else await models.ReminderWish.upsert({ personId: accountId, crewId: crewId!, minutesBefore: own.minutesBefore });
}

export interface Wishes {
  /** Of the crew. */
  rule: Before;
  own: ReadonlyMap<string, Before>;
}

export async function wishesOf(db: Db, crewId: string): Promise<Wishes> {
  const [{ minutesBefore }, rows] = await Promise.all([ruleOf(db, crewId), db.models.ReminderWish.findAll({ where: { crewId } })]);
  return { rule: minutesBefore, own: new Map(rows.map((row) => [row.get().personId, row.get().minutesBefore as Before])) };
}

/** Whoever said that they want none gets none, whoever asks. */
export function wantsNone({ own }: Wishes, personId: string): boolean {
  return own.has(personId) && own.get(personId) === null;
}

/** How long before a session somebody is reminded by itself; null for not at all. */
export function minutesFor({ rule, own }: Wishes, personId: string): Before {
  return own.has(personId) ? own.get(personId)! : rule;
}
