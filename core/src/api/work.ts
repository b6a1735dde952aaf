/** The work of a crew. */
import * as v from "valibot";
import { Work } from "../strain";
import { Id } from "../units";
import { Version } from "./shapes";

export const WorkEntry = v.strictObject({ crewId: Id, version: Version, work: Work });
export type WorkEntry = v.InferOutput<typeof WorkEntry>;
export const ChangedWork = v.strictObject({ version: Version, work: Work });
