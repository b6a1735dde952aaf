/** Decisions. */
import type { DecisionEntry, WaitingDecision } from "@kind-grip/core/api";
import type { NewDecision } from "@kind-grip/core/response";
import { serverApi } from "../base/api";

export const responseApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
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
  }),
});
