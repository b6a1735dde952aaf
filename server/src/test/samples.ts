/** Valid things to send. */
import type { Crew, NewPerson } from "@kind-grip/core/crew";
import { patternPreset } from "@kind-grip/core/calendar";
import type { Series } from "@kind-grip/core/dayplan";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { RunRecord } from "@kind-grip/core/run";
import type { Work } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import type { TestTrainer } from "./test-app";

export function sampleCrew(change: Partial<Crew> = {}): Crew {
  return {
    name: "Test crew",
    trade: "Testing",
    place: "Bench 1",
    timeZone: "Europe/Dublin",
    settings: ["any", "table"],
    conditions: [],
    slots: { preShift: 480, break: 180, postShift: 600 },
    kit: [],
    mostOffJob: 5,
    language: null,
    shiftPattern: patternPreset("weekdays", "2026-03-02"),
    ...change,
  };
}

export function samplePeople(count: number, change: Partial<NewPerson> = {}): NewPerson[] {
  return Array.from({ length: count }, (_, i) => ({
    id: uuid(),
    name: `Person ${i + 1}`,
    badge: `B-${i + 1}`,
    handedness: "right",
    startedOn: "2024-01-01",
    leftOn: null,
    language: null,
    ...change,
  }));
}

export function sampleProgram(change: Partial<Program> = {}): Program {
  const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, uuid());
  return {
    name: "Test program",
    style: DEFAULT_STYLE,
    weeks: 4,
    sessions: [
      { id: uuid(), name: "Warm-up", slot: "preShift", items: [item("fist-and-star"), item("palm-away")] },
      { id: uuid(), name: "Break", slot: "break", items: [item("shake-out")] },
    ],
    ...change,
  };
}

export interface SampleWorld {
  crewId: string;
  people: NewPerson[];
  programId: string;
  program: Program;
}

/** A crew with three people and a program. */
export async function makeWorld(trainer: TestTrainer): Promise<SampleWorld> {
  const crewId = uuid();
  const programId = uuid();
  const people = samplePeople(3);
  const program = sampleProgram();
  await trainer.send("post", "/api/crews", { id: crewId, crew: sampleCrew() });
  // The same names stand in every world: they are other people.
  const answers = people.map(({ id }) => ({ id, sameAs: null }));
  await trainer.send("post", `/api/crews/${crewId}/people`, { people, answers });
  await trainer.send("post", `/api/crews/${crewId}/programs`, { id: programId, program });
  return { crewId, people, programId, program };
}

/** The warm-up at the start of every day shift, for everybody. */
export function seriesFor({ programId, program }: SampleWorld, change: Partial<Series> = {}): Series {
  return {
    id: uuid(),
    programId,
    sessionId: program.sessions[0]!.id,
    shift: "day",
    at: { from: "start", min: 0 },
    only: null,
    groupId: null,
    leaderId: null,
    fromDate: "2026-03-02",
    untilDate: null,
    otherDays: [],
    ...change,
  };
}

export function sampleRun({ crewId, people, programId, program }: SampleWorld): RunRecord {
  const session = program.sessions[0]!;
  return {
    id: uuid(),
    crewId,
    programId,
    placementId: null,
    session,
    startedAt: "2026-03-03T07:00:00.000Z",
    endedAt: "2026-03-03T07:05:00.000Z",
    plannedSec: 174,
    alone: false,
    items: session.items.map((item) => ({
      itemId: item.id,
      movementId: item.movementId,
      formId: item.formId,
      plannedSec: 60,
      doneSec: 60,
      status: "done",
    })),
    people: people.map((person, i) => ({
      personId: person.id,
      present: i !== 2,
      effort: i === 2 ? null : 2 + i,
      marks: i === 1 ? [{ kind: "tingling", itemId: session.items[1]!.id }] : [],
      forms: {},
      leftOut: [],
      quick: null,
      counted: null,
    })),
  };
}

/** One task with one effort, done on a usual day. */
export function sampleWork(change: { secEach?: number; minutes?: number; personIds?: string[] } = {}): Work {
  const taskId = uuid();
  return {
    tasks: [
      {
        id: taskId,
        name: "Stapling",
        tool: "staple lever",
        vibration: "none",
        cold: false,
        reach: false,
        efforts: [
          {
            id: uuid(),
            name: "squeeze",
            hands: "right",
            effort: 4,
            perMin: 12,
            secEach: change.secEach ?? 2,
            flexionDeg: 20,
            tiltDeg: 0,
            turn: "palmDown",
            grip: "power",
          },
        ],
      },
    ],
    days: [{ id: uuid(), name: "Usual day", parts: [{ taskId, minutes: change.minutes ?? 240 }], personIds: change.personIds ?? [] }],
  };
}

/** What is outside of a server that reaches people by telephone; nothing is there to answer. */
export const BY_TELEPHONE = { gatewayAddress: "http://127.0.0.1:9" };

/** Everybody of a crew has agreed to be reminded by telephone. */
export async function agreeByTelephone(trainer: TestTrainer, { crewId, people }: SampleWorld): Promise<void> {
  for (const [i, { id }] of people.entries())
    await trainer.send("put", `/api/crews/${crewId}/people/${id}/contacts`, { way: "telephone", address: `+1555010000${i + 1}` });
}
