import fc from "fast-check";
import { compilePerson, positionAt, type Dose } from ".";
import { sampleItem, sampleSession, sampleTimings } from "./sample";

const timings = sampleTimings(8, 3);
const timelineOf = (dose: Dose, sides: "together" | "inTurn" = "together") =>
  compilePerson(sampleSession([sampleItem(dose, { sides })]), timings);
const reps: Dose = { kind: "reps", sets: 1, reps: 3, tempo: { outSec: 2, endPauseSec: 1, backSec: 3, startPauseSec: 1 }, restSec: 0 };

it.each([
  [0, "ready", 0],
  [7.99, "ready", 0],
  [8, "out", 1],
  [9.99, "out", 1],
  [10, "endPause", 1],
  [11, "back", 1],
  [14, "startPause", 1],
  [15, "out", 2],
  [28.9, "startPause", 3],
])("at %d s of paced repetitions: %s, repetition %d", (at, phase, count) => {
  expect(positionAt(timelineOf(reps), at)).toMatchObject({ phase, count });
});

it("counts holds and changes hands", () => {
  const timeline = timelineOf({ kind: "holds", reps: 2, holdSec: 5, restSec: 4 }, "inTurn");
  const at = (sec: number) => {
    const { phase, count, countOf, segment } = positionAt(timeline, sec)!;
    return [phase, segment.side, count, countOf];
  };
  expect(at(8)).toEqual(["hold", "left", 1, 2]);
  expect(at(14)).toEqual(["rest", "left", 0, 0]);
  expect(at(17)).toEqual(["hold", "left", 2, 2]);
  expect(at(23)).toEqual(["switch", "right", 0, 0]);
  expect(at(25)).toEqual(["hold", "right", 1, 2]);
});

it("goes up the steps of a glide, then slides", () => {
  const timeline = timelineOf({ kind: "steps", rounds: 1, stepsUsed: 2, stepSec: 4, slides: 1, slideReps: 3, slideSec: 3, restSec: 0 });
  expect(positionAt(timeline, 12)).toMatchObject({ phase: "step", count: 2, countOf: 2 });
  expect(positionAt(timeline, 16)).toMatchObject({ phase: "slide", count: 1, countOf: 3 });
  expect(positionAt(timeline, 24.9)).toMatchObject({ phase: "slide", count: 3 });
});

it("before the start is the start, after the end is nothing", () => {
  expect(positionAt(timelineOf(reps), -5)?.index).toBe(0);
  expect(positionAt(timelineOf(reps), 29)).toBeUndefined();
});

it("is inside its segment at any moment, share and remainder right", () => {
  const timeline = timelineOf(reps, "inTurn");
  fc.assert(
    fc.property(fc.double({ min: 0, max: timeline.totalSec - 0.001, noNaN: true }), (at) => {
      const { segment, intoSec, leftSec, phaseShare } = positionAt(timeline, at)!;
      expect(segment.startSec).toBeLessThanOrEqual(at);
      expect(intoSec + leftSec).toBeCloseTo(segment.lengthSec);
      expect(phaseShare).toBeGreaterThanOrEqual(0);
      expect(phaseShare).toBeLessThanOrEqual(1);
    }),
  );
});
