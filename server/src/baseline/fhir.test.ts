/** What goes to a therapist is FHIR R4 as its own published definitions have it, and says what was measured. */
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { Fhir } from "fhir/fhir";
import { fhirBundle, type FhirRecord } from "./fhir";

const PERSON = { id: "01930000-0000-7000-8000-000000000001", name: "Ann Early" };
const AT = new Date("2026-11-28T12:00:00Z");
const validator = new Fhir();

function measured(): BaselineRecord {
  const record = emptyRecord();
  record.safety = { ...record.safety, chestPain: false, hypermobility: true };
  record.symptomsAsked = true;
  record.symptoms = [
    {
      id: "01930000-0000-7000-8000-000000000002",
      side: "left",
      region: "thumbBase",
      kind: "tingling",
      level: 4,
      since: "2026-03-01",
      nights: "sometimes",
      constant: true,
    },
  ];
  record.range.wristFlexion.left = { active: 72, assisted: 80 };
  record.range.palmUp.right = { active: 75, assisted: null };
  record.grip.right = [30.04, 34, 32].map((kg) => ({ kg, faults: [], from: "typed" }));
  record.functionTest = { test: "twistLid", left: 3, right: null };
  record.bodyMass = { agreed: true, kg: 73.25 };
  return record;
}
const round = (document: BaselineRecord, change: Partial<FhirRecord> = {}): FhirRecord => ({
  roundId: "01930000-0000-7000-8000-000000000009",
  roundName: "Spring",
  changedAt: new Date("2026-03-02T08:30:00Z"),
  document,
  ...change,
});
type Entry = { fullUrl: string; resource: Record<string, unknown> & { resourceType: string; id: string } };
const entriesOf = (bundle: object) => (bundle as { entry: Entry[] }).entry;
/** Codes outside of example value sets are allowed, and only remarked on. */
const problems = (bundle: object) =>
  validator.validate(bundle, { errorOnUnexpected: true }).messages.filter(({ severity }) => severity === "error" || severity === "fatal");

it("is a valid bundle of R4, whole, half and empty", () => {
  expect(problems(fhirBundle(PERSON, [round(measured())], AT))).toEqual([]);
  expect(problems(fhirBundle(PERSON, [round(emptyRecord())], AT))).toEqual([]);
  expect(problems(fhirBundle(PERSON, [], AT))).toEqual([]);
  // The definitions do find what is none.
  const broken = fhirBundle(PERSON, [round(measured())], AT) as { entry: { resource: { status?: string } }[] };
  broken.entry[1]!.resource.status = "nearly";
  expect(problems(broken)).not.toEqual([]);
});

it("has one observation for each thing measured, with side, unit and how", () => {
  const entries = entriesOf(fhirBundle(PERSON, [round(measured())], AT));
  const observations = entries.filter(({ resource }) => resource.resourceType === "Observation").map(({ resource }) => resource);
  const told = observations.map((each) => {
    const { text } = each.code as { text: string };
    const { value, code } = each.valueQuantity as { value: number; code: string };
    return [text, (each.bodySite as { text: string } | undefined)?.text ?? null, value, code];
  });
  expect(told).toEqual([
    ["Wrist flexion, active", "left", 72, "deg"],
    ["Wrist flexion, with help", "left", 80, "deg"],
    ["Forearm supination, active", "right", 75, "deg"],
    ["Grip strength", "right", 32.01, "kg"],
    ["Effort of twisting a tight lid", "left", 3, "{score}"],
    ["Tingling", "Thumb base, left", 4, "{score}"],
    ["Body weight", null, 73.25, "kg"],
  ]);
  expect(observations[0]).toMatchObject({ method: { text: "Active range of motion" }, referenceRange: [{ high: { value: 80 } }] });
  expect(observations[3]!.note).toEqual([{ text: "Trials: 30 kg, 34 kg, 32 kg" }]);
  expect(observations[5]!.note).toEqual([{ text: expect.stringMatching(/^Since 2026-03-01\. All the time\. /) }]);
  expect(new Set(observations.map((each) => JSON.stringify(each.subject)))).toEqual(
    new Set([JSON.stringify({ reference: `urn:uuid:${PERSON.id}`, display: PERSON.name })]),
  );
});

it("has the safety questions that were answered, and none that were not", () => {
  const response = entriesOf(fhirBundle(PERSON, [round(measured())], AT)).find(
    ({ resource }) => resource.resourceType === "QuestionnaireResponse",
  );
  expect(response!.resource).toMatchObject({ status: "completed", authored: "2026-03-02T08:30:00.000Z" });
  const [group] = response!.resource.item as { item: { linkId: string; answer: object[] }[] }[];
  expect(group!.item.map(({ linkId, answer }) => [linkId, answer])).toEqual([
    ["chestPain", [{ valueBoolean: false }]],
    ["hypermobility", [{ valueBoolean: true }]],
  ]);
  expect(entriesOf(fhirBundle(PERSON, [round(emptyRecord())], AT))).toHaveLength(1);
});

it("names each thing the same every time, and each once", () => {
  const twice = [round(measured()), round(measured(), { roundId: "01930000-0000-7000-8000-00000000000a" })];
  const ids = () => entriesOf(fhirBundle(PERSON, twice, AT)).map(({ fullUrl }) => fullUrl);
  expect(new Set(ids()).size).toBe(ids().length);
  expect(ids()).toEqual(ids());
  expect(ids().every((id) => /^urn:uuid:[0-9a-f-]{36}$/.test(id))).toBe(true);
});

it("without consent to be weighed there is no weight", () => {
  const record = { ...measured(), bodyMass: { agreed: false, kg: 73 } };
  expect(JSON.stringify(fhirBundle(PERSON, [round(record)], AT))).not.toContain("29463-7");
});
