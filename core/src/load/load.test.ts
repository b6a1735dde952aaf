import fc from "fast-check";
import {
  firstLoad,
  gripForTorque,
  gripMarks,
  HAND_HALF_M,
  handTorqueNm,
  leverMomentNm,
  loadLadder,
  stepDown,
  stepTo,
  stepUp,
  substitutesFor,
  toolOf,
  torqueAtNm,
  torqueNm,
  weeklyStep,
  type LoadUse,
  type Tool,
} from ".";

const ROD = { name: "rod", kind: "lever" as const, lengthM: 0.9, massKg: 0.45, headKg: 0 };
const HAMMER = { name: "hammer", kind: "lever" as const, lengthM: 0.33, massKg: 0.2, headKg: 0.5 };
const weight = (massKg: number): Tool => ({ name: `${massKg} kg`, kind: "weight", massKg });
const BEND: LoadUse = { axis: "bend", handling: "palm" };
const TILT: LoadUse = { axis: "tilt", handling: "along" };
const TURN: LoadUse = { axis: "turn", handling: "across" };
const levers = fc.record({
  name: fc.constant("x"),
  kind: fc.constant("lever" as const),
  lengthM: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
  massKg: fc.double({ min: 0.05, max: 4, noNaN: true }),
  headKg: fc.double({ min: 0, max: 3, noNaN: true }),
});
const KIT: Tool[] = [weight(0.5), weight(1), weight(1.5), ROD];

describe("worked examples", () => {
  it.each([
    ["a rod across the palm turns", ROD, TURN, 0.05, 1.766],
    ["a rod across the palm bends", ROD, { axis: "bend", handling: "across" }, 0.05, 0.353],
    ["a rod along the forearm tilts", ROD, TILT, 0.05, 2.119],
    ["a hammer across the palm turns", HAMMER, TURN, 0.05, 1.599],
    ["a hammer along the forearm tilts", HAMMER, TILT, 0.05, 2.148],
    ["1.5 kg in the palm bends", weight(1.5), BEND, null, 1.177],
    ["1.5 kg in the palm turns nothing", weight(1.5), TURN, null, 0],
  ] as const)("%s", (_, tool, use, gripM, nm) => expect(torqueNm(tool, use, gripM)).toBeCloseTo(nm, 3));
  it("a dumbbell held at its end is a lever", () => {
    const dumbbell = toolOf("dumbbell", 1)!;
    expect(torqueNm(dumbbell, TILT, 0.04)).toBeCloseTo(9.81 * (0.04 + 0.08), 9);
    expect(torqueNm(dumbbell, TILT, null)).toBeCloseTo(9.81 * 0.08, 9);
  });
  it("at an angle the turn falls with the rod, bend and tilt with the forearm", () => {
    expect(torqueAtNm(2, "turn", { rodDeg: 60, forearmDeg: 0 })).toBeCloseTo(1, 9);
    // An upright rod still bends the wrist of a level forearm.
    expect(torqueAtNm(2, "bend", { rodDeg: 90, forearmDeg: 0 })).toBe(2);
    expect(torqueAtNm(2, "tilt", { rodDeg: 0, forearmDeg: 60 })).toBeCloseTo(1, 9);
  });
  it("the hand is lifted too, where mass and height are known, and is nothing to a turn", () => {
    expect(handTorqueNm("bend", { massKg: 70, heightM: 1.75 })).toBeCloseTo(9.81 * 0.42 * 0.09625, 6);
    expect(handTorqueNm("bend", { massKg: 70, heightM: null })).toBe(0);
    expect(handTorqueNm("turn", { massKg: 70, heightM: 1.75 })).toBe(0);
  });
});

describe("where to grip", () => {
  it("gives the wanted torque back, on either axis", () => {
    fc.assert(
      fc.property(levers, fc.double({ min: 0, max: 1, noNaN: true }), fc.constantFrom(TILT, TURN), (lever, share, use) => {
        const gripM = HAND_HALF_M + share * (lever.lengthM - 2 * HAND_HALF_M);
        expect(gripForTorque(lever, use, torqueNm(lever, use, gripM))).toBeCloseTo(gripM, 6);
      }),
    );
  });
  it("needs room for the hand at both ends, and says when there is none", () => {
    expect(gripForTorque(ROD, TURN, torqueNm(ROD, TURN, 0.04))).toBeCloseTo(0.04, 9);
    expect(gripForTorque(ROD, TURN, torqueNm(ROD, TURN, 0.039))).toBeUndefined();
    expect(gripForTorque({ ...ROD, lengthM: 1, massKg: 0 }, TURN, 1)).toBeUndefined();
    // Nothing is turned by a rod along the forearm, and no grip changes what a rod across the palm lifts.
    expect(gripForTorque(ROD, { axis: "turn", handling: "along" }, 1)).toBeUndefined();
    expect(gripForTorque(ROD, { axis: "bend", handling: "across" }, 1)).toBeUndefined();
  });
  it("marks are half a centimetre apart", () => {
    const marks = gripMarks(HAMMER);
    expect([marks[0], marks[1], marks.at(-1)]).toEqual([0.04, 0.045, 0.29]);
  });
  it.each([
    [{ ...ROD, lengthM: 0 }, 0],
    [{ ...ROD, massKg: -1 }, 0.1],
    [ROD, 0.91],
    [ROD, -0.01],
  ])("refuses %j gripped at %s", (lever, gripM) => {
    expect(() => leverMomentNm(lever, gripM)).toThrow(RangeError);
  });
});

