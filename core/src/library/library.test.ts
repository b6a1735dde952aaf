import { wordsIn } from "../language";
import { boutsOf, type Dose } from "../session";
import {
  SHIPPED_LIBRARY,
  doseFor,
  easierForm,
  filterMovements,
  LOAD_SCHOOLS,
  misfitsOf,
  newItem,
  PHASE_CAP,
  PHASES,
  REGIONS,
  rungOf,
  SETTINGS,
  STRETCH_SCHOOLS,
} from ".";

const words = wordsIn("en");
const everyDose = SHIPPED_LIBRARY.movements.flatMap((movement) =>
  Object.values(movement.doses).map((dose): [string, Dose] => [movement.id, dose as Dose]),
);

describe("every movement", () => {
  it("is there once, and every phase has some", () => {
    expect(new Set(SHIPPED_LIBRARY.movements.map((movement) => movement.id)).size).toBe(SHIPPED_LIBRARY.movements.length);
    expect(SHIPPED_LIBRARY.movements.length).toBeGreaterThanOrEqual(65);
    for (const phase of PHASES)
      expect(SHIPPED_LIBRARY.movements.filter((movement) => movement.phase === phase).length).toBeGreaterThanOrEqual(3);
  });

  it.each(SHIPPED_LIBRARY.movements.map((movement) => [movement.id, movement] as const))("%s is complete", (id, movement) => {
    const text = words.movement(id);
    expect(text.steps.length).toBeGreaterThanOrEqual(2);
    expect(text.feel).not.toBe("");
    expect(text.watch.length).toBeGreaterThanOrEqual(1);
    expect(Object.keys(text.forms).sort()).toEqual(movement.forms.map((form) => form.id).sort());
    expect(rungOf(movement, movement.startForm)).toBeGreaterThanOrEqual(0);
    expect(movement.regions.worked.length + movement.regions.stretched.length + movement.regions.released.length).toBeGreaterThan(0);
    expect(movement.effortCap).toBeLessThanOrEqual(Math.max(5, PHASE_CAP[movement.phase]));
    if (movement.sideModes.includes("inTurn")) expect(movement.switchSec).toBeGreaterThan(0);
  });

  it("keeps its phase's cap, but for the squeeze rule and the thumb tendons", () => {
    expect(
      SHIPPED_LIBRARY.movements
        .filter((movement) => movement.effortCap !== PHASE_CAP[movement.phase])
        .map((movement) => [movement.id, movement.effortCap]),
    ).toEqual([
      ["fist-and-star", 5],
      ["thumb-wrap-tilt", 2],
    ]);
  });

  it("says each thing in plain, short lines", () => {
    for (const movement of SHIPPED_LIBRARY.movements)
      for (const line of [...words.movement(movement.id).steps, ...words.movement(movement.id).watch])
        expect(line.length).toBeLessThanOrEqual(115);
  });
});

it.each(everyDose)("the doses of %s take between 5 s and 5 min a side", (_, dose) => {
  const { count, lengthSec, restSec } = boutsOf(dose);
  const sec = count * lengthSec + (count - 1) * restSec;
  expect(sec).toBeGreaterThanOrEqual(5);
  expect(sec).toBeLessThanOrEqual(300);
});

it("starts no strengthening with a load", () => {
  for (const movement of SHIPPED_LIBRARY.movements)
    expect(newItem(movement, { stretch: "activeAssisted", load: "pacedReps" }, "x").loadKg).toBeNull();
  expect(SHIPPED_LIBRARY.get("lift-palm-down").startForm).toBe("unloaded");
});

it("doses stretches by the stretch school and strengthening by the load school", () => {
  const palm = SHIPPED_LIBRARY.get("palm-away");
  const lift = SHIPPED_LIBRARY.get("lift-palm-up");
  for (const stretch of STRETCH_SCHOOLS) expect(doseFor(palm, { stretch, load: "timedSets" })).toEqual(palm.doses[stretch]);
  for (const load of LOAD_SCHOOLS) expect(doseFor(lift, { stretch: "longHold", load })).toEqual(lift.doses[load]);
  expect(doseFor(SHIPPED_LIBRARY.get("shrug-and-drop"), { stretch: "longHold", load: "timedSets" })).toEqual(
    SHIPPED_LIBRARY.get("shrug-and-drop").doses.usual,
  );
});

it("walks down its ladders and stops at the foot", () => {
  const palm = SHIPPED_LIBRARY.get("palm-away");
  expect(easierForm(palm, "elbow-straight")?.id).toBe("elbow-soft");
  expect(easierForm(palm, "elbow-90")).toBeUndefined();
  expect(rungOf(palm, "unknown")).toBe(-1);
  expect(() => SHIPPED_LIBRARY.get("unknown")).toThrow(RangeError);
});

