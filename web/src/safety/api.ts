/** Who may do what, restrictions, clearances, reports, the trail. */
import type { AuditEntry, HeldOut, ParticipationEntry } from "@kind-grip/core/api";
import type { AlertAnswer, RestrictionReason, NewClearance, SymptomReport } from "@kind-grip/core/safety";
import { serverApi } from "../base/api";

export const safetyApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    participation: make.query<ParticipationEntry[], string>({
      query: (crewId) => `/crews/${crewId}/participation`,
      providesTags: ["Safety"],
    }),
    heldOut: make.query<HeldOut, string>({
      query: (crewId) => `/crews/${crewId}/held-out`,
      providesTags: ["Safety"],
      keepUnusedDataFor: 0,
    }),
    enterRestriction: make.mutation<HeldOut, { crewId: string; personId: string; question: RestrictionReason; words: string | null }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/restrictions`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
    }),
    withdrawRestriction: make.mutation<HeldOut, { id: string; why: string }>({
      query: ({ id, why }) => ({ url: `/restrictions/${id}/withdraw`, method: "POST", body: { why } }),
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
    answerAlerts: make.mutation<void, { crewId: string; personId: string; alertIds: string[]; answer: AlertAnswer }>({
      query: ({ crewId, personId, ...body }) => ({ url: `/crews/${crewId}/people/${personId}/alerts/answer`, method: "POST", body }),
      invalidatesTags: ["Decisions", "Safety", "Programs"],
    }),
    /** What somebody felt in a run that is being led. */
    /** As its owner's, or not at all. */
    reportInRun: make.mutation<
      { id: string; stored: "new" | "already" },
      { crewId: string; personId: string; report: SymptomReport; owner: string }
    >({
      query: ({ crewId, personId, report, owner }) => ({
        url: `/crews/${crewId}/people/${personId}/symptom-reports/${report.id}`,
        method: "PUT",
        body: report,
        headers: { "x-owner": owner },
      }),
      invalidatesTags: (done) => (done ? ["Safety", "Decisions"] : []),
    }),
  }),
});
