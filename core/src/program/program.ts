/** A program: sessions in one style, for some weeks. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { RESET_PHASES, rungOf, Style, type Library } from "../library";
import { Session, withDoseShares, withHomeSlots, withResets } from "../session";
import { IsoDate, NonEmptyText } from "../units";

export const MAX_SESSIONS = 12;

export const Program = v.strictObject({
  name: NonEmptyText,
  style: Style,
  weeks: v.pipe(
    v.number("must be a number"),
    v.integer("must be a whole number"),
    v.minValue(1, "must be 1 to 52 weeks"),
    v.maxValue(52, "must be 1 to 52 weeks"),
  ),
  /** First day of the settling-in week; none when left out or null. */
  settlingFrom: v.optional(v.nullable(IsoDate)),
  /** Weeks of the block, from 2, that are done lighter; counted from the first day of the settling-in week. */
  lighterWeeks: v.optional(
    v.pipe(
      v.array(v.pipe(v.number(), v.integer("must be a whole number"), v.minValue(2, "must be 2 to 52"), v.maxValue(52, "must be 2 to 52"))),
      v.maxLength(26, "at most 26 lighter weeks"),
    ),
  ),
  sessions: v.pipe(v.array(Session), v.maxLength(MAX_SESSIONS, `at most ${MAX_SESSIONS} sessions in a program`)),
});
export type Program = v.InferOutput<typeof Program>;

/** As it is stored, and as a draft. */
export const PROGRAM_DOCUMENT = documentFormat<Program>({
  name: "program",
  format: 4,
  steps: [withDoseShares, withHomeSlots, withResets],
  schema: Program,
});

export interface ProgramProblem {
  /** Dotted path to the field, e.g. `sessions.0.items.2.formId`. */
  path: string;
  message: string;
}

/**
 * What the schema cannot see: movements and forms the library does not have, sides a movement cannot be done in,
 * ids used twice. An empty list means the program can be compiled and led.
 */
export function programProblems(library: Library, program: Program): ProgramProblem[] {
  const problems: ProgramProblem[] = [];
  const seen = new Set<string>();
  const once = (id: string, path: string) => {
    if (seen.has(id)) problems.push({ path, message: "this id is used twice in the program" });
    seen.add(id);
  };
  program.sessions.forEach((session, s) => {
    once(session.id, `sessions.${s}.id`);
    session.items.forEach((item, i) => {
      const path = `sessions.${s}.items.${i}`;
      once(item.id, `${path}.id`);
      const movement = library.find(item.movementId);
      if (!movement) {
        problems.push({ path: `${path}.movementId`, message: `the library has no movement "${item.movementId}"` });
        return;
      }
      if (session.slot === "reset" && !RESET_PHASES.includes(movement.phase))
        problems.push({ path: `${path}.movementId`, message: `"${movement.id}" is not for a reset: that moves and lets go, nothing else` });
      if (rungOf(movement, item.formId) < 0)
        problems.push({ path: `${path}.formId`, message: `"${movement.id}" has no form "${item.formId}"` });
      if (!movement.sideModes.includes(item.sides)) {
        problems.push({
          path: `${path}.sides`,
          message: `"${movement.id}" cannot be done ${item.sides}; it allows ${movement.sideModes.join(", ")}`,
        });
      }
      for (const [personId, own] of Object.entries(item.personal)) {
        if (rungOf(movement, own.formId) < 0)
          problems.push({ path: `${path}.personal.${personId}`, message: `"${movement.id}" has no form "${own.formId}"` });
      }
    });
  });
  return problems;
}
