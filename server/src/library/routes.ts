/** The practice's own movements, and their file. */
import { readMovementFile, writeMovementFile } from "@kind-grip/core/exchange";
import { findOwn, OWN_PREFIX, OwnMovement } from "@kind-grip/core/library";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { notFound, Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { listOwnMovements, setOwnMovementRemoved, storeOwnMovement } from "./own-movements";

const MovementParams = v.object({ movementId: Id });
/** 0 for a movement that is new. */
const VersionOrNew = v.pipe(v.number("is missing"), v.integer(), v.minValue(0));

export function addLibraryRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/movements",
    summary: "The practice's own movements, removed ones marked",
    roles: ["trainer", "lead"],
    handle: ({ caller }) => listOwnMovements(db, caller),
  });
  routes.add({
    method: "put",
    path: "/api/movements/:movementId",
    summary: "Store an own movement; 409 with the newer one when somebody else saved in between",
    params: MovementParams,
    body: v.strictObject({ version: VersionOrNew, own: OwnMovement }),
    handle: ({ caller, params, body }) => storeOwnMovement(db, caller, params.movementId, body.version, body.own),
  });
  routes.add({
    method: "post",
    path: "/api/movements/:movementId/import",
    summary: "Make an own movement from a movement file",
    params: MovementParams,
    body: v.strictObject({ text: v.pipe(v.string("is missing"), v.maxLength(200_000, "is longer than a movement file can be")) }),
    bodyLimit: "512kb",
    async handle({ caller, params, body }) {
      const read = readMovementFile(body.text, OWN_PREFIX + params.movementId);
      if (!read.own) throw new Problem(400, "invalid", "This file cannot be imported.", read.problems);
      return storeOwnMovement(db, caller, params.movementId, 0, read.own);
    },
  });
  routes.add({
    method: "get",
    path: "/api/movements/:movementId/file",
    summary: "An own movement as an open file (docs/formats/movement.md)",
    params: MovementParams,
    async handle({ caller, params, response }) {
      const mine = (await listOwnMovements(db, caller)).some(({ id }) => id === params.movementId);
      const own = findOwn(OWN_PREFIX + params.movementId);
      if (!mine || !own) throw notFound("movement");
      sendFile(response, `${own.words.name}.kind-grip-movement.json`, "application/json", JSON.stringify(writeMovementFile(own), null, 2));
    },
  });
  routes.add({
    method: "delete",
    path: "/api/movements/:movementId",
    summary: "Take an own movement out of the library",
    params: MovementParams,
    handle: ({ caller, params }) => setOwnMovementRemoved(db, caller, params.movementId, true),
  });
  routes.add({
    method: "post",
    path: "/api/movements/:movementId/restore",
    summary: "Bring a removed own movement back",
    params: MovementParams,
    handle: ({ caller, params }) => setOwnMovementRemoved(db, caller, params.movementId, false),
  });
}
