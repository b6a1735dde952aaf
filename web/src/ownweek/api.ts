/** The week of whoever leads: what it is, handing over, ways, calendars. */
import type { CalendarLink, HandedOver, OwnWeek, Way } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

export const ownWeekApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    ownWeek: make.query<OwnWeek, string>({
      query: (weekStart) => `/own-week/${weekStart}`,
      providesTags: ["Plan", "Runs", "Crews", "Programs"],
    }),
    handOver: make.mutation<void, { crewId: string; placementId: string; seriesId: string | null } & HandedOver>({
      // Of a series where one is named, of its day otherwise.
      query: ({ crewId, placementId, seriesId, ...body }) => ({
        url: seriesId ? `/crews/${crewId}/plan-series/${seriesId}/leader` : `/crews/${crewId}/placements/${placementId}/leader`,
        method: "PUT",
        body,
      }),
      invalidatesTags: (_, error) => (error ? [] : ["Plan"]),
    }),
    changeWay: make.mutation<Way[], { places: [string, string]; minutes: number | null }>({
      query: (body) => ({ url: "/practice/ways", method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Plan"] : []),
    }),
    ownCalendars: make.query<CalendarLink[], void>({ query: () => "/own-week/calendar-links", providesTags: ["Access"] }),
    makeOwnCalendar: make.mutation<{ path: string; links: CalendarLink[] }, string>({
      query: (id) => ({ url: "/own-week/calendar-links", method: "POST", body: { id } }),
      invalidatesTags: (done) => (done ? ["Access"] : []),
    }),
    withdrawOwnCalendar: make.mutation<CalendarLink[], string>({
      query: (id) => ({ url: `/own-week/calendar-links/${id}`, method: "DELETE" }),
      invalidatesTags: ["Access"],
    }),
  }),
});
