import { emptyRecord, type BaselineRecord } from "../baseline";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, easierForm, newItem } from "../library";
import { FULL_PARTICIPATION, type Participation } from "../safety";
import { sampleId, sampleSession } from "../session/sample";
import { personalStarts, type Measured } from ".";

const item = (movementId: string, change: object = {}) => ({
  ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, sampleId()),
  ...change,
});
const symptom = (region: string, level: number): BaselineRecord => ({
  ...emptyRecord(),
  symptoms: [
    {
      id: sampleId(),
      side: "right",
      region,
      kind: "ache",
      level,
      since: null,
      nights: "never",
      constant: false,
    } as BaselineRecord["symptoms"][number],
  ],
});
const person = (record?: BaselineRecord, participation?: Participation): Measured => ({
  personId: sampleId(),
  record,
  mainHand: null,
  participation,
});
const grip = (left: number, right: number): BaselineRecord => ({
  ...emptyRecord(),
  grip: {
    left: [left, left, left].map((kg) => ({ kg, faults: [], from: "typed" as const })),
    right: [right, right, right].map((kg) => ({ kg, faults: [], from: "typed" as const })),
  },
});
const stretch = SHIPPED_LIBRARY.get("palm-away");
const region = stretch.regions.stretched[0]!;

it("the sore one starts a rung easier, and it says where and how much", () => {
  const session = sampleSession([item("palm-away")]);
  const sore = person(symptom(region, 4));
  expect(personalStarts(SHIPPED_LIBRARY, session, [sore, person(emptyRecord()), person()])).toEqual([
    {
      kind: "easier",
      personId: sore.personId,
      itemId: session.items[0]!.id,
      movementId: "palm-away",
      formId: easierForm(stretch, session.items[0]!.formId)!.id,
      side: "right",
      region,
      level: 4,
    },
  ]);
});
it("nothing felt, or felt elsewhere, changes nothing; nor does the easiest form or one that is set", () => {
  const session = sampleSession([item("palm-away")]);
  const easiest = sampleSession([item("palm-away", { formId: stretch.forms[0]!.id })]);
  expect(personalStarts(SHIPPED_LIBRARY, session, [person(symptom(region, 0)), person(symptom("shoulderNeck", 8))])).toEqual([]);
  const sore = person(symptom(region, 4));
  expect(personalStarts(SHIPPED_LIBRARY, easiest, [sore])).toEqual([]);
  const set = sampleSession([item("palm-away", { personal: { [sore.personId]: { formId: stretch.forms[0]!.id } } })]);
  expect(personalStarts(SHIPPED_LIBRARY, set, [sore])).toEqual([]);
});
it("somebody held out of an item leaves it out, and is proposed nothing else for it", () => {
  const session = sampleSession([item("palm-away"), item("median-glide")]);
  const noGlides = person(symptom(region, 4), { ...FULL_PARTICIPATION, outOf: [{ phases: ["stretch"] }] });
  expect(personalStarts(SHIPPED_LIBRARY, session, [noGlides]).map(({ kind, movementId }) => [kind, movementId])).toEqual([
    ["leftOut", "palm-away"],
  ]);
});
it("the weaker hand sets the load, only where there is one and only beyond noise", () => {
  const loaded = sampleSession([item("lift-palm-down", { formId: "load", loadKg: 1 })]);
  const unloaded = sampleSession([item("lift-palm-down")]);
  expect(personalStarts(SHIPPED_LIBRARY, loaded, [person(grip(28, 40))])).toMatchObject([{ kind: "weakerSide", side: "left" }]);
  expect(personalStarts(SHIPPED_LIBRARY, loaded, [person(grip(36, 40))])).toEqual([]);
  expect(personalStarts(SHIPPED_LIBRARY, unloaded, [person(grip(28, 40))])).toEqual([]);
});
it("a lower cap is said", () => {
  const session = sampleSession([item("lift-palm-down")]);
  const worked = SHIPPED_LIBRARY.get("lift-palm-down").regions.worked[0]!;
  const capped = person(emptyRecord(), { ...FULL_PARTICIPATION, cappedRegions: [worked] });
  expect(personalStarts(SHIPPED_LIBRARY, session, [capped])).toMatchObject([{ kind: "cap", cap: 4 }]);
});
