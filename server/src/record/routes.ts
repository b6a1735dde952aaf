/** The record of one person, and notes. */
import { BeforeQuery, NewNote, PersonRecordPage } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import type { Routes } from "../http/route";
import { addNote, fileOfNote, removeNote } from "./notes";
import { personRecord } from "./person-record";

const PersonParams = v.object({ crewId: Id, personId: Id });
const NoteParams = v.object({ ...PersonParams.entries, noteId: Id });

export function addRecordRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "personRecord",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/people/:personId/record",
    summary: "Everything that is kept of one person, newest first",
    answer: PersonRecordPage,
    params: PersonParams,
    query: BeforeQuery,
    handle: async ({ caller, params, query }) => personRecord(db, caller, await now(caller), params, query.before),
  });
  routes.add({
    id: "addNote",
    method: "post",
    path: "/api/crews/:crewId/people/:personId/notes",
    summary: "Write something down of a person, with a photo or a PDF; sending it again changes nothing",
    params: PersonParams,
    body: NewNote,
    bodyLimit: "7mb",
    handle: async ({ caller, params, body }) => addNote(db, caller, await now(caller), params, body),
  });
  routes.add({
    id: "removeNote",
    method: "delete",
    path: "/api/crews/:crewId/people/:personId/notes/:noteId",
    summary: "Remove a note and its file",
    params: NoteParams,
    handle: async ({ caller, params }) => removeNote(db, caller, await now(caller), params),
  });
  routes.add({
    id: "fileOfNote",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/people/:personId/notes/:noteId/file",
    summary: "The photo or PDF of a note",
    file: "application/octet-stream",
    params: NoteParams,
    async handle({ caller, params, response }) {
      const { name, type, content } = await fileOfNote(db, caller, await now(caller), params);
      sendFile(response, name, type, content);
    },
  });
}
