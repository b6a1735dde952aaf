import { getsReady, LEAST_READY_SEC, mustsOf } from "../compose/shape";
import { refusalOf, FULL_PARTICIPATION } from "../safety";
import { DEFAULT_STYLE, misfitsOf, newItem, PHASES, SHIPPED_LIBRARY, type Surroundings } from "../library";
import { programProblems, type Program } from "../program";
import { compilePerson, SLOT_KINDS } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { answered, copyOf, SHIPPED_TEMPLATES, shippedProgram, suggestedAnswer, unfitting, type ShippedTemplateId } from ".";

const NAMES = { preShift: "Before", break: "Break", postShift: "After" };
const ids = Object.keys(SHIPPED_TEMPLATES) as ShippedTemplateId[];
const made = (id: ShippedTemplateId) => shippedProgram(SHIPPED_LIBRARY, id, id, NAMES, sampleId);
const bare = (): Surroundings => ({ settings: ["any"], kit: [] });

describe.each(ids)("the template %s", (id) => {
  const program = made(id);
  const { slotSec } = SHIPPED_TEMPLATES[id];
  it("is a sound program that needs no kit, and a table at most", () => {
    expect(programProblems(SHIPPED_LIBRARY, program)).toEqual([]);
    const all = program.sessions.flatMap(({ items }) => items);
    for (const { movementId, formId } of all)
      expect([movementId, misfitsOf(SHIPPED_LIBRARY.get(movementId), formId, { settings: ["any", "table"], kit: [] })]).toEqual([
        movementId,
        [],
      ]);
    expect(all.some(({ movementId }) => SHIPPED_LIBRARY.get(movementId).weightBearing)).toBe(false);
    expect(new Set(all.map(({ movementId }) => movementId)).size).toBeLessThanOrEqual(18);
  });
  it.each(SLOT_KINDS)("%s fills its time, has the shape a session has, and nothing twice", (slot) => {
    const session = program.sessions.find((each) => each.slot === slot)!;
    const sec = compilePerson(session, SHIPPED_LIBRARY.timings).totalSec;
    expect([slot, sec <= slotSec[slot], sec >= 0.85 * slotSec[slot]]).toEqual([slot, true, true]);
    const movements = session.items.map(({ movementId }) => SHIPPED_LIBRARY.get(movementId));
    expect(new Set(movements).size).toBe(movements.length);
    for (const { must, is } of mustsOf(slot, slotSec[slot])) expect([must, movements.some(is)]).toEqual([must, true]);
    const ready = { ...session, items: session.items.filter(({ movementId }) => getsReady(SHIPPED_LIBRARY.get(movementId))) };
    if (slot !== "break") expect(compilePerson(ready, SHIPPED_LIBRARY.timings).totalSec).toBeGreaterThanOrEqual(LEAST_READY_SEC);
    if (slot !== "postShift") expect(movements.some(({ phase }) => phase === "strengthen")).toBe(false);
    // From getting ready to release; what closes may get ready again.
    const phases = movements.slice(0, -1).map(({ phase }) => PHASES.indexOf(phase));
    expect(phases).toEqual([...phases].sort((a, b) => a - b));
    expect(movements.filter(({ id: each }) => refusalOf(SHIPPED_LIBRARY, FULL_PARTICIPATION, each) !== null)).toEqual([]);
  });
});

describe("a copy", () => {
  const person = sampleId();
  const lift = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 };
  const program: Program = {
    name: "P",
    style: DEFAULT_STYLE,
    weeks: 4,
    settlingFrom: "2026-03-02",
    lighterWeeks: [3],
    sessions: [sampleSession([{ ...lift, personal: { [person]: { formId: "load", loadKg: 0.5 } } }])],
  };
  it("has new ids throughout, and neither first day nor lighter weeks", () => {
    const copied = copyOf(SHIPPED_LIBRARY, program, { sameCrew: true, kit: [] }, sampleId);
    const idsOf = ({ sessions }: Program) => sessions.flatMap(({ id, items }) => [id, ...items.map((item) => item.id)]);
    expect(idsOf(copied).filter((id) => idsOf(program).includes(id))).toEqual([]);
    expect(copied).not.toHaveProperty("settlingFrom");
    expect(copied).not.toHaveProperty("lighterWeeks");
  });
  it("keeps people and loads in the same crew", () => {
    const [item] = copyOf(SHIPPED_LIBRARY, program, { sameCrew: true, kit: [] }, sampleId).sessions[0]!.items;
    expect(item).toMatchObject({ loadKg: 1, formId: "load", personal: { [person]: { loadKg: 0.5 } } });
  });
  it("leaves people behind for another crew, and begins without a load", () => {
    const [item] = copyOf(SHIPPED_LIBRARY, program, { sameCrew: false, kit: [] }, sampleId).sessions[0]!.items;
    expect(item).toMatchObject({ loadKg: null, formId: SHIPPED_LIBRARY.get("lift-palm-down").startForm, personal: {} });
    expect(programProblems(SHIPPED_LIBRARY, copyOf(SHIPPED_LIBRARY, program, { sameCrew: false, kit: [] }, sampleId))).toEqual([]);
  });
});

describe("what does not fit", () => {
  const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId());
  const session = sampleSession([item("shake-out"), item("finger-lift"), item("finger-open-band")]);
  const program: Program = { name: "P", style: DEFAULT_STYLE, weeks: 4, sessions: [session] };
  it("is named with what is missing, and with the nearest that can be done there", () => {
    const found = unfitting(SHIPPED_LIBRARY, [session], bare);
    expect(found.map(({ movementId, misfits }) => [movementId, misfits.map(({ kind }) => kind)])).toEqual([
      ["finger-lift", ["setting"]],
      ["finger-open-band", ["kit"]],
    ]);
    for (const { movementId, instead } of found) {
      expect(instead.length).toBeGreaterThan(0);
      for (const id of instead) {
        expect(SHIPPED_LIBRARY.get(id).phase).toBe(SHIPPED_LIBRARY.get(movementId).phase);
        expect(misfitsOf(SHIPPED_LIBRARY.get(id), SHIPPED_LIBRARY.get(id).startForm, bare())).toEqual([]);
      }
    }
    expect(unfitting(SHIPPED_LIBRARY, [session], () => ({ settings: ["any", "table"], kit: ["band"] }))).toEqual([]);
  });
  it("every suggestion carried out leaves nothing that does not fit, for every movement of the library", () => {
    for (const movement of SHIPPED_LIBRARY.movements) {
      const own: Program = { ...program, sessions: [sampleSession([item(movement.id)])] };
      const found = unfitting(SHIPPED_LIBRARY, own.sessions, bare);
      const after = answered(SHIPPED_LIBRARY, own, new Map(found.map((each) => [each.itemId, suggestedAnswer(each)])));
      expect([movement.id, unfitting(SHIPPED_LIBRARY, after.sessions, bare)]).toEqual([movement.id, []]);
      expect(programProblems(SHIPPED_LIBRARY, after)).toEqual([]);
    }
  });
  it("is kept or left out as it is answered", () => {
    const [table, band] = unfitting(SHIPPED_LIBRARY, [session], bare);
    const after = answered(
      SHIPPED_LIBRARY,
      program,
      new Map([
        [table!.itemId, { kind: "keep" }],
        [band!.itemId, { kind: "leaveOut" }],
      ]),
    );
    expect(after.sessions[0]!.items.map(({ movementId }) => movementId)).toEqual(["shake-out", "finger-lift"]);
  });
});
