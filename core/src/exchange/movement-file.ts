/** The movement file, version 1: a custom movement with its words and its figure, described in docs/formats/movement.md. */
import * as v from "valibot";
import { CustomMovement, customMovementProblems } from "../library";
import { issueText } from "../units";
import type { FileProblem } from "./program-file";

export const MOVEMENT_FORMAT = "kind-grip/movement";
export const MOVEMENT_VERSION = 1;

export const MovementFile = v.strictObject({
  format: v.literal(MOVEMENT_FORMAT),
  version: v.literal(MOVEMENT_VERSION),
  own: CustomMovement,
});
export type MovementFile = v.InferOutput<typeof MovementFile>;

export type ReadMovement = { custom: CustomMovement; problems: [] } | { custom: null; problems: FileProblem[] };

export function writeMovementFile(custom: CustomMovement): MovementFile {
  return { format: MOVEMENT_FORMAT, version: MOVEMENT_VERSION, own: custom };
}

/** Reads the text of a movement file; every problem is named with its place. It comes in under `id`, so that an import never replaces. */
export function readMovementFile(text: string, id: string): ReadMovement {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return { custom: null, problems: [{ path: "", message: `this is not JSON: ${(error as Error).message}` }] };
  }
  const head = v.safeParse(v.object({ format: v.string(), version: v.number() }), data);
  if (!head.success || head.output.format !== MOVEMENT_FORMAT)
    return {
      custom: null,
      problems: [{ path: "format", message: `this is not a movement file: "format" should be "${MOVEMENT_FORMAT}"` }],
    };
  if (head.output.version !== MOVEMENT_VERSION)
    return {
      custom: null,
      problems: [
        { path: "version", message: `this file is version ${head.output.version}; this application reads version ${MOVEMENT_VERSION}` },
      ],
    };
  const parsed = v.safeParse(MovementFile, data);
  if (!parsed.success)
    return { custom: null, problems: parsed.issues.map((issue) => ({ path: v.getDotPath(issue) ?? "", message: issueText(issue) })) };
  const { own: custom } = parsed.output;
  const renamed = { ...custom, movement: { ...custom.movement, id } };
  const problems = customMovementProblems(renamed);
  return problems.length > 0
    ? { custom: null, problems: problems.map(({ path, message }) => ({ path: `own.${path}`, message })) }
    : { custom: renamed, problems: [] };
}
