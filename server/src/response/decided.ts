/** What was decided before of somebody's item, as far as the next proposal asks for it. */
import type { HeldForm } from "@kind-grip/core/program";
import { sameDoing, type DecisionKind, type ItemFacts } from "@kind-grip/core/response";
import { grouped } from "@kind-grip/core/units";
import { Op, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import type { DecisionRow } from "./tables";

/**
 * Of each person and item the last decision, and the last that changed what is done, oldest first; however many there were before, they
 * are not read.
 */
export async function decisionsThatCount(
  { models }: Db,
  crewId: string,
  at: Date,
  of: { personId?: string[] },
  transaction?: Transaction,
): Promise<DecisionRow[]> {
  const brief = (await models.Decision.findAll({
    where: { crewId, decidedAt: { [Op.lte]: at }, ...of },
    attributes: ["id", "personId", "itemId", "decided"],
    order: [["decidedAt", "DESC"]],
    raw: true,
    transaction,
  })) as unknown as Pick<DecisionRow, "id" | "personId" | "itemId" | "decided">[];
  const found: DecisionRow[] = [];
  const read = async (ids: string[]) => {
    const rows = ids.length === 0 ? [] : await models.Decision.findAll({ where: { id: ids }, transaction });
    const plain = rows.map((row) => row.get({ plain: true }));
    found.push(...plain.filter(({ id }) => !found.some((known) => known.id === id)));
    return plain;
  };
  const ofItem = [...grouped(brief, ({ personId, itemId }) => `${personId} ${itemId}`).values()];
  await read(ofItem.map(([last]) => last!.id));
  // Whether a decision changed something is told by its proposal, which is read of one after the other until one did.
  let open = ofItem.map((list) => list.filter(({ decided }) => decided !== "hold"));
  while ((open = open.filter((list) => list.length > 0)).length > 0) {
    const changed = new Set((await read(open.map(([next]) => next!.id))).filter(changesSomething).map(({ id }) => id));
    open = open.flatMap(([next, ...before]) => (changed.has(next!.id) ? [] : [before]));
  }
  return found.sort((a, b) => a.decidedAt.getTime() - b.decidedAt.getTime());
}

/**
 * Person and movement → what was in the hand last, by what was decided of any item of it; in a block before, too.
 * @param asked of whom, and of which movements
 */
export async function loadsHeldLast(
  { models }: Db,
  crewId: string,
  at: Date,
  asked: readonly { personId: string; movementId: string }[],
  transaction?: Transaction,
): Promise<Map<string, HeldForm>> {
  if (asked.length === 0) return new Map();
  const rows = await models.Decision.findAll({
    where: {
      crewId,
      personId: [...new Set(asked.map(({ personId }) => personId))],
      movementId: [...new Set(asked.map(({ movementId }) => movementId))],
      decided: ["ease", "progress"],
      decidedAt: { [Op.lte]: at },
    },
    attributes: ["id", "personId", "movementId", "was", "response"],
    order: ["decidedAt"],
    transaction,
  });
  return new Map(
    rows.flatMap((row): [string, HeldForm][] => {
      const { personId, movementId, was, response } = row.get({ plain: true });
      const held = [response.next, was].find((each) => each && each.loadKg !== null);
      if (!held) return [];
      const { formId, loadKg, tool = null, gripM = null } = held;
      return [[`${personId} ${movementId}`, { formId, held: { loadKg, tool, gripM } }]];
    }),
  );
}

/** Whether a decision changed what is done: a raise, an easing, a pause. Choosing "hold" changes nothing. */
export function changesSomething({ decided, response }: DecisionRow): boolean {
  return decided === "pauseAndRefer" || (decided !== "hold" && response.next !== null);
}

/** What was done before a raise that is still what is done. */
export function beforeRaise(decision: DecisionRow | undefined, present: ItemFacts["present"]): ItemFacts["present"] | null {
  const raisedTo = decision?.decided === "progress" ? decision.response.next : null;
  return raisedTo && sameDoing(raisedTo, present) ? decision!.was : null;
}

/** What the trainer chose against with their last decision, while no run and no morning has come in since. */
export function overruledOn(
  last: DecisionRow | undefined,
  runs: readonly { startedAt: Date }[],
  mornings: readonly { at: Date }[],
): DecisionKind | null {
  if (!last || last.decided !== "hold" || last.proposed === "hold") return null;
  const isNews = runs.some(({ startedAt }) => startedAt > last.decidedAt) || mornings.some(({ at }) => at > last.decidedAt);
  return isNews ? null : last.proposed;
}
