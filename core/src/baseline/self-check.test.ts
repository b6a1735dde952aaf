import * as v from "valibot";
import { QUESTION_IDS, type SafetyAnswers, type Symptom } from "../safety";
import { emptyRecord, type BaselineRecord } from "./record";
import { isAskedOnPhone, openPart, otherHandedness, seenFirst, SelfCheck, withSelfCheck } from "./self-check";

const ID = (n: number) => `019d0000-0000-7000-8000-00000000000${n}`;
const noTo = (change: Partial<SafetyAnswers> = {}): SafetyAnswers => ({
  ...(Object.fromEntries(QUESTION_IDS.map((id) => [id, false])) as SafetyAnswers),
  ...change,
});
const ache = (change: Partial<Symptom> = {}): Symptom => ({
  id: ID(5),
  side: "right",
  region: "wristFlexors",
  kind: "ache",
  level: 3,
  since: null,
  nights: "never",
  constant: false,
  ...change,
});
const check = (change: Partial<SelfCheck> = {}): SelfCheck => ({
  id: ID(1),
  roundId: ID(2),
  at: "2026-03-26T06:00:00.000Z",
  safety: noTo(),
  symptoms: [],
  handedness: "right",
  ...change,
});
const record = (change: Partial<BaselineRecord> = {}): BaselineRecord => ({ ...emptyRecord(), ...change });

describe("what a phone sends before a round", () => {
  it("answers every question, or is no self-check", () => {
    expect(v.is(SelfCheck, check())).toBe(true);
    expect(v.is(SelfCheck, check({ safety: noTo({ chestPain: null }) }))).toBe(false);
  });
  it("fills an empty record, and says that it did", () => {
    const after = withSelfCheck(record(), check({ symptoms: [ache()] }));
    expect(after).toMatchObject({ safety: noTo(), symptoms: [ache()], symptomsAsked: true });
    expect(after.selfCheck).toEqual({ id: ID(1), at: "2026-03-26T06:00:00.000Z", handedness: "right" });
  });
  it("is filed once", () => {
    const once = withSelfCheck(record(), check());
    expect(withSelfCheck(once, check())).toBe(once);
  });
  it.each<[known: boolean | null, said: boolean, after: boolean]>([
    [null, false, false],
    [null, true, true],
    [false, true, true],
    [true, false, true],
    [true, true, true],
    [false, false, false],
  ])("of a question answered %p, a phone's %p leaves %p: a yes stays a yes", (known, said, after) => {
    const filed = withSelfCheck(
      record({ safety: { ...record().safety, neckInjury: known } }),
      check({ safety: noTo({ neckInjury: said }) }),
    );
    expect(filed.safety.neckInjury).toBe(after);
  });
  it("leaves what the trainer wrote down of a place, and adds the others", () => {
    const theirs = ache({ id: ID(6), level: 7 });
    const other = ache({ id: ID(7), side: "left" });
    expect(withSelfCheck(record({ symptoms: [theirs] }), check({ symptoms: [ache(), other] })).symptoms).toEqual([theirs, other]);
  });
});

describe("whether a phone still asks", () => {
  it.each<[string, BaselineRecord | undefined, boolean]>([
    ["nothing is there yet", undefined, true],
    ["a record nothing was entered in", record(), true],
    ["safety without symptoms", record({ safety: noTo() }), true],
    ["both were asked by the trainer", record({ safety: noTo(), symptomsAsked: true }), false],
    ["it was answered on the phone", withSelfCheck(record(), check()), false],
  ])("%s", (_, given, asked) => expect(isAskedOnPhone(given)).toBe(asked));
});

describe("whom to see first", () => {
  it.each<[string, Partial<SelfCheck>, ReturnType<typeof seenFirst>, ReturnType<typeof openPart>]>([
    ["chest pain", { safety: noTo({ chestPain: true }), symptoms: [ache()] }, "emergency", "safety"],
    ["weakness that grows", { safety: noTo({ growingWeakness: true }) }, "stop", "safety"],
    [
      "numb most nights, though the question was answered no",
      { symptoms: [ache({ kind: "numbness", nights: "mostNights" })] },
      "stop",
      "safety",
    ],
    ["numb some nights", { symptoms: [ache({ kind: "numbness", nights: "sometimes" })] }, "felt", "symptoms"],
    ["blood thinners", { safety: noTo({ anticoagulants: true }), symptoms: [ache()] }, "clinician", "safety"],
    ["very mobile joints", { safety: noTo({ hypermobility: true }) }, "clinician", "safety"],
    ["an ache", { symptoms: [ache()] }, "felt", "symptoms"],
    ["nothing", {}, "clear", "range"],
  ])("%s", (_, said, first, part) => {
    const filed = withSelfCheck(record(), check(said));
    expect([seenFirst(filed), openPart(filed)]).toEqual([first, part]);
  });
  it("nobody is clear who was not asked, or who is held out", () => {
    expect(seenFirst(record())).toBe("unasked");
    expect(seenFirst(record({ safety: noTo() }))).toBe("unasked");
    expect(seenFirst(withSelfCheck(record(), check()), true)).toBe("stop");
  });
  it("a record the trainer asked for goes on at what is not done", () => {
    expect(openPart(record())).toBe("safety");
    expect(openPart(record({ safety: noTo({ anticoagulants: true }), symptomsAsked: true }))).toBe("range");
  });
});

it.each<["left" | "right" | "both" | null, "left" | "right" | null, "left" | "right" | "both" | null]>([
  ["left", "right", "left"],
  ["left", "left", null],
  ["left", null, "left"],
  [null, "left", null],
])("said %p, known %p: to take over %p", (said, known, hand) => {
  expect(otherHandedness(withSelfCheck(record(), check({ handedness: said })), known)).toBe(hand);
  expect(otherHandedness(record(), known)).toBeNull();
});
