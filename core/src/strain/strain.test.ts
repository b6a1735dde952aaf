import fc from "fast-check";
import * as v from "valibot";
import {
  compositeStrain,
  cumulativeStrain,
  dayOf,
  durationMultiplier,
  EMPTY_WORK,
  harderHand,
  hoursMultiplier,
  hoursOfTask,
  intensityMultiplier,
  minutesByTask,
  minutesOverWays,
  postureMultiplier,
  RAISED_STRAIN,
  rateMultiplier,
  shiftStrain,
  singleChanges,
  strainIndex,
  Task,
  TASK_STARTERS,
  taskStrain,
  Work,
  workProblems,
  type Effort,
} from ".";
import { sampleDay, sampleEffort, sampleTask } from "./sample";

const EXAMPLE = { effort: 3, perMin: 10, secEach: 2, flexionDeg: 20, hours: 4 };

describe("the worked example", () => {
  const { value, chain } = strainIndex(EXAMPLE);
  it.each([
    ["effort", 3.706, 3],
    ["rate", 2.6, 3],
    ["duration", 1.07, 3],
    ["posture", 1.2367, 4],
    ["hours", 0.7698, 4],
  ] as const)("%s multiplies by %s", (factor, multiplier, digits) => {
    expect(chain.find((link) => link.factor === factor)!.multiplier).toBeCloseTo(multiplier, digits);
  });
  it("is 9.81 over 4 hours and 12.75 over 8", () => {
    expect(value).toBeCloseTo(9.81, 2);
    expect(strainIndex({ ...EXAMPLE, hours: 8 }).value).toBeCloseTo(12.75, 2);
    expect(hoursMultiplier(8)).toBeCloseTo(1, 3);
  });
  it("the product of the chain is the value, and it lies on the calm side of raised", () => {
    expect(chain.reduce((product, link) => product * link.multiplier, 1)).toBe(value);
    expect(value).toBeLessThan(RAISED_STRAIN);
    expect(strainIndex({ ...EXAMPLE, hours: 8 }).value).toBeGreaterThan(RAISED_STRAIN);
  });
});

describe("the pieces of each formula meet", () => {
  // Largest jump of the published coefficients, as a share of the value.
  it.each([
    ["intensity at 0.4", intensityMultiplier, 0.4, 0.0001],
    ["rate at 90 a minute", rateMultiplier, 90, 0.0015],
    ["duration at 60 s", durationMultiplier, 60, 0.0005],
    ["posture at 0°", postureMultiplier, 0, 0.0001],
    ["posture at 30° of extension", postureMultiplier, -30, 0.0001],
    ["hours at 3 min", hoursMultiplier, 0.05, 0.05],
  ] as const)("%s", (_, multiplier, edge, jump) => {
    const [below, above] = [multiplier(edge - 1e-9), multiplier(edge + 1e-9)];
    expect(Math.abs(above - below) / above).toBeLessThanOrEqual(jump);
  });
  it("extension costs nothing up to 30°, then more and more", () => {
    expect([0, -10, -30].map(postureMultiplier)).toEqual([1, 1, 1]);
    expect(postureMultiplier(-31)).toBeGreaterThan(1);
    expect(postureMultiplier(-60)).toBeCloseTo(1.252, 6);
  });
});

describe("answers outside a formula's range are refused", () => {
  it.each([
    ["no effort at all", { effort: 0 }],
    ["an effort over 10", { effort: 10.1 }],
    ["a negative rate", { perMin: -1 }],
    ["a negative duration", { secEach: -0.1 }],
    ["a wrist bent by 91°", { flexionDeg: 91 }],
    ["more than a day", { hours: 24.1 }],
    ["no number", { hours: Number.NaN }],
  ])("%s", (_, change) => {
    expect(() => strainIndex({ ...EXAMPLE, ...change })).toThrow(RangeError);
  });
});

