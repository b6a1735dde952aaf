/** The practice: its name, what it sets for itself, its staff. */
import {
  AuditPage,
  Correction,
  CrewsOfStaff,
  Customs,
  LanguageReading,
  OwnTexts,
  FirstSteps,
  MadeInvitation,
  NewStaffInvitation,
  Page,
  SettingsEntry,
  SignInRule,
  Staff,
  StaffInvitations,
  TrailState,
  named,
} from "@kind-grip/core/api";
import { Language } from "@kind-grip/core/language";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import type { Caller } from "../auth/caller";
import { pathOf } from "../auth/one-time-links";
import { invitationMail } from "../message/mail";
import type { Routes } from "../http/route";
import { correctText, customsOf, noteReading, ownTexts, saveCustoms } from "./customs";
import { signInTrailOf } from "../audit/audit";
import { trailState } from "../audit/seal";
import { changeSignInRule, signInRuleOf } from "./sign-in-rule";
import { saveSettings, settingsOf } from "./settings";
import { firstStepsOf } from "./first-steps";
import { inviteStaff, listInvitations, withdrawInvitation } from "./invitations";
import { changeCrewsOf, listStaff, removeStaff } from "./staff";

const LanguageParams = v.object({ language: Language });
const StaffParams = v.object({ accountId: Id });

export function addPracticeRoutes(routes: Routes, { db, now, mail, addressOf }: AppContext): void {
  const mailInvitation = async ({ accountId, practiceId }: Caller, { email, name }: NewStaffInvitation, address: string) => {
    const send = mail();
    if (!send) return "off" as const;
    const [by, practice] = await Promise.all([db.models.Account.findByPk(accountId), db.models.Practice.findByPk(practiceId)]);
    return send(invitationMail(email, name, by!.get().name, practice!.get().name, address)).then(
      () => "sent" as const,
      () => "failed" as const,
    );
  };

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
    id: "customs",
    method: "get",
    path: "/api/practice/customs",
    summary: "What its crews read, and how quantities, times and dates are written",
    answer: Customs,
    handle: ({ caller }) => customsOf(db, caller.practiceId),
  });
  routes.add({
    id: "saveCustoms",
    method: "put",
    path: "/api/practice/customs",
    summary: "Change them",
    answer: Customs,
    body: Customs,
    handle: ({ caller, body }) => saveCustoms(db, caller, body),
  });
  routes.add({
    id: "ownTexts",
    method: "get",
    scope: "programs.read",
    path: "/api/practice/texts",
    summary: "Texts the practice says in its own words, and who read which language through",
    answer: OwnTexts,
    roles: ["trainer", "lead"],
    handle: ({ caller }) => ownTexts(db, caller.practiceId),
  });
  routes.add({
    id: "ownTextsFile",
    method: "get",
    scope: "programs.read",
    path: "/api/practice/texts/file",
    summary: "The practice's own texts as an open file (docs/formats/texts.md)",
    file: "application/json",
    async handle({ caller, response }) {
      const { corrections } = await ownTexts(db, caller.practiceId);
      sendFile(
        response,
        "texts.json",
        "application/json",
        JSON.stringify({ format: "kind-grip-texts", version: 1, texts: corrections }, null, 2),
      );
    },
  });
  routes.add({
    id: "correctText",
    method: "put",
    path: "/api/practice/texts/:language",
    summary: "Say a text in the practice's own words, or take them back",
    answer: OwnTexts,
    params: LanguageParams,
    body: Correction,
    handle: ({ caller, params, body }) => correctText(db, caller, params.language, body.key, body.text),
  });
  routes.add({
    id: "noteReading",
    method: "put",
    path: "/api/practice/texts/:language/reading",
    summary: "Note who of the practice read a language through",
    answer: OwnTexts,
    params: LanguageParams,
    body: LanguageReading,
    handle: async ({ caller, params, body }) =>
      noteReading(db, caller, params.language, body.readBy, (await now(caller)).toISOString().slice(0, 10)),
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
    id: "staffInvitations",
    method: "get",
    path: "/api/practice/invitations",
    summary: "Who is invited to the practice and has not accepted yet",
    answer: StaffInvitations,
    handle: ({ caller }) => listInvitations(db, caller, new Date()),
  });
  routes.add({
    id: "inviteStaff",
    method: "post",
    path: "/api/practice/invitations",
    summary:
      "Invite a trainer, a crew lead or an employer contact, or renew an invitation; the secret of its address is answered this once",
    answer: MadeInvitation,
    body: NewStaffInvitation,
    async handle({ caller, body, request }) {
      const at = new Date();
      const token = await inviteStaff(db, caller, body, at);
      const invitations = await listInvitations(db, caller, at);
      return { invitations, token, mailed: await mailInvitation(caller, body, addressOf(request) + pathOf(token)) };
    },
  });
  routes.add({
    id: "withdrawInvitation",
    method: "delete",
    path: "/api/practice/invitations/:invitationId",
    summary: "Take an invitation back",
    params: v.object({ invitationId: Id }),
    handle: ({ caller, params }) => withdrawInvitation(db, caller, params.invitationId),
  });
  routes.add({
    id: "firstSteps",
    method: "get",
    path: "/api/practice/first-steps",
    summary: "How far a trainer of a new practice has come, until the first run was led",
    answer: FirstSteps,
    handle: ({ caller }) => firstStepsOf(db, caller),
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
