/** Custom movements of the practice. */
import * as v from "valibot";
import { CustomMovement } from "../library";
import { Id } from "../units";
import { FileText, Version } from "./shapes";

export const CustomMovementEntry = v.strictObject({
  id: Id,
  version: Version,
  /** Taken out of the library; programs that hold it keep it. */
  removed: v.boolean(),
  custom: CustomMovement,
});
export type CustomMovementEntry = v.InferOutput<typeof CustomMovementEntry>;

export const StoredMovement = v.strictObject({ version: Version, custom: CustomMovement });
export const ImportedMovement = v.strictObject({ text: FileText(200_000, "movement") });
