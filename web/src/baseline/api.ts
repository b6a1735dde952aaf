/** Baseline rounds and records. */
import type { KnownRecord, MeasuringEntry, RecordEntry, RecordVersion, RoundEntry } from "@kind-grip/core/api";
import type { BaselineRecord } from "@kind-grip/core/baseline";
import { serverApi } from "../base/api";

export const baselineApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    rounds: make.query<RoundEntry[], string>({ query: (crewId) => `/crews/${crewId}/rounds`, providesTags: ["Rounds"] }),
    createRound: make.mutation<RoundEntry, { crewId: string; id: string; name: string; asksOnPhones: boolean; repeats: string | null }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/rounds`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Rounds"] : []),
    }),
    changeRound: make.mutation<RoundEntry, { id: string; name: string; closed: boolean; asksOnPhones?: boolean }>({
      query: ({ id, ...body }) => ({ url: `/rounds/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Rounds"] : []),
    }),
    removeRound: make.mutation<void, string>({ query: (id) => ({ url: `/rounds/${id}`, method: "DELETE" }), invalidatesTags: ["Rounds"] }),
    measuring: make.query<MeasuringEntry, void>({ query: () => "/practice/measuring", providesTags: ["Rounds"], keepUnusedDataFor: 0 }),
    chooseNoise: make.mutation<MeasuringEntry, { id: string; own: boolean }>({
      query: (body) => ({ url: "/practice/measuring", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Rounds", "Me", "Runs"] : []),
    }),
    records: make.query<RecordEntry[], string>({
      query: (roundId) => `/rounds/${roundId}/records`,
      providesTags: (_, __, id) => [{ type: "Rounds", id }],
      keepUnusedDataFor: 0,
    }),
    /** Of each person what all rounds found; asked for anew wherever it is used. */
    knownRecords: make.query<KnownRecord[], string>({
      query: (crewId) => `/crews/${crewId}/known-records`,
      providesTags: ["Rounds"],
      keepUnusedDataFor: 0,
    }),
    /** What the rounds before one found: last time, whichever round that was. */
    knownBefore: make.query<KnownRecord[], { crewId: string; roundId: string }>({
      query: ({ crewId, roundId }) => `/crews/${crewId}/known-records?before=${roundId}`,
      providesTags: ["Rounds"],
      keepUnusedDataFor: 0,
    }),
    /** How new each record is, without a word of what is in it. */
    recordVersions: make.query<RecordVersion[], string>({ query: (roundId) => `/rounds/${roundId}/versions`, keepUnusedDataFor: 0 }),
    saveRecord: make.mutation<RecordEntry, { roundId: string; personId: string; version: number; record: BaselineRecord }>({
      query: ({ roundId, personId, ...body }) => ({ url: `/rounds/${roundId}/people/${personId}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Safety"] : []),
      async onQueryStarted({ roundId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (!data) return;
        dispatch(
          baselineApi.util.updateQueryData("records", roundId, (list) => [...list.filter((each) => each.personId !== data.personId), data]),
        );
      },
    }),
  }),
});

/** Rounds of their own, newest first; a second sitting of some is only held against its first. */
export function roundsOfCrew(rounds: readonly RoundEntry[] | undefined): RoundEntry[] | undefined {
  return rounds?.filter(({ repeats }) => !repeats);
}
