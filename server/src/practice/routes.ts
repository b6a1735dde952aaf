/** The practice: its name, what it sets for itself, its staff. */
import {
  AddedStaff,
  AuditPage,
  CrewsOfStaff,
  NewStaff,
  Page,
  SettingsEntry,
  SignInRule,
  Staff,
  TrailState,
  named,
} from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import type { Routes } from "../http/route";
import { signInTrailOf } from "../audit/audit";
import { trailState } from "../audit/seal";
import { changeSignInRule, signInRuleOf } from "./sign-in-rule";
import { saveSettings, settingsOf } from "./settings";
import { addStaff, changeCrewsOf, listStaff, removeStaff } from "./staff";

const StaffParams = v.object({ accountId: Id });

export function addPracticeRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    id: "renamePractice",
    method: "put",
    path: "/api/practice",
    summary: "Rename the practice",
    answer: named,
    body: named,
    async handle({ body, caller }) {
      await db.models.Practice.update({ name: body.name }, { where: { id: caller.practiceId } });
      return { name: body.name };
    },
  });
  routes.add({
    id: "settings",
    method: "get",
    path: "/api/practice/settings",
    summary: "The style new programs begin with, and the thresholds decisions are taken by",
    answer: SettingsEntry,
    handle: ({ caller }) => settingsOf(db, caller.practiceId),
  });
  routes.add({
    id: "saveSettings",
    method: "put",
    path: "/api/practice/settings",
    summary: "Change them; decisions keep the version they were taken with",
    answer: SettingsEntry,
    body: SettingsEntry,
    handle: ({ caller, body }) => saveSettings(db, caller.practiceId, body.version, body.settings),
  });
  routes.add({
    id: "staff",
    method: "get",
    path: "/api/practice/staff",
    summary: "Who signs in with a password, and for which of the caller's crews",
    answer: Staff,
    handle: ({ caller }) => listStaff(db, caller),
  });
  routes.add({
    id: "addStaff",
    method: "post",
    path: "/api/practice/staff",
    summary: "Add a crew lead or an employer contact; the first password is shown this once",
    answer: AddedStaff,
    body: NewStaff,
    handle: ({ caller, body }) => addStaff(db, caller, body),
  });
  routes.add({
    id: "changeStaff",
    method: "put",
    path: "/api/practice/staff/:accountId",
    summary: "Change the crews somebody is given",
    answer: Staff,
    params: StaffParams,
    body: CrewsOfStaff,
    handle: ({ caller, params, body }) => changeCrewsOf(db, caller, params.accountId, body.crewIds),
  });
  routes.add({
    id: "removeStaff",
    method: "delete",
    path: "/api/practice/staff/:accountId",
    summary: "End somebody's sign-in",
    answer: Staff,
    params: StaffParams,
    handle: ({ caller, params }) => removeStaff(db, caller, params.accountId),
  });
  routes.add({
    id: "signInTrail",
    method: "get",
    path: "/api/practice/trail",
    summary: "Who of the practice signed in, failed to, or changed how they do, newest first",
    answer: AuditPage,
    query: Page,
    handle: ({ caller, query }) => signInTrailOf(db, caller, query.page),
  });
  routes.add({
    id: "trailState",
    method: "get",
    path: "/api/practice/trail/seals",
    summary: "How far the practice's trail is sealed, and whether the seals hold",
    answer: TrailState,
    handle: ({ caller }) => trailState(db, caller.practiceId),
  });
  routes.add({
    id: "signInRule",
    method: "get",
    path: "/api/practice/sign-in-rule",
    summary: "Whether the practice asks its trainers for a second step or a passkey",
    answer: SignInRule,
    handle: ({ caller }) => signInRuleOf(db, caller),
  });
  routes.add({
    id: "changeSignInRule",
    method: "put",
    path: "/api/practice/sign-in-rule",
    summary: "Change it; only by somebody who has one",
    answer: SignInRule,
    body: SignInRule,
    handle: ({ caller, body }) => changeSignInRule(db, caller, body),
  });
}
