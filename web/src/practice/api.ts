/** What the practice sets for itself, and its staff. */
import type {
  AuditEntry,
  Customs,
  DemoState,
  FirstSteps,
  MadeInvitation,
  Me,
  NewStaffInvitation,
  OwnTexts,
  RetentionChange,
  RetentionEntry,
  SettingsEntry,
  SignInRule,
  StaffEntry,
  StaffInvitation,
  TrailState,
} from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import type { Measures } from "@kind-grip/core/units";
import { serverApi, TAGS } from "../base/api";

export const practiceApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    renamePractice: make.mutation<void, string>({
      query: (name) => ({ url: "/practice", method: "PUT", body: { name } }),
      invalidatesTags: ["Me"],
    }),
    settings: make.query<SettingsEntry, void>({ query: () => "/practice/settings", providesTags: ["Practice"] }),
    saveSettings: make.mutation<SettingsEntry, SettingsEntry>({
      query: (body) => ({ url: "/practice/settings", method: "PUT", body }),
      invalidatesTags: ["Practice", "Decisions"],
    }),
    retention: make.query<RetentionEntry, void>({ query: () => "/practice/retention", providesTags: ["Practice"] }),
    setRetention: make.mutation<RetentionEntry, RetentionChange>({
      query: (body) => ({ url: "/practice/retention", method: "PUT", body }),
      // Somebody else was faster: what they set is shown.
      invalidatesTags: ["Practice"],
    }),
    customs: make.query<Customs, void>({ query: () => "/practice/customs", providesTags: ["Practice"] }),
    saveCustoms: make.mutation<Customs, Customs>({
      query: (body) => ({ url: "/practice/customs", method: "PUT", body }),
      invalidatesTags: ["Practice", "Me"],
    }),
    saveOwnMeasures: make.mutation<void, Measures | null>({
      query: (measures) => ({ url: "/me/measures", method: "PUT", body: { measures } }),
      invalidatesTags: ["Me"],
    }),
    ownTexts: make.query<OwnTexts, void>({ query: () => "/practice/texts", providesTags: ["Texts"] }),
    correctText: make.mutation<OwnTexts, { language: Language; key: string; text: string | null }>({
      query: ({ language, ...body }) => ({ url: `/practice/texts/${language}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Texts"] : []),
    }),
    noteReading: make.mutation<OwnTexts, { language: Language; readBy: string | null }>({
      query: ({ language, readBy }) => ({ url: `/practice/texts/${language}/reading`, method: "PUT", body: { readBy } }),
      invalidatesTags: (done) => (done ? ["Texts"] : []),
    }),
    signInRule: make.query<SignInRule, void>({ query: () => "/practice/sign-in-rule", providesTags: ["Practice"] }),
    changeSignInRule: make.mutation<SignInRule, boolean>({
      query: (asksSecondStep) => ({ url: "/practice/sign-in-rule", method: "PUT", body: { asksSecondStep } }),
      invalidatesTags: ["Practice"],
    }),
    signInTrail: make.query<{ total: number; pageSize: number; entries: AuditEntry[] }, number>({
      query: (page) => `/practice/trail?page=${page}`,
      providesTags: ["Sessions", "Practice"],
    }),
    trailState: make.query<TrailState, void>({ query: () => "/practice/trail/seals" }),
    staff: make.query<StaffEntry[], void>({ query: () => "/practice/staff", providesTags: ["Practice"] }),
    staffInvitations: make.query<StaffInvitation[], void>({ query: () => "/practice/invitations", providesTags: ["Practice"] }),
    inviteStaff: make.mutation<MadeInvitation, NewStaffInvitation>({
      query: (body) => ({ url: "/practice/invitations", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Practice"] : []),
    }),
    withdrawInvitation: make.mutation<void, string>({
      query: (id) => ({ url: `/practice/invitations/${id}`, method: "DELETE" }),
      invalidatesTags: ["Practice"],
    }),
    firstSteps: make.query<FirstSteps, void>({ query: () => "/practice/first-steps", keepUnusedDataFor: 0 }),
    demoState: make.query<DemoState, void>({ query: () => "/demo", keepUnusedDataFor: 0 }),
    loadDemo: make.mutation<DemoState, void>({ query: () => ({ url: "/demo", method: "POST" }) }),
    openDemo: make.mutation<Me, void>({
      query: () => ({ url: "/demo/open", method: "POST" }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    changeStaff: make.mutation<StaffEntry[], { id: string; crewIds: string[] }>({
      query: ({ id, crewIds }) => ({ url: `/practice/staff/${id}`, method: "PUT", body: { crewIds } }),
      invalidatesTags: ["Practice"],
    }),
    removeStaff: make.mutation<StaffEntry[], string>({
      query: (id) => ({ url: `/practice/staff/${id}`, method: "DELETE" }),
      invalidatesTags: ["Practice"],
    }),
  }),
});
