/** Runs. */
import type { LastPresence, OwnAnswer } from "@kind-grip/core/api";
import type { RunRecord, RunSummary } from "@kind-grip/core/run";
import { serverApi } from "../base/api";

export const runApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    runs: make.query<{ runs: RunSummary[]; total: number; pageSize: number }, { crewId: string; page: number }>({
      query: ({ crewId, page }) => `/crews/${crewId}/runs?page=${page}`,
      providesTags: ["Runs"],
    }),
    lastPresence: make.query<LastPresence, string>({ query: (crewId) => `/crews/${crewId}/last-presence`, providesTags: ["Runs"] }),
    ownAnswers: make.query<OwnAnswer[], { crewId: string; placementId: string }>({
      query: ({ crewId, placementId }) => `/crews/${crewId}/placements/${placementId}/own-answers`,
      keepUnusedDataFor: 0,
    }),
    placementEnded: make.mutation<void, { crewId: string; placementId: string }>({
      query: ({ crewId, placementId }) => ({ url: `/crews/${crewId}/placements/${placementId}/ended`, method: "PUT" }),
    }),
    cardHolder: make.mutation<{ personId: string }, { crewId: string; token: string }>({
      query: ({ crewId, token }) => ({ url: `/crews/${crewId}/card-holder`, method: "POST", body: { token } }),
    }),
    run: make.query<RunRecord, string>({ query: (id) => `/runs/${id}`, providesTags: ["Runs"] }),
    /** As its owner's, or not at all. */
    storeRun: make.mutation<{ id: string; stored: "new" | "already" }, { run: RunRecord; owner: string }>({
      query: ({ run, owner }) => ({ url: `/runs/${run.id}`, method: "PUT", body: run, headers: { "x-owner": owner } }),
      invalidatesTags: (done) => (done ? ["Runs"] : []),
    }),
    answerClash: make.mutation<void, { runId: string; personId: string; answer: "before" | "mistake" }>({
      query: ({ runId, personId, answer }) => ({ url: `/runs/${runId}/clashes/${personId}`, method: "POST", body: { answer } }),
      invalidatesTags: ["Runs", "Decisions"],
    }),
  }),
});
