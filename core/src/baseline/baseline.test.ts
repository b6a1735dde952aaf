import fc from "fast-check";
import * as v from "valibot";
import { regionNeeds } from "../need";
import { QUESTION_IDS } from "../safety";
import { EMPTY_WORK } from "../strain";
import {
  BaselineRecord,
  changesBetween,
  countsFrom,
  differs,
  emptyRecord,
  findingsOf,
  gripOf,
  isEmpty,
  isFinished,
  isShort,
  MOTION_FACTS,
  MOTIONS,
  needFindings,
  PARTS,
  stateOf,
  wantsTrial,
  type MainHand,
  type Motion,
  USUAL_NOISE,
} from ".";

const reading = (kg: number) => ({ kg, faults: [], from: "typed" as const });
const withRange = (
  motion: Motion,
  left: [number | null, number | null],
  right: [number | null, number | null],
  record = emptyRecord(),
): BaselineRecord => ({
  ...record,
  range: { ...record.range, [motion]: { left: { active: left[0], assisted: left[1] }, right: { active: right[0], assisted: right[1] } } },
});
const withGrip = (left: number[], right: number[], record = emptyRecord()): BaselineRecord => ({
  ...record,
  grip: { left: left.map(reading), right: right.map(reading) },
});
const kinds = (record: BaselineRecord, mainHand: MainHand = null) =>
  findingsOf(record, mainHand, USUAL_NOISE).map((finding) => [finding.kind, "side" in finding ? finding.side : null]);

describe("range, on both sides of each threshold", () => {
  it("the reference is the full range of the field", () => {
    expect(MOTIONS.map((motion) => MOTION_FACTS[motion].referenceDeg)).toEqual([80, 70, 20, 30, 80, 80, 150]);
  });
  it.each([
    ["wristFlexion", 69, 68],
    ["wristExtension", 60, 59],
    ["radialDeviation", 15, 14],
    ["ulnarDeviation", 25, 24],
    ["palmUp", 69, 68],
    ["elbowBend", 128, 127],
  ] as const)("%s is enough at %s° and short at %s°", (motion, enough, short) => {
    expect([isShort(enough, motion, USUAL_NOISE), isShort(short, motion, USUAL_NOISE)]).toEqual([false, true]);
  });
  it("sides differ from 10° on, and the stiffer side is named", () => {
    expect(kinds(withRange("wristFlexion", [79, null], [70, null]))).toEqual([]);
    expect(kinds(withRange("wristFlexion", [80, null], [70, null]))).toEqual([["sideDifference", "right"]]);
  });
  it("under 5° apart is noise; 5° to 9° is neither noise nor a finding", () => {
    expect(kinds(withRange("wristFlexion", [78, null], [74, null]))).toEqual([["noise", null]]);
    expect(kinds(withRange("wristFlexion", [78, null], [73, null]))).toEqual([]);
    expect(kinds(withRange("wristFlexion", [78, null], [78, null]))).toEqual([]);
    // Between two rounds it counts from twice that.
    expect([differs(USUAL_NOISE, "palmUp", 70, 79), differs(USUAL_NOISE, "palmUp", 70, 80)]).toEqual([false, true]);
  });
  it("15° more with help is range without strength, and points to what moves it", () => {
    expect(kinds(withRange("wristExtension", [62, 76], [null, null]))).toEqual([]);
    expect(findingsOf(withRange("wristExtension", [62, 77], [null, null]), null, USUAL_NOISE)).toEqual([
      { kind: "rangeWithoutStrength", side: "left", motion: "wristExtension", activeDeg: 62, assistedDeg: 77, region: "wristExtensors" },
    ]);
  });
  it("a short range points to what holds it back", () => {
    const [finding] = findingsOf(withRange("wristExtension", [null, null], [50, null]), null, USUAL_NOISE);
    expect(finding).toMatchObject({ kind: "shortRange", side: "right", region: "wristFlexors" });
  });
});

