import { pose } from "../figure";
import { compilePerson, positionAt, type Dose } from "../session";
import { sampleItem, sampleSession, sampleTimings } from "../session/sample";
import { figurePlace } from "./figure-place";

const two = [pose({ right: {} }), pose({ right: { elbow: 90 } })];
const timings = sampleTimings(4, 3);
/** The figure's place so many seconds into the first bout. */
function at(dose: Dose, sec: number, figure: Partial<Parameters<typeof figurePlace>[0]> = {}) {
  const timeline = compilePerson(sampleSession([sampleItem(dose, { sides: "together" })]), timings);
  const bout = timeline.segments.find((segment) => segment.kind === "work" || segment.kind === "hold")!;
  return figurePlace({ poses: two, way: "thereAndBack", ...figure }, positionAt(timeline, bout.startSec + sec)!);
}
const reps: Dose = { kind: "reps", sets: 1, reps: 3, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 1 }, restSec: 0 };

describe("in time with the count", () => {
  it.each([
    [0, 0],
    [1, 0.5],
    [2.5, 1],
    [4, 0.5],
    [5.5, 0],
    [7, 0.5],
  ])("repetitions: at %d s the figure is at %d", (sec, place) => {
    expect(at(reps, sec)).toEqual({ place: expect.closeTo(place, 6) as number });
  });

  it("a round goes once round a repetition", () => {
    expect(at(reps, 3, { way: "round" })).toEqual({ place: expect.closeTo(1, 6) as number });
    expect(at(reps, 9, { way: "round" })).toEqual({ place: expect.closeTo(1, 6) as number });
  });

  it("a hold is entered within a second and kept", () => {
    const hold: Dose = { kind: "holds", reps: 2, holdSec: 10, restSec: 5 };
    expect(at(hold, 0)).toEqual({ place: 0 });
    expect(at(hold, 1)).toEqual({ place: 1 });
    expect(at(hold, 9)).toEqual({ place: 1 });
  });

  it("steps are entered one by one and slides go to and fro at the last", () => {
    const steps: Dose = { kind: "steps", rounds: 1, stepsUsed: 2, stepSec: 4, slides: 1, slideReps: 2, slideSec: 4, restSec: 0 };
    expect(at(steps, 2)).toEqual({ place: 0 });
    expect(at(steps, 7)).toEqual({ place: 1 });
    expect(at(steps, 8)).toEqual({ place: 1 });
    const slide: [(typeof two)[0], (typeof two)[1]] = [two[0]!, two[1]!];
    expect(at(steps, 8, { slide })).toEqual({ slide: 0 });
    expect(at(steps, 10, { slide })).toEqual({ slide: expect.closeTo(1, 6) as number });
  });

  it("a timed bout keeps an easy pace; getting ready shows the start", () => {
    const timed: Dose = { kind: "timed", sets: 1, workSec: 30, restSec: 0 };
    expect(at(timed, 2)).toEqual({ place: 1 });
    expect(at(timed, 4)).toEqual({ place: expect.closeTo(0, 6) as number });
    expect(at(timed, -2)).toEqual({ place: 0 });
  });
});
