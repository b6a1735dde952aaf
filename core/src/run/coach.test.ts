import { wordsIn } from "../language";
import { LOAD_SCHOOLS, newItem, SHIPPED_LIBRARY, STRETCH_SCHOOLS } from "../library";
import { compilePerson, doseInForm, type Item } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { captionAt, coachFor, cuesOf, openingLine, speechSec, type CoachLevel, type Cue } from ".";

const words = wordsIn("en");
const style = { stretch: "activeAssisted", load: "pacedReps" } as const;
const item = (id: string, change: Partial<Item> = {}): Item => ({ ...newItem(SHIPPED_LIBRARY.get(id), style, sampleId()), ...change });
const said = (items: Item[], level: CoachLevel) => {
  const timeline = compilePerson(sampleSession(items), SHIPPED_LIBRARY.timings);
  return { timeline, cues: cuesOf(timeline, words, coachFor(SHIPPED_LIBRARY, level)) };
};
const spoken = (cues: readonly Cue[]) => cues.filter(({ say }) => say !== null);
/** Pairs of spoken cues of which the second begins before the first is over, in the model of the voice. */
const overlaps = (cues: readonly Cue[]) =>
  spoken(cues).flatMap((cue, i, list) => {
    const next = list[i + 1];
    return next && cue.atSec + speechSec(cue.say!) > next.atSec + 1e-9 ? [`${cue.say} | ${next.say}`] : [];
  });
const hold = (reps: number, holdSec: number, restSec: number) => ({ kind: "holds" as const, reps, holdSec, restSec });

describe("what the coach adds is said into silence: never over a count, never two at once", () => {
  const forms = SHIPPED_LIBRARY.movements.flatMap((movement) => movement.forms.map((form) => [movement.id, form.id] as const));
  it.each([...STRETCH_SCHOOLS.map((stretch) => ({ ...style, stretch })), ...LOAD_SCHOOLS.map((load) => ({ ...style, load }))])(
    "every movement and form, in the style $stretch, $load",
    (each) => {
      for (const [id, formId] of forms) {
        const plain = newItem(SHIPPED_LIBRARY.get(id), each, sampleId());
        const own = { ...plain, formId, dose: doseInForm(plain.dose, SHIPPED_LIBRARY.timings.get(id)?.get(formId)) };
        const { timeline, cues } = said([own], "full");
        // What the count itself says is as it was; the coach may not make it worse.
        const before = overlaps(cuesOf(timeline, words));
        expect([id, formId, overlaps(cues).filter((pair) => !before.includes(pair))]).toEqual([id, formId, []]);
        for (const { atSec, say } of spoken(cues).slice(0, -1)) expect(atSec + speechSec(say!)).toBeLessThanOrEqual(timeline.totalSec + 3);
      }
    },
  );
});

it("says how to take up position the first time a movement comes, and not again", () => {
  const { cues } = said([item("palm-away"), item("hand-drop"), item("palm-away")], "full");
  const [first] = words.movement("palm-away").steps;
  expect(cues.filter(({ say }) => say === first)).toHaveLength(1);
});

it("gives one thing to watch a bout, in turn", () => {
  const { watch } = words.movement("palm-away");
  const { cues } = said([item("palm-away", { dose: hold(3, 25, 10), sides: "inTurn" })], "full");
  const given = cues.flatMap(({ say }) => (watch.includes(say!) ? [watch.indexOf(say!)] : []));
  expect(given).toEqual(Array.from({ length: 6 }, (_, i) => i % watch.length));
});

it("half way and let go slowly are said in a hold, brief or full; counting only says neither", () => {
  const long = item("palm-away", { dose: hold(2, 20, 10), sides: "inTurn" });
  const texts = (level: CoachLevel) => said([long], level).cues.flatMap(({ say }) => say ?? []);
  for (const level of ["full", "brief"] as const) {
    expect(texts(level).filter((text) => text === "Half way.")).toHaveLength(4);
    expect(texts(level).filter((text) => text.startsWith("Let go slowly."))).toHaveLength(3);
    expect(texts(level)).toContain("Let go slowly. Change sides. Right.");
  }
  expect(texts("count").some((text) => /Half way|Let go|Mild/.test(text))).toBe(false);
  expect(texts("brief").some((text) => /Mild|Breathe/.test(text))).toBe(false);
  expect(texts("full").filter((text) => text === "Mild pull, never pain.")).toHaveLength(1);
});

it.each([
  [15, 0],
  [16, 1],
])("a timed bout of %d s is told its middle %d times", (workSec, times) => {
  const { cues } = said([item("shake-out", { dose: { kind: "timed", sets: 1, workSec, restSec: 0 } })], "brief");
  expect(cues.filter(({ say }) => say === "Half way.")).toHaveLength(times);
});

