/** What goes on paper of a program, as work: whoever is held out by now has no sheet, and no item they are out of. */
import { dateAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import type { Library } from "@kind-grip/core/library";
import { notHeldOut, sessionWithin } from "@kind-grip/core/safety";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import { listPeople } from "../crew/people";
import type { Db } from "../db/connection";
import { practiceLibrary } from "../library/practice-library";
import { programOf } from "../program/programs";
import { participationsIn } from "../safety/participations";
import type { AskedWork } from "./jobs";

export async function paperWork(
  db: Db,
  caller: Caller,
  at: Date,
  programId: string,
  kind: "handOut" | "personalSheets",
): Promise<AskedWork> {
  const { program, crewId } = await programOf(db, caller, programId);
  const crew = await crewOf(db, caller, crewId);
  const { timeZone } = crew.detail;
  const participations = await participationsIn(db, { id: crewId, timeZone }, at);
  const library = await practiceLibrary(db, caller.practiceId);
  const people = notHeldOut(await listPeople(db, caller, crewId), participations);
  const common = { customMovements: customMovementsOf(library), crewName: crew.name };
  if (kind === "handOut") {
    const sessions = program.sessions.map((session) => sessionWithin(library, session, participations));
    const names = people.map(({ id, name }): [string, string] => [id, name]);
    return {
      crewId,
      subjectId: programId,
      fileName: `${program.name}.pdf`,
      task: { kind, ...common, program: { ...program, sessions }, names },
    };
  }
  const today = dateAt(at.getTime(), timeZone);
  const here = people.filter((person) => isHere(person, today));
  const sheets = here.map(({ id, name }) => ({ id, name, participation: participations.get(id) }));
  return { crewId, subjectId: programId, fileName: `${program.name} sheets.pdf`, task: { kind, ...common, program, people: sheets } };
}

function customMovementsOf(library: Library) {
  return library.movements.flatMap(({ id }) => library.custom(id) ?? []);
}
