import { AGE_BANDS, canBeCompared, gripOfPeopleLike, SEXES } from ".";

const lb = (kg: number) => kg / 0.45359237;

it.each([
  ["man", "20–24", "right", 121.0, 20.6],
  ["man", "20–24", "left", 104.5, 21.8],
  ["man", "60–64", "right", 89.7, 20.4],
  ["woman", "35–39", "right", 74.1, 10.8],
  ["woman", "35–39", "left", 66.3, 11.7],
  ["woman", "60–64", "left", 45.7, 10.1],
] as const)("%s of %s, %s hand: %s ± %s lb as published", (sex, age, side, mean, sd) => {
  const { meanKg, sdKg } = gripOfPeopleLike({ sex, age }, side);
  expect([lb(meanKg), lb(sdKg)]).toEqual([expect.closeTo(mean, 2), expect.closeTo(sd, 2)]);
});

it("in every group the right hand is the stronger one, by 3 to 22 %, and the spread leaves nobody below nought", () => {
  for (const sex of SEXES)
    for (const age of AGE_BANDS) {
      const [right, left] = [gripOfPeopleLike({ sex, age }, "right"), gripOfPeopleLike({ sex, age }, "left")];
      const lead = right.meanKg / left.meanKg - 1;
      expect([sex, age, lead > 0.03, lead < 0.22]).toEqual([sex, age, true, true]);
      expect(left.meanKg - 2 * left.sdKg).toBeGreaterThan(0);
    }
});

it("only right-handed people are compared", () => {
  expect((["right", "left", "both", null] as const).map(canBeCompared)).toEqual([true, false, false, false]);
});
