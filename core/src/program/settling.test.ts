import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import { isSettling, sessionOn, settlingDose } from ".";

const program = { settlingFrom: "2026-03-23" };

it.each([
  ["the day before", "2026-03-22", false],
  ["the first day", "2026-03-23", true],
  ["the seventh", "2026-03-29", true],
  ["the eighth", "2026-03-30", false],
])("%s: %s", (_, day, settling) => expect(isSettling(program, day)).toBe(settling));

it("without a first day nothing settles", () => expect(isSettling({}, "2026-03-23")).toBe(false));

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
