/** Days of bookings, and the calendars they are read from. */
import type { BookingDay, ChangedBookingRules, ChangedBookings, NewBookingCalendar, ReadCalendar } from "@kind-grip/core/api";
import { serverApi } from "../base/api";

interface OfDay {
  crewId: string;
  date: string;
}

export const bookingApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    bookingDay: make.query<BookingDay, OfDay>({
      query: ({ crewId, date }) => `/crews/${crewId}/bookings/${date}`,
      providesTags: ["Bookings"],
    }),
    saveBookings: make.mutation<BookingDay, OfDay & ChangedBookings>({
      query: ({ crewId, date, ...body }) => ({ url: `/crews/${crewId}/bookings/${date}`, method: "PUT", body }),
      async onQueryStarted({ crewId, date }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(bookingApi.util.upsertQueryData("bookingDay", { crewId, date }, data));
      },
    }),
    saveBookingRules: make.mutation<BookingDay, OfDay & ChangedBookingRules>({
      query: ({ crewId, date, ...body }) => ({ url: `/crews/${crewId}/booking-rules/${date}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Bookings"] : []),
    }),
    addBookingCalendar: make.mutation<ReadCalendar, { crewId: string } & NewBookingCalendar>({
      query: ({ crewId, ...body }) => ({ url: `/crews/${crewId}/booking-calendars`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Bookings", "Work"] : []),
    }),
    readBookingCalendar: make.mutation<ReadCalendar, { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/booking-calendars/${id}/read`, method: "POST" }),
      invalidatesTags: (done) => (done ? ["Bookings", "Work"] : []),
    }),
    removeBookingCalendar: make.mutation<ReadCalendar, { crewId: string; id: string }>({
      query: ({ crewId, id }) => ({ url: `/crews/${crewId}/booking-calendars/${id}`, method: "DELETE" }),
      invalidatesTags: (done) => (done ? ["Bookings", "Work"] : []),
    }),
  }),
});
