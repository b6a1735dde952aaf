/** What the work calls for: movements that are the opposite of its postures, and coaching cards about the work itself. */
import { COACHING_CARDS, misfitsOf, type CoachingCard, type Movement, type Surroundings, type WorkPosture } from "../library";
import type { Work, WorkDay } from "../strain";
import { HAND_SIDES } from "../units";
import { postureMinutes, type PostureTime } from "./postures";

/** Postures of fewer minutes a shift call for nothing. */
export const LEAST_POSTURE_MIN = 20;

export interface Opposite {
  posture: WorkPosture;
  left: number;
  right: number;
  /** Movements that reverse it and can be done at the crew's place with its kit. */
  movements: Movement[];
}

/** The postures that take at least 20 minutes of a shift in either hand, the most first, each with what reverses it. */
export function oppositesFor(work: Work, day: WorkDay, place: Surroundings, movements: readonly Movement[]): Opposite[] {
  const [left, right] = HAND_SIDES.map((side) => new Map(postureMinutes(work, day, side).map((time) => [time.posture, time.minutes])));
  return [...new Set([...left!.keys(), ...right!.keys()])]
    .map((posture) => ({ posture, left: left!.get(posture) ?? 0, right: right!.get(posture) ?? 0 }))
    .filter((each) => Math.max(each.left, each.right) >= LEAST_POSTURE_MIN)
    .sort((a, b) => Math.max(b.left, b.right) - Math.max(a.left, a.right))
    .map((each) => ({
      ...each,
      movements: movements.filter(
        (movement) =>
          movement.reverses.includes(each.posture) && movement.forms.some((form) => misfitsOf(movement, form.id, place).length === 0),
      ),
    }));
}

/** One hand does this many times as much of a posture as the other before changing hands is advised. */
export const UNEVEN_RATIO = 1.5;

/** Cards pulled up by the answers, the one for the longest posture first. @param ways of the shift, each by itself: nobody works them all */
export function cardsFor(work: Work, ways: readonly WorkDay[]): CoachingCard[] {
  const weights = ways.map((day) => cardWeights(work, day));
  return COACHING_CARDS.map((card, i) => ({ card, weight: Math.max(0, ...weights.map((list) => list[i]!)) }))
    .filter(({ weight }) => weight >= LEAST_POSTURE_MIN)
    .sort((a, b) => b.weight - a.weight)
    .map(({ card }) => card);
}

/** Minutes of the postures each card is about, in the hand that has more of them. */
function cardWeights(work: Work, day: WorkDay): number[] {
  const timesOf = (of: Work) => HAND_SIDES.map((side) => postureMinutes(of, day, side));
  const times = timesOf(work);
  const cold = work.tasks.some((task) => task.cold && day.parts.some((part) => part.taskId === task.id));
  const uneven = (posture: WorkPosture) => {
    const [a = 0, b = 0] = times.map((list) => minutesOf(list, posture));
    return Math.max(a, b) >= LEAST_POSTURE_MIN && Math.max(a, b) >= UNEVEN_RATIO * Math.min(a, b);
  };
  const weightOf = ({ id, postures, grips, withTool = false }: CoachingCard): number => {
    if (id === "warm-hands" && !cold) return 0;
    const counted = id === "change-hands" ? postures.filter(uneven) : postures;
    // A card that is about a grip counts the efforts in that grip only.
    const fitting = grips || withTool ? timesOf(only(work, grips, withTool)) : times;
    return Math.max(0, ...counted.flatMap((posture) => fitting.map((list) => minutesOf(list, posture))));
  };
  return COACHING_CARDS.map(weightOf);
}

/** The work with only the efforts that a card fits. */
function only(work: Work, grips: readonly string[] | undefined, withTool: boolean): Work {
  const tasks = work.tasks.map((task) => ({
    ...task,
    efforts: withTool && task.tool === null ? [] : task.efforts.filter(({ grip }) => !grips || grips.includes(grip)),
  }));
  return { ...work, tasks };
}

function minutesOf(list: readonly PostureTime[], posture: WorkPosture): number {
  return list.find((time) => time.posture === posture)?.minutes ?? 0;
}
