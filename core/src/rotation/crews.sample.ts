/** Crews by chance, the same every time: twenty-four people at eight tasks in eight turns, a few of them to spare. */
import { chanceFrom } from "../solver";
import type { Effort, Task } from "../strain";
import type { RotationProblem } from "./problem";

const TASKS = 8;
const PEOPLE = 24;

type SomeEffort = Pick<Effort, "effort" | "perMin" | "secEach" | "hands">;

/** In every other crew some may not do some tasks. @param taskOf a task of one effort */
export function crewsByChance(count: number, taskOf: (name: string, effort: SomeEffort) => Task): RotationProblem[] {
  const chance = chanceFrom(7);
  const upTo = (most: number) => Math.floor(chance() * most);
  return Array.from({ length: count }, (_, n) => {
    const tasks = Array.from({ length: TASKS }, (__, t) =>
      taskOf(`task ${t}`, {
        effort: 1 + upTo(16) / 2,
        perMin: 2 + upTo(20),
        secEach: 0.5 + upTo(4) / 2,
        hands: (["left", "right", "both"] as const)[upTo(3)]!,
      }),
    );
    const spare = n % 3 === 0 ? 0 : upTo(5);
    const needed = tasks.map(() => 1);
    for (let more = TASKS; more < PEOPLE - spare; more++) needed[upTo(TASKS)]! += 1;
    const people = Array.from({ length: PEOPLE }, (__, p) => ({
      id: `person ${p}`,
      not: n % 2 === 1 && chance() < 0.35 ? tasks.filter(() => chance() < 0.25).map(({ id }) => id) : [],
    }));
    return { tasks, turns: 8, turnMin: 60, needed, people };
  });
}
