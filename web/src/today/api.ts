/** Today. */
import type { Today } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const todayApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    today: make.query<Today, void>({ query: () => "/today", providesTags: ["Plan", "Runs", "Crews", "Programs", "Safety", "Decisions"] }),
  }),
});
