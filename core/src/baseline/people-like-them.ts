/**
 * Grip of adults by age and sex, for whoever wants to be compared: Mathiowetz V, Kashman N, Volland G, Weber K, Dowe M, Rogers S. Grip and
 * pinch strength: normative data for adults. Arch Phys Med Rehabil 1985; 66(2): 69–74. Mean of three trials, seated, elbow bent, as here;
 * most of the 638 people were right-handed. Working ages only.
 */
import * as v from "valibot";
import { massOf, type Handedness, type HandSide } from "../units";

export const AGE_BANDS = ["20–24", "25–29", "30–34", "35–39", "40–44", "45–49", "50–54", "55–59", "60–64"] as const;
export const SEXES = ["woman", "man"] as const;

/** Given by the person, to be compared; whoever does not want to gives nothing. */
export const LikeThem = v.strictObject({ sex: v.picklist(SEXES), age: v.picklist(AGE_BANDS) });
export type LikeThem = v.InferOutput<typeof LikeThem>;

type Spread = readonly [meanLb: number, sdLb: number];
/** Pounds, as published: right, left. */
const GRIP_LB: Readonly<Record<LikeThem["sex"], Readonly<Record<LikeThem["age"], readonly [right: Spread, left: Spread]>>>> = {
  man: {
    "20–24": [
      [121.0, 20.6],
      [104.5, 21.8],
    ],
    "25–29": [
      [120.8, 23.0],
      [110.5, 16.2],
    ],
    "30–34": [
      [121.8, 22.4],
      [110.4, 21.7],
    ],
    "35–39": [
      [119.7, 24.0],
      [112.9, 21.7],
    ],
    "40–44": [
      [116.8, 20.7],
      [112.8, 18.7],
    ],
    "45–49": [
      [109.9, 23.0],
      [100.8, 22.8],
    ],
    "50–54": [
      [113.6, 18.1],
      [101.9, 17.0],
    ],
    "55–59": [
      [101.1, 26.7],
      [83.2, 23.4],
    ],
    "60–64": [
      [89.7, 20.4],
      [76.8, 20.3],
    ],
  },
  woman: {
    "20–24": [
      [70.4, 14.5],
      [61.0, 13.1],
    ],
    "25–29": [
      [74.5, 13.9],
      [63.5, 12.2],
    ],
    "30–34": [
      [78.7, 19.2],
      [68.0, 17.7],
    ],
    "35–39": [
      [74.1, 10.8],
      [66.3, 11.7],
    ],
    "40–44": [
      [70.4, 13.5],
      [62.3, 13.8],
    ],
    "45–49": [
      [62.2, 15.1],
      [56.0, 12.7],
    ],
    "50–54": [
      [65.8, 11.6],
      [57.3, 10.7],
    ],
    "55–59": [
      [57.3, 12.5],
      [47.3, 11.9],
    ],
    "60–64": [
      [55.1, 10.1],
      [45.7, 10.1],
    ],
  },
};

/** Mean and standard deviation of the hand of people of that age and sex, kg: about two of three lie within one of it. */
export function gripOfPeopleLike({ sex, age }: LikeThem, side: HandSide): { meanKg: number; sdKg: number } {
  const [right, left] = GRIP_LB[sex][age];
  const [mean, sd] = side === "right" ? right : left;
  const kg = (pounds: number) => massOf(pounds, { mass: "lb" });
  return { meanKg: kg(mean), sdKg: kg(sd) };
}

/** The published figures are of right-handed people in the main: others are not held against them. */
export function canBeCompared(mainHand: Handedness | null): boolean {
  return mainHand === "right";
}
