/** The server's answers as RTK Query endpoints. One list, one token, one way to tell that the connection is away. */
import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs, type FetchBaseQueryError } from "@reduxjs/toolkit/query/react";
import type { BaselineRecord } from "@kind-grip/core/baseline";
import type { Crew, NewPerson, Person } from "@kind-grip/core/crew";
import type { Placement } from "@kind-grip/core/dayplan";
import type { CustomMovement, Phase } from "@kind-grip/core/library";
import type { CrewFigures, MeasuredChange, ReviewAnswer } from "@kind-grip/core/followup";
import type { Program } from "@kind-grip/core/program";
import type { DecisionKind, NewDecision, PracticeSettings, Present, Response, ResponseThresholds } from "@kind-grip/core/response";
import type { RunRecord, RunSummary } from "@kind-grip/core/run";
import type { AlertAnswer, HoldReason, NewClearance, Participation, SymptomReport } from "@kind-grip/core/safety";
import type { Work } from "@kind-grip/core/strain";
import type { MemberDay, MemberProgress, PersonAlert, Progress, Today, WaitingDecision } from "@kind-grip/core/answers";
import { connectionFound, connectionLost } from "./connection";

export type Role = "trainer" | "lead" | "employer" | "member";
export interface Me {
  csrfToken: string;
  account: { role: Role; name: string; email: string; practice: string; demo: boolean; now: string } | null;
}
export type CrewEntry = Crew & { id: string; version: number };
export type CrewListEntry = CrewEntry & { people: number; programs: number };
export type PersonEntry = Person & { id: string; version: number };
export interface ProgramEntry {
  id: string;
  crewId: string;
  version: number;
  changedAt: string;
  program: Program;
}
export interface CustomMovementEntry {
  id: string;
  version: number;
  removed: boolean;
  custom: CustomMovement;
}
export interface WeekPlanEntry {
  crewId: string;
  weekStart: string;
  version: number;
  placements: Placement[];
  neighbours: Placement[];
}
export interface DecisionEntry {
  id: string;
  personId: string;
  programId: string;
  itemId: string;
  movementId: string;
  proposed: DecisionKind;
  decided: DecisionKind;
  why: string | null;
  response: Response;
  was: Present;
  settings: ResponseThresholds;
  settingsVersion: number;
  decidedAt: string;
  resumedAt: string | null;
  resumedWhy: string | null;
  by: string;
}
export interface ReportEntry {
  crew: { id: string; name: string; trade: string };
  blocks: { from: string; until: string; figures: CrewFigures }[];
  next: { from: string; until: string; readableOn: string };
  changes: { first: string; last: string; on: string; changes: MeasuredChange[] }[];
}
export interface StaffEntry {
  id: string;
  name: string;
  email: string;
  role: "trainer" | "lead" | "employer";
  crewIds: string[];
}
export interface AccessEntry {
  code: string | null;
  people: { personId: string; number: number; issuedAt: string }[];
}
export interface Card {
  personId: string;
  name: string;
  pin: string;
  token: string;
}
export interface Absence {
  id: string;
  personId: string;
  from: string;
  until: string;
}
export interface CalendarLink {
  id: string;
  name: string;
  personId: string | null;
  madeAt: string;
  withdrawnAt: string | null;
  lastReadAt: string | null;
}
export interface MessageEntry {
  id: string;
  personId: string;
  name: string;
  text: string;
  state: "waiting" | "sent" | "failed";
  tries: number;
  queuedAt: string;
  sentAt: string | null;
  problem: string | null;
}
export interface SettingsEntry {
  settings: PracticeSettings;
  version: number;
}
export interface WorkEntry {
  crewId: string;
  version: number;
  work: Work;
}
export interface RoundEntry {
  id: string;
  crewId: string;
  name: string;
  startedOn: string;
  closed: boolean;
  begun: number;
  finished: number;
}
export interface RecordEntry {
  personId: string;
  version: number;
  changedAt: string;
  record: BaselineRecord;
}
export type ParticipationEntry = Participation & { personId: string };
export interface HoldEntry {
  id: string;
  personId: string;
  question: HoldReason;
  words: string | null;
  since: string;
  roundId: string | null;
  withdrawnAt: string | null;
  withdrawnWhy: string | null;
}
export interface ClearanceEntry {
  id: string;
  personId: string;
  holdId: string;
  givenBy: string;
  profession: string;
  allows: Phase[];
  fromDay: string;
  untilDay: string;
  note: string | null;
  enteredAt: string;
  withdrawnAt: string | null;
  withdrawnWhy: string | null;
}
export interface HeldOut {
  holds: HoldEntry[];
  clearances: ClearanceEntry[];
  reports: { personId: string; reports: PersonAlert["reports"] }[];
}
export interface AuditEntry {
  id: string;
  personId: string | null;
  act: "saw" | "changed";
  subject: "baseline" | "hold" | "clearance" | "referral" | "export" | "decision" | "access" | "report" | "run";
  what: string;
  at: string;
  lastAt: string;
  times: number;
  by: string;
}

