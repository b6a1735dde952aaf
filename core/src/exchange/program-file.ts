/**
 * The program file, version 1: an open JSON format, described in docs/formats/program.md.
 * It carries no people: who does which form stays in the practice.
 */
import * as v from "valibot";
import type { Library } from "../library";
import { Program, programProblems } from "../program";
import { issueText } from "../units";

export const PROGRAM_FORMAT = "kind-grip/program";
export const PROGRAM_VERSION = 1;

export const ProgramFile = v.strictObject({ format: v.literal(PROGRAM_FORMAT), version: v.literal(PROGRAM_VERSION), program: Program });
export type ProgramFile = v.InferOutput<typeof ProgramFile>;

export interface FileProblem {
  /** Dotted path in the file; empty for the file as a whole. */
  path: string;
  message: string;
}

export type ReadProgram = { program: Program; problems: [] } | { program: null; problems: FileProblem[] };

/** A program as its file; personal forms are left behind. */
export function writeProgramFile(program: Program): ProgramFile {
  const sessions = program.sessions.map((session) => ({ ...session, items: session.items.map((item) => ({ ...item, personal: {} })) }));
  return { format: PROGRAM_FORMAT, version: PROGRAM_VERSION, program: { ...program, sessions } };
}

/** Reads the text of a program file; every problem is named with its place. Ids are replaced by `newId` so that an import never collides. */
export function readProgramFile(library: Library, text: string, newId: () => string): ReadProgram {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return failed([{ path: "", message: `this is not JSON: ${(error as Error).message}` }]);
  }
  const head = v.safeParse(v.object({ format: v.string(), version: v.number() }), data);
  if (!head.success || head.output.format !== PROGRAM_FORMAT)
    return failed([{ path: "format", message: `this is not a program file: "format" should be "${PROGRAM_FORMAT}"` }]);
  if (head.output.version !== PROGRAM_VERSION)
    return failed([
      { path: "version", message: `this file is version ${head.output.version}; this application reads version ${PROGRAM_VERSION}` },
    ]);
  const parsed = v.safeParse(ProgramFile, data);
  if (!parsed.success) return failed(parsed.issues.map((issue) => ({ path: v.getDotPath(issue) ?? "", message: issueText(issue) })));
  const problems = programProblems(library, parsed.output.program);
  if (problems.length > 0) return failed(problems.map(({ path, message }) => ({ path: `program.${path}`, message })));
  const program = parsed.output.program;
  return {
    program: {
      ...program,
      sessions: program.sessions.map((session) => ({
        ...session,
        id: newId(),
        items: session.items.map((item) => ({ ...item, id: newId(), personal: {} })),
      })),
    },
    problems: [],
  };
}

function failed(problems: FileProblem[]): ReadProgram {
  return { program: null, problems };
}
