import fc from "fast-check";
import {
  firstLoadKg,
  gripForTorque,
  gripMarks,
  HAND_HALF_M,
  leverTorqueNm,
  loadLadder,
  stepDown,
  stepUp,
  substitutesFor,
  supportedWristTorqueNm,
  type Lever,
  type Tool,
} from ".";

const ROD: Lever = { lengthM: 0.9, massKg: 0.45, headKg: 0 };
const HAMMER: Lever = { lengthM: 0.33, massKg: 0.2, headKg: 0.5 };
const levers = fc.record({
  lengthM: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
  massKg: fc.double({ min: 0.05, max: 4, noNaN: true }),
  headKg: fc.double({ min: 0, max: 3, noNaN: true }),
});
const KIT: Tool[] = [
  { name: "0.5 kg", kind: "weight", massKg: 0.5 },
  { name: "1 kg", kind: "weight", massKg: 1 },
  { name: "1.5 kg", kind: "weight", massKg: 1.5 },
  { name: "rod", kind: "lever", ...ROD },
];

describe("worked examples", () => {
  it("a rod of 0.90 m and 0.45 kg gripped at 5 cm: 1.766 N·m", () => expect(leverTorqueNm(ROD, 0.05)).toBeCloseTo(1.766, 3));
  it("a hammer of 0.33 m, handle 0.20, head 0.50 kg at 5 cm: 1.599 N·m", () => expect(leverTorqueNm(HAMMER, 0.05)).toBeCloseTo(1.599, 3));
  it("a dumbbell of 1.5 kg in a supported wrist lift: 1.177 N·m", () => expect(supportedWristTorqueNm(1.5)).toBeCloseTo(1.177, 3));
});

describe("where to grip", () => {
  it("gives the wanted torque back", () => {
    fc.assert(
      fc.property(levers, fc.double({ min: 0, max: 1, noNaN: true }), (lever, share) => {
        const gripM = HAND_HALF_M + share * (lever.lengthM - 2 * HAND_HALF_M);
        expect(gripForTorque(lever, leverTorqueNm(lever, gripM))).toBeCloseTo(gripM, 6);
      }),
    );
  });
  it("needs room for the hand at both ends, and says when there is none", () => {
    expect(gripForTorque(ROD, leverTorqueNm(ROD, 0.04))).toBeCloseTo(0.04, 9);
    expect(gripForTorque(ROD, leverTorqueNm(ROD, 0.039))).toBeUndefined();
    expect(gripForTorque({ lengthM: 1, massKg: 0, headKg: 0 }, 1)).toBeUndefined();
  });
  it("further out is lighter; marks go down from the near end", () => {
    fc.assert(
      fc.property(levers, (lever) => {
        const torques = gripMarks(lever).map(({ torqueNm }) => torqueNm);
        expect(torques).toEqual([...torques].sort((a, b) => b - a));
        expect(torques.every((torque) => torque > 0)).toBe(true);
      }),
    );
  });
  it.each([
    [{ ...ROD, lengthM: 0 }, 0],
    [{ ...ROD, massKg: -1 }, 0.1],
    [ROD, 0.91],
    [ROD, -0.01],
  ])("refuses %j gripped at %s", (lever, gripM) => {
    expect(() => leverTorqueNm(lever, gripM)).toThrow(RangeError);
  });
});

describe("the ladder of the kit", () => {
  const ladder = loadLadder(KIT);
  it("holds every weight and every mark of the rod, lightest first", () => {
    expect(ladder).toHaveLength(3 + gripMarks(ROD).length);
    expect(ladder.map(({ torqueNm }) => torqueNm)).toEqual([...ladder.map(({ torqueNm }) => torqueNm)].sort((a, b) => a - b));
  });
  it("up and down are neighbours, and up then down leads back", () => {
    const now = supportedWristTorqueNm(1);
    const up = stepUp(ladder, now)!;
    expect(up.load.torqueNm).toBeGreaterThan(now);
    expect(ladder.filter(({ torqueNm }) => torqueNm > now + 0.005 && torqueNm < up.load.torqueNm)).toEqual([]);
    expect(stepDown(ladder, up.load.torqueNm)!.load.torqueNm).toBeCloseTo(now, 6);
  });
  it("a step over 10 % is marked, one of 10 % is not", () => {
    const weights = (kg: number): Tool[] => [{ name: "a", kind: "weight", massKg: kg }];
    const now = supportedWristTorqueNm(1);
    expect(stepUp(loadLadder(weights(1.1)), now)).toMatchObject({ large: false });
    expect(stepUp(loadLadder(weights(1.11)), now)).toMatchObject({ large: true });
    expect(stepDown(loadLadder(weights(0.89)), now)).toMatchObject({ large: true });
  });
  it("ends where the kit ends", () => {
    expect(stepUp(ladder, 99)).toBeUndefined();
    expect(stepDown(ladder, 0.001)).toBeUndefined();
  });
  it("a rod gripped in the right place stands in for a dumbbell, exactly", () => {
    const wanted = supportedWristTorqueNm(1.5);
    const [first] = substitutesFor(KIT.slice(3), wanted);
    expect(first!.tool.name).toBe("rod");
    expect(leverTorqueNm(ROD, first!.gripM!)).toBeCloseTo(wanted, 9);
    expect(substitutesFor(KIT.slice(0, 2), wanted)).toEqual([]);
  });
});

describe("the first load", () => {
  it.each([
    [[0.5, 1, 1.5, 2], null, 1.5],
    [[0.5, 1, 1.5, 2], 50, 1.5],
    [[0.5, 1, 1.5, 2], 49, 1],
    [[0.5, 1, 1.5, 2], 33, 0.5],
    [[2, 3], null, 0],
    [[], 80, 0],
  ])("of %j for %s kg of body is %s kg", (masses, body, expected) => {
    expect(firstLoadKg(masses, body)).toBe(expected);
  });
});