/** The body of every answer that is not 2xx. */
export interface ProblemBody {
  code: string;
  message: string;
  fields: { path: string; message: string }[];
  detail?: unknown;
}

let csrfToken = "";

const plain = fetchBaseQuery({ baseUrl: "/api", timeout: 20_000, prepareHeaders: (headers) => headers.set("x-csrf-token", csrfToken) });

const watched: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (args, api, extra) => {
  let answer = await plain(args, api, extra);
  // The token went stale with its session (server restarted, eight hours passed): fetch a new one and try once more.
  if (answer.error?.status === 403 && (answer.error.data as ProblemBody | undefined)?.code === "csrf") {
    const me = await plain("/me", api, extra);
    if (me.data) csrfToken = (me.data as Me).csrfToken;
    answer = await plain(args, api, extra);
  }
  const away =
    answer.error && (answer.error.status === "FETCH_ERROR" || answer.error.status === "TIMEOUT_ERROR" || answer.error.status === 503);
  api.dispatch(away ? connectionLost() : connectionFound());
  const me = answer.data as Me | undefined;
  if (me && typeof me === "object" && "csrfToken" in me) csrfToken = me.csrfToken;
  if (answer.error?.status === 401 && (answer.error.data as ProblemBody).code === "signedOut")
    api.dispatch(serverApi.util.invalidateTags(["Me"]));
  return answer;
};

const TAGS = [
  "Me",
  "Crews",
  "People",
  "Programs",
  "Plan",
  "Runs",
  "Movements",
  "Work",
  "Rounds",
  "Safety",
  "Decisions",
  "Practice",
  "Access",
] as const;

