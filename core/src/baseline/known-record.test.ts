import fc from "fast-check";
import { dispensable, emptyRecord, findingsOf, isEmpty, knownRecord, USUAL_NOISE, type BaselineRecord } from ".";

const record = (change: Partial<BaselineRecord> = {}): BaselineRecord => ({ ...emptyRecord(), ...change });
const reading = (kg: number) => ({ kg, faults: [], from: "typed" as const });
const extension = (left: number | null, right: number | null): BaselineRecord["range"] => {
  const { range } = emptyRecord();
  return { ...range, wristExtension: { left: { active: left, assisted: null }, right: { active: right, assisted: null } } };
};
const sore = [{ side: "right" as const, region: "thumbBase" as const, kind: "pain" as const, level: 4, since: null, atNight: false }];

it("of nobody's rounds it is empty, of one it is that one", () => {
  expect(isEmpty(knownRecord([]))).toBe(true);
  const only = record({ range: extension(60, 58), grip: { left: [reading(30)], right: [reading(33)] }, palmMm: 84 });
  expect(knownRecord([only])).toEqual(only);
});

it("a round that was only begun takes nothing away: a part nobody came to is as it was known before", () => {
  const spring = record({
    range: extension(40, 66),
    symptoms: sore as never,
    symptomsAsked: true,
    grip: { left: [reading(30)], right: [reading(33)] },
  });
  expect(knownRecord([emptyRecord(), spring])).toEqual(spring);
  const found = (of: BaselineRecord) => findingsOf(of, "right", USUAL_NOISE).map(({ kind }) => kind);
  expect(found(knownRecord([emptyRecord(), spring]))).toEqual(found(spring));
  expect(found(spring)).toContain("shortRange");
});

it("nothing anywhere, asked anew, is an answer; what was measured stays", () => {
  const spring = record({ range: extension(40, 66), symptoms: sore as never, symptomsAsked: true });
  const well = knownRecord([record({ symptoms: [], symptomsAsked: true }), spring]);
  expect([well.symptoms, well.symptomsAsked, well.range.wristExtension.left.active]).toEqual([[], true, 40]);
});

it("of a motion both sides are of one sitting, and so are the hands' grip", () => {
  const spring = record({ range: extension(40, 66), grip: { left: [reading(20)], right: [reading(33)] } });
  const autumn = record({ range: extension(62, null), grip: { left: [reading(31)], right: [] } });
  const known = knownRecord([autumn, spring]);
  expect(known.range.wristExtension).toEqual(autumn.range.wristExtension);
  expect(known.grip).toEqual(autumn.grip);
});

it("a safety question that was answered once is answered, by the newest answer", () => {
  const [older, newer] = [record(), record()];
  Object.assign(older.safety, { freshInjury: true, hotJoint: false });
  Object.assign(newer.safety, { freshInjury: false });
  expect(knownRecord([newer, older]).safety).toMatchObject({ freshInjury: false, hotJoint: false });
});

it("a mass is one only where it was agreed to", () => {
  const [weighed, unasked] = [record({ bodyMass: { agreed: true, kg: 70 } }), record()];
  expect(knownRecord([unasked, weighed]).bodyMass).toEqual({ agreed: true, kg: 70 });
  expect(knownRecord([record({ bodyMass: { agreed: false, kg: 70 } })]).bodyMass).toEqual({ agreed: false, kg: null });
});

describe("records that may go", () => {
  const grip = record({ grip: { left: [reading(30)], right: [reading(33)] } });
  const range = record({ range: extension(60, 58) });
  const asked = record({ symptomsAsked: true });
  const all = (...records: BaselineRecord[]) => records.map((each, i) => ({ nr: i, record: each }));
  const gone = (records: { nr: number; record: BaselineRecord }[], mayGo = (_: { nr: number }) => true) =>
    dispensable(records, mayGo).map(({ nr }) => nr);
  it.each([
    ["the only one of a part stays, however old", all(asked, range, grip), []],
    ["one of which each part was found anew goes", all(record({ ...range, grip: grip.grip }), grip, range), [2, 1]],
    ["an empty one goes", all(grip, emptyRecord()), [1]],
    ["of two alike the older goes", all(grip, grip), [1]],
  ])("%s", (_, records, expected) => expect(gone(records)).toEqual(expected));
  it("only of those that may", () => {
    const records = all(grip, grip, grip);
    expect(gone(records, ({ nr }) => nr === 1)).toEqual([1]);
    expect(gone(records, () => false)).toEqual([]);
  });
  it("whatever goes, as much is known as before", () => {
    const some = fc.constantFrom(
      grip,
      range,
      asked,
      emptyRecord(),
      record({ palmMm: 84 }),
      record({ symptoms: sore as never, symptomsAsked: true }),
    );
    fc.assert(
      fc.property(fc.array(some, { maxLength: 6 }), fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }), (list, may) => {
        const records = all(...list);
        const out = new Set(gone(records, ({ nr }) => may[nr]!));
        expect([...out].every((nr) => may[nr])).toBe(true);
        expect(knownRecord(records.filter(({ nr }) => !out.has(nr)).map((each) => each.record))).toEqual(knownRecord(list));
      }),
    );
  });
});
