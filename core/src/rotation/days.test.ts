import { harderHand, workProblems, type Work } from "../strain";
import { sampleDay, sampleEffort, sampleTask } from "../strain/sample";
import { sampleId } from "../session/sample";
import { askedOf, daysOfRotation, exchangedPeople, minutesToShare, problemOf, strainOfPeople, usualTurns, withRest } from ".";

const task = (effort: number) => sampleTask(`effort ${effort}`, [sampleEffort("effort", { effort, hands: "right", perMin: 8 })]);
const [hard, light] = [task(6), task(2)];
const day = (parts: Parameters<typeof sampleDay>[0], personIds: string[] = []) => ({ ...sampleDay(parts), personIds });
const SHIFT_MIN = 480;
const [ada, ben, cas] = [sampleId(), sampleId(), sampleId()];
const work: Work = {
  tasks: [hard, light],
  days: [day([[light, SHIFT_MIN]]), day([[hard, SHIFT_MIN]], [cas])],
};

it.each([
  [30, 1],
  [89, 1],
  [91, 2],
  [470, 8],
  [720, 12],
  [900, 12],
])("%d minutes at work are usually %d turns", (min, turns) => expect(usualTurns(min)).toBe(turns));

it("as long is shared out as the longest way somebody works, never more than the shift", () => {
  const short: Work = { ...work, days: [day([[light, 300]]), day([[hard, 400]], [cas])] };
  expect(minutesToShare(short, [ada, cas], SHIFT_MIN)).toBe(400);
  expect(minutesToShare(short, [ada], SHIFT_MIN)).toBe(300);
  expect(minutesToShare(short, [ada, cas], 360)).toBe(360);
  expect(minutesToShare(short, [], SHIFT_MIN)).toBe(SHIFT_MIN);
});

describe("what is asked to begin with", () => {
  it("is as many people at each task as the ways come to", () => {
    expect(askedOf(work, [ada, ben, cas], SHIFT_MIN)).toEqual({
      turns: 8,
      needed: [
        { taskId: hard.id, people: 1 },
        { taskId: light.id, people: 2 },
      ],
      not: [],
    });
  });

  it("is whole people, together as many as the hours come to, and never more than there are", () => {
    const halves: Work = {
      ...work,
      days: [
        day([
          [hard, 240],
          [light, 240],
        ]),
      ],
    };
    const people = (ids: string[]) => askedOf(halves, ids, SHIFT_MIN).needed.reduce((sum, each) => sum + each.people, 0);
    expect(people([ada])).toBe(1);
    expect(people([ada, ben, cas])).toBe(3);
    expect(people([])).toBe(0);
  });

  it("is what was asked last, without who has left and with tasks that came since", () => {
    const asked = { turns: 4, needed: [{ taskId: hard.id, people: 1 }], not: [{ personId: sampleId(), taskIds: [hard.id] }] };
    expect(askedOf({ ...work, rotation: asked }, [ada], SHIFT_MIN)).toEqual({
      turns: 4,
      needed: [
        { taskId: hard.id, people: 1 },
        { taskId: light.id, people: 0 },
      ],
      not: [],
    });
  });

  it("becomes a problem of the tasks somebody is wanted at, in turns that fit the shift", () => {
    const asked = {
      turns: 7,
      needed: [
        { taskId: hard.id, people: 1 },
        { taskId: light.id, people: 0 },
      ],
      not: [{ personId: ada, taskIds: [hard.id] }],
    };
    const problem = problemOf(work, asked, [ada, ben], SHIFT_MIN);
    expect(problem).toEqual({
      tasks: [hard],
      needed: [1],
      turns: 7,
      turnMin: 68,
      people: [
        { id: ada, not: [hard.id] },
        { id: ben, not: [] },
      ],
    });
    expect(problem.turns * problem.turnMin).toBeLessThanOrEqual(SHIFT_MIN);
  });
});

it("people of the same turns share a way; turns after each other of one task are one part", () => {
  const rows = [
    { personId: ada, taskIds: [hard.id, hard.id, null], strain: 1 },
    { personId: ben, taskIds: [light.id, hard.id, light.id], strain: 1 },
    { personId: cas, taskIds: [hard.id, hard.id, null], strain: 1 },
  ];
  const days = daysOfRotation({ rows }, 60, (n) => `Way ${n}`, sampleId);
  expect(days.map(({ name, parts, personIds }) => ({ name, parts, personIds }))).toEqual([
    {
      name: "Way 1",
      parts: [
        { taskId: hard.id, minutes: 120 },
        { taskId: null, minutes: 60 },
      ],
      personIds: [ada, cas],
    },
    {
      name: "Way 2",
      parts: [
        { taskId: light.id, minutes: 60 },
        { taskId: hard.id, minutes: 60 },
        { taskId: light.id, minutes: 60 },
      ],
      personIds: [ben],
    },
  ]);
  expect(workProblems({ ...work, days }, SHIFT_MIN)).toEqual([]);
});

it("two people take each other's way, whoever works the first way by not being named too", () => {
  const before = strainOfPeople(work, [ada, ben, cas]);
  expect(before.map(({ personId }) => personId)[0]).toBe(cas);
  const days = exchangedPeople(work, ada, cas);
  const after = strainOfPeople({ ...work, days }, [ada, ben, cas]);
  expect(after[0]).toMatchObject({ personId: ada, strain: before[0]!.strain, side: "right" });
  expect(after.find(({ personId }) => personId === cas)!.strain).toBe(before.find(({ personId }) => personId === ada)!.strain);
  expect(workProblems({ ...work, days }, SHIFT_MIN)).toEqual([]);
});

describe("a rest", () => {
  it("is put into the middle of the longest part, and the shift is as long as before", () => {
    const { parts } = day([
      [light, 60],
      [hard, 240],
    ]);
    const rested = withRest(parts, 10);
    expect(rested).toEqual([
      { taskId: light.id, minutes: 60 },
      { taskId: hard.id, minutes: 115 },
      { taskId: null, minutes: 10 },
      { taskId: hard.id, minutes: 115 },
    ]);
    const strain = (of: typeof parts) => harderHand(work, { ...work.days[0]!, parts: of }).value;
    expect(strain(rested)).toBeLessThan(strain(parts));
  });

  it.each([
    [12, 3],
    [11, 1],
  ])("in a part of %d minutes leaves %d parts", (minutes, count) => {
    expect(withRest([{ taskId: hard.id, minutes }], 10)).toHaveLength(count);
  });

  it("is put into no rest, nor into nothing", () => {
    expect(withRest([{ taskId: null, minutes: 60 }], 10)).toHaveLength(1);
    expect(withRest([], 10)).toEqual([]);
  });
});
