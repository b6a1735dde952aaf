/** The practice: its name, what it sets for itself, its staff. */
import { PracticeSettings } from "@kind-grip/core/response";
import { Id, NonEmptyText } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { Version } from "../http/params";
import type { Routes } from "../http/route";
import { saveSettings, settingsOf } from "./settings";
import { addStaff, changeCrewsOf, listStaff, NewStaff, removeStaff } from "./staff";

const StaffParams = v.object({ accountId: Id });

export function addPracticeRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    method: "put",
    path: "/api/practice",
    summary: "Rename the practice",
    body: v.strictObject({ name: NonEmptyText }),
    async handle({ body, caller }) {
      await db.models.Practice.update({ name: body.name }, { where: { id: caller.practiceId } });
      return { name: body.name };
    },
  });
  routes.add({
    method: "get",
    path: "/api/practice/settings",
    summary: "The style new programs begin with, and the thresholds decisions are taken by",
    handle: ({ caller }) => settingsOf(db, caller.practiceId),
  });
  routes.add({
    method: "put",
    path: "/api/practice/settings",
    summary: "Change them; decisions keep the version they were taken with",
    body: v.strictObject({ version: Version, settings: PracticeSettings }),
    handle: ({ caller, body }) => saveSettings(db, caller.practiceId, body.version, body.settings),
  });
  routes.add({
    method: "get",
    path: "/api/practice/staff",
    summary: "Who signs in with a password, and for which of the caller's crews",
    handle: ({ caller }) => listStaff(db, caller),
  });
  routes.add({
    method: "post",
    path: "/api/practice/staff",
    summary: "Add a crew lead or an employer contact; the first password is shown this once",
    body: NewStaff,
    handle: ({ caller, body }) => addStaff(db, caller, body),
  });
  routes.add({
    method: "put",
    path: "/api/practice/staff/:accountId",
    summary: "Change the crews somebody is given",
    params: StaffParams,
    body: v.strictObject({ crewIds: v.pipe(v.array(Id), v.maxLength(200)) }),
    handle: ({ caller, params, body }) => changeCrewsOf(db, caller, params.accountId, body.crewIds),
  });
  routes.add({
    method: "delete",
    path: "/api/practice/staff/:accountId",
    summary: "End somebody's sign-in",
    params: StaffParams,
    handle: ({ caller, params }) => removeStaff(db, caller, params.accountId),
  });
}