export const serverApi = createApi({
  reducerPath: "server",
  baseQuery: watched,
  tagTypes: TAGS,
  refetchOnReconnect: true,
  endpoints: (make) => ({
    me: make.query<Me, void>({ query: () => "/me", providesTags: ["Me"] }),
    signIn: make.mutation<Me, { email: string; password: string }>({
      query: (body) => ({ url: "/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    signOut: make.mutation<void, void>({ query: () => ({ url: "/sign-out", method: "POST" }), invalidatesTags: ["Me"] }),
    changePassword: make.mutation<void, { current: string; next: string }>({
      query: (body) => ({ url: "/me/password", method: "PUT", body }),
    }),
    renamePractice: make.mutation<void, string>({
      query: (name) => ({ url: "/practice", method: "PUT", body: { name } }),
      invalidatesTags: ["Me"],
    }),

    today: make.query<Today, void>({ query: () => "/today", providesTags: ["Plan", "Runs", "Crews", "Programs", "Safety", "Decisions"] }),
    crews: make.query<CrewListEntry[], void>({ query: () => "/crews", providesTags: ["Crews", "People", "Programs"] }),
    crew: make.query<CrewEntry, string>({ query: (id) => `/crews/${id}`, providesTags: ["Crews"] }),
    createCrew: make.mutation<CrewEntry, { id: string; crew: Crew }>({
      query: (body) => ({ url: "/crews", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Crews"] : []),
    }),
    changeCrew: make.mutation<CrewEntry, { id: string; version: number; crew: Crew }>({
      query: ({ id, ...body }) => ({ url: `/crews/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Crews"] : []),
    }),
    removeCrew: make.mutation<void, string>({ query: (id) => ({ url: `/crews/${id}`, method: "DELETE" }), invalidatesTags: ["Crews"] }),
    restoreCrew: make.mutation<void, string>({
      query: (id) => ({ url: `/crews/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Crews"],
    }),

    people: make.query<PersonEntry[], string>({ query: (crewId) => `/crews/${crewId}/people`, providesTags: ["People"] }),
    addPeople: make.mutation<PersonEntry[], { crewId: string; people: NewPerson[]; answers?: { id: string; sameAs: string | null }[] }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/people`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    changePerson: make.mutation<PersonEntry, { crewId: string; personId: string; version: number; person: Person }>({
      query: ({ crewId, personId, ...body }) => ({ url: `/crews/${crewId}/people/${personId}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    removePerson: make.mutation<void, { crewId: string; personId: string }>({
      query: ({ crewId, personId }) => ({ url: `/crews/${crewId}/people/${personId}`, method: "DELETE" }),
      invalidatesTags: ["People"],
    }),

    programs: make.query<ProgramEntry[], string>({ query: (crewId) => `/crews/${crewId}/programs`, providesTags: ["Programs"] }),
    program: make.query<ProgramEntry, string>({
      query: (id) => `/programs/${id}`,
      providesTags: (_, __, id) => [{ type: "Programs", id }],
      keepUnusedDataFor: 0,
    }),
    createProgram: make.mutation<ProgramEntry, { crewId: string; id: string; program: Program }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/programs`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Programs"] : []),
    }),
    importProgram: make.mutation<ProgramEntry, { crewId: string; id: string; text: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/programs/import`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Programs"] : []),
    }),
    /** Lists are told when the editor closes; its own copy is ahead of any answer. */
    saveProgram: make.mutation<ProgramEntry, { id: string; version: number; program: Program }>({
      query: ({ id, ...body }) => ({ url: `/programs/${id}`, method: "PUT", body }),
    }),
    removeProgram: make.mutation<void, string>({
      query: (id) => ({ url: `/programs/${id}`, method: "DELETE" }),
      invalidatesTags: ["Programs"],
    }),
    restoreProgram: make.mutation<void, string>({
      query: (id) => ({ url: `/programs/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Programs"],
    }),

    /** The custom movements of the practice; the frame puts them into the library of every page. */
    movements: make.query<CustomMovementEntry[], void>({
      query: () => "/movements",
      providesTags: ["Movements"],
    }),
    storeMovement: make.mutation<CustomMovementEntry, { id: string; version: number; custom: CustomMovement }>({
      query: ({ id, ...body }) => ({ url: `/movements/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Movements"] : []),
    }),
    importMovement: make.mutation<CustomMovementEntry, { id: string; text: string }>({
      query: ({ id, ...body }) => ({ url: `/movements/${id}/import`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Movements"] : []),
    }),
    removeMovement: make.mutation<void, string>({
      query: (id) => ({ url: `/movements/${id}`, method: "DELETE" }),
      invalidatesTags: ["Movements"],
    }),
    restoreMovement: make.mutation<void, string>({
      query: (id) => ({ url: `/movements/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Movements"],
    }),

    weekPlan: make.query<WeekPlanEntry, { crewId: string; weekStart: string }>({
      query: ({ crewId, weekStart }) => `/crews/${crewId}/plan/${weekStart}`,
      providesTags: ["Plan"],
    }),
    savePlan: make.mutation<WeekPlanEntry, { crewId: string; weekStart: string; version: number; placements: Placement[] }>({
      query: ({ crewId, weekStart, ...body }) => ({ url: `/crews/${crewId}/plan/${weekStart}`, method: "PUT", body }),
      async onQueryStarted({ crewId, weekStart }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(serverApi.util.upsertQueryData("weekPlan", { crewId, weekStart }, data));
      },
    }),

    runs: make.query<{ runs: RunSummary[]; total: number; pageSize: number }, { crewId: string; page: number }>({
      query: ({ crewId, page }) => `/crews/${crewId}/runs?page=${page}`,
      providesTags: ["Runs"],
    }),
    run: make.query<RunRecord, string>({ query: (id) => `/runs/${id}`, providesTags: ["Runs"] }),
    storeRun: make.mutation<{ id: string; stored: "new" | "already" }, RunRecord>({
      query: (run) => ({ url: `/runs/${run.id}`, method: "PUT", body: run }),
      invalidatesTags: (done) => (done ? ["Runs"] : []),
    }),
    work: make.query<WorkEntry, string>({ query: (crewId) => `/crews/${crewId}/work`, providesTags: ["Work"] }),
    /** The screen's own copy is ahead of any answer; other screens are told. */
    saveWork: make.mutation<WorkEntry, { crewId: string; version: number; work: Work }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/work`, method: "PUT", body }),
      async onQueryStarted({ crewId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(serverApi.util.upsertQueryData("work", crewId, data));
      },
    }),
    rounds: make.query<RoundEntry[], string>({ query: (crewId) => `/crews/${crewId}/rounds`, providesTags: ["Rounds"] }),
    createRound: make.mutation<RoundEntry, { crewId: string; id: string; name: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/rounds`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Rounds"] : []),
    }),
    changeRound: make.mutation<RoundEntry, { id: string; name: string; closed: boolean }>({
      query: ({ id, ...body }) => ({ url: `/rounds/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Rounds"] : []),
    }),
    removeRound: make.mutation<void, string>({ query: (id) => ({ url: `/rounds/${id}`, method: "DELETE" }), invalidatesTags: ["Rounds"] }),
    records: make.query<RecordEntry[], string>({
      query: (roundId) => `/rounds/${roundId}/records`,
      providesTags: (_, __, id) => [{ type: "Rounds", id }],
      keepUnusedDataFor: 0,
    }),
    saveRecord: make.mutation<RecordEntry, { roundId: string; personId: string; version: number; record: BaselineRecord }>({
      query: ({ roundId, personId, ...body }) => ({ url: `/rounds/${roundId}/people/${personId}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
      async onQueryStarted({ roundId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (!data) return;
        dispatch(
          serverApi.util.updateQueryData("records", roundId, (list) => [...list.filter((each) => each.personId !== data.personId), data]),
        );
      },
    }),
    participation: make.query<ParticipationEntry[], string>({
      query: (crewId) => `/crews/${crewId}/participation`,
      providesTags: ["Safety"],
    }),
    heldOut: make.query<HeldOut, string>({
      query: (crewId) => `/crews/${crewId}/held-out`,
      providesTags: ["Safety"],
      keepUnusedDataFor: 0,
    }),
    enterHold: make.mutation<HeldOut, { crewId: string; personId: string; question: HoldReason; words: string | null }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/holds`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
    }),
    withdrawHold: make.mutation<HeldOut, { id: string; why: string }>({
      query: ({ id, why }) => ({ url: `/holds/${id}/withdraw`, method: "POST", body: { why } }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
    }),
    enterClearance: make.mutation<HeldOut, { crewId: string; clearance: NewClearance }>({
      query: ({ crewId, clearance }) => ({ url: `/crews/${crewId}/clearances`, method: "POST", body: clearance }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
    }),
    withdrawClearance: make.mutation<HeldOut, { id: string; why: string }>({
      query: ({ id, why }) => ({ url: `/clearances/${id}/withdraw`, method: "POST", body: { why } }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
    }),
    audit: make.query<{ total: number; pageSize: number; entries: AuditEntry[] }, { crewId: string; page: number }>({
      query: ({ crewId, page }) => `/crews/${crewId}/audit?page=${page}`,
      providesTags: ["Safety"],
      keepUnusedDataFor: 0,
    }),
    decisions: make.query<WaitingDecision[], { crewId: string; all: boolean }>({
      query: ({ crewId, all }) => `/crews/${crewId}/decisions?all=${all ? "yes" : "no"}`,
      providesTags: ["Decisions", "Runs", "Programs", "Safety"],
      keepUnusedDataFor: 0,
    }),
    decide: make.mutation<void, { crewId: string; decisions: NewDecision[] }>({
      query: ({ crewId, decisions }) => ({ url: `/crews/${crewId}/decisions`, method: "POST", body: { decisions } }),
      invalidatesTags: (_, error) => (error && error.status !== 409 ? [] : ["Decisions", "Programs", "Safety"]),
    }),
    decisionHistory: make.query<{ total: number; pageSize: number; decisions: DecisionEntry[] }, { crewId: string; page: number }>({
      query: ({ crewId, page }) => `/crews/${crewId}/decisions/history?page=${page}`,
      providesTags: ["Decisions"],
    }),
    resume: make.mutation<void, { id: string; why: string }>({
      query: ({ id, why }) => ({ url: `/decisions/${id}/resume`, method: "POST", body: { why } }),
      invalidatesTags: (_, error) => (error ? [] : ["Decisions", "Safety"]),
    }),
    answerAlerts: make.mutation<void, { crewId: string; personId: string; alertIds: string[]; answer: AlertAnswer }>({
      query: ({ crewId, personId, ...body }) => ({ url: `/crews/${crewId}/people/${personId}/alerts/answer`, method: "POST", body }),
      invalidatesTags: ["Decisions", "Safety", "Programs"],
    }),
    /** What somebody felt in a run that is being led. */
    reportInRun: make.mutation<{ id: string; stored: "new" | "already" }, { crewId: string; personId: string; report: SymptomReport }>({
      query: ({ crewId, personId, report }) => ({
        url: `/crews/${crewId}/people/${personId}/symptom-reports/${report.id}`,
        method: "PUT",
        body: report,
      }),
      invalidatesTags: (done) => (done ? ["Safety", "Decisions"] : []),
    }),
    answerClash: make.mutation<void, { runId: string; personId: string; answer: "before" | "mistake" }>({
      query: ({ runId, personId, answer }) => ({ url: `/runs/${runId}/clashes/${personId}`, method: "POST", body: { answer } }),
      invalidatesTags: ["Runs", "Decisions"],
    }),
    report: make.query<ReportEntry, string>({ query: (crewId) => `/crews/${crewId}/report`, providesTags: ["Runs"] }),
    review: make.query<ReviewAnswer, { crewId: string; weeks: number }>({
      query: ({ crewId, weeks }) => `/crews/${crewId}/review?weeks=${weeks}`,
      providesTags: ["Runs", "Decisions"],
      keepUnusedDataFor: 0,
    }),
    settings: make.query<SettingsEntry, void>({ query: () => "/practice/settings", providesTags: ["Practice"] }),
    saveSettings: make.mutation<SettingsEntry, SettingsEntry>({
      query: (body) => ({ url: "/practice/settings", method: "PUT", body }),
      invalidatesTags: ["Practice", "Decisions"],
    }),
    staff: make.query<StaffEntry[], void>({ query: () => "/practice/staff", providesTags: ["Practice"] }),
    addStaff: make.mutation<{ staff: StaffEntry[]; password: string }, Omit<StaffEntry, "role"> & { role: "lead" | "employer" }>({
      query: (body) => ({ url: "/practice/staff", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Practice"] : []),
    }),
    changeStaff: make.mutation<StaffEntry[], { id: string; crewIds: string[] }>({
      query: ({ id, crewIds }) => ({ url: `/practice/staff/${id}`, method: "PUT", body: { crewIds } }),
      invalidatesTags: ["Practice"],
    }),
    removeStaff: make.mutation<StaffEntry[], string>({
      query: (id) => ({ url: `/practice/staff/${id}`, method: "DELETE" }),
      invalidatesTags: ["Practice"],
    }),
    access: make.query<AccessEntry, string>({ query: (crewId) => `/crews/${crewId}/access`, providesTags: ["Access"] }),
    issueCards: make.mutation<{ code: string; cards: Card[] }, { crewId: string; personIds: string[] }>({
      query: ({ crewId, personIds }) => ({ url: `/crews/${crewId}/access`, method: "POST", body: { personIds } }),
      invalidatesTags: ["Access"],
    }),
    withdrawAccess: make.mutation<AccessEntry, { crewId: string; personIds: string[] }>({
      query: ({ crewId, personIds }) => ({ url: `/crews/${crewId}/access/withdraw`, method: "POST", body: { personIds } }),
      invalidatesTags: ["Access"],
    }),
    absences: make.query<Absence[], string>({ query: (crewId) => `/crews/${crewId}/absences`, providesTags: ["People"] }),
    addAbsence: make.mutation<Absence[], Absence & { crewId: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/absences`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["People", "Decisions"] : []),
    }),
    removeAbsence: make.mutation<Absence[], { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/absences/${id}`, method: "DELETE" }),
      invalidatesTags: ["People", "Decisions"],
    }),
    calendarLinks: make.query<CalendarLink[], string>({ query: (crewId) => `/crews/${crewId}/calendar-links`, providesTags: ["Access"] }),
    makeCalendarLink: make.mutation<
      { path: string; links: CalendarLink[] },
      { crewId: string; id: string; name: string; personId: string | null }
    >({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/calendar-links`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Access"] : []),
    }),
    withdrawCalendarLink: make.mutation<CalendarLink[], { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/calendar-links/${id}`, method: "DELETE" }),
      invalidatesTags: ["Access"],
    }),
    messages: make.query<MessageEntry[], string>({ query: (crewId) => `/crews/${crewId}/messages`, providesTags: ["Plan"] }),
    remind: make.mutation<{ queued: number; people: number }, { crewId: string; placementId: string }>({
      query: ({ crewId, placementId }) => ({ url: `/crews/${crewId}/reminders`, method: "POST", body: { placementId } }),
      invalidatesTags: ["Plan"],
    }),
    gateway: make.query<{ address: string | null }, void>({ query: () => "/gateway" }),
    memberSignIn: make.mutation<MemberDay, { code: string; pin: string }>({
      query: (body) => ({ url: "/member/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    memberCard: make.mutation<MemberDay, { token: string }>({
      query: (body) => ({ url: "/member/card", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    memberDay: make.query<MemberDay, void>({ query: () => "/member/day", keepUnusedDataFor: 0 }),
    memberProgress: make.query<MemberProgress, void>({ query: () => "/member/progress", keepUnusedDataFor: 0 }),
    /** What a phone kept until it could be sent. */
    memberSend: make.mutation<
      { id: string; stored: "new" | "already" },
      { kind: "runs" | "check-ins" | "symptom-reports"; body: { id: string } }
    >({
      query: ({ kind, body }) => ({ url: `/member/${kind}/${body.id}`, method: "PUT", body }),
    }),
    meter: make.query<{ address: string | null }, void>({ query: () => "/meter" }),
    progress: make.query<Progress, { crewId: string; days: number }>({
      query: ({ crewId, days }) => `/crews/${crewId}/progress?days=${days}`,
      providesTags: ["Runs", "People"],
    }),
  }),
});

/** What went wrong, in words for a person; field problems by path. */
export function problemOf(error: unknown): ProblemBody {
  const data = (error as { data?: Partial<ProblemBody> } | undefined)?.data;
  if (data?.message) return { code: data.code ?? "", message: data.message, fields: data.fields ?? [], detail: data.detail };
  return { code: "away", message: "The server cannot be reached at the moment. Nothing you typed is lost.", fields: [] };
}
