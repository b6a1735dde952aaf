/** Crew members: cards and PINs, signing in, and their own page. */
import {
  AccessEntry,
  CardSignIn,
  CardsOf,
  IssuedCards,
  MemberDay,
  MemberProgress,
  MemberPulse,
  OwnLanguage,
  OwnQuickTestChoice,
  OwnReminder,
  PinSignIn,
  RunningLate,
  Stored,
} from "@kind-grip/core/api";
import { SelfCheck } from "@kind-grip/core/baseline";
import { CheckIn } from "@kind-grip/core/response";
import { Arrival, OwnEffort, RunRecord } from "@kind-grip/core/run";
import { SymptomReport } from "@kind-grip/core/safety";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { rememberDevice } from "../auth/attempts";
import { refuseOtherOwner } from "../auth/caller";
import { freshSession, MEMBER_DAYS } from "../auth/session";
import { CrewParams } from "../http/params";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { storeCheckIn } from "../response/check-ins";
import { storeReport } from "../safety/symptom-alerts";
import { storeSelfCheck } from "../baseline/self-checks";
import { storeArrival, storeEffort } from "../run/own-answers";
import { storeRun } from "../run/runs";
import { accessOf, issueCards, memberByCard, memberByPin, withdrawAccess } from "./access";
import { chooseLanguage, memberDay, memberProgress } from "./member-day";
import { bookingPulse, runLate } from "../booking/own-bookings";
import { chooseQuickTest } from "../run/quick-tests";
import { chooseReminder } from "../message/wishes";

const Own = { roles: ["member"] as const };

