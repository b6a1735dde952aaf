import { emptyRecord, MOTION_FACTS, USUAL_NOISE, type BaselineRecord } from "../baseline";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, easierForm, newItem } from "../library";
import { FULL_PARTICIPATION, type Participation } from "../safety";
import type { Session } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { EASIEST_FROM, LIGHTER_FROM, personalStarts, sessionOn, settlingDose, withStarts, type Measured } from ".";

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

const startsOf = (session: Session, ...people: Measured[]) => personalStarts(SHIPPED_LIBRARY, session, people, USUAL_NOISE);

describe("what is felt where an item works or stretches", () => {
  const session = sampleSession([item("palm-away")]);
  const [planned] = session.items;
  const easier = easierForm(stretch, planned!.formId)!;
  const at = (level: number) => startsOf(session, person(symptom(region, level)));
  it.each([1, LIGHTER_FROM - 1])("%d of 10: one rung easier, the dose stays, and it says where and how much", (level) => {
    expect(at(level)).toMatchObject([
      { kind: "own", own: { formId: easier.id }, because: [{ kind: "symptom", side: "right", region, level }] },
    ]);
    expect(at(level)[0]).not.toHaveProperty("own.dose");
  });
  it.each([LIGHTER_FROM, EASIEST_FROM - 1])("%d of 10: less of it as well", (level) => {
    expect(at(level)).toMatchObject([{ own: { formId: easier.id, dose: settlingDose(planned!.dose) } }]);
  });
  it("6 of 10: the easiest form there is, light, with nothing in the hand", () => {
    const loaded = sampleSession([item("lift-palm-down", { formId: "load", loadKg: 1 })]);
    const movement = SHIPPED_LIBRARY.get("lift-palm-down");
    const start = (level: number) => startsOf(loaded, person(symptom(movement.regions.worked[0]!, level)))[0];
    expect(start(EASIEST_FROM)).toMatchObject({
      own: { formId: movement.forms[0]!.id, dose: settlingDose(loaded.items[0]!.dose), loadKg: null },
    });
    expect(start(EASIEST_FROM - 1)).not.toHaveProperty("own.loadKg");
  });
  it("nothing felt, or felt elsewhere, changes nothing; nor does one that is set", () => {
    expect(startsOf(session, person(symptom(region, 0)), person(symptom("shoulderNeck", 8)), person(emptyRecord()), person())).toEqual([]);
    const sore = person(symptom(region, 4));
    const set = sampleSession([item("palm-away", { personal: { [sore.personId]: { formId: stretch.forms[0]!.id } } })]);
    expect(startsOf(set, sore)).toEqual([]);
  });
  it("where no easier form is left there is less of it", () => {
    const easiest = sampleSession([item("palm-away", { formId: stretch.forms[0]!.id })]);
    const [start] = startsOf(easiest, person(symptom(region, 1)));
    expect(start).toMatchObject({ own: { formId: stretch.forms[0]!.id, dose: settlingDose(easiest.items[0]!.dose) } });
  });
});

it("what is short asks for an easier stretch, and for nothing where it is not stretched", () => {
  const record = emptyRecord();
  const { stretches } = MOTION_FACTS.wristExtension;
  record.range.wristExtension.left = { active: MOTION_FACTS.wristExtension.referenceDeg * 0.6, assisted: null };
  const short = person(record);
  const stretched = SHIPPED_LIBRARY.movements.find(
    ({ phase, regions, forms, startForm }) => phase === "stretch" && regions.stretched.includes(stretches) && forms[0]!.id !== startForm,
  )!;
  const elsewhere = SHIPPED_LIBRARY.movements.find(({ phase, regions }) => phase === "stretch" && !regions.stretched.includes(stretches))!;
  expect(startsOf(sampleSession([item(stretched.id)]), short)).toMatchObject([
    { own: { formId: easierForm(stretched, stretched.startForm)!.id }, because: [{ kind: "shortRange", side: "left" }] },
  ]);
  expect(startsOf(sampleSession([item(elsewhere.id)]), short)).toEqual([]);
});

it("is set in the session as it is proposed, beside what others have already, and is not lightened twice by the settling-in week", () => {
  const other = sampleId();
  const session = sampleSession([item("palm-away", { personal: { [other]: { formId: stretch.forms[0]!.id } } })]);
  const sore = person(symptom(region, 5));
  const set = withStarts(session, startsOf(session, sore));
  const own = set.items[0]!.personal[sore.personId]!;
  expect(Object.keys(set.items[0]!.personal).sort()).toEqual([other, sore.personId].sort());
  expect(startsOf(set, sore)).toEqual([]);
  const settled = sessionOn(SHIPPED_LIBRARY, { settlingFrom: "2026-03-02" }, set, "2026-03-03");
  expect(settled.items[0]!.personal[sore.personId]).toEqual(own);
});

it("somebody held out of an item leaves it out, and is proposed nothing else for it", () => {
  const session = sampleSession([item("palm-away"), item("shake-out")]);
  const noStretch = person(symptom(region, 4), { ...FULL_PARTICIPATION, outOf: [{ phases: ["stretch"] }] });
  expect(personalStarts(SHIPPED_LIBRARY, session, [noStretch], USUAL_NOISE).map(({ kind, movementId }) => [kind, movementId])).toEqual([
    ["leftOut", "palm-away"],
  ]);
});
it("the weaker hand sets the load, only where there is one and only beyond noise", () => {
  const loaded = sampleSession([item("lift-palm-down", { formId: "load", loadKg: 1 })]);
  const unloaded = sampleSession([item("lift-palm-down")]);
  expect(personalStarts(SHIPPED_LIBRARY, loaded, [person(grip(28, 40))], USUAL_NOISE).filter(({ kind }) => kind !== "own")).toMatchObject([
    { kind: "weakerSide", side: "left" },
  ]);
  expect(personalStarts(SHIPPED_LIBRARY, loaded, [person(grip(36, 40))], USUAL_NOISE)).toEqual([]);
  expect(personalStarts(SHIPPED_LIBRARY, unloaded, [person(grip(28, 40))], USUAL_NOISE)).toEqual([]);
});
it("a lower cap is said", () => {
  const session = sampleSession([item("lift-palm-down")]);
  const worked = SHIPPED_LIBRARY.get("lift-palm-down").regions.worked[0]!;
  const capped = person(emptyRecord(), { ...FULL_PARTICIPATION, cappedRegions: [worked] });
  expect(personalStarts(SHIPPED_LIBRARY, session, [capped], USUAL_NOISE)).toMatchObject([{ kind: "cap", cap: 4 }]);
});

it("a stretch that is kept short of its end says by how much", () => {
  const mobile = person(emptyRecord(), { ...FULL_PARTICIPATION, shortOfEndDeg: 10 });
  expect(startsOf(sampleSession([item("palm-away"), item("shake-out")]), mobile)).toMatchObject([{ kind: "shortOfEnd", deg: 10 }]);
});
it("a weak grip lightens what works the closing muscles, also without a load", () => {
  const squeeze = SHIPPED_LIBRARY.movements.find(
    ({ phase, regions }) => phase === "strengthen" && regions.worked.includes("fingerFlexors"),
  )!;
  const session = sampleSession([item(squeeze.id)]);
  expect(startsOf(session, person(grip(28, 40)))).toMatchObject([
    { kind: "own", own: { dose: settlingDose(session.items[0]!.dose) }, because: [{ kind: "weakGrip", side: "left" }] },
  ]);
  expect(startsOf(session, person(grip(36, 40)))).toEqual([]);
});
