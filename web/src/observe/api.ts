/** What was watched at the line. */
import type { ObservationEntry, StoredObservation } from "@kind-grip/core/api";
import type { Observation } from "@kind-grip/core/observe";
import { serverApi } from "../base/api";

export const observeApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    observations: make.query<ObservationEntry[], string>({
      query: (crewId) => `/crews/${crewId}/observations`,
      providesTags: ["Observations"],
    }),
    /** As its owner's, or not at all. */
    storeObservation: make.mutation<StoredObservation, { observation: Observation; owner: string }>({
      query: ({ observation, owner }) => ({
        url: `/observations/${observation.id}`,
        method: "PUT",
        body: observation,
        headers: { "x-owner": owner },
      }),
      invalidatesTags: (done) => (done ? ["Observations", "Work"] : []),
    }),
    countObservation: make.mutation<StoredObservation, { crewId: string; id: string; counts: boolean }>({
      query: ({ crewId, id, counts }) => ({ url: `/crews/${crewId}/observations/${id}/counts`, method: "PUT", body: { counts } }),
      invalidatesTags: (done) => (done ? ["Observations", "Work"] : []),
    }),
  }),
});