export function addMemberRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "access",
    method: "get",
    path: "/api/crews/:crewId/access",
    summary: "The crew's code, and who has a card",
    answer: AccessEntry,
    params: CrewParams,
    handle: ({ caller, params }) => accessOf(db, caller, params.crewId),
  });
  routes.add({
    id: "issueCards",
    method: "post",
    path: "/api/crews/:crewId/access",
    summary: "Make new cards with PINs; shown this once",
    answer: IssuedCards,
    params: CrewParams,
    body: CardsOf,
    handle: async ({ caller, params, body }) => issueCards(db, caller, await now(caller), params.crewId, body.personIds),
  });
  routes.add({
    id: "withdrawAccess",
    method: "post",
    path: "/api/crews/:crewId/access/withdraw",
    summary: "Withdraw cards and PINs",
    answer: AccessEntry,
    params: CrewParams,
    body: CardsOf,
    handle: async ({ caller, params, body }) => withdrawAccess(db, caller, await now(caller), params.crewId, body.personIds),
  });

  routes.add({
    id: "memberSignIn",
    method: "post",
    path: "/api/member/sign-in",
    summary: "Sign in as a crew member with code and PIN",
    answer: MemberDay,
    roles: "anyone",
    body: PinSignIn,
    async handle({ body, request, response }) {
      const caller = await memberByPin({ db, now }, body.code, body.pin, request, new Date());
      await rememberDevice(db, request, response, caller.accountId, new Date());
      await freshSession(request, caller, MEMBER_DAYS);
      return memberDay(db, caller, await now(caller));
    },
  });
  routes.add({
    id: "memberCard",
    method: "post",
    path: "/api/member/card",
    summary: "Sign in as a crew member with the secret of a card",
    answer: MemberDay,
    roles: "anyone",
    body: CardSignIn,
    async handle({ body, request, response }) {
      const caller = await memberByCard({ db, now }, body.token, request, new Date());
      await rememberDevice(db, request, response, caller.accountId, new Date());
      await freshSession(request, caller, MEMBER_DAYS);
      return memberDay(db, caller, await now(caller));
    },
  });

  routes.add({
    id: "memberLanguage",
    method: "put",
    path: "/api/member/language",
    summary: "What a crew member reads; null for what the crew reads",
    answer: MemberDay,
    ...Own,
    body: OwnLanguage,
    async handle({ caller, body }) {
      await chooseLanguage(db, caller, body.language);
      return memberDay(db, caller, await now(caller));
    },
  });
  routes.add({
    id: "memberReminder",
    method: "put",
    path: "/api/member/reminder",
    summary: "When a crew member is reminded; null for as the crew is",
    answer: MemberDay,
    ...Own,
    body: OwnReminder,
    async handle({ caller, body }) {
      await chooseReminder(db, caller, body.own);
      return memberDay(db, caller, await now(caller));
    },
  });
  routes.add({
    id: "memberQuickTest",
    method: "put",
    path: "/api/member/quick-test",
    summary: "What a crew member is asked before and after what they follow alone; null for what the crew is asked",
    answer: MemberDay,
    ...Own,
    body: OwnQuickTestChoice,
    async handle({ caller, body }) {
      await chooseQuickTest(db, caller, body.own);
      return memberDay(db, caller, await now(caller));
    },
  });
  routes.add({
    id: "memberDay",
    method: "get",
    path: "/api/member/day",
    summary: "A crew member's sessions of today and tomorrow in their own form",
    answer: MemberDay,
    ...Own,
    handle: async ({ caller }) => memberDay(db, caller, await now(caller)),
  });
  routes.add({
    id: "memberPulse",
    method: "get",
    path: "/api/member/pulse",
    summary: "A number that grows when a crew member's bookings or resets move; to be asked often",
    answer: MemberPulse,
    ...Own,
    handle: ({ caller }) => bookingPulse(db, caller),
  });
  routes.add({
    id: "memberLate",
    method: "put",
    path: "/api/member/late",
    summary: "A treatment of the crew member's own begins later; 409 when it was moved meanwhile",
    answer: MemberDay,
    ...Own,
    body: RunningLate,
    async handle({ caller, body }) {
      await runLate(db, caller, await now(caller), body);
      return memberDay(db, caller, await now(caller));
    },
  });
  routes.add({
    id: "memberProgress",
    method: "get",
    path: "/api/member/progress",
    summary: "A crew member's own four weeks",
    answer: MemberProgress,
    ...Own,
    handle: async ({ caller }) => memberProgress(db, caller, await now(caller)),
  });
  routes.add({
    id: "memberRun",
    method: "put",
    path: "/api/member/runs/:runId",
    summary: "Store a session followed alone; sending it again changes nothing",
    answer: Stored,
    ...Own,
    params: v.object({ runId: Id }),
    body: RunRecord,
    bodyLimit: "1mb",
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      const [person] = body.people;
      if (params.runId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      if (body.crewId !== caller.crewId) throw invalid([{ path: "crewId", message: "is not your crew" }]);
      if (!body.alone || body.people.length !== 1 || person!.personId !== caller.accountId)
        throw invalid([{ path: "people", message: "has to be you, alone" }]);
      return storeRun(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "memberCheckIn",
    method: "put",
    path: "/api/member/check-ins/:checkInId",
    summary: "Store a morning's check-in; one a day, the first stays",
    answer: Stored,
    ...Own,
    params: v.object({ checkInId: Id }),
    body: CheckIn,
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.checkInId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeCheckIn(db, caller, await now(caller), { crewId: caller.crewId!, personId: caller.accountId }, body);
    },
  });
  routes.add({
    id: "memberSelfCheck",
    method: "put",
    path: "/api/member/self-checks/:checkId",
    summary: "Answer safety, symptoms and main hand before a round; acts at once. Sending it again changes nothing",
    answer: Stored,
    ...Own,
    params: v.object({ checkId: Id }),
    body: SelfCheck,
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.checkId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeSelfCheck(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "memberArrival",
    method: "put",
    path: "/api/member/arrivals/:arrivalId",
    summary: "Say that one is here for a session that is led",
    answer: Stored,
    ...Own,
    params: v.object({ arrivalId: Id }),
    body: Arrival,
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.arrivalId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeArrival(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "memberEffort",
    method: "put",
    path: "/api/member/efforts/:effortId",
    summary: "Say how hard a session that was led was",
    answer: Stored,
    ...Own,
    params: v.object({ effortId: Id }),
    body: OwnEffort,
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.effortId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeEffort(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "memberReport",
    method: "put",
    path: "/api/member/symptom-reports/:reportId",
    summary: "Stop and tell: pauses by itself until the trainer has answered. Sending it again changes nothing",
    answer: Stored,
    ...Own,
    params: v.object({ reportId: Id }),
    body: SymptomReport,
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.reportId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      const of = { crewId: caller.crewId!, personId: caller.accountId, cause: "report" as const };
      return storeReport(db, caller, await now(caller), of, body);
    },
  });
}
