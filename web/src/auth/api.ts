/** Signing in and out. */
import type {
  Me,
  NewSecondFactor,
  OneTimeLink,
  OwnName,
  Passkey,
  PasskeyAnswer,
  PasskeyQuestion,
  SecondFactorState,
  SignedInSession,
  UsedLink,
} from "@kind-grip/core/api";
import { serverApi, TAGS } from "../base/api";

export const authApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    signIn: make.mutation<Me, { email: string; password: string; code?: string }>({
      query: (body) => ({ url: "/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    lookAtLink: make.mutation<OneTimeLink, string>({ query: (token) => ({ url: "/link", method: "POST", body: { token } }) }),
    useLink: make.mutation<Me, UsedLink>({
      query: (body) => ({ url: "/link/use", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    wayBack: make.query<{ byMail: boolean }, void>({ query: () => "/forgotten" }),
    forgotten: make.mutation<void, string>({ query: (email) => ({ url: "/forgotten", method: "POST", body: { email } }) }),
    saveOwnName: make.mutation<void, OwnName>({
      query: (body) => ({ url: "/me/name", method: "PUT", body }),
      invalidatesTags: (_done, error) => (error ? [] : ["Me", "Practice"]),
    }),
    leavePractice: make.mutation<void, string>({
      query: (password) => ({ url: "/me/leave", method: "POST", body: { password } }),
      invalidatesTags: (_done, error) => (error ? [] : ["Me"]),
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
    passkeys: make.query<Passkey[], void>({ query: () => "/me/passkeys", providesTags: ["Sessions"] }),
    askForPasskey: make.mutation<PasskeyQuestion, string>({
      query: (password) => ({ url: "/me/passkeys/question", method: "POST", body: { password } }),
    }),
    addPasskey: make.mutation<Passkey[], { name: string; answer: PasskeyAnswer }>({
      query: (body) => ({ url: "/me/passkeys", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Sessions"] : []),
    }),
    removePasskey: make.mutation<Passkey[], string>({
      query: (id) => ({ url: `/me/passkeys/${id}`, method: "DELETE" }),
      invalidatesTags: ["Sessions"],
    }),
    askForPasskeySignIn: make.mutation<PasskeyQuestion, void>({ query: () => ({ url: "/sign-in/passkey/question", method: "POST" }) }),
    signInWithPasskey: make.mutation<Me, PasskeyAnswer>({
      query: (answer) => ({ url: "/sign-in/passkey", method: "POST", body: { answer } }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    sessions: make.query<SignedInSession[], void>({ query: () => "/me/sessions", providesTags: ["Sessions"] }),
    endSession: make.mutation<void, string>({
      query: (id) => ({ url: `/me/sessions/${id}`, method: "DELETE" }),
      invalidatesTags: ["Sessions"],
    }),
  }),
});