describe("the ladder of the kit", () => {
  const ladder = loadLadder(KIT, BEND);
  it("holds what loads the axis, lightest first: no rod lifts in the palm, no weight turns", () => {
    expect(ladder.map(({ tool }) => tool.name)).toEqual(["0.5 kg", "1 kg", "1.5 kg"]);
    expect(new Set(loadLadder(KIT, TURN).map(({ tool }) => tool.name))).toEqual(new Set(["rod"]));
    const tilts = loadLadder([...KIT, toolOf("dumbbell", 1)!], TILT).map((load) => load.torqueNm);
    expect(tilts).toEqual([...tilts].sort((a, b) => a - b));
  });
  it("up and down are neighbours, and up then down leads back", () => {
    const now = torqueNm(weight(1), BEND, null);
    const up = stepUp(ladder, now)!;
    expect(up.load.tool.name).toBe("1.5 kg");
    expect(stepDown(ladder, up.load.torqueNm)!.load.torqueNm).toBeCloseTo(now, 6);
  });
  it("a step over 10 % is marked, one of 10 % is not; it is judged on the whole, hand and tool", () => {
    const now = torqueNm(weight(1), BEND, null);
    expect(stepUp(loadLadder([weight(1.1)], BEND), now)).toMatchObject({ large: false });
    expect(stepUp(loadLadder([weight(1.11)], BEND), now)).toMatchObject({ large: true });
    expect(stepUp(loadLadder([weight(1.11)], BEND), now, 0.4)).toMatchObject({ large: false });
    expect(stepDown(loadLadder([weight(0.89)], BEND), now)).toMatchObject({ large: true });
  });
  it("also when the tool or the grip changes: a dumbbell at its end to a hammer, the middle of a hammer to its end", () => {
    const dumbbell = toolOf("dumbbell", 1)!;
    const from = torqueNm(dumbbell, TILT, HAND_HALF_M);
    const hammer = toolOf("hammer", 1.1)!;
    const to = { tool: hammer, gripM: 0.05, torqueNm: torqueNm(hammer, TILT, 0.05) };
    expect(stepTo(to, from)).toMatchObject({ large: true });
    expect(stepTo(to, from).share).toBeGreaterThan(1);
    const middle = torqueNm(HAMMER, TILT, 0.165);
    expect(stepTo({ tool: HAMMER, gripM: 0.05, torqueNm: torqueNm(HAMMER, TILT, 0.05) }, middle)).toMatchObject({ large: true });
  });
  it("half centimetres keep every step along a shaft within a tenth, until the shaft is nearly balanced", () => {
    const rungs = loadLadder([HAMMER], TILT).map((load) => load.torqueNm);
    rungs.slice(1).forEach((nm, i) => expect(nm / rungs[i]! - 1).toBeLessThanOrEqual(0.1));
  });
  it("a week takes the largest step within a tenth, or the nearest when there is none", () => {
    const step = weeklyStep(loadLadder([HAMMER], TILT), torqueNm(HAMMER, TILT, 0.165))!;
    expect(step.large).toBe(false);
    expect(step.share).toBeGreaterThan(0.05);
    expect(weeklyStep(ladder, torqueNm(weight(1), BEND, null))).toMatchObject({ load: { tool: { name: "1.5 kg" } }, large: true });
    expect(weeklyStep(ladder, 99)).toBeUndefined();
  });
  it("ends where the kit ends", () => {
    expect(stepUp(ladder, 99)).toBeUndefined();
    expect(stepDown(ladder, 0.001)).toBeUndefined();
  });
  it("a rod along the forearm, gripped in the right place, stands in for a tilt exactly; across the palm it stands in for no lift", () => {
    const wanted = torqueNm(HAMMER, TILT, 0.1);
    const [first] = substitutesFor([ROD], TILT, wanted);
    expect(torqueNm(ROD, TILT, first!.gripM)).toBeCloseTo(wanted, 9);
    const lift = torqueNm(weight(1.5), BEND, null);
    expect(substitutesFor([ROD, HAMMER], BEND, lift)).toEqual([]);
    expect(substitutesFor([weight(1.5)], TURN, 1)).toEqual([]);
    expect(substitutesFor([weight(1.5), weight(1)], BEND, lift)).toMatchObject([{ offShare: 0 }]);
  });
});

describe("the first load", () => {
  it.each([
    [[0.5, 1, 1.5, 2], null, 1.5],
    [[0.5, 1, 1.5, 2], 50, 1.5],
    [[0.5, 1, 1.5, 2], 49, 1],
    [[0.5, 1, 1.2, 1.5], 40, 1.2],
    [[0.5, 1, 1.5, 2], 33, 0.5],
    [[2, 3], null, undefined],
    [[], 80, undefined],
  ])("of %j for %s kg of body is %s kg", (masses, body, expected) => {
    const load = firstLoad(loadLadder(masses.map(weight), BEND), body);
    expect(load?.tool.massKg).toBe(expected);
  });
  it("of a shaft is gripped so that it is no more than the same limit in the palm", () => {
    const load = firstLoad(loadLadder([HAMMER], TILT), null)!;
    expect(load.torqueNm).toBeLessThanOrEqual(9.81 * 1.5 * 0.08);
    expect(firstLoad(loadLadder([HAMMER], TILT), 20)).toBeUndefined();
  });
});
