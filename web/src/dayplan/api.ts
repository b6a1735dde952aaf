/** Weeks, calendars to subscribe to, reminders. */
import type { CalendarLink, ChangedWeek, MessageEntry, Reminded, ReminderRule, WeekPlanEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const dayPlanApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    weekPlan: make.query<WeekPlanEntry, { crewId: string; weekStart: string }>({
      query: ({ crewId, weekStart }) => `/crews/${crewId}/plan/${weekStart}`,
      providesTags: ["Plan"],
    }),
    savePlan: make.mutation<WeekPlanEntry, { crewId: string; weekStart: string } & ChangedWeek>({
      query: ({ crewId, weekStart, ...body }) => ({ url: `/crews/${crewId}/plan/${weekStart}`, method: "PUT", body }),
      async onQueryStarted({ crewId, weekStart, standing }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(dayPlanApi.util.upsertQueryData("weekPlan", { crewId, weekStart }, data));
        // Other weeks of the crew, and what leads them, have the standing plan too.
        if (data && standing) dispatch(dayPlanApi.util.invalidateTags(["Plan"]));
      },
    }),
    calendarLinks: make.query<CalendarLink[], string>({ query: (crewId) => `/crews/${crewId}/calendar-links`, providesTags: ["Access"] }),
    makeCalendarLink: make.mutation<
      { path: string; links: CalendarLink[] },
      { crewId: string; id: string; name: string; personId: string | null }
    >({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/calendar-links`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Access"] : []),
    }),
    withdrawCalendarLink: make.mutation<CalendarLink[], { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/calendar-links/${id}`, method: "DELETE" }),
      invalidatesTags: ["Access"],
    }),
    messages: make.query<MessageEntry[], string>({ query: (crewId) => `/crews/${crewId}/messages`, providesTags: ["Plan"] }),
    remind: make.mutation<Reminded, { crewId: string; placementId: string; atOnce: boolean }>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/reminders`, method: "POST", body }),
      invalidatesTags: ["Plan"],
    }),
    reminderRule: make.query<ReminderRule, string>({ query: (crewId) => `/crews/${crewId}/reminder-rule`, providesTags: ["Access"] }),
    changeReminderRule: make.mutation<ReminderRule, { crewId: string } & ReminderRule>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/reminder-rule`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Access"] : []),
    }),
    gateway: make.query<{ address: string | null }, void>({ query: () => "/gateway" }),
  }),
});
