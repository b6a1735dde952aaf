/** Programs. */
import * as v from "valibot";
import { Language } from "../language";
import { Program } from "../program";
import { Session } from "../session";
import { Id, IsoInstant } from "../units";
import { FileText, Version } from "./shapes";

export const ProgramEntry = v.strictObject({ id: Id, crewId: Id, version: Version, changedAt: IsoInstant, program: Program });
export type ProgramEntry = v.InferOutput<typeof ProgramEntry>;

/** Among the programs of a crew. */
export const ListedProgram = v.strictObject({
  ...ProgramEntry.entries,
  /** The one the crew works by now: phones show what is done at any time and at home from it. */
  inUse: v.boolean(),
});
export type ListedProgram = v.InferOutput<typeof ListedProgram>;

export const NewProgram = v.strictObject({ id: Id, program: Program });
export const ImportedProgram = v.strictObject({ id: Id, text: FileText(1_000_000, "program") });
export const ChangedProgram = v.strictObject({ version: Version, program: Program });

/** What stands on a hand-out: without what everybody is out of, and without whoever is held out. For one person it is their own sheet. */
export const HandOut = v.strictObject({
  crewName: v.string(),
  programName: v.string(),
  /** What it is read in. */
  language: Language,
  sessions: v.array(Session),
  /** Whose easier forms are told. */
  people: v.array(v.strictObject({ id: Id, name: v.string() })),
});
export type HandOut = v.InferOutput<typeof HandOut>;
