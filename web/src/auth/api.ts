/** Signing in and out. */
import type { Me } from "@kind-grip/core/api";
import { serverApi, TAGS } from "../base/api";

export const authApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    signIn: make.mutation<Me, { email: string; password: string }>({
      query: (body) => ({ url: "/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    signOut: make.mutation<void, void>({ query: () => ({ url: "/sign-out", method: "POST" }), invalidatesTags: ["Me"] }),
    changePassword: make.mutation<void, { current: string; next: string }>({
      query: (body) => ({ url: "/me/password", method: "PUT", body }),
    }),
  }),
});
