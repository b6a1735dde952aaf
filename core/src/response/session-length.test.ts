import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { FULL_PARTICIPATION, type Participations } from "../safety";
import { sampleId, sampleSession } from "../session/sample";
import { lengthsAfter } from ".";

const [ann, ben, cai] = [sampleId(), sampleId(), sampleId()];
const dose = { kind: "holds" as const, reps: 3, holdSec: 10, restSec: 5 };
const item = { ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()), dose };
const session = sampleSession([item, newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, sampleId())]);
const other = sampleSession([newItem(SHIPPED_LIBRARY.get("palm-turn"), DEFAULT_STYLE, sampleId())]);
const with_ = (reps: number) => ({ formId: item.formId, dose: { ...dose, reps }, loadKg: null });
const after = (changes: Parameters<typeof lengthsAfter>[4], may: Participations = new Map(), people = [ann, ben, cai]) =>
  lengthsAfter(SHIPPED_LIBRARY, [session, other], people, may, changes).map(({ session: { id }, nowSec, thenSec }) => [
    id,
    thenSec - nowSec,
  ]);

it("one person with more repetitions makes everybody's session longer, and names that session only", () => {
  const [[id, more] = []] = after([{ personId: ann, itemId: item.id, next: with_(dose.reps + 2) }]);
  expect(id).toBe(session.id);
  expect(more).toBeGreaterThanOrEqual(2 * dose.holdSec);
});

it("the slowest counts: two who do more cost no more than one", () => {
  const one = after([{ personId: ann, itemId: item.id, next: with_(dose.reps + 2) }]);
  const two = after([
    { personId: ann, itemId: item.id, next: with_(dose.reps + 2) },
    { personId: ben, itemId: item.id, next: with_(dose.reps + 1) },
  ]);
  expect(two).toEqual(one);
});

it.each([
  ["nothing changes", [{ personId: ann, itemId: item.id, next: null }]],
  ["one does less while the others do as much", [{ personId: ann, itemId: item.id, next: with_(1) }]],
  ["the item is in no session", [{ personId: ann, itemId: sampleId(), next: with_(9) }]],
])("is not said when %s", (_, changes) => expect(after(changes)).toEqual([]));

it("whoever is held out, or left the crew, makes nobody wait", () => {
  const change = [{ personId: ann, itemId: item.id, next: with_(dose.reps + 2) }];
  expect(after(change, new Map([[ann, { ...FULL_PARTICIPATION, heldOut: true }]]))).toEqual([]);
  expect(after(change, new Map([[ann, { ...FULL_PARTICIPATION, outOf: [{ phases: ["stretch"] }] }]]))).toEqual([]);
  expect(after(change, new Map(), [ben, cai])).toEqual([]);
});

it("what only one person made longer gets shorter again with less, down to what the leader shows", () => {
  const long = { ...session, items: [{ ...item, personal: { [ann]: with_(6) } }] };
  const less = (reps: number) =>
    lengthsAfter(SHIPPED_LIBRARY, [long], [ann, ben], new Map(), [{ personId: ann, itemId: item.id, next: with_(reps) }])[0]!;
  expect(less(5).thenSec).toBeLessThan(less(5).nowSec);
  expect(less(1).thenSec).toBe(less(3).thenSec);
});
