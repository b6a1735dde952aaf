/** Before and after: what a crew is asked, and what became of it. */
import type { QuickTestRule, QuickTestsEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const quickTestApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    quickTestRule: make.query<QuickTestRule, string>({ query: (crewId) => `/crews/${crewId}/quick-test`, providesTags: ["Crews"] }),
    changeQuickTestRule: make.mutation<QuickTestRule, { crewId: string } & QuickTestRule>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/quick-test`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Crews"] : []),
    }),
    quickTests: make.query<QuickTestsEntry, { crewId: string; personId?: string }>({
      query: ({ crewId, personId }) => `/crews/${crewId}/quick-tests${personId ? `?personId=${personId}` : ""}`,
      providesTags: ["Runs"],
      keepUnusedDataFor: 0,
    }),
  }),
});
