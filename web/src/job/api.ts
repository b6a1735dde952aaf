/** Files that take a while to make. */
import type { Job } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import { serverApi } from "../base/api";

/** What is asked for. */
export type WantedFile =
  | { kind: "handOut" | "personalSheets"; programId: string; language?: Language }
  | { kind: "crewExport"; crewId: string }
  | { kind: "trailExport" };

export const jobApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    askForFile: make.mutation<Job, WantedFile>({
      query: (wanted) =>
        wanted.kind === "trailExport"
          ? { url: "/practice/trail/export", method: "POST" }
          : wanted.kind === "crewExport"
            ? { url: `/crews/${wanted.crewId}/export`, method: "POST" }
            : { url: `/programs/${wanted.programId}/papers`, method: "POST", body: { kind: wanted.kind, language: wanted.language } },
    }),
    job: make.query<Job, string>({ query: (id) => `/jobs/${id}`, keepUnusedDataFor: 0 }),
    leaveJob: make.mutation<void, string>({ query: (id) => ({ url: `/jobs/${id}`, method: "DELETE" }) }),
  }),
});
