/** Programs, their file, and their hand-out. */
import { ChangedProgram, ImportedProgram, ListedProgram, NewProgram, ProgramEntry } from "@kind-grip/core/api";
import { readProgramFile, writeProgramFile } from "@kind-grip/core/exchange";
import { Id } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import * as v from "valibot";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { practiceLibrary } from "../library/practice-library";
import { createProgram, listPrograms, programOf, saveProgram, setProgramRemoved } from "./programs";

const ProgramParams = v.object({ programId: Id });

export function addProgramRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "programs",
    method: "get",
    scope: "programs.read",
    path: "/api/crews/:crewId/programs",
    summary: "The programs of a crew, last changed first, and which of them it works by",
    answer: v.array(ListedProgram),
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: async ({ caller, params }) => listPrograms(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "createProgram",
    method: "post",
    scope: "programs.write",
    path: "/api/crews/:crewId/programs",
    summary: "Make a program",
    answer: ProgramEntry,
    params: CrewParams,
    body: NewProgram,
    bodyLimit: "1mb",
    handle: async ({ caller, params, body }) => createProgram(db, caller, await now(caller), params.crewId, body.id, body.program),
  });
  routes.add({
    id: "importProgram",
    method: "post",
    scope: "programs.write",
    path: "/api/crews/:crewId/programs/import",
    summary: "Make a program from a program file",
    answer: ProgramEntry,
    params: CrewParams,
    body: ImportedProgram,
    bodyLimit: "2mb",
    async handle({ caller, params, body }) {
      await crewOf(db, caller, params.crewId);
      const read = readProgramFile(await practiceLibrary(db, caller.practiceId), body.text, uuid);
      if (!read.program) throw new Problem(400, "invalid", "This file cannot be imported.", read.problems);
      return createProgram(db, caller, await now(caller), params.crewId, body.id, read.program);
    },
  });
  routes.add({
    id: "program",
    method: "get",
    scope: "programs.read",
    path: "/api/programs/:programId",
    summary: "One program",
    answer: ProgramEntry,
    roles: ["trainer", "lead"],
    params: ProgramParams,
    handle: ({ caller, params }) => programOf(db, caller, params.programId),
  });
  routes.add({
    id: "saveProgram",
    method: "put",
    scope: "programs.write",
    path: "/api/programs/:programId",
    summary: "Save a program; 409 with the newer one when somebody else saved in between",
    answer: ProgramEntry,
    params: ProgramParams,
    body: ChangedProgram,
    bodyLimit: "1mb",
    handle: async ({ caller, params, body }) => saveProgram(db, caller, await now(caller), params.programId, body.version, body.program),
  });
  routes.add({
    id: "removeProgram",
    method: "delete",
    path: "/api/programs/:programId",
    summary: "Remove a program",
    params: ProgramParams,
    handle: ({ caller, params }) => setProgramRemoved(db, caller, params.programId, true),
  });
  routes.add({
    id: "restoreProgram",
    method: "post",
    path: "/api/programs/:programId/restore",
    summary: "Bring a removed program back",
    params: ProgramParams,
    handle: ({ caller, params }) => setProgramRemoved(db, caller, params.programId, false),
  });

  routes.add({
    id: "programFile",
    method: "get",
    scope: "programs.read",
    path: "/api/programs/:programId/file",
    summary: "The program as an open file (docs/formats/program.md)",
    file: "application/json",
    params: ProgramParams,
    async handle({ caller, params, response }) {
      const { program } = await programOf(db, caller, params.programId);
      sendFile(response, `${program.name}.kind-grip.json`, "application/json", JSON.stringify(writeProgramFile(program), null, 2));
    },
  });
}
