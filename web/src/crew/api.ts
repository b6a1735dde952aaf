/** Crews, their people, absences and cards. */
import type {
  Absence,
  AccessEntry,
  Card,
  CrewColleagues,
  CrewEntry,
  CrewListEntry,
  CrewPath,
  Invitation,
  ManyPeople,
  PersonEntry,
  RampEntry,
} from "@kind-grip/core/api";
import type { Crew, NewPerson, Person } from "@kind-grip/core/crew";
import { serverApi } from "../base/api";

export const crewApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    crews: make.query<CrewListEntry[], void>({ query: () => "/crews", providesTags: ["Crews", "People", "Programs"] }),
    crew: make.query<CrewEntry, string>({ query: (id) => `/crews/${id}`, providesTags: ["Crews"] }),
    crewPath: make.query<CrewPath, string>({
      query: (id) => `/crews/${id}/path`,
      // Every change asks for it anew by this one: with those of its parts besides it would be asked for twice.
      providesTags: ["Path"],
    }),
    createCrew: make.mutation<CrewEntry, { id: string; crew: Crew }>({
      query: (body) => ({ url: "/crews", method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Crews"] : []),
    }),
    changeCrew: make.mutation<CrewEntry, { id: string; version: number; crew: Crew }>({
      query: ({ id, ...body }) => ({ url: `/crews/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Crews"] : []),
    }),
    removeCrew: make.mutation<void, string>({ query: (id) => ({ url: `/crews/${id}`, method: "DELETE" }), invalidatesTags: ["Crews"] }),
    restoreCrew: make.mutation<void, string>({
      query: (id) => ({ url: `/crews/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Crews"],
    }),
    people: make.query<PersonEntry[], string>({ query: (crewId) => `/crews/${crewId}/people`, providesTags: ["People"] }),
    /** Who comes in and who is changed, all or none. */
    keepPeople: make.mutation<PersonEntry[], Partial<ManyPeople> & { crewId: string; people: NewPerson[] }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/people`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    changePerson: make.mutation<PersonEntry, { crewId: string; personId: string; version: number; person: Person }>({
      query: ({ crewId, personId, ...body }) => ({ url: `/crews/${crewId}/people/${personId}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["People"] : []),
      // Shown as it is now before the list is asked for again: whoever opens it at once would fill in what no longer holds.
      onQueryStarted: ({ crewId, personId }, { dispatch, queryFulfilled }) =>
        void queryFulfilled.then(
          ({ data }) =>
            dispatch(crewApi.util.updateQueryData("people", crewId, (list) => list.map((each) => (each.id === personId ? data : each)))),
          () => undefined,
        ),
    }),
    removePerson: make.mutation<void, { crewId: string; personId: string }>({
      query: ({ crewId, personId }) => ({ url: `/crews/${crewId}/people/${personId}`, method: "DELETE" }),
      invalidatesTags: ["People"],
    }),
    absences: make.query<Absence[], string>({ query: (crewId) => `/crews/${crewId}/absences`, providesTags: ["People"] }),
    addAbsence: make.mutation<Absence[], Absence & { crewId: string }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/absences`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["People", "Decisions"] : []),
    }),
    removeAbsence: make.mutation<Absence[], { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/absences/${id}`, method: "DELETE" }),
      invalidatesTags: ["People", "Decisions"],
    }),
    ramps: make.query<RampEntry[], string>({ query: (crewId) => `/crews/${crewId}/ramps`, providesTags: ["People"] }),
    endRamp: make.mutation<RampEntry[], { crewId: string; personId: string; ended: boolean }>({
      query: ({ crewId, personId, ended }) => ({ url: `/crews/${crewId}/people/${personId}/ramp`, method: "PUT", body: { ended } }),
      invalidatesTags: ["People"],
    }),
    colleagues: make.query<CrewColleagues, string>({ query: (crewId) => `/crews/${crewId}/colleagues`, providesTags: ["Colleagues"] }),
    inviteColleague: make.mutation<CrewColleagues, { crewId: string; accountId: string }>({
      query: ({ crewId, accountId }) => ({ url: `/crews/${crewId}/colleagues/${accountId}`, method: "PUT" }),
      invalidatesTags: ["Colleagues"],
    }),
    handOverCrew: make.mutation<CrewColleagues, { crewId: string; accountId: string }>({
      query: ({ crewId, accountId }) => ({ url: `/crews/${crewId}/colleagues/${accountId}/trainer`, method: "PUT" }),
      invalidatesTags: ["Crews", "Colleagues"],
    }),
    endSharing: make.mutation<void, { crewId: string; accountId: string }>({
      query: ({ crewId, accountId }) => ({ url: `/crews/${crewId}/colleagues/${accountId}`, method: "DELETE" }),
      invalidatesTags: ["Colleagues"],
    }),
    invitations: make.query<Invitation[], void>({ query: () => "/invitations", providesTags: ["Colleagues"] }),
    acceptInvitation: make.mutation<void, string>({
      query: (crewId) => ({ url: `/invitations/${crewId}/accept`, method: "POST" }),
      invalidatesTags: ["Colleagues", "Crews", "Plan", "Decisions", "Safety"],
    }),
    /** Or leaves what was accepted. */
    declineInvitation: make.mutation<void, string>({
      query: (crewId) => ({ url: `/invitations/${crewId}`, method: "DELETE" }),
      invalidatesTags: (done, error) => (error ? [] : ["Colleagues", "Crews", "Plan", "Decisions", "Safety"]),
    }),
    access: make.query<AccessEntry, string>({ query: (crewId) => `/crews/${crewId}/access`, providesTags: ["Access"] }),
    issueCards: make.mutation<{ code: string; cards: Card[] }, { crewId: string; personIds: string[] }>({
      query: ({ crewId, personIds }) => ({ url: `/crews/${crewId}/access`, method: "POST", body: { personIds } }),
      invalidatesTags: ["Access"],
    }),
    withdrawAccess: make.mutation<AccessEntry, { crewId: string; personIds: string[] }>({
      query: ({ crewId, personIds }) => ({ url: `/crews/${crewId}/access/withdraw`, method: "POST", body: { personIds } }),
      invalidatesTags: ["Access"],
    }),
  }),
});
