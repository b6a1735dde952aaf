/** The work of a crew. */
import type { WorkEntry } from "@kind-grip/core/api";
import type { Work } from "@kind-grip/core/strain";
import { serverApi } from "../base/api";

export const workApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    work: make.query<WorkEntry, string>({ query: (crewId) => `/crews/${crewId}/work`, providesTags: ["Work"] }),
    /** The screen's own copy is ahead of any answer; other screens are told. */
    saveWork: make.mutation<WorkEntry, { crewId: string; version: number; work: Work }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/work`, method: "PUT", body }),
      async onQueryStarted({ crewId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(workApi.util.upsertQueryData("work", crewId, data));
      },
    }),
  }),
});
