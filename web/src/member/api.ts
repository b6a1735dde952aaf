/** A crew member's own page. */
import type { KeptOfPerson, MemberDay, MemberProgress, MemberPulse, OwnContacts, ReminderRule, RunningLate } from "@kind-grip/core/api";
import type { OwnContact } from "@kind-grip/core/contact";
import type { OwnQuickTest } from "@kind-grip/core/quicktest";
import type { Language } from "@kind-grip/core/language";
import type { Sending } from "./phone-store";
import { serverApi, TAGS } from "../base/api";

export const memberApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    memberSignIn: make.mutation<MemberDay, { code: string; pin: string }>({
      query: (body) => ({ url: "/member/sign-in", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    memberCard: make.mutation<MemberDay, { token: string }>({
      query: (body) => ({ url: "/member/card", method: "POST", body }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    memberDay: make.query<MemberDay, void>({ query: () => "/member/day", keepUnusedDataFor: 0 }),
    memberLanguage: make.mutation<MemberDay, Language | null>({
      query: (language) => ({ url: "/member/language", method: "PUT", body: { language } }),
    }),
    memberQuickTest: make.mutation<MemberDay, OwnQuickTest | null>({
      query: (own) => ({ url: "/member/quick-test", method: "PUT", body: { own } }),
    }),
    memberReminder: make.mutation<MemberDay, ReminderRule | null>({
      query: (own) => ({ url: "/member/reminder", method: "PUT", body: { own } }),
    }),
    ownContacts: make.query<OwnContacts, void>({ query: () => "/member/contacts", providesTags: ["People"] }),
    giveOwnContact: make.mutation<OwnContacts, OwnContact>({
      query: (body) => ({ url: "/member/contacts", method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    withdrawOwnContact: make.mutation<OwnContacts, string>({
      query: (id) => ({ url: `/member/contacts/${id}`, method: "DELETE" }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    keptOfMe: make.query<KeptOfPerson, void>({ query: () => "/member/everything", keepUnusedDataFor: 0 }),
    memberPulse: make.query<MemberPulse, void>({ query: () => "/member/pulse", keepUnusedDataFor: 0 }),
    memberLate: make.mutation<MemberDay, RunningLate>({ query: (body) => ({ url: "/member/late", method: "PUT", body }) }),
    memberProgress: make.query<MemberProgress, void>({ query: () => "/member/progress", keepUnusedDataFor: 0 }),
    /** What a phone kept until it could be sent. */
    memberSend: make.mutation<{ id: string; stored: "new" | "already" }, { kind: Sending["kind"]; body: { id: string }; owner: string }>({
      // Whose it is goes along: should somebody else be signed in by now, the server takes nothing.
      query: ({ kind, body, owner }) => ({ url: `/member/${kind}/${body.id}`, method: "PUT", body, headers: { "x-owner": owner } }),
    }),
  }),
});
