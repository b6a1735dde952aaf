/** How far each step of a crew's job is, counted once for whoever looks at any of its pages. */
import type { CrewPath } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { hasLeft, isHere, pathOf, type PathFacts } from "@kind-grip/core/crew";
import { readableBlocks } from "@kind-grip/core/followup";
import type { Caller } from "../auth/caller";
import { listRounds } from "../baseline/rounds";
import { crewOf } from "../crew/crews";
import type { PersonRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { participationsIn } from "../safety/participations";
import { standingOf } from "./standing";

/** @throws Problem 404 for a crew that is not the caller's */
export async function crewPath(db: Db, caller: Caller, at: Date, crewId: string): Promise<CrewPath> {
  const { models } = db;
  const crew = await crewOf(db, caller, crewId);
  const { timeZone, byBookings } = crew.detail;
  const today = dateAt(at.getTime(), timeZone);
  const where = { crewId };
  const [everybody, participations, work, rounds, programs, planned, runs, waiting, began] = await Promise.all([
    models.Person.findAll({ where, attributes: ["id", "startedOn", "leftOn"], raw: true }) as unknown as Promise<
      Pick<PersonRow, "id" | "startedOn" | "leftOn">[]
    >,
    participationsIn(db, { id: crewId, timeZone }, at),
    models.Work.findByPk(crewId),
    listRounds(db, caller, crewId),
    models.Program.count({ where: { crewId, removedAt: null } }),
    byBookings ? models.Booking.count({ where: { crewId, cancelled: false } }).then((count) => count > 0) : isPlanned(db, crewId),
    models.Run.count({ where }),
    models.Proposal.findAll({ where, attributes: ["personId", "kind"] }),
    models.PersonDay.min("day", { where }) as Promise<string | null>,
  ]);
  const staying = everybody.filter((person) => !hasLeft(person, today));
  const isOut = (id: string) => participations.get(id)?.heldOut === true;
  const here = new Set(staying.filter((person) => isHere(person, today)).map(({ id }) => id));
  const round = rounds.find(({ repeats }) => repeats === null);
  const facts: PathFacts = {
    people: staying.length,
    heldOut: staying.filter(({ id }) => isOut(id)).length,
    tasks: work?.get().document.tasks.length ?? 0,
    round: round
      ? {
          closed: round.closed,
          begun: round.begun,
          unmeasured: await unmeasuredIn(
            db,
            round.id,
            [...here].filter((id) => !isOut(id)),
          ),
        }
      : null,
    programs,
    planned,
    runs,
    waiting: new Set(
      waiting
        .map((row) => row.get())
        .filter(({ personId, kind }) => here.has(personId) && kind !== "progress")
        .map(({ personId }) => personId),
    ).size,
    reports: began === null ? 0 : readableBlocks(began, today).length,
  };
  return pathOf(facts);
}

async function isPlanned(db: Db, crewId: string): Promise<boolean> {
  const { document } = await standingOf(db, crewId);
  return document.series.length > 0 || (await db.models.Placement.findOne({ where: { crewId }, attributes: ["id"] })) !== null;
}

/** Of some people, how many are not measured to the end in a round. */
async function unmeasuredIn({ models }: Db, roundId: string, personIds: readonly string[]): Promise<number> {
  const finished = await models.Baseline.findAll({ where: { roundId, progress: "finished" }, attributes: ["personId"] });
  const measured = new Set(finished.map((row) => row.get().personId));
  return personIds.filter((id) => !measured.has(id)).length;
}
