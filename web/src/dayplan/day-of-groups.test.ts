import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import { patternPreset, shiftsFrom } from "@kind-grip/core/calendar";
import { greedyPlan, type Placement } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { inShift, meantFor, meeting, type CrewDay } from "./crew-day";
import { dayOfGroups, type PlannedDay } from "./day-of-groups";
import type { PlaceableSession } from "./placed";

const DATE = "2026-03-24";
const crewNamed = (name: string, change: Partial<CrewEntry> = {}): CrewEntry => ({
  id: uuid(),
  version: 1,
  name,
  trade: "T",
  place: "P",
  timeZone: "UTC",
  settings: ["any"],
  conditions: [],
  slots: { preShift: 480, break: 180, postShift: 600 },
  kit: [],
  mostOffJob: 4,
  language: null,
  shiftPattern: patternPreset("weekdays", "2026-03-02"),
  ...change,
});
const person = (name: string): PersonEntry => ({
  id: uuid(),
  name,
  badge: null,
  handedness: null,
  startedOn: null,
  leftOn: null,
  language: null,
  version: 1,
});
const sessionOf = (slot: "preShift" | "break" | "postShift"): PlaceableSession => ({
  programId: uuid(),
  programName: "P",
  session: { id: uuid(), name: slot, slot, items: [newItem(SHIPPED_LIBRARY.get("palm-turn"), DEFAULT_STYLE, uuid())] },
  lengthSec: 300,
});
const dayFor = (crew: CrewEntry, people: number, sessions = [sessionOf("preShift"), sessionOf("break")]): CrewDay => ({
  crew,
  shift: shiftsFrom(crew.shiftPattern, crew.timeZone, DATE, 1)[0]!,
  sessions,
  people: Array.from({ length: people }, (_, i) => person(`${crew.name} ${i}`)),
  partsOf: () => [],
  kept: [],
});
const placed = ({ programId, session }: PlaceableSession, startsAt: string, people: string[] | null = null): Placement => ({
  id: uuid(),
  programId,
  sessionId: session.id,
  startsAt,
  people,
  groupName: null,
});
const asked = (days: PlannedDay[], change: Partial<Parameters<typeof dayOfGroups>[2]> = {}) =>
  dayOfGroups(SHIPPED_LIBRARY, days, { breaks: 1, leaders: 1, notBeforeMs: 0, pinned: new Map(), ...change });
const planned = (day: CrewDay, groupCount: number | null = null): PlannedDay => ({ day, mostOffJob: day.crew.mostOffJob, groupCount });

describe("groups for a day", () => {
  it.each([
    [3, 1],
    [4, 1],
    [5, 2],
    [8, 2],
    [9, 3],
  ])("%d people of whom 4 may be off the job are %d groups", (people, count) => {
    const { groups, needed } = asked([planned(dayFor(crewNamed("A"), people))]);
    expect([groups.length, needed]).toEqual([count, count]);
    expect(groups.every(({ whole }) => whole === (count === 1))).toBe(true);
  });

  it("are as many as the trainer says, and what is needed is still said", () => {
    const { groups, needed } = asked([planned(dayFor(crewNamed("A"), 8), 4)]);
    expect([groups.map(({ people }) => people.length), needed]).toEqual([[2, 2, 2, 2], 2]);
  });

  it("are only as large as the kit lets them be", () => {
    const bands = sessionOf("break");
    bands.session.items = [newItem(SHIPPED_LIBRARY.get("finger-open-band"), DEFAULT_STYLE, uuid())];
    const crew = crewNamed("A", { kit: [{ kind: "band", massKg: null, count: 2 }] });
    expect(asked([planned(dayFor(crew, 4, [bands]))]).needed).toBe(2);
  });

  it("of two crews stand one after the other in the problem, each with its own job", () => {
    const { groups, problem } = asked([planned(dayFor(crewNamed("A"), 6)), planned(dayFor(crewNamed("B"), 3))]);
    expect(groups.map(({ day, name, whole }) => [day.crew.name, name, whole])).toEqual([
      ["A", "Group 1", false],
      ["A", "Group 2", false],
      ["B", "Group 1", true],
    ]);
    expect(problem.requests.map(({ group, job }) => `${group}${job}`)).toEqual(["00", "00", "10", "10", "21", "21"]);
    expect(greedyPlan(problem).size).toBe(6);
  });

  it("are not asked again for what was led for all of them, and are for what only some did", () => {
    const day = dayFor(crewNamed("A"), 4);
    const [warmUp] = day.sessions;
    const left = (people: string[] | null) =>
      asked([planned({ ...day, kept: [placed(warmUp!, `${DATE}T07:00:00.000Z`, people)] })]).problem.requests.map(({ slot }) => slot);
    expect(left(null)).toEqual(["break"]);
    expect(left(day.people.map(({ id }) => id))).toEqual(["break"]);
    expect(left(day.people.slice(1).map(({ id }) => id))).toEqual(["preShift", "break"]);
  });

  it("have breaks as often as asked, nothing before now, pins where they are, and wider windows when asked", () => {
    const day = dayFor(crewNamed("A"), 3);
    expect(asked([planned(day)], { breaks: 3 }).problem.requests).toHaveLength(4);
    const noon = day.shift.startMs + 4 * 3600_000;
    expect(asked([planned(day)], { notBeforeMs: noon }).problem.requests.every(({ starts }) => starts.every((at) => at >= noon))).toBe(
      true,
    );
    const { problem, withReach } = asked([planned(day)]);
    const [first] = problem.requests;
    expect(asked([planned(day)], { pinned: new Map([[first!.id, noon]]) }).problem.requests[0]!.starts).toEqual([noon]);
    expect(withReach(30).requests[1]!.starts.length).toBeGreaterThan(problem.requests[1]!.starts.length);
  });
});

describe("other crews of a day", () => {
  const own = crewNamed("Own");
  const [shift] = shiftsFrom(own.shiftPattern, "UTC", DATE, 1);
  const nights = { ...patternPreset("weekdays", "2026-03-02"), shifts: [{ ...own.shiftPattern.shifts[0]!, start: "22:00" }] };
  it("can be planned along when their shifts meet", () => {
    const crews = [
      own,
      crewNamed("Same"),
      crewNamed("Night", { shiftPattern: nights }),
      crewNamed("Off", { shiftPattern: { ...own.shiftPattern, otherDays: [{ date: DATE, shift: null }] } }),
      crewNamed("Far west", { timeZone: "Pacific/Honolulu" }),
      crewNamed("Next zone", { timeZone: "Europe/Berlin" }),
    ];
    expect(meeting(crews, own, shift!).map(({ crew }) => crew.name)).toEqual(["Same", "Next zone"]);
  });

  it("what is placed on a day already is what it is meant to have; with nothing placed, everything", () => {
    const [a, b] = [sessionOf("preShift"), sessionOf("break")];
    expect(meantFor([placed(b, `${DATE}T10:00:00.000Z`)], [a, b])).toEqual([b]);
    expect(meantFor([], [a, b])).toEqual([a, b]);
  });

  it.each([
    ["04:59", 0],
    ["05:00", 1],
    ["17:30", 1],
    ["17:31", 0],
  ])("a placement at %s belongs to a shift from 07:00 to 15:30: %d", (time, count) => {
    expect(inShift([placed(sessionOf("break"), `${DATE}T${time}:00.000Z`)], own, shift!)).toHaveLength(count);
  });
});
