/** Progress and the review of a block. */
import type { Progress } from "@kind-grip/core/api";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { serverApi } from "../base/api";

export const progressApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    review: make.query<ReviewAnswer, { crewId: string; weeks: number }>({
      query: ({ crewId, weeks }) => `/crews/${crewId}/review?weeks=${weeks}`,
      providesTags: ["Runs", "Decisions"],
      keepUnusedDataFor: 0,
    }),
    progress: make.query<Progress, { crewId: string; days: number }>({
      query: ({ crewId, days }) => `/crews/${crewId}/progress?days=${days}`,
      providesTags: ["Runs", "People"],
    }),
  }),
});