it("says what a place lacks", () => {
  const lift = SHIPPED_LIBRARY.get("lift-palm-down");
  expect(misfitsOf(lift, "load", { settings: ["any"], kit: [] })).toEqual([
    { kind: "setting", needs: ["table"] },
    { kind: "kit", needs: ["dumbbell", "bottle"] },
  ]);
  expect(misfitsOf(lift, "unloaded", { settings: ["table"], kit: [] })).toEqual([]);
  expect(misfitsOf(lift, "load", { settings: ["table"], kit: ["bottle"] })).toEqual([]);
});

describe("filters", () => {
  const find = (filter: Parameters<typeof filterMovements>[1]) =>
    filterMovements(SHIPPED_LIBRARY.movements, filter, (movement) => words.movementName(movement.id)).map((movement) => movement.id);
  it("narrow by phase, region, posture, place and word", () => {
    expect(find({ phases: ["glide"] })).toEqual([
      "median-glide",
      "ulnar-glide",
      "tendon-glide",
      "hook-to-fist",
      "radial-glide",
      "arms-wide-floss",
    ]);
    expect(find({ regions: ["thumbBase"], phases: ["stretch"] })).toEqual(["thumb-wrap-tilt"]);
    expect(find({ school: "slowLowering" })).toContain("slow-lever-lower");
    expect(find({ school: "slowLowering" })).not.toContain("squeeze");
    expect(find({ reverses: ["thumbPressed"], phases: ["release"] })).toEqual(["palm-knuckle-circles", "thumb-support-tape"]);
    expect(find({ text: "  PALM-away " })).toEqual(["palm-away"]);
    expect(find({ place: { settings: ["any"], kit: [] } })).not.toContain("table-plant");
    expect(find({ place: { settings: SETTINGS, kit: [] } })).toContain("table-plant");
    expect(find({})).toHaveLength(SHIPPED_LIBRARY.movements.length);
  });
  it("find something for every region", () => {
    for (const region of REGIONS) expect(find({ regions: [region] }).length).toBeGreaterThan(0);
  });
});

it("every nerve glide starts as a slider; its tensioner is the hardest form, behind a clean week", () => {
  for (const id of ["median-glide", "ulnar-glide", "radial-glide"]) {
    const { forms } = SHIPPED_LIBRARY.get(id);
    expect(forms.map((form) => [form.id, form.needsCleanWeek]).filter(([, clean]) => clean)).toEqual([["tensioner", true]]);
    expect(forms.at(-1)!.id).toBe("tensioner");
    for (const { id: formId } of forms) {
      const { slide, poses } = SHIPPED_LIBRARY.figure(id, formId)!;
      const [one, other] = slide!.map(({ right, neck }) => ({ bent: Math.abs(right!.wristFlexion) + right!.elbow / 4, away: neck.tilt }));
      const movesHead = one!.away !== other!.away;
      // A slider never has the hand taken up while the head is away; a tensioner keeps the head away all along.
      const [taken, loose] = one!.bent > other!.bent ? [one!, other!] : [other!, one!];
      if (formId === "tensioner") expect([movesHead, taken.away < -10]).toEqual([false, true]);
      else expect(taken.away).toBeGreaterThanOrEqual(loose.away);
      expect(poses.length).toBe(SHIPPED_LIBRARY.timings.get(id)!.get(formId)!.stepsUsed);
    }
  }
});

it("what is provocative or full effort is never a start form, and what bears weight starts without it", () => {
  for (const { id, startForm, forms, weightBearing } of SHIPPED_LIBRARY.movements)
    if (!weightBearing) expect([id, forms.find((form) => form.id === startForm)!.needsCleanWeek]).toEqual([id, false]);
});

it("a glide's form says its last step", () => {
  expect([...SHIPPED_LIBRARY.timings.get("median-glide")!.values()].map((timing) => timing.stepsUsed)).toEqual([2, 3, 4, 5, 5]);
});

it("a word the catalogue lacks falls back to its key, never to nothing", () => {
  expect(words.movementName("unknown-move")).toBe("unknown-move");
  expect(words.cue("ready", { movement: "Palm turn", side: "Left" })).toBe("Next: Palm turn. Left.");
  expect(wordsIn("pl").label("side", "left")).toBe("Left");
});

it("writes every dose of the library in words, nothing left unfilled", () => {
  for (const [, dose] of everyDose) expect(words.dose(dose)).not.toMatch(/[{}]|undefined|^paper\./);
  expect(
    words.dose({ kind: "reps", sets: 2, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 45 }),
  ).toBe("2 rounds of 12, 3 s out, 3 s back");
  expect(words.dose({ kind: "holds", reps: 3, holdSec: 20, restSec: 10 })).toBe("3 holds of 20 s");
});
