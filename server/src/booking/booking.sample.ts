/** A crew that works by bookings, for tests: its practice lives on a fixed morning. */
import type { BookingDay, ChangedBookings } from "@kind-grip/core/api";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Treatment } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { sampleCrew, samplePeople, sampleProgram, sampleWork, type SampleWorld } from "../test/samples";
import { TestTrainer, type TestApp } from "../test/test-app";

export const DATE = "2026-03-24";
/** Dublin is on UTC until the 29th. */
export const at = (time: string, date = DATE): string => `${date}T${time}:00.000Z`;
export const timeOf = (iso: string): string => iso.slice(11, 16);

export interface BookingWorld extends SampleWorld {
  trainer: TestTrainer;
  /** Deep; it presses for two thirds. */
  deep: Treatment;
  calm: Treatment;
}

/** @param now where the practice's clock stands */
export async function bookingWorld(test: TestApp, now = at("08:00")): Promise<BookingWorld> {
  const practiceId = uuid();
  await test.db.models.Practice.create({ id: practiceId, name: "Stone and Steam", demoNow: new Date(now) });
  const trainer = await TestTrainer.make(test, practiceId);
  const [crewId, programId, people] = [uuid(), uuid(), samplePeople(3)];
  const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, uuid());
  const [warmUp, pause] = sampleProgram().sessions;
  const program: Program = sampleProgram({
    sessions: [warmUp!, { id: uuid(), name: "Let go", slot: "reset", items: [item("shake-out")] }, pause!],
  });
  await trainer.send("post", "/api/crews", { id: crewId, crew: sampleCrew({ byBookings: true }) });
  await trainer.send("post", `/api/crews/${crewId}/people`, { people, answers: people.map(({ id }) => ({ id, sameAs: null })) });
  await trainer.send("post", `/api/crews/${crewId}/programs`, { id: programId, program });
  const work = sampleWork();
  const treatment = (name: string, deep: boolean, minutes: number): Treatment => ({
    id: uuid(),
    name,
    lengthMin: 60,
    deep,
    parts: [{ taskId: work.tasks[0]!.id, minutes }],
    words: [],
  });
  const [deep, calm] = [treatment("Deep tissue", true, 40), treatment("Calm hour", false, 10)];
  await trainer.send("put", `/api/crews/${crewId}/work`, { version: 0, work: { ...work, treatments: [deep, calm] } });
  return { trainer, crewId, programId, program, people, deep, calm };
}

export type Sent = ChangedBookings["bookings"][number];

export function bookingIn({ people, calm }: BookingWorld, time: string, change: Partial<Sent> = {}): Sent {
  return {
    id: uuid(),
    version: 0,
    personId: people[0]!.id,
    startsAt: at(time),
    lengthMin: 60,
    treatmentId: calm.id,
    cancelled: false,
    ...change,
  };
}

export const dayAddress = ({ crewId }: BookingWorld, date = DATE) => `/api/crews/${crewId}/bookings/${date}`;

export async function dayOf(world: BookingWorld, date = DATE): Promise<BookingDay> {
  return (await world.trainer.get(dayAddress(world, date))).body as BookingDay;
}

export function save(world: BookingWorld, bookings: Sent[], removed: string[] = []) {
  return world.trainer.send("put", dayAddress(world), { bookings, removed });
}

/** "reset 10:00" */
export const laidIn = ({ sessions }: BookingDay) => sessions.map(({ kind, startsAt }) => `${kind} ${timeOf(startsAt)}`);
