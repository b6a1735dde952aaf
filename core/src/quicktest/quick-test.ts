import * as v from "valibot";
import { countsFrom, MOST_GRIP_KG, type MeasuringNoise } from "../baseline";

/**
 * grip: one squeeze of the main hand, kg · twistLid: how hard a tight lid is to twist · bentBack: how tight it feels with the palm flat
 * on a wall or a table's edge, fingers up, the wrist bent back · tingling: how much it tingles now. All but grip 0–10, less is better.
 */
export const QUICK_TESTS = ["twistLid", "bentBack", "grip", "tingling"] as const;
export const QuickTest = v.picklist(QUICK_TESTS);
export type QuickTest = v.InferOutput<typeof QuickTest>;

/** What a crew is asked together: tingling is nobody's business but one's own. */
export const QUICK_TESTS_OF_CREW = ["twistLid", "bentBack", "grip"] as const;
/** What a phone can ask: it has no grip meter. */
export const QUICK_TESTS_OF_PHONE = ["twistLid", "bentBack", "tingling"] as const;

/** What somebody chose for themselves. */
export const OwnQuickTest = v.picklist([...QUICK_TESTS_OF_PHONE, "none"]);
export type OwnQuickTest = v.InferOutput<typeof OwnQuickTest>;

const reading = v.nullable(
  v.pipe(v.number("must be a number"), v.minValue(0, "must be 0 or more"), v.maxValue(MOST_GRIP_KG, `must be at most ${MOST_GRIP_KG} kg`)),
);

/** Of one person in one run; either may be left out. */
export const QuickResult = v.pipe(
  v.strictObject({ test: QuickTest, before: reading, after: reading }),
  v.check(
    ({ test, before, after }) =>
      test === "grip" || [before, after].every((each) => each === null || (Number.isInteger(each) && each <= 10)),
    "must be a whole number from 0 to 10",
  ),
);
export type QuickResult = v.InferOutput<typeof QuickResult>;

/**
 * What a person is asked on their own phone.
 * @param crew what the crew is asked; null for nothing @param own what they chose; null for as the crew
 * @returns null for nothing
 */
export function quickTestFor(crew: QuickTest | null, own: OwnQuickTest | null): QuickTest | null {
  const test = own ?? crew;
  return test !== null && test !== "none" && isAskedOnPhone(test) ? test : null;
}

export function isAskedOnPhone(test: QuickTest): boolean {
  return (QUICK_TESTS_OF_PHONE as readonly QuickTest[]).includes(test);
}

/** How much better it was after than before, in the unit of the test; null where one of the two is missing. */
export function gainOf({ test, before, after }: QuickResult): number | null {
  if (before === null || after === null) return null;
  return test === "grip" ? after - before : before - after;
}

/**
 * What one pair alone does not tell apart: the practice's own noise of a grip or of a 0–10 effort, or the usual rule.
 * @param typical a usual reading, in the unit of the test
 */
export function noiseOfTest(noise: MeasuringNoise, test: QuickTest, typical: number): number {
  return countsFrom(noise, test === "grip" ? "grip" : "function", typical);
}
