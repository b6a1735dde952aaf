import fc from "fast-check";
import { wordsIn } from "../language";
import { compilePerson, type Dose } from "../session";
import { sampleItem, sampleSession, sampleTimings } from "../session/sample";
import { cuesOf, DONE_SHARE, end, isOver, itemsDone, jump, newClock, pause, placeAt, play, relay } from ".";

const timings = sampleTimings(8, 3);
const holds: Dose = { kind: "holds", reps: 2, holdSec: 10, restSec: 5 };
const session = sampleSession([
  sampleItem(holds, { sides: "inTurn" }),
  sampleItem({ kind: "reps", sets: 1, reps: 3, tempo: { outSec: 2, endPauseSec: 0, backSec: 2, startPauseSec: 0 }, restSec: 0 }),
]);
const timeline = compilePerson(session, timings);

describe("the clock", () => {
  it("is where the time says, however seldom it is asked", () => {
    const clock = play(newClock(600), 1000);
    expect(placeAt(clock, 1000)).toBe(0);
    expect(placeAt(clock, 301_000)).toBe(300);
    expect(isOver(clock, 600_999)).toBe(false);
    expect(isOver(clock, 601_000)).toBe(true);
    expect(placeAt(clock, 9_999_999)).toBe(600);
  });

  it("stands while paused and goes on from there", () => {
    const paused = pause(play(newClock(600), 0), 10_000);
    expect(placeAt(paused, 99_000)).toBe(10);
    expect(placeAt(play(paused, 100_000), 105_000)).toBe(15);
    expect(play(paused, 1).played).toEqual([[0, 10]]);
  });

  it("keeps what was played over jumps, and ends once", () => {
    let clock = play(newClock(100), 0);
    clock = jump(clock, 50, 10_000);
    clock = jump(clock, 5, 15_000);
    clock = end(clock, 18_000);
    expect(clock.played).toEqual([
      [0, 10],
      [50, 55],
      [5, 8],
    ]);
    expect([play(clock, 20_000), jump(clock, 1, 20_000)]).toEqual([clock, clock]);
  });

  it("goes along with a recompiled session", () => {
    const clock = relay(play(newClock(100), 0), 12, 80, 10_000);
    expect([placeAt(clock, 11_000), clock.totalSec, clock.status]).toEqual([13, 80, "running"]);
  });

  it("never drifts: any pauses, asked at any moments, add up to the time it ran", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            run: fc.integer({ min: 0, max: 50_000 }),
            rest: fc.integer({ min: 0, max: 50_000 }),
            asked: fc.integer({ min: 0, max: 5 }),
          }),
          { maxLength: 12 },
        ),
        (spans) => {
          let clock = newClock(10_000);
          let now = 0;
          let ran = 0;
          for (const { run, rest, asked } of spans) {
            clock = play(clock, now);
            for (let i = 0; i < asked; i++) placeAt(clock, now + (run * i) / 5);
            now += run;
            ran += run;
            clock = pause(clock, now);
            now += rest;
          }
          expect(placeAt(clock, now)).toBeCloseTo(ran / 1000, 6);
        },
      ),
    );
  });
});

describe("what was done", () => {
  const statuses = (...played: [number, number][]) => itemsDone(session, timeline, played).map((item) => item.status);
  it("is all of it when all was played", () => {
    expect(itemsDone(session, timeline, [[0, timeline.totalSec]])).toMatchObject([
      { plannedSec: 40, doneSec: 40, status: "done" },
      { plannedSec: 12, doneSec: 12, status: "done" },
    ]);
  });
  it("is nothing when nothing was, or only the getting ready", () => {
    expect(statuses()).toEqual(["skipped", "skipped"]);
    expect(statuses([0, 8])).toEqual(["skipped", "skipped"]);
  });
  it(`counts as done from ${DONE_SHARE * 100} % on`, () => {
    const first = timeline.segments.filter((segment) => segment.itemId === session.items[0]!.id && segment.kind === "hold");
    const last = first.at(-1)!;
    expect(statuses([0, last.startSec + 6])[0]).toBe("done");
    expect(statuses([0, last.startSec + 5.9])[0]).toBe("part");
  });
  it("counts a stretch played twice once", () => {
    expect(
      itemsDone(session, timeline, [
        [8, 18],
        [8, 18],
        [12, 16],
      ])[0],
    ).toMatchObject({ doneSec: 10, status: "part" });
  });
});

describe("cues", () => {
  const cues = cuesOf(timeline, wordsIn("en"));
  it("come in order, inside the session, and end it", () => {
    expect(cues.map((cue) => cue.atSec)).toEqual([...cues.map((cue) => cue.atSec)].sort((a, b) => a - b));
    expect(cues.at(-1)).toMatchObject({ atSec: timeline.totalSec, sound: "finish" });
  });
  it("name the movement and side, begin each hold, count the last three seconds, announce the change", () => {
    expect(cues.slice(0, 5).map((cue) => [cue.atSec, cue.sound, cue.say])).toEqual([
      [0, null, "Next: Palm-away stretch. Left."],
      [8, "start", "Hold."],
      [15, "tick", null],
      [16, "tick", null],
      [17, "tick", null],
    ]);
    expect(cues.find((cue) => cue.sound === "turn")?.say).toBe("Change sides. Right.");
  });
  it("count repetitions aloud", () => {
    expect(cues.filter((cue) => cue.say === "2" || cue.say === "3").map((cue) => cue.sound)).toEqual(["tick", "tick"]);
  });
});
