/** Templates of the practice. */
import type { NewTemplate, TemplateEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const templateApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    templates: make.query<TemplateEntry[], void>({ query: () => "/templates", providesTags: ["Templates"] }),
    keepTemplate: make.mutation<TemplateEntry, NewTemplate>({
      query: (body) => ({ url: "/templates", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Templates"] : []),
    }),
    removeTemplate: make.mutation<void, string>({
      query: (id) => ({ url: `/templates/${id}`, method: "DELETE" }),
      invalidatesTags: ["Templates"],
    }),
    restoreTemplate: make.mutation<void, string>({
      query: (id) => ({ url: `/templates/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Templates"],
    }),
  }),
});
