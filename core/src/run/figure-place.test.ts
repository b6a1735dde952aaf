import { pose } from "../figure";
import { compilePerson, positionAt, type Dose } from "../session";
import { sampleItem, sampleSession, sampleTimings } from "../session/sample";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { bonesOf, poseAlong, poseBetween, eased } from "../figure";
import { calmSpanSec, farthest, figureMoment, figurePlace, previewPlace, previewSec, type FigurePlace } from "./figure-place";

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

  it("a round goes once round a repetition, and after half of them the other way round", () => {
    expect(at(reps, 3, { way: "round" })).toEqual({ place: expect.closeTo(1, 6) as number });
    expect(at(reps, 9, { way: "round" })).toEqual({ place: expect.closeTo(3, 6) as number });
    expect(at(reps, 15, { way: "round" })).toEqual({ place: expect.closeTo(3, 6) as number });
    const timed: Dose = { kind: "timed", sets: 1, workSec: 20, restSec: 0 };
    const [there, back] = [at(timed, 9, { way: "round" }), at(timed, 11, { way: "round" })];
    expect(there).toEqual(back);
  });

  it("four poses are the four parts of a repetition", () => {
    const four = { way: "steps" as const, poses: [two[0]!, two[1]!, two[0]!, two[1]!] };
    expect(at(reps, 1, four)).toEqual({ place: expect.closeTo(0.5, 6) as number });
    expect(at(reps, 2.5, four)).toEqual({ place: expect.closeTo(1.5, 6) as number });
    expect(at(reps, 4, four)).toEqual({ place: expect.closeTo(2.5, 6) as number });
    expect(at(reps, 5.5, four)).toEqual({ place: expect.closeTo(3.5, 6) as number });
  });

  it("two halves: out and back in either, and the last way back of the first leads to the start of the second", () => {
    const halves = { way: "halves" as const, poses: [two[0]!, two[1]!, two[0]!, two[1]!] };
    const four: Dose = { ...reps, reps: 4 };
    const places = [1, 2.5, 4, 5.5].flatMap((sec) =>
      [0, 6, 12, 18].map((before) => [before + sec, at(four, before + sec, halves)] as const),
    );
    const expected: Record<number, number> = {
      ...{ 1: 0.5, 2.5: 1, 4: 0.5, 5.5: 0 },
      ...{ 7: 0.5, 8.5: 1, 10: 1.5, 11.5: 2 },
      ...{ 13: 2.5, 14.5: 3, 16: 2.5, 17.5: 2 },
      ...{ 19: 2.5, 20.5: 3, 22: 2.5, 23.5: 2 },
    };
    for (const [sec, place] of places) expect({ sec, ...place }).toEqual({ sec, place: expect.closeTo(expected[sec]!, 6) as number });
  });

  it("two halves of a timed dose: by rounds where it has them, else by its seconds", () => {
    const halves = { way: "halves" as const, poses: [two[0]!, two[1]!, two[0]!, two[1]!] };
    const placeOf = (dose: Dose, sec: number) => (at(dose, sec, halves) as { place: number }).place;
    expect(placeOf({ kind: "timed", sets: 1, workSec: 20, restSec: 0 }, 9.9)).toBeLessThanOrEqual(1);
    expect(placeOf({ kind: "timed", sets: 1, workSec: 20, restSec: 0 }, 10.1)).toBeGreaterThanOrEqual(2);
    expect(placeOf({ kind: "timed", sets: 2, workSec: 20, restSec: 0 }, 19)).toBeLessThanOrEqual(1);
  });

  it("a hold keeps its seconds at the end", () => {
    const hold: Dose = { kind: "holds", reps: 2, holdSec: 10, restSec: 5 };
    for (const sec of [0, 1, 9]) expect(at(hold, sec)).toEqual({ place: 1 });
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

describe("through a whole item", () => {
  const placeOf = (place: FigurePlace) => ("place" in place ? place.place : place.slide);

  it("a hold is entered in the getting ready and left in the rest", () => {
    const timeline = compilePerson(
      sampleSession([sampleItem({ kind: "holds", reps: 2, holdSec: 10, restSec: 5 }, { sides: "together" })]),
      timings,
    );
    const figureOf = () => ({ poses: two, way: "thereAndBack" as const });
    const places = Array.from({ length: Math.ceil(timeline.totalSec * 10) }, (_, i) => figureMoment(timeline, i / 10, figureOf)!);
    const first = timeline.segments.find((segment) => segment.kind === "hold")!;
    const at = (sec: number) => placeOf(places[Math.round(sec * 10)]!.place);
    expect(at(0)).toBe(0);
    expect(at(first.startSec)).toBe(1);
    expect(at(first.startSec + 9.9)).toBe(1);
    expect(at(first.startSec + 12.5)).toBe(0);
    places.forEach(({ place }, i) => i > 0 && expect(Math.abs(placeOf(place) - placeOf(places[i - 1]!.place))).toBeLessThan(0.15));
  });

  it("in a change of hands the one before is left before the next is shown", () => {
    const timeline = compilePerson(
      sampleSession([sampleItem({ kind: "holds", reps: 1, holdSec: 10, restSec: 0 }, { sides: "inTurn" })]),
      timings,
    );
    const change = timeline.segments.find((segment) => segment.kind === "switch")!;
    const figureOf = () => ({ poses: two, way: "thereAndBack" as const });
    const [before, after] = [0.1, change.lengthSec - 0.1].map((sec) => figureMoment(timeline, change.startSec + sec, figureOf)!);
    expect(before!.segment.side).not.toBe(change.side);
    expect(placeOf(before!.place)).toBeGreaterThan(0.5);
    expect(after!.segment.side).toBe(change.side);
    expect(placeOf(after!.place)).toBeGreaterThan(0.5);
    expect(figureMoment(timeline, timeline.totalSec + 1, figureOf)).toBeUndefined();
  });

  /** Thrown or shaken on purpose. */
  const LOOSE = new Set(["arm-swings", "shake-out"]);
  const FRAME_SEC = 0.08;

  it.each(SHIPPED_LIBRARY.movements.map(({ id }) => id).filter((id) => !LOOSE.has(id)))("%s is shown without a jump", (id) => {
    const movement = SHIPPED_LIBRARY.get(id);
    for (const formId of [movement.startForm]) {
      const figure = SHIPPED_LIBRARY.figure(id, formId)!;
      const item = { ...newItem(movement, DEFAULT_STYLE, "00000000-0000-7000-8000-000000000000"), formId };
      const timeline = compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, SHIPPED_LIBRARY.timings);
      const bout = timeline.segments.find(({ kind }) => kind === "work" || kind === "hold")!;
      const bonesAt = (place: FigurePlace) =>
        bonesOf(
          "place" in place
            ? poseAlong(figure.poses, place.place, figure.way)
            : poseBetween(figure.slide![0], figure.slide![1], eased(place.slide)),
        );
      const untilSec = Math.min(previewSec(figure, bout), 10);
      let before = bonesAt(previewPlace(figure, timeline, bout, 0));
      let shown = JSON.stringify(previewPlace(figure, timeline, bout, 0));
      for (let sec = FRAME_SEC; sec < untilSec; sec += FRAME_SEC) {
        const place = previewPlace(figure, timeline, bout, sec);
        const key = JSON.stringify(place);
        if (key === shown) continue;
        const now = bonesAt(place);
        // Twice the speed that is aimed at: a dose may ask for a quick repetition, but nothing may jump.
        expect([formId, Math.round(sec * 100) / 100, farthest(before, now) < 2 * 1200 * FRAME_SEC]).toEqual([
          formId,
          Math.round(sec * 100) / 100,
          true,
        ]);
        [before, shown] = [now, key];
      }
      expect(calmSpanSec(figure)).toBeGreaterThanOrEqual(0.9);
    }
  });
});
