/** Signing in and out. */
import type { Me, NewSecondFactor, SecondFactorState, SignedInSession } from "@kind-grip/core/api";
import { serverApi, TAGS } from "../base/api";

export const authApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    signIn: make.mutation<Me, { email: string; password: string; code?: string }>({
      query: (body) => ({ url: "/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    signOut: make.mutation<void, void>({ query: () => ({ url: "/sign-out", method: "POST" }), invalidatesTags: ["Me"] }),
    changePassword: make.mutation<void, { current: string; next: string }>({
      query: (body) => ({ url: "/me/password", method: "PUT", body }),
      // Every other session ends with it.
      invalidatesTags: (_done, error) => (error ? [] : ["Sessions"]),
    }),
    secondFactor: make.query<SecondFactorState, void>({ query: () => "/me/second-factor", providesTags: ["Sessions"] }),
    beginSecondFactor: make.mutation<NewSecondFactor, void>({ query: () => ({ url: "/me/second-factor", method: "POST" }) }),
    confirmSecondFactor: make.mutation<{ codes: string[] }, string>({
      query: (code) => ({ url: "/me/second-factor", method: "PUT", body: { code } }),
      invalidatesTags: (done) => (done ? ["Sessions"] : []),
    }),
    endSecondFactor: make.mutation<void, string>({
      query: (password) => ({ url: "/me/second-factor/end", method: "POST", body: { password } }),
      invalidatesTags: (_done, error) => (error ? [] : ["Sessions"]),
    }),
    sessions: make.query<SignedInSession[], void>({ query: () => "/me/sessions", providesTags: ["Sessions"] }),
    endSession: make.mutation<void, string>({
      query: (id) => ({ url: `/me/sessions/${id}`, method: "DELETE" }),
      invalidatesTags: ["Sessions"],
    }),
  }),
});