describe("grip", () => {
  it("is the mean of the trials, with their scatter", () => {
    expect(gripOf([30, 33, 27])).toEqual({ meanKg: 30, bestKg: 33, spread: expect.closeTo(0.1, 9), trials: 3 });
    expect(gripOf([])).toBeUndefined();
  });
  it.each([
    [15, 6],
    [30, 6],
    [50, 10],
  ])("from %s kg a change counts from %s kg: the larger of 20 %% and 6 kg", (from, noise) => {
    expect(countsFrom(USUAL_NOISE, "grip", from)).toBeCloseTo(noise, 9);
    expect(differs(USUAL_NOISE, "grip", from, from - noise)).toBe(true);
    expect(differs(USUAL_NOISE, "grip", from, from - noise + 0.01)).toBe(false);
  });
  it("a hand that differs beyond that is weak, a hair less is noise", () => {
    expect(kinds(withGrip([32, 32, 32], [40, 40, 40]))).toEqual([["weakGrip", "left"]]);
    expect(kinds(withGrip([32.1, 32.1, 32.1], [40, 40, 40]))).toEqual([["noise", null]]);
  });
  it("of right-handed people is held against a lead of a tenth of the right hand, of others against nought", () => {
    // Of 44 kg right, 40 are expected left: 8 less is weak.
    expect(kinds(withGrip([32, 32, 32], [44, 44, 44]), "right")).toEqual([["weakGrip", "left"]]);
    expect(kinds(withGrip([32.1, 32.1, 32.1], [44, 44, 44]), "right")).toEqual([["noise", null]]);
    // Of 40 kg left, 44 are expected right: 35.2 is weak, though only 4.8 less.
    expect(kinds(withGrip([40, 40, 40], [35.2, 35.2, 35.2]), "right")).toEqual([["weakGrip", "right"]]);
    expect(kinds(withGrip([40, 40, 40], [35.2, 35.2, 35.2]), "left")).toEqual([["noise", null]]);
  });
  it("of an ordinary right-handed man of 22, and of an ordinary woman, shows nothing that stands out", () => {
    const kg = (lb: number) => lb * 0.45359237;
    const grips = (left: number, right: number) => kinds(withGrip([left, left, left], [right, right, right]), "right");
    expect(grips(kg(104.5), kg(121))).toEqual([["noise", null]]);
    expect(grips(kg(61), kg(70.4))).toEqual([["noise", null]]);
  });
  it("needs a third trial, and a fourth when three scatter by more than 10 %", () => {
    expect([wantsTrial([]), wantsTrial([30, 30]), wantsTrial([30, 30, 30])]).toEqual([true, true, false]);
    expect(wantsTrial([27, 30, 33])).toBe(false);
    expect(wantsTrial([26.9, 30, 33.1])).toBe(true);
    expect(wantsTrial([20, 30, 40, 20, 30, 40])).toBe(false);
  });
  it("that scatters is said, only over whole sets of trials", () => {
    expect(kinds(withGrip([20, 30, 40], []))).toEqual([["gripScatter", "left"]]);
    expect(kinds(withGrip([20, 40], []))).toEqual([]);
  });
});

describe("symptoms", () => {
  const symptom = (level: number, kind = "ache") =>
    ({
      id: crypto.randomUUID(),
      side: "left",
      region: "thumbBase",
      kind,
      level,
      since: null,
      nights: "never",
      constant: false,
    }) as BaselineRecord["symptoms"][number];
  it("the strongest of a place counts; nothing felt counts for nothing", () => {
    const record = { ...emptyRecord(), symptoms: [symptom(2), symptom(5, "stiffness"), { ...symptom(0), side: "right" as const }] };
    expect(findingsOf(record, null, USUAL_NOISE)).toEqual([{ kind: "symptom", side: "left", region: "thumbBase", level: 5 }]);
  });
  it("add two points of need a point, in their own hand", () => {
    const findings = needFindings(findingsOf({ ...emptyRecord(), symptoms: [symptom(5)] }, null, USUAL_NOISE));
    expect(findings).toEqual([{ side: "left", region: "thumbBase", by: "symptom", points: 10 }]);
    const needs = regionNeeds(EMPTY_WORK, undefined, findings);
    expect(needs.filter(({ need }) => need > 0).map(({ side, region, need }) => [side, region, need])).toEqual([["left", "thumbBase", 10]]);
  });
});

describe("how far a record is", () => {
  it("an empty one is empty in every part", () => {
    expect(PARTS.map((part) => stateOf(emptyRecord(), part))).toEqual(PARTS.map(() => "empty"));
    expect([isEmpty(emptyRecord()), isFinished(emptyRecord())]).toEqual([true, false]);
  });
  it("one with everything is finished; without any one answer it is not", () => {
    const full = fullRecord();
    expect(isFinished(full)).toBe(true);
    const less: [string, BaselineRecord, string][] = [
      ["safety", { ...full, safety: { ...full.safety, anticoagulants: null } }, "part"],
      ["symptoms", { ...full, symptomsAsked: false }, "empty"],
      ["range", withRange("palmUp", [80, null], [null, null], full), "part"],
      ["grip", { ...full, grip: { ...full.grip, left: full.grip.left.slice(0, 2) } }, "part"],
      ["function", { ...full, functionTest: { ...full.functionTest, right: null } }, "part"],
    ];
    for (const [part, record, state] of less) {
      expect([part, stateOf(record, part as "grip")]).toEqual([part, state]);
      expect(isFinished(record)).toBe(false);
    }
  });
});

