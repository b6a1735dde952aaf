/** The custom movements of the practice, and their file. */
import { readMovementFile, writeMovementFile } from "@kind-grip/core/exchange";
import { CUSTOM_PREFIX, CustomMovement } from "@kind-grip/core/library";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { notFound, Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { practiceLibrary } from "./practice-library";
import { listCustomMovements, setCustomMovementRemoved, storeCustomMovement } from "./custom-movements";

const MovementParams = v.object({ movementId: Id });
/** 0 for a movement that is new. */
const VersionOrNew = v.pipe(v.number("is missing"), v.integer(), v.minValue(0));

export function addLibraryRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/movements",
    summary: "The custom movements of the practice, removed ones marked",
    roles: ["trainer", "lead"],
    handle: ({ caller }) => listCustomMovements(db, caller),
  });
  routes.add({
    method: "put",
    path: "/api/movements/:movementId",
    summary: "Store a custom movement; 409 with the newer one when somebody else saved in between",
    params: MovementParams,
    body: v.strictObject({ version: VersionOrNew, custom: CustomMovement }),
    handle: ({ caller, params, body }) => storeCustomMovement(db, caller, params.movementId, body.version, body.custom),
  });
  routes.add({
    method: "post",
    path: "/api/movements/:movementId/import",
    summary: "Make a custom movement from a movement file",
    params: MovementParams,
    body: v.strictObject({ text: v.pipe(v.string("is missing"), v.maxLength(200_000, "is longer than a movement file can be")) }),
    bodyLimit: "512kb",
    async handle({ caller, params, body }) {
      const read = readMovementFile(body.text, CUSTOM_PREFIX + params.movementId);
      if (!read.custom) throw new Problem(400, "invalid", "This file cannot be imported.", read.problems);
      return storeCustomMovement(db, caller, params.movementId, 0, read.custom);
    },
  });
  routes.add({
    method: "get",
    path: "/api/movements/:movementId/file",
    summary: "A custom movement as an open file (docs/formats/movement.md)",
    params: MovementParams,
    async handle({ caller, params, response }) {
      const custom = (await practiceLibrary(db, caller.practiceId)).custom(CUSTOM_PREFIX + params.movementId);
      if (!custom) throw notFound("movement");
      const name = `${custom.words.name}.kind-grip-movement.json`;
      sendFile(response, name, "application/json", JSON.stringify(writeMovementFile(custom), null, 2));
    },
  });
  routes.add({
    method: "delete",
    path: "/api/movements/:movementId",
    summary: "Take a custom movement out of the library",
    params: MovementParams,
    handle: ({ caller, params }) => setCustomMovementRemoved(db, caller, params.movementId, true),
  });
  routes.add({
    method: "post",
    path: "/api/movements/:movementId/restore",
    summary: "Bring a removed custom movement back",
    params: MovementParams,
    handle: ({ caller, params }) => setCustomMovementRemoved(db, caller, params.movementId, false),
  });
}
