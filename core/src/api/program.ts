/** Programs. */
import * as v from "valibot";
import { Program } from "../program";
import { Id, IsoInstant } from "../units";
import { FileText, Version } from "./shapes";

export const ProgramEntry = v.strictObject({ id: Id, crewId: Id, version: Version, changedAt: IsoInstant, program: Program });
export type ProgramEntry = v.InferOutput<typeof ProgramEntry>;

export const NewProgram = v.strictObject({ id: Id, program: Program });
export const ImportedProgram = v.strictObject({ id: Id, text: FileText(1_000_000, "program") });
export const ChangedProgram = v.strictObject({ version: Version, program: Program });
