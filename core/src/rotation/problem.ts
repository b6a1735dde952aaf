/** What is asked of a rotation, and what is answered. */
import type { Task } from "../strain";

export interface RotationProblem {
  tasks: readonly Task[];
  /** Turns of a shift, 1 to 12: after each the tasks can be exchanged. */
  turns: number;
  /** Minutes of a turn. */
  turnMin: number;
  /** People at each task in every turn, in the order of the tasks; together no more than there are people. */
  needed: readonly number[];
  /** Each with the tasks they may not do. */
  people: readonly { id: string; not: readonly string[] }[];
}

export interface Rotation {
  /** Task of each person in each turn, in the order of the people; null is at nothing that strains the hands. */
  rows: { personId: string; taskIds: (string | null)[]; strain: number }[];
  /** The hardest hand of all. */
  hardest: number;
  /** No rotation has an easier hardest hand. */
  bound: number;
}

/** More people wanted than there are; a task that too few may do; more ways to share the turns out than can be looked through. */
export type NoRotation = "tooFewPeople" | "notAllowed" | "tooManyWays";

export const MOST_TURNS = 12;
/** Ways for one person to share the turns out that are looked through. */
export const MOST_PATTERNS = 60_000;

/** How far the hardest hand is from the best there could be, as a share of it; 0 is proven best. */
export function gapOfRotation({ hardest, bound }: Pick<Rotation, "hardest" | "bound">): number {
  return hardest > 0 ? Math.max(0, hardest - bound) / hardest : 0;
}

/** People who may do the same. */
export interface Kind {
  members: readonly string[];
  /** Whether they may do each task, in the order of the tasks; the last, nothing, everybody may. */
  may: readonly boolean[];
}

export function kindsOf({ tasks, people }: RotationProblem): Kind[] {
  const kinds = new Map<string, { members: string[]; may: boolean[] }>();
  for (const { id, not } of people) {
    const may = [...tasks.map((task) => !not.includes(task.id)), true];
    const kind = kinds.get(may.join()) ?? { members: [], may };
    kind.members.push(id);
    kinds.set(may.join(), kind);
  }
  return [...kinds.values()];
}

export function isFor({ may }: Kind, turns: readonly number[]): boolean {
  return turns.every((each, t) => each === 0 || may[t]!);
}
