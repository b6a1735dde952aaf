/** Which program a crew works by: what its phones show for any time and for home comes from it. One that is only being written is nobody's yet. */
import { bookOf } from "../booking/book";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { placementsBetween } from "../dayplan/standing";
import { programDoneLast } from "./last-done";
import type { ProgramRow } from "./tables";

const DAY_MS = 86_400_000;

interface Planned {
  programId: string;
  startsAt: Date;
}

/**
 * That of the planned session that began last, or of the next one; without a plan around now that of the run that was led last; else the
 * one that was changed last.
 * @param programs of the crew that are not removed, the one that was changed last first
 * @param planned its sessions around now, where they are known already
 */
export async function programInUse(
  db: Db,
  crew: CrewRow,
  programs: readonly ProgramRow[],
  at: Date,
  planned?: readonly Planned[],
): Promise<ProgramRow | undefined> {
  if (programs.length < 2) return programs[0];
  const byId = new Map(programs.map((program) => [program.id, program]));
  const around = (planned ?? (await plannedAround(db, crew, at)))
    .filter(({ programId }) => byId.has(programId))
    .toSorted((a, b) => a.startsAt.getTime() - b.startsAt.getTime());
  const session = around.findLast(({ startsAt }) => startsAt <= at) ?? around[0];
  if (session) return byId.get(session.programId);
  // What is laid between bookings is followed alone.
  return (await programDoneLast(db, crew.id, programs, crew.detail.byBookings ? "any" : "led")) ?? programs[0];
}

/** Who works by bookings has the program that was chosen for them. */
async function plannedAround(db: Db, crew: CrewRow, at: Date): Promise<Planned[]> {
  const placed = await placementsBetween(db, [crew], new Date(at.getTime() - DAY_MS), new Date(at.getTime() + 3 * DAY_MS));
  const chosen = crew.detail.byBookings ? (await bookOf(db, crew.id)).document.programId : null;
  return [...placed, ...(chosen ? [{ programId: chosen, startsAt: at }] : [])];
}
