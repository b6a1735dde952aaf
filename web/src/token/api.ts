/** One's own API tokens. */
import type { ApiTokenEntry, ApiTokenUse, MadeApiToken, NewApiToken } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const tokenApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    apiTokens: make.query<ApiTokenEntry[], void>({ query: () => "/practice/tokens", providesTags: ["Tokens"] }),
    makeApiToken: make.mutation<MadeApiToken, NewApiToken>({
      query: (body) => ({ url: "/practice/tokens", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Tokens"] : []),
    }),
    withdrawApiToken: make.mutation<void, string>({
      query: (id) => ({ url: `/practice/tokens/${id}`, method: "DELETE" }),
      invalidatesTags: ["Tokens"],
    }),
    // Looked at again it is asked for again: programs call meanwhile.
    apiTokenUses: make.query<ApiTokenUse[], string>({ query: (id) => `/practice/tokens/${id}/uses`, keepUnusedDataFor: 0 }),
  }),
});
