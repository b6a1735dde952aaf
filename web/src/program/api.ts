/** Programs. */
import type { HandOut, ListedProgram, ProgramEntry } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import type { Program } from "@kind-grip/core/program";
import { serverApi } from "../base/api";

export const programApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    programs: make.query<ListedProgram[], string>({ query: (crewId) => `/crews/${crewId}/programs`, providesTags: ["Programs"] }),
    program: make.query<ProgramEntry, string>({
      query: (id) => `/programs/${id}`,
      providesTags: (_, __, id) => [{ type: "Programs", id }],
      keepUnusedDataFor: 0,
    }),
    // Somebody may be held out since: it is asked for each time.
    handOut: make.query<HandOut, { programId: string; language: Language | null; personId: string | null }>({
      query: ({ programId, language, personId }) => ({
        url: `/programs/${programId}/hand-out`,
        params: { ...(language && { language }), ...(personId && { personId }) },
      }),
      keepUnusedDataFor: 0,
    }),
    createProgram: make.mutation<ProgramEntry, { crewId: string; id: string; program: Program }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/programs`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Programs"] : []),
    }),
    importProgram: make.mutation<ProgramEntry, { crewId: string; id: string; text: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/programs/import`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Programs"] : []),
    }),
    /** Lists are told when the editor closes; its own copy is ahead of any answer. */
    saveProgram: make.mutation<ProgramEntry, { id: string; version: number; program: Program }>({
      query: ({ id, ...body }) => ({ url: `/programs/${id}`, method: "PUT", body }),
    }),
    removeProgram: make.mutation<void, string>({
      query: (id) => ({ url: `/programs/${id}`, method: "DELETE" }),
      invalidatesTags: ["Programs"],
    }),
    restoreProgram: make.mutation<void, string>({
      query: (id) => ({ url: `/programs/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Programs"],
    }),
  }),
});
