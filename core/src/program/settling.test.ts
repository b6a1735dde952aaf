import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import { lightWeekOf, reviewDay, sessionOn, settlingDose, weekOf } from ".";

const program = { settlingFrom: "2026-03-23" };

it.each([
  ["the day before", "2026-03-22", null, null],
  ["the first day", "2026-03-23", 1, "settling"],
  ["the seventh", "2026-03-29", 1, "settling"],
  ["the eighth", "2026-03-30", 2, null],
  ["the day before a lighter week", "2026-04-19", 4, null],
  ["the first day of one", "2026-04-20", 5, "lighter"],
  ["the last day of one", "2026-04-26", 5, "lighter"],
  ["the day after one", "2026-04-27", 6, null],
])("%s: %s", (_, day, week, light) => {
  const block = { ...program, lighterWeeks: [5] };
  expect([weekOf(block, day), lightWeekOf(block, day)]).toEqual([week, light]);
});

it("without a first day there are no weeks, nothing settles and no review is due", () => {
  expect(lightWeekOf({ lighterWeeks: [2] }, "2026-03-23")).toBeNull();
  expect(weekOf({ settlingFrom: null }, "2026-03-23")).toBeNull();
  expect(reviewDay({ settlingFrom: null, weeks: 4 })).toBeNull();
});

it("the review is the day after the last week, also over a change of clocks", () => {
  expect(reviewDay({ settlingFrom: "2026-03-23", weeks: 4 })).toBe("2026-04-20");
  expect(reviewDay({ settlingFrom: "2026-10-19", weeks: 8 })).toBe("2026-12-14");
});

it("a lighter week keeps form and load: only the dose is less", () => {
  const lift = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 };
  const [lighter] = sessionOn(SHIPPED_LIBRARY, { ...program, lighterWeeks: [3] }, sampleSession([lift]), "2026-04-07").items;
  expect(lighter).toMatchObject({ formId: "load", loadKg: 1, dose: settlingDose(lift.dose) });
});

it("is about six tenths of each dose, own ones too, and loads wait", () => {
  const person = sampleId();
  const hold = { kind: "holds" as const, reps: 3, holdSec: 20, restSec: 5 };
  const stretch = {
    ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()),
    dose: hold,
    personal: { [person]: { formId: "elbow-90", dose: hold } },
  };
  const lift = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 };
  const session = sampleSession([stretch, lift]);
  const [lighter, unloaded] = sessionOn(SHIPPED_LIBRARY, program, session, "2026-03-24").items;
  expect(lighter!.dose).toEqual(settlingDose(hold));
  expect(lighter!.personal[person]).toEqual({ formId: "elbow-90", dose: settlingDose(hold) });
  expect(unloaded!.loadKg).toBeNull();
  expect(unloaded!.formId).not.toBe("load");
  expect(sessionOn(SHIPPED_LIBRARY, program, session, "2026-03-31")).toBe(session);
});
