/** Whether more watching could still change what is done about a task. */
import { RAISED_STRAIN, taskStrain, type Task } from "../strain";
import { HAND_SIDES } from "../units";
import type { Rhythm } from "./error";
import type { SeenHand } from "./observation";

/** Less is a coincidence, however alike it looks. */
export const LEAST_WATCHED = { seconds: 180, efforts: 20 } as const;
/** It is asked this often: whoever looks all the time stops at the luckiest moment. */
export const ENOUGH_EVERY_SEC = 15;
/** Both errors below this share: the figure is as good as it gets, on whichever side of the threshold it lies. */
const FINE_SHARE = 0.05;

export type Enough = "tooShort" | "stillOpen" | "verdictIsSettled" | "fineEnough";

/** Two looks in a row say so: one may be luck. */
export function isEnough(before: Enough, now: Enough): boolean {
  return now === before && (now === "verdictIsSettled" || now === "fineEnough");
}

/**
 * @param task as it is described now
 * @param hours of it in a shift
 * @param seen what was seen of each watched hand
 * @returns whether the verdict on the task stays the same wherever in its error each figure truly lies
 */
export function enoughSeen(task: Task, hours: number, seen: readonly SeenHand[]): Enough {
  const rhythms = seen.map(({ rhythm }) => rhythm);
  if (rhythms.some((rhythm) => rhythm === null || rhythm.seconds < LEAST_WATCHED.seconds || rhythm.efforts < LEAST_WATCHED.efforts))
    return "tooShort";
  const corners = [-1, 1].flatMap((rate) => [-1, 1].map((length) => [rate, length] as const));
  const settled = HAND_SIDES.every((side) => {
    const verdicts = corners.map(([rate, length]) => taskStrain(atCorner(task, seen, rate, length), side, hours).index > RAISED_STRAIN);
    return verdicts.every((raised) => raised === verdicts[0]);
  });
  if (settled) return "verdictIsSettled";
  const fine = ({ perMin, secEach }: Rhythm) => perMin.error <= FINE_SHARE * perMin.value && secEach.error <= FINE_SHARE * secEach.value;
  return rhythms.every((rhythm) => fine(rhythm!)) ? "fineEnough" : "stillOpen";
}

/** The task with what was seen, every figure at the same end of its error. */
function atCorner(task: Task, seen: readonly SeenHand[], rate: number, length: number): Task {
  return {
    ...task,
    efforts: task.efforts.flatMap((effort) => {
      const watched = seen.filter(({ effortId }) => effortId === effort.id);
      if (watched.length === 0) return [effort];
      const sides = HAND_SIDES.filter((side) => effort.hands === "both" || effort.hands === side);
      return sides.map((side) => {
        const { rhythm } = watched.find((each) => each.side === side) ?? watched[0]!;
        const perMin = Math.max(0.1, rhythm!.perMin.value + rate * rhythm!.perMin.error);
        return { ...effort, hands: side, perMin, secEach: Math.max(0.1, rhythm!.secEach.value + length * rhythm!.secEach.error) };
      });
    }),
  };
}