it("circles are sent the other way from their middle on, timed or counted", () => {
  const round = SHIPPED_LIBRARY.movements.find(({ id, startForm }) => SHIPPED_LIBRARY.figure(id, startForm)?.way === "round")!;
  const timed = said([item(round.id, { dose: { kind: "timed", sets: 1, workSec: 30, restSec: 0 } })], "brief");
  const turn = timed.cues.find(({ say }) => say === "The other way.")!;
  const bout = timed.timeline.segments.find(({ kind }) => kind === "work")!;
  expect(turn.atSec).toBeGreaterThanOrEqual(bout.startSec + 15);
  expect(turn.atSec).toBeLessThan(bout.startSec + 16.5);
  const tempo = { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 };
  const counted = said([item(round.id, { dose: { kind: "reps", sets: 1, reps: 8, tempo, restSec: 0 } })], "brief");
  expect(counted.cues.some(({ say }) => say === "5. The other way.")).toBe(true);
});

it("a voice takes longer for more, and nothing for nothing", () => {
  expect(speechSec("")).toBe(0);
  expect(speechSec("Hold.")).toBeLessThan(1);
  expect(speechSec("Hold. Last one.")).toBeGreaterThan(speechSec("Hold."));
  expect(speechSec("Arm forward, palm away from you, fingers up.")).toBeGreaterThan(2);
});

describe("a session as a flow", () => {
  const flow = ["shoulder-circles", "wrist-circle", "palm-away", "median-glide", "hook-pull-apart", "forearm-knead"].map((id) => item(id));
  const lines = ["toMobility", "toStretch", "toGlide", "toStrengthen", "toRelease"] as const;

  it.each(["full", "brief"] as const)("each phase is announced once, where it begins, %s", (level) => {
    const { cues, timeline } = said(flow, level);
    for (const line of lines) {
      const given = cues.filter(({ say }) => say === words.cue(line));
      expect(given.length).toBeLessThanOrEqual(1);
      for (const { atSec } of given)
        expect(timeline.segments.find(({ startSec, lengthSec }) => atSec >= startSec && atSec < startSec + lengthSec)!.kind).toBe("ready");
    }
    expect(cues.filter(({ say }) => lines.some((line) => words.cue(line) === say)).length).toBeGreaterThan(0);
    expect(cues.at(-1)!.say).toBe(words.cue("closing"));
  });

  it("counting only says neither phases nor a closing line, and opens without a word", () => {
    const { cues, timeline } = said(flow, "count");
    expect(cues.some(({ say }) => lines.some((line) => words.cue(line) === say))).toBe(false);
    expect(cues.at(-1)!.say).toBe(words.cue("finished"));
    expect(openingLine("Warm-up", timeline, words, { level: "count" })).toBeNull();
  });

  it("what loosens at the end lets go; at the beginning it does not", () => {
    const texts = said([item("shake-out"), item("palm-away", { dose: hold(2, 20, 10) }), item("shake-out")], "brief").cues.map(
      ({ say }) => say,
    );
    expect(texts.filter((text) => text === words.cue("toRelease")).length).toBeLessThanOrEqual(1);
    expect(said([item("shake-out"), item("fist-and-star")], "brief").cues.map(({ say }) => say)).not.toContain(words.cue("toRelease"));
  });

  it("opens with the name, the minutes and how many movements", () => {
    const { timeline } = said(flow, "full");
    const text = openingLine("Yard warm-up", timeline, words, { level: "full" })!;
    expect(text).toContain(`Yard warm-up. ${Math.round(timeline.totalSec / 60)} minutes, 6 movements.`);
    expect(openingLine("Empty", { ...timeline, items: [] }, words, { level: "full" })).toBeNull();
  });
});

describe("captions", () => {
  const cues: Cue[] = [
    { atSec: 0, sound: null, say: "Hold." },
    { atSec: 1, sound: "tick", say: null },
    { atSec: 10, sound: null, say: "Arm forward, palm away from you, fingers up." },
  ];
  it.each([
    [0, "Hold."],
    [1.2, "Hold."],
    [2.2, "Hold."],
    [2.4, null],
    [9.9, null],
    [10, "Arm forward, palm away from you, fingers up."],
    [10 + speechSec("Arm forward, palm away from you, fingers up."), "Arm forward, palm away from you, fingers up."],
    [20, null],
  ])("at %d s: %s", (atSec, text) => expect(captionAt(cues, atSec, "en")).toBe(text));
  it("nothing before anything was said", () => expect(captionAt(cues.slice(2), 3, "en")).toBeNull());
});