const inputs = fc.record({
  effort: fc.double({ min: 0.5, max: 10, noNaN: true }),
  perMin: fc.double({ min: 0.1, max: 200, noNaN: true }),
  secEach: fc.double({ min: 0.1, max: 300, noNaN: true }),
  flexionDeg: fc.double({ min: -70, max: 80, noNaN: true }),
  hours: fc.double({ min: 0.06, max: 12, noNaN: true }),
});

describe("more of a factor never lowers the index", () => {
  it.each(["effort", "perMin", "secEach", "hours"] as const)("%s", (factor) => {
    const limit = { effort: 10, perMin: 200, secEach: 300, hours: 12 }[factor];
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 1, noNaN: true }), (input, share) => {
        const more = { ...input, [factor]: input[factor] + share * (limit - input[factor]) };
        // The published pieces meet only to four digits.
        expect(strainIndex(more).value).toBeGreaterThanOrEqual(strainIndex(input).value * 0.998);
      }),
    );
  });
  it("a wrist further from straight", () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 1, noNaN: true }), (input, share) => {
        const further = { ...input, flexionDeg: input.flexionDeg * (1 + share * 0.1) };
        fc.pre(Math.abs(further.flexionDeg) <= 90);
        expect(strainIndex(further).value).toBeGreaterThanOrEqual(strainIndex(input).value);
      }),
    );
  });
});

