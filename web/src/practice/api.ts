/** What the practice sets for itself, and its staff. */
import type { AuditEntry, NewStaff, SettingsEntry, SignInRule, StaffEntry, TrailState } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

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
    addStaff: make.mutation<{ staff: StaffEntry[]; password: string }, NewStaff>({
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
  }),
});
