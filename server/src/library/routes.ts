/** The custom movements of the practice, and their file. */
import { CustomMovementEntry, ImportedMovement, StoredMovement } from "@kind-grip/core/api";
import { readMovementFile, writeMovementFile } from "@kind-grip/core/exchange";
import { CUSTOM_PREFIX } from "@kind-grip/core/library";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { notFound, Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { practiceLibrary } from "./practice-library";
import { listCustomMovements, setCustomMovementRemoved, storeCustomMovement } from "./custom-movements";

const MovementParams = v.object({ movementId: Id });

export function addLibraryRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    id: "movements",
    method: "get",
    scope: "programs.read",
    path: "/api/movements",
    summary: "The custom movements of the practice, removed ones marked",
    answer: v.array(CustomMovementEntry),
    roles: ["trainer", "lead"],
    handle: ({ caller }) => listCustomMovements(db, caller),
  });
  routes.add({
    id: "storeMovement",
    method: "put",
    path: "/api/movements/:movementId",
    summary: "Store a custom movement; 409 with the newer one when somebody else saved in between",
    answer: CustomMovementEntry,
    params: MovementParams,
    body: StoredMovement,
    handle: ({ caller, params, body }) => storeCustomMovement(db, caller, params.movementId, body.version, body.custom),
  });
  routes.add({
    id: "importMovement",
    method: "post",
    scope: "programs.write",
    path: "/api/movements/:movementId/import",
    summary: "Make a custom movement from a movement file",
    answer: CustomMovementEntry,
    params: MovementParams,
    body: ImportedMovement,
    bodyLimit: "512kb",
    async handle({ caller, params, body }) {
      const read = readMovementFile(body.text, CUSTOM_PREFIX + params.movementId);
      if (!read.custom) throw new Problem(400, "invalid", "This file cannot be imported.", read.problems);
      return storeCustomMovement(db, caller, params.movementId, 0, read.custom);
    },
  });
  routes.add({
    id: "movementFile",
    method: "get",
    scope: "programs.read",
    path: "/api/movements/:movementId/file",
    summary: "A custom movement as an open file (docs/formats/movement.md)",
    file: "application/json",
    params: MovementParams,
    async handle({ caller, params, response }) {
      const custom = (await practiceLibrary(db, caller.practiceId)).custom(CUSTOM_PREFIX + params.movementId);
      if (!custom) throw notFound("movement");
      const name = `${custom.words.name}.kind-grip-movement.json`;
      sendFile(response, name, "application/json", JSON.stringify(writeMovementFile(custom), null, 2));
    },
  });
  routes.add({
    id: "removeMovement",
    method: "delete",
    path: "/api/movements/:movementId",
    summary: "Take a custom movement out of the library",
    answer: CustomMovementEntry,
    params: MovementParams,
    handle: ({ caller, params }) => setCustomMovementRemoved(db, caller, params.movementId, true),
  });
  routes.add({
    id: "restoreMovement",
    method: "post",
    path: "/api/movements/:movementId/restore",
    summary: "Bring a removed custom movement back",
    answer: CustomMovementEntry,
    params: MovementParams,
    handle: ({ caller, params }) => setCustomMovementRemoved(db, caller, params.movementId, false),
  });
}
