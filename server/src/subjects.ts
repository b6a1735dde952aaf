/** Every subject of the server by its name in the description; in the order in which their routes are looked through. */
import { addAuthRoutes } from "./auth/routes";
import { addBaselineRoutes } from "./baseline/routes";
import { addBookingRoutes } from "./booking/routes";
import { addCalendarLinkRoutes, addOwnCalendarRoutes } from "./dayplan/calendar-links";
import { addContactRoutes } from "./contact/routes";
import { addCrewRoutes } from "./crew/routes";
import { addDayPlanRoutes } from "./dayplan/routes";
import { addFirstAidRoutes } from "./followup/first-aid";
import { addFollowUpRoutes } from "./followup/routes";
import { addJobRoutes } from "./job/routes";
import { addLibraryRoutes } from "./library/routes";
import { addLinkRoutes } from "./auth/link-routes";
import { addMemberRoutes } from "./member/routes";
import { addMessageRoutes } from "./message/routes";
import { addOwnWeekRoutes } from "./dayplan/own-week-routes";
import { addPasskeyRoutes } from "./auth/passkey-routes";
import { addPersonalRoutes } from "./personal/routes";
import { addPracticeRoutes } from "./practice/routes";
import { addProgramRoutes } from "./program/routes";
import { addRecordRoutes } from "./record/routes";
import { addReportRoutes } from "./followup/report-routes";
import { addResponseRoutes } from "./response/routes";
import { addRunRoutes } from "./run/routes";
import { addSafetyRoutes } from "./safety/routes";
import { addTemplateRoutes } from "./template/routes";
import { addTokenRoutes } from "./token/routes";
import { addWorkRoutes } from "./work/routes";
import type { AppContext } from "./context";
import type { Routes } from "./http/route";

export const SUBJECTS = {
  auth: addAuthRoutes,
  link: addLinkRoutes,
  passkey: addPasskeyRoutes,
  practice: addPracticeRoutes,
  "API token": addTokenRoutes,
  crew: addCrewRoutes,
  work: addWorkRoutes,
  baseline: addBaselineRoutes,
  safety: addSafetyRoutes,
  library: addLibraryRoutes,
  template: addTemplateRoutes,
  program: addProgramRoutes,
  file: addJobRoutes,
  "day plan": addDayPlanRoutes,
  booking: addBookingRoutes,
  // Before the week, whose address would take its name for a day.
  "own calendar": addOwnCalendarRoutes,
  "own week": addOwnWeekRoutes,
  run: addRunRoutes,
  "follow-up": addFollowUpRoutes,
  response: addResponseRoutes,
  record: addRecordRoutes,
  member: addMemberRoutes,
  report: addReportRoutes,
  firstAid: addFirstAidRoutes,
  message: addMessageRoutes,
  contact: addContactRoutes,
  personal: addPersonalRoutes,
  calendar: addCalendarLinkRoutes,
} as const satisfies Record<string, (routes: Routes, context: AppContext) => void>;
