/** Crew figures. */
import type { FirstAidEntry, ReportEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const reportApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    report: make.query<ReportEntry, string>({ query: (crewId) => `/crews/${crewId}/report`, providesTags: ["Runs", "FirstAid"] }),
    firstAid: make.query<FirstAidEntry, string>({ query: (crewId) => `/crews/${crewId}/first-aid`, keepUnusedDataFor: 0 }),
    saveFirstAid: make.mutation<FirstAidEntry, FirstAidEntry & { crewId: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/first-aid`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["FirstAid"] : []),
    }),
  }),
});