describe("several efforts, several tasks", () => {
  const efforts = fc.array(
    fc.record({ index: fc.double({ min: 0.1, max: 60, noNaN: true }), perMin: fc.double({ min: 0.5, max: 30, noNaN: true }) }),
    {
      maxLength: 6,
    },
  );
  const tasks = fc.array(
    fc.record({ index: fc.double({ min: 0.1, max: 60, noNaN: true }), hours: fc.double({ min: 0.1, max: 3, noNaN: true }) }),
    {
      maxLength: 6,
    },
  );
  it("of one are its own index; of none, nothing", () => {
    expect(compositeStrain([{ index: 7, perMin: 4 }]).value).toBe(7);
    expect(cumulativeStrain([{ index: 7, hours: 4 }]).value).toBe(7);
    expect([compositeStrain([]).value, cumulativeStrain([]).value]).toEqual([0, 0]);
  });
  it("a composite worked by hand: 8 at 6 a minute and 5 at 4 a minute", () => {
    // EM(4) = 1.1, EM(6) = 1.6, EM(10) = 2.6: 8 + 5 / 1.1 × (2.6 − 1.6)
    expect(
      compositeStrain([
        { index: 5, perMin: 4 },
        { index: 8, perMin: 6 },
      ]).value,
    ).toBeCloseTo(8 + (5 / 1.1) * 1, 9);
  });
  it("a cumulative worked by hand: 9 over 3 h and 6 over 5 h", () => {
    const expected = 9 + (6 / hoursMultiplier(5)) * (hoursMultiplier(8) - hoursMultiplier(3));
    expect(
      cumulativeStrain([
        { index: 6, hours: 5 },
        { index: 9, hours: 3 },
      ]).value,
    ).toBeCloseTo(expected, 9);
  });
  it("more work never reads as less where a verdict is taken: the published order can, the steady one cannot", () => {
    const shift = (easyMin: number) => {
      const hard = sampleTask("hard", [sampleEffort("h", { effort: 6, perMin: 12, secEach: 1, flexionDeg: 0 })]);
      const easy = sampleTask("easy", [sampleEffort("e", { effort: 3, perMin: 10, secEach: 1.5, flexionDeg: 0 })]);
      const work: Work = {
        tasks: [hard, easy],
        days: [
          sampleDay([
            [hard, 30],
            [easy, easyMin],
          ]),
        ],
      };
      return shiftStrain(work, work.days[0]!, "right");
    };
    expect(shift(480).value).toBeCloseTo(14.23, 1);
    expect(shift(510).value).toBeCloseTo(9.59, 1);
    expect([shift(480).steady, shift(510).steady].map((each) => Math.round(each * 100) / 100)).toEqual([14.23, 14.46]);
    expect(shift(510)).toMatchObject({ disagree: true, decisive: shift(510).steady });
    expect(shift(480)).toMatchObject({ disagree: false, decisive: shift(480).value });
  });
  it("the steady order never falls when hours, efforts or tasks are added", () => {
    const tasks = fc.array(
      fc.record({ index: fc.double({ min: 0.1, max: 40, noNaN: true }), hours: fc.double({ min: 0.06, max: 3, noNaN: true }) }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(tasks, fc.nat(), fc.double({ min: 0.01, max: 2, noNaN: true }), (list, at, more) => {
        const chosen = at % list.length;
        // The index of a task over more hours grows with the multiplier of its hours.
        const grown = list.map((task, i) =>
          i === chosen
            ? { hours: task.hours + more, index: (task.index / hoursMultiplier(task.hours)) * hoursMultiplier(task.hours + more) }
            : task,
        );
        expect(cumulativeStrain(grown).steady).toBeGreaterThanOrEqual(cumulativeStrain(list).steady - 1e-9);
        expect(cumulativeStrain([...list, { index: 1, hours: 1 }]).steady).toBeGreaterThanOrEqual(cumulativeStrain(list).steady - 1e-9);
      }),
      { numRuns: 2000 },
    );
  });
  it("a day of more hours than there are is a problem at its field, never an error", () => {
    const task = sampleTask("t", [sampleEffort("a")]);
    const work: Work = {
      tasks: [task],
      days: [
        sampleDay([
          [task, 960],
          [task, 960],
        ]),
      ],
    };
    expect(workProblems(work, null)).toEqual([{ path: "days.0.parts", message: "add up to 32 h; a day has 24 h" }]);
    expect(() => shiftStrain(work, work.days[0]!, "right")).not.toThrow();
    const full: Work = {
      tasks: [task],
      days: [
        sampleDay([
          [task, 720],
          [task, 720],
        ]),
      ],
    };
    expect(workProblems(full, null)).toEqual([]);
  });
  it("their order does not matter", () => {
    fc.assert(
      fc.property(efforts, tasks, (some, others) => {
        expect(compositeStrain([...some].reverse()).value).toBeCloseTo(compositeStrain(some).value, 6);
        expect(cumulativeStrain([...others].reverse()).value).toBeCloseTo(cumulativeStrain(others).value, 6);
      }),
    );
  });
  it("are never less than the largest alone, and what the parts add is the whole", () => {
    fc.assert(
      fc.property(tasks, (list) => {
        const { value, parts } = cumulativeStrain(list);
        expect(value).toBeGreaterThanOrEqual(Math.max(0, ...list.map(({ index }) => index)));
        expect(parts.reduce((sum, { adds }) => sum + adds, 0)).toBeCloseTo(value, 9);
      }),
    );
  });
  it("a task split in two equal halves is the same shift", () => {
    fc.assert(
      fc.property(inputs, (input) => {
        fc.pre(input.hours >= 0.12);
        const half = strainIndex({ ...input, hours: input.hours / 2 }).value;
        const split = cumulativeStrain([half, half].map((index) => ({ index, hours: input.hours / 2 }))).value;
        expect(split).toBeCloseTo(strainIndex(input).value, 6);
      }),
    );
  });
});

describe("a task and a shift", () => {
  const sewing = sampleTask("sewing", [sampleEffort("push", { hands: "right" }), sampleEffort("hold", { hands: "left", effort: 2 })]);
  const cutting = sampleTask("cutting", [sampleEffort("close", { hands: "both", perMin: 15, secEach: 1 })]);
  const day = sampleDay([
    [sewing, 120],
    [cutting, 60],
    [sewing, 120],
  ]);
  const work: Work = { tasks: [sewing, cutting], days: [day] };
  it("counts for a hand only the efforts that hand makes", () => {
    expect(taskStrain(sewing, "left", 4).composite.parts.map((part) => part.of.effort.name)).toEqual(["hold"]);
    expect(taskStrain(sewing, "right", 4).index).toBeGreaterThan(taskStrain(sewing, "left", 4).index);
  });
  it("a task that is gone back to counts its hours together", () => {
    const once: Work = {
      ...work,
      days: [
        sampleDay([
          [sewing, 240],
          [cutting, 60],
        ]),
      ],
    };
    expect(shiftStrain(work, day, "right").value).toBeCloseTo(shiftStrain(once, once.days[0]!, "right").value, 9);
  });
  it("an idle hand has no strain; the harder hand is named", () => {
    const oneHanded: Work = { tasks: [sewing], days: [sampleDay([[{ ...sewing, efforts: [sewing.efforts[0]!] }, 60]])] };
    oneHanded.tasks = [{ ...sewing, efforts: [sewing.efforts[0]!] }];
    expect(shiftStrain(oneHanded, oneHanded.days[0]!, "left").value).toBe(0);
    expect(harderHand(oneHanded, oneHanded.days[0]!).side).toBe("right");
  });
  it("a person works the day they are named in, everybody else the first", () => {
    const second = { ...sampleDay([[cutting, 60]]), personIds: ["019d0000-0000-7000-8000-000000000001"] };
    const both = { ...work, days: [day, second] };
    expect(dayOf(both, second.personIds[0])).toBe(second);
    expect(dayOf(both, "somebody else")).toBe(day);
    expect(dayOf(EMPTY_WORK)).toBeUndefined();
  });
  it("a task's hours are those of the way that is looked at, else of the one that has most of it, else one", () => {
    const few = sampleDay([
      [cutting, 30],
      [cutting, 15],
    ]);
    const many = sampleDay([[cutting, 90]]);
    const both = { ...work, days: [day, few, many] };
    expect(minutesOverWays({ days: [few, many] })).toEqual(new Map([[cutting.id, { least: 45, most: 90 }]]));
    expect([hoursOfTask(both, cutting.id, few), hoursOfTask({ days: [few, many] }, cutting.id)]).toEqual([0.75, 1.5]);
    expect(hoursOfTask({ days: [few] }, sewing.id, few)).toBe(1);
    expect(hoursOfTask({ days: [few, day] }, sewing.id, few)).toBe(minutesByTask(day).get(sewing.id)! / 60);
  });
});

describe("the single change that helps most", () => {
  const task = sampleTask("lever", [sampleEffort("squeeze", { effort: 6, perMin: 12, secEach: 2, flexionDeg: 40 })]);
  it("comes first, and every change listed helps", () => {
    const changes = singleChanges(task, "right", 6);
    expect(changes.map(({ after }) => after)).toEqual([...changes.map(({ after }) => after)].sort((a, b) => a - b));
    expect(changes.every(({ before, after }) => after < before)).toBe(true);
    expect(changes.map(({ factor }) => factor).sort()).toEqual(["duration", "effort", "hours", "posture", "rate"]);
  });
  it("leaves out what changes nothing: a straight wrist, the least effort", () => {
    const easy = sampleTask("easy", [sampleEffort("touch", { effort: 0.5, flexionDeg: 0 })]);
    const factors = singleChanges(easy, "right", 6).map(({ factor }) => factor);
    expect(factors).not.toContain("posture");
    expect(factors).not.toContain("effort");
  });
  it("really is what the figure becomes when the answer is changed", () => {
    const [best] = singleChanges(task, "right", 6);
    const effort = task.efforts[0]!;
    const field = { effort: "effort", rate: "perMin", duration: "secEach", posture: "flexionDeg" } as const;
    const changed = best!.factor === "hours" ? task : { ...task, efforts: [{ ...effort, [field[best!.factor]]: best!.to }] };
    expect(taskStrain(changed, "right", best!.factor === "hours" ? best!.to : 6).index).toBeCloseTo(best!.after, 9);
  });
});

describe("answers that contradict each other are named at the field", () => {
  const problemsOf = (efforts: Effort[], minutes: number[] = [60], shiftMin: number | null = 480) => {
    const task = sampleTask("task", efforts);
    return workProblems({ tasks: [task], days: [sampleDay(minutes.map((each) => [task, each]))] }, shiftMin);
  };
  it("efforts that fill a minute exactly are possible; a moment more is not", () => {
    expect(problemsOf([sampleEffort("a", { perMin: 12, secEach: 5 })])).toEqual([]);
    const [problem] = problemsOf([sampleEffort("a", { perMin: 12, secEach: 5.1 })]);
    expect(problem).toEqual({
      path: "tasks.0.efforts.0.secEach",
      message: "12 efforts a minute of 5.1 s each take 61.2 s of every minute: at most 5 s each, or 11.8 a minute",
    });
  });
  it("the efforts of one hand together, not of both hands together", () => {
    const effort = (name: string, hands: Effort["hands"]) => sampleEffort(name, { hands, perMin: 8, secEach: 5 });
    expect(problemsOf([effort("a", "right"), effort("b", "left")])).toEqual([]);
    expect(problemsOf([effort("a", "right"), effort("b", "both")])).toEqual([
      { path: "tasks.0.efforts", message: "the efforts of the right hand add up to 80 s of every minute; one hand has 60" },
    ]);
  });
  it("a day as long as the shift is possible; a minute more is not", () => {
    expect(problemsOf([sampleEffort("a")], [240, 240])).toEqual([]);
    expect(problemsOf([sampleEffort("a")], [240, 241])).toEqual([
      { path: "days.0.parts", message: "add up to 8 h 1 min; the longest shift has 8 h without its breaks" },
    ]);
    expect(problemsOf([sampleEffort("a")], [900], null)).toEqual([]);
  });
  it("a person in two days, a part of an unknown task, an id used twice", () => {
    const task = sampleTask("task", [sampleEffort("a")]);
    const personId = "019d0000-0000-7000-8000-000000000009";
    const day = { ...sampleDay([[task, 60]]), personIds: [personId] };
    const other = { ...sampleDay([[sampleTask("gone", [sampleEffort("b")]), 60]]), personIds: [personId] };
    expect(workProblems({ tasks: [task, task], days: [day, other] }, 480).map(({ path }) => path)).toEqual([
      "tasks.1.id",
      "tasks.1.efforts.0.id",
      "days.1.parts.0.taskId",
      "days.1.personIds.0",
    ]);
  });
});

it("every task to start from is sound and contradicts nothing", () => {
  for (const starter of TASK_STARTERS) {
    const task = sampleTask(
      starter.name,
      starter.efforts.map((effort) => ({ ...sampleEffort(effort.name), ...effort })),
    );
    expect(v.safeParse(Task, { ...starter, id: task.id, efforts: task.efforts }).issues).toBeUndefined();
    expect(workProblems({ tasks: [{ ...starter, id: task.id, efforts: task.efforts }], days: [] }, 480)).toEqual([]);
  }
});

it("a work document names every bad field", () => {
  const task = sampleTask(" ", [sampleEffort("a", { effort: 0, perMin: 201, secEach: 0, flexionDeg: 81, tiltDeg: 31 })]);
  const issues = v.safeParse(Work, { tasks: [task], days: [] }).issues!.map((issue) => [v.getDotPath(issue), issue.message]);
  expect(Object.fromEntries(issues)).toEqual({
    "tasks.0.name": "is missing",
    "tasks.0.efforts.0.effort": "must be 0.5 to 10",
    "tasks.0.efforts.0.perMin": "must be 0.1 to 200 a minute",
    "tasks.0.efforts.0.secEach": "must be 0.1 to 600 seconds",
    "tasks.0.efforts.0.flexionDeg": "must be -70 to 80°",
    "tasks.0.efforts.0.tiltDeg": "must be -20 to 30°",
  });
});
