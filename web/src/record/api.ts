/** The record of one person, and notes. */
import type { ContactEntry, ErasedPerson, NewNote, PersonRecordPage } from "@kind-grip/core/api";
import type { Contact } from "@kind-grip/core/contact";
import { serverApi, TAGS } from "../base/api";

interface OfPerson {
  crewId: string;
  personId: string;
}
const at = ({ crewId, personId }: OfPerson, rest: string) => `/crews/${crewId}/people/${personId}/${rest}`;

export const recordApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    /** Page after page, older and older. */
    personRecord: make.infiniteQuery<PersonRecordPage, OfPerson, string | null>({
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ events, more }) => (more ? events.at(-1)!.at : undefined),
      },
      query: ({ queryArg, pageParam }) => at(queryArg, `record${pageParam ? `?before=${encodeURIComponent(pageParam)}` : ""}`),
      providesTags: ["People", "Runs", "Decisions", "Safety", "Rounds"],
      keepUnusedDataFor: 0,
    }),
    /** Of everybody in the crew. */
    contacts: make.query<ContactEntry[], string>({ query: (crewId) => `/crews/${crewId}/contacts`, providesTags: ["People"] }),
    giveContact: make.mutation<ContactEntry[], OfPerson & { contact: Contact }>({
      query: ({ contact, ...of }) => ({ url: at(of, "contacts"), method: "PUT", body: contact }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    withdrawContact: make.mutation<ContactEntry[], OfPerson & { contactId: string }>({
      query: ({ contactId, ...of }) => ({ url: at(of, `contacts/${contactId}`), method: "DELETE" }),
      invalidatesTags: (done) => (done ? ["People"] : []),
    }),
    erasePerson: make.mutation<ErasedPerson, OfPerson & { name: string }>({
      query: ({ name, ...of }) => ({ url: at(of, "erase"), method: "POST", body: { name } }),
      invalidatesTags: (done) => (done ? TAGS : []),
    }),
    addNote: make.mutation<void, OfPerson & NewNote>({
      query: ({ crewId, personId, ...body }) => ({ url: at({ crewId, personId }, "notes"), method: "POST", body }),
      invalidatesTags: (_, error) => (error ? [] : ["People"]),
    }),
    removeNote: make.mutation<void, OfPerson & { noteId: string }>({
      query: ({ noteId, ...of }) => ({ url: at(of, `notes/${noteId}`), method: "DELETE" }),
      invalidatesTags: (_, error) => (error ? [] : ["People"]),
    }),
  }),
});
