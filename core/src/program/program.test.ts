import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { readProgramFile, writeProgramFile, writeCsv } from "../exchange";
import { sampleId, sampleSession } from "../session/sample";
import { composer, USUAL_LIMITS } from "../compose";
import { sampleNeed, SAMPLE_NAMES } from "../compose/sample";
import { doseAtShare } from "../slot";
import { programProblems, switchStyle, type Program } from ".";

const program = (): Program => ({
  name: "P",
  style: DEFAULT_STYLE,
  weeks: 4,
  sessions: [
    sampleSession([
      newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()),
      newItem(SHIPPED_LIBRARY.get("lift-palm-up"), DEFAULT_STYLE, sampleId()),
      newItem(SHIPPED_LIBRARY.get("median-glide"), DEFAULT_STYLE, sampleId()),
    ]),
  ],
});

describe("switching the style", () => {
  it("shows each dose before and after, and the figures of each session", () => {
    const {
      doses,
      sessions,
      program: switched,
    } = switchStyle(SHIPPED_LIBRARY, program(), { stretch: "longHold", load: "pacedReps" }, true);
    expect(doses).toHaveLength(1);
    expect(doses[0]).toMatchObject({
      movementId: "palm-away",
      before: { kind: "reps" },
      after: { kind: "holds", holdSec: 25 },
      ownDose: false,
    });
    expect(sessions[0]!.after.totalSec - sessions[0]!.before.totalSec).toBe(8 + 2 * 95 + 3 - (8 + 2 * 48 + 3));
    expect(switched.style.stretch).toBe("longHold");
  });

  it("keeps a dose set by hand when asked to, and says so when not", () => {
    const own = program();
    own.sessions[0]!.items[0]!.dose = { kind: "holds", reps: 2, holdSec: 11, restSec: 5 };
    expect(switchStyle(SHIPPED_LIBRARY, own, { stretch: "longHold", load: "pacedReps" }, true).doses).toEqual([]);
    expect(switchStyle(SHIPPED_LIBRARY, own, { stretch: "longHold", load: "pacedReps" }, false).doses[0]).toMatchObject({ ownDose: true });
  });

  it("there and back is where it began", () => {
    const start = program();
    const there = switchStyle(SHIPPED_LIBRARY, start, { stretch: "minuteBlock", load: "staticGrip" }, true).program;
    expect(switchStyle(SHIPPED_LIBRARY, there, DEFAULT_STYLE, true).program).toEqual(start);
  });

  it("a dose that was set by rule follows at its share, and is known as one afterwards", () => {
    const start = program();
    const [stretch, lift] = start.sessions[0]!.items;
    const light = doseAtShare(stretch!.dose, 0.6);
    const fuller = doseAtShare(lift!.dose, 1.25);
    Object.assign(stretch!, { dose: light.dose, doseShare: light.share });
    Object.assign(lift!, { dose: fuller.dose, doseShare: fuller.share });
    const { program: there, doses, kept } = switchStyle(SHIPPED_LIBRARY, start, { stretch: "longHold", load: "staticGrip" }, true);
    expect(kept).toEqual([]);
    expect(doses.map(({ movementId }) => movementId)).toEqual(["palm-away", "lift-palm-up"]);
    expect(there.sessions[0]!.items[0]!.doseShare).toBeLessThan(0.85);
    expect(there.sessions[0]!.items[1]!.doseShare).toBeGreaterThan(1);
    expect(switchStyle(SHIPPED_LIBRARY, there, { stretch: "minuteBlock", load: "pacedReps" }, true).kept).toEqual([]);
  });

  it("a dose changed by hand after it was set by rule is one set by hand", () => {
    const start = program();
    const item = start.sessions[0]!.items[0]!;
    const { dose, share } = doseAtShare(item.dose, 0.6);
    Object.assign(item, { dose: { ...dose, reps: (dose as { reps: number }).reps + 1 }, doseShare: share });
    const { kept, program: there } = switchStyle(SHIPPED_LIBRARY, start, { stretch: "longHold", load: "pacedReps" }, true);
    expect(kept).toEqual([{ itemId: item.id, movementId: "palm-away", dose: item.dose }]);
    expect(there.sessions[0]!.items[0]!.dose).toEqual(item.dose);
  });

  it("every dose of a composed program follows", () => {
    const needs = (["wristExtensors", "fingerFlexors", "thumbBase"] as const).map((region) => sampleNeed(region, 70));
    for (const sec of [240, 420]) {
      const limits = { ...USUAL_LIMITS, style: DEFAULT_STYLE, aim: "loadLed" as const, weeks: 4, settings: ["any" as const], people: 4 };
      const question = { needs, opposites: [], limits: { ...limits, slotSec: { preShift: sec, break: 150, postShift: sec }, kit: [] } };
      const composed = composer({ ...question, ...SAMPLE_NAMES, library: SHIPPED_LIBRARY }, sampleId).first()!.program;
      const { kept } = switchStyle(SHIPPED_LIBRARY, composed, { stretch: "longHold", load: "pacedReps" }, true);
      expect(kept).toEqual([]);
    }
  });

  it("leaves a glide at its form's last step", () => {
    const start = program();
    start.sessions[0]!.items[2]!.formId = "steps-4";
    start.sessions[0]!.items[2]!.dose = { ...start.sessions[0]!.items[2]!.dose, stepsUsed: 4 } as never;
    expect(
      switchStyle(SHIPPED_LIBRARY, start, { stretch: "longHold", load: "pacedReps" }, false).program.sessions[0]!.items[2]!.dose,
    ).toMatchObject({
      stepsUsed: 4,
    });
  });
});

