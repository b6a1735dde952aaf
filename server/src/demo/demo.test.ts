import * as v from "valibot";
import { Crew, slotSecOf, surroundingsOf } from "@kind-grip/core/crew";
import { longestWorkMin, shiftsFrom } from "@kind-grip/core/calendar";
import { clashesOf, suggestStart } from "@kind-grip/core/dayplan";
import { SHIPPED_LIBRARY, misfitsOf } from "@kind-grip/core/library";
import { Program, programProblems } from "@kind-grip/core/program";
import { compileGroup, isShiftSession } from "@kind-grip/core/session";
import { Work, workProblems } from "@kind-grip/core/strain";
import { DEMO_ROUNDS } from "./baseline";
import { ANCHOR, DEMO_CREWS, TIME_ZONE } from "./crews";
import { seededRandom } from "./seeded-random";
import { oysterProgram, roofProgram, workshopProgram } from "./programs";
import { demoWork } from "./work";

const random = seededRandom(7);
const [a, b] = [random.id(), random.id()];
const programs = {
  roof: roofProgram(random, { shoulder: a, wrist: b }),
  workshop: workshopProgram(random, { thumb: a, elbow: b }),
  oyster: oysterProgram(random, { wrist: a }),
};
const crewOf = (key: string) => DEMO_CREWS.find((each) => each.key === key)!.crew;

it("four crews of about 46 people, everybody once", () => {
  const people = DEMO_CREWS.flatMap((each) => each.people);
  expect(DEMO_CREWS).toHaveLength(4);
  expect(people).toHaveLength(46);
  expect(new Set(people).size).toBe(46);
});

it.each(DEMO_CREWS.map((each) => [each.key, each.crew] as const))("the %s crew is a sound crew", (_, crew) => {
  expect(v.safeParse(Crew, crew).issues).toBeUndefined();
});

describe.each(Object.entries(programs))("the %s program", (key, program) => {
  it("is sound", () => {
    expect(v.safeParse(Program, program).issues).toBeUndefined();
    expect(programProblems(SHIPPED_LIBRARY, program)).toEqual([]);
  });
  it("fits its slots, with the easier forms done", () => {
    for (const session of program.sessions)
      expect(compileGroup(session, SHIPPED_LIBRARY.timings, [a, b]).totalSec).toBeLessThanOrEqual(slotSecOf(crewOf(key), session.slot));
  });
  it("asks for nothing the crew does not have", () => {
    const crew = crewOf(key);
    for (const { slot, items } of program.sessions)
      for (const { movementId, formId } of items)
        expect([movementId, misfitsOf(SHIPPED_LIBRARY.get(movementId), formId, surroundingsOf(crew, slot))]).toEqual([movementId, []]);
  });
  it("placed as the demo places it, breaks no rule that protects people", () => {
    const shifts = shiftsFrom(crewOf(key).shiftPattern, TIME_ZONE, ANCHOR, 28);
    const placed = shifts.flatMap((shift) =>
      program.sessions
        .filter(isShiftSession)
        .filter((session) => session.slot !== "postShift" || [1, 3, 5].includes(new Date(`${shift.date}T00:00:00Z`).getUTCDay()))
        .map((session) => {
          const { totalSec } = compileGroup(session, SHIPPED_LIBRARY.timings, [a, b]);
          const startMs = suggestStart(session.slot, totalSec, shift, session.slot === "break" ? [shift.startMs] : []);
          return { id: random.id(), session, startMs, endMs: startMs + totalSec * 1000 };
        }),
    );
    expect(clashesOf(SHIPPED_LIBRARY, placed, shifts, TIME_ZONE).filter((clash) => clash.weight === "stop")).toEqual([]);
  });
});

describe("what the crews do and can do", () => {
  const ids = Array.from({ length: 14 }, () => random.id());
  it.each(["roof", "oyster", "spa"] as const)("the %s crew's work is sound and contradicts nothing", (key) => {
    const work = demoWork(seededRandom(3), key, ids)!;
    expect(v.safeParse(Work, work).issues).toBeUndefined();
    expect(workProblems(work, longestWorkMin(crewOf(key).shiftPattern))).toEqual([]);
  });
  it("the upholstery crew's is still to be described", () => {
    expect(demoWork(seededRandom(3), "workshop", ids)).toBeUndefined();
    expect(DEMO_ROUNDS.workshop).toBeUndefined();
  });
  it("every story and every restriction is about somebody of the crew", () => {
    for (const [key, { stories, restrictions }] of Object.entries(DEMO_ROUNDS)) {
      const people = DEMO_CREWS.find((each) => each.key === key)!.people;
      for (const name of [...Object.keys(stories), ...Object.keys(restrictions)]) expect(people).toContain(name);
    }
  });
});

describe("the random", () => {
  it("fall the same way from the same seed, another way from another", () => {
    const three = (seed: number) => {
      const some = seededRandom(seed);
      return [some.next(), some.whole(1, 6), some.id()];
    };
    expect(three(1)).toEqual(three(1));
    expect(three(1)).not.toEqual(three(2));
  });
  it("make valid ids, all different, and whole numbers in range", () => {
    const ids = Array.from({ length: 500 }, () => random.id());
    expect(new Set(ids).size).toBe(500);
    expect(ids.every((id) => v.is(v.pipe(v.string(), v.uuid()), id))).toBe(true);
    const throws = Array.from({ length: 500 }, () => random.whole(1, 6));
    expect([Math.min(...throws), Math.max(...throws)]).toEqual([1, 6]);
  });
});
