/** The work of a crew. */
import type { WorkEntry } from "@kind-grip/core/api";
import type { Work } from "@kind-grip/core/strain";
import { useMemo } from "react";
import { serverApi } from "../base/api";

/** The work with its days as they really are: as they are booked, where days are bookings. */
export function workDone({ work, bookedDays }: WorkEntry): Work {
  return bookedDays ? { ...work, days: bookedDays } : work;
}

/** The work of a crew as it is done; undefined while it is fetched. */
export function useWorkDone(crewId: string): Work | undefined {
  const entry = workApi.useWorkQuery(crewId).data;
  return useMemo(() => entry && workDone(entry), [entry]);
}

export const workApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    work: make.query<WorkEntry, string>({ query: (crewId) => `/crews/${crewId}/work`, providesTags: ["Work"] }),
    /** The screen's own copy is ahead of any answer; other screens are told. */
    saveWork: make.mutation<WorkEntry, { crewId: string; version: number; work: Work }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/work`, method: "PUT", body }),
      async onQueryStarted({ crewId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(workApi.util.upsertQueryData("work", crewId, data));
        // Kinds of treatment move what is laid between them.
        if (data) dispatch(workApi.util.invalidateTags(["Bookings"]));
      },
    }),
  }),
});