describe("problems", () => {
  it("are none in a sound program", () => expect(programProblems(SHIPPED_LIBRARY, program())).toEqual([]));
  it.each([
    ["an unknown form", (p: Program) => (p.sessions[0]!.items[0]!.formId = "upside-down"), "sessions.0.items.0.formId"],
    [
      "an unknown personal form",
      (p: Program) => (p.sessions[0]!.items[0]!.personal = { x: { formId: "none" } }),
      "sessions.0.items.0.personal.x",
    ],
    ["sides it cannot be done in", (p: Program) => (p.sessions[0]!.items[2]!.sides = "together"), "sessions.0.items.2.sides"],
    ["an id used twice", (p: Program) => (p.sessions[0]!.items[1]!.id = p.sessions[0]!.items[0]!.id), "sessions.0.items.1.id"],
  ])("name %s by its path", (_, spoil, path) => {
    const spoiled = program();
    spoil(spoiled);
    expect(programProblems(SHIPPED_LIBRARY, spoiled).map((problem) => problem.path)).toEqual([path]);
  });
});

describe("the program file", () => {
  it("reads back as it was written, under new ids and without people", () => {
    const start = program();
    start.sessions[0]!.items[0]!.personal = { [sampleId()]: { formId: "elbow-90" } };
    const text = JSON.stringify(writeProgramFile(start));
    const read = readProgramFile(SHIPPED_LIBRARY, text, sampleId);
    expect(read.problems).toEqual([]);
    expect(read.program!.sessions[0]!.items.map((item) => [item.movementId, item.dose, item.personal])).toEqual(
      start.sessions[0]!.items.map((item) => [item.movementId, item.dose, {}]),
    );
    expect(read.program!.sessions[0]!.items[0]!.id).not.toBe(start.sessions[0]!.items[0]!.id);
  });

  it("names every problem with its place", () => {
    const file = writeProgramFile(program());
    file.program.weeks = 53;
    file.program.sessions[0]!.items[0]!.dose = { kind: "holds", reps: 0, holdSec: 20, restSec: 5 };
    expect(readProgramFile(SHIPPED_LIBRARY, JSON.stringify(file), sampleId).problems.map((problem) => problem.path)).toEqual([
      "program.weeks",
      "program.sessions.0.items.0.dose.reps",
    ]);
  });
});

it("CSV defuses formulas and quotes what needs it", () => {
  expect(
    writeCsv(
      ["a", "b"],
      [
        ["=cmd()", 'say "hi", twice'],
        [null, 3],
      ],
    ),
  ).toBe(`\uFEFFa,b\r\n"'=cmd()","say ""hi"", twice"\r\n,3`);
});
