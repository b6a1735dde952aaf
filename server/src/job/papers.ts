/** What goes on paper of a program, as work: whoever is held out by now has no sheet, and no item they are out of. */
import { dateAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { languageOf, type Language } from "@kind-grip/core/language";
import type { Library } from "@kind-grip/core/library";
import { notHeldOut, personalSession, sessionWithin } from "@kind-grip/core/safety";
import type { HandOut } from "@kind-grip/core/api";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import { listPeople } from "../crew/people";
import type { Db } from "../db/connection";
import { customsOf } from "../practice/customs";
import { practiceLibrary } from "../library/practice-library";
import { Problem } from "../http/problem";
import { programOf } from "../program/programs";
import { participationsIn } from "../safety/participations";
import type { AskedWork } from "./jobs";

/** @param language of all of it; where it is left out, the crew's for what hangs on a wall, everybody's own for their sheet */
export async function paperWork(
  db: Db,
  caller: Caller,
  at: Date,
  programId: string,
  kind: "handOut" | "personalSheets",
  language?: Language,
): Promise<AskedWork> {
  const { program, crewId } = await programOf(db, caller, programId);
  const crew = await crewOf(db, caller, crewId);
  const { timeZone } = crew.detail;
  const participations = await participationsIn(db, { id: crewId, timeZone }, at);
  const library = await practiceLibrary(db, caller.practiceId);
  const people = notHeldOut(await listPeople(db, caller, crewId), participations);
  const { language: usual, measures } = await customsOf(db, caller.practiceId);
  const ofCrew = languageOf(crew.detail.language, usual);
  const common = { customMovements: customMovementsOf(library), corrections: library.corrections, measures, crewName: crew.name };
  if (kind === "handOut") {
    const sessions = program.sessions.map((session) => sessionWithin(library, session, participations));
    const names = people.map(({ id, name }): [string, string] => [id, name]);
    return {
      crewId,
      subjectId: programId,
      fileName: `${program.name}.pdf`,
      language,
      task: { kind, ...common, program: { ...program, sessions }, names, language: language ?? ofCrew },
    };
  }
  const today = dateAt(at.getTime(), timeZone);
  const here = people.filter((person) => isHere(person, today));
  const sheets = here.map(({ id, name, language: own }) => ({
    id,
    name,
    participation: participations.get(id),
    language: language ?? languageOf(own, ofCrew),
  }));
  const task = { kind, ...common, program, people: sheets };
  return { crewId, subjectId: programId, fileName: `${program.name} sheets.pdf`, language, task };
}

/**
 * Somebody's own sheet: in their forms and their language, without what they leave out.
 * @throws Problem 404 for whoever is held out, or not here
 */
export async function sheetOf(
  db: Db,
  caller: Caller,
  at: Date,
  programId: string,
  personId: string,
  language?: Language,
): Promise<HandOut> {
  const { task } = await paperWork(db, caller, at, programId, "personalSheets", language);
  if (task.kind !== "personalSheets") throw new Error("a sheet is no other paper");
  const person = task.people.find(({ id }) => id === personId);
  if (!person) throw new Problem(404, "notFound", "There is no sheet for them today: they are held out of everything, or not here.");
  const library = await practiceLibrary(db, caller.practiceId);
  const sessions = task.program.sessions.map((session) => personalSession(library, session, personId, person.participation));
  return {
    crewName: task.crewName,
    programName: task.program.name,
    language: person.language,
    sessions: sessions.filter(({ items }) => items.length > 0),
    people: [{ id: personId, name: person.name }],
  };
}

function customMovementsOf(library: Library) {
  return library.movements.flatMap(({ id }) => library.custom(id) ?? []);
}