describe("two rounds compared", () => {
  const of = (before: BaselineRecord, after: BaselineRecord) =>
    changesBetween(before, after, USUAL_NOISE).map(({ measure, side, verdict }) => [measure, side, verdict]);
  it("an angle counts from 10°, either way", () => {
    const at = (deg: number) => withRange("palmDown", [deg, null], [null, null]);
    expect(of(at(60), at(69))).toEqual([["palmDown", "left", "noise"]]);
    expect(of(at(60), at(70))).toEqual([["palmDown", "left", "better"]]);
    expect(of(at(60), at(50))).toEqual([["palmDown", "left", "worse"]]);
  });
  it("grip counts from the larger of 20 % and 6 kg", () => {
    expect(of(withGrip([], [40, 40, 40]), withGrip([], [47.9, 47.9, 47.9]))).toEqual([["grip", "right", "noise"]]);
    expect(of(withGrip([], [40, 40, 40]), withGrip([], [48, 48, 48]))).toEqual([["grip", "right", "better"]]);
    expect(of(withGrip([20, 20, 20], []), withGrip([14, 14, 14], []))).toEqual([["grip", "left", "worse"]]);
  });
  it("a function test counts from two points, lower is better, and only the same test is compared", () => {
    const at = (left: number, test: "twistLid" | "turnKey" = "twistLid") => ({
      ...emptyRecord(),
      functionTest: { test, left, right: null },
    });
    expect(of(at(6), at(5))).toEqual([["function", "left", "noise"]]);
    expect(of(at(6), at(4))).toEqual([["function", "left", "better"]]);
    expect(of(at(6), at(4, "turnKey"))).toEqual([]);
  });
  it("what only one round has is not compared; the same record is all noise", () => {
    expect(of(emptyRecord(), fullRecord())).toEqual([]);
    expect(changesBetween(fullRecord(), fullRecord(), USUAL_NOISE).every(({ verdict }) => verdict === "noise")).toBe(true);
  });
  it("the other way round, better becomes worse", () => {
    const angles = fc.integer({ min: 0, max: 90 });
    fc.assert(
      fc.property(angles, angles, (a, b) => {
        const [forth] = changesBetween(
          withRange("palmUp", [a, null], [null, null]),
          withRange("palmUp", [b, null], [null, null]),
          USUAL_NOISE,
        );
        const [back] = changesBetween(
          withRange("palmUp", [b, null], [null, null]),
          withRange("palmUp", [a, null], [null, null]),
          USUAL_NOISE,
        );
        expect(back!.verdict).toBe({ better: "worse", worse: "better", noise: "noise" }[forth!.verdict]);
      }),
    );
  });
});

describe("a record's schema", () => {
  const problem = (record: object) => {
    const [issue] = v.safeParse(BaselineRecord, record).issues ?? [];
    return issue && [v.getDotPath(issue), issue.message];
  };
  it.each([
    [
      { range: { wristFlexion: { left: { active: 60, assisted: 59 } } } },
      ["range.wristFlexion.left.assisted", "is less than without help"],
    ],
    [{ range: { wristFlexion: { left: { active: 121 } } } }, ["range.wristFlexion.left.active", "must be 0 to 120°"]],
    [{ grip: { left: [{ kg: 121, faults: [], from: "typed" }] } }, ["grip.left.0.kg", "must be 0 to 120 kg"]],
    [{ functionTest: { left: 11 } }, ["functionTest.left", "must be 0 to 10"]],
    [{ bodyMass: { kg: 20 } }, ["bodyMass.kg", "must be 30 to 250 kg"]],
    [{ safety: { chestPain: "yes" } }, ["safety.chestPain", 'Invalid type: Expected boolean but received "yes"']],
  ])("%j", (record, expected) => {
    expect(problem(record)).toEqual(expected);
  });
  it("takes half a record, and an empty one", () => {
    expect([problem({}), problem({ safety: { chestPain: false } })]).toEqual([undefined, undefined]);
  });
});

function fullRecord(): BaselineRecord {
  let record = withGrip([38, 39, 38], [41, 40, 42]);
  for (const motion of MOTIONS)
    record = withRange(motion, [MOTION_FACTS[motion].referenceDeg, null], [MOTION_FACTS[motion].referenceDeg, null], record);
  return {
    ...record,
    safety: Object.fromEntries(QUESTION_IDS.map((question) => [question, false])) as BaselineRecord["safety"],
    symptomsAsked: true,
    functionTest: { test: "twistLid", left: 2, right: 1 },
  };
}
