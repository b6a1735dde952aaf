/** Crew figures. */
import type { ReportEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const reportApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    report: make.query<ReportEntry, string>({ query: (crewId) => `/crews/${crewId}/report`, providesTags: ["Runs"] }),
  }),
});
