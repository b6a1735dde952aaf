/** Today: what runs when, for which crew. */
import { dateAt, shiftsFrom, addDays } from "@kind-grip/core/dayplan";
import { FORM_TIMINGS } from "@kind-grip/core/library";
import { compileGroup } from "@kind-grip/core/session";
import { isHere } from "@kind-grip/core/crew";
import { Op } from "sequelize";
import type { Trainer } from "../auth/trainer";
import { listCrews } from "../crew/crews";
import type { Db } from "../db/connection";
import { placementsBetween } from "./plans";

export interface TodayEntry {
  placementId: string;
  crewId: string;
  crewName: string;
  place: string;
  timeZone: string;
  programId: string;
  sessionId: string;
  sessionName: string;
  slot: "preShift" | "break" | "postShift";
  movementIds: string[];
  startsAt: string;
  totalSec: number;
  people: number;
  /** The run that delivered it, when there is one. */
  runId: string | null;
}

export interface TodayAnswer {
  now: string;
  crews: {
    id: string;
    name: string;
    trade: string;
    timeZone: string;
    people: number;
    programs: number;
    shifts: { date: string; name: string; startMs: number; endMs: number; breaks: { startMs: number; endMs: number }[] }[];
  }[];
  entries: TodayEntry[];
}

/** Every placement of the crews' local today, and night shifts that reach into it from yesterday. */
export async function today(db: Db, trainer: Trainer, now: Date): Promise<TodayAnswer> {
  const crews = await listCrews(db, trainer);
  const crewIds = crews.map((crew) => crew.id);
  const shifts = new Map(
    crews.map((crew) => [crew.id, shiftsFrom(crew.shiftPattern, crew.timeZone, addDays(dateAt(now.getTime(), crew.timeZone), -1), 2)]),
  );
  const rows = await placementsBetween(db, crewIds, new Date(now.getTime() - 36 * 3600_000), new Date(now.getTime() + 36 * 3600_000));
  const [programs, people, runs] = await Promise.all([
    db.models.Program.findAll({ where: { id: { [Op.in]: [...new Set(rows.map((row) => row.programId))] }, removedAt: null } }),
    db.models.Person.findAll({ where: { crewId: { [Op.in]: crewIds } } }),
    db.models.Run.findAll({ where: { placementId: { [Op.in]: rows.map((row) => row.id) } }, attributes: ["id", "placementId"] }),
  ]);
  const sessions = new Map(
    programs.flatMap((program) =>
      program.get().document.sessions.map((session) => [`${program.get().id} ${session.id}`, session] as const),
    ),
  );
  const ranBy = new Map(runs.map((run) => [run.get().placementId, run.get().id]));
  const entries = rows.flatMap((row): TodayEntry[] => {
    const crew = crews.find((each) => each.id === row.crewId)!;
    const session = sessions.get(`${row.programId} ${row.sessionId}`);
    const date = dateAt(now.getTime(), crew.timeZone);
    const startMs = row.startsAt.getTime();
    const inNight = shifts
      .get(crew.id)!
      .some(
        (shift) =>
          startMs >= shift.startMs - 3600_000 &&
          startMs < shift.endMs + 3600_000 &&
          shift.endMs > now.getTime() &&
          shift.startMs <= now.getTime(),
      );
    if (!session || (dateAt(startMs, crew.timeZone) !== date && !inNight)) return [];
    const here = people.map((person) => person.get()).filter((person) => person.crewId === crew.id && isHere(person, date));
    const { totalSec } = compileGroup(
      session,
      FORM_TIMINGS,
      here.map((person) => person.id),
    );
    return [
      {
        placementId: row.id,
        crewId: crew.id,
        crewName: crew.name,
        place: crew.place,
        timeZone: crew.timeZone,
        programId: row.programId,
        sessionId: row.sessionId,
        sessionName: session.name,
        slot: session.slot,
        movementIds: session.items.map((item) => item.movementId),
        startsAt: row.startsAt.toISOString(),
        totalSec,
        people: here.length,
        runId: ranBy.get(row.id) ?? null,
      },
    ];
  });
  return {
    now: now.toISOString(),
    crews: crews.map((crew) => ({
      id: crew.id,
      name: crew.name,
      trade: crew.trade,
      timeZone: crew.timeZone,
      people: crew.people,
      programs: crew.programs,
      shifts: shifts
        .get(crew.id)!
        .filter(
          (shift) =>
            shift.endMs > now.getTime() - 12 * 3600_000 &&
            (shift.date === dateAt(now.getTime(), crew.timeZone) || shift.endMs > now.getTime()),
        )
        .map(({ date, kind, startMs, endMs, breaks }) => ({ date, name: kind.name, startMs, endMs, breaks })),
    })),
    entries,
  };
}
