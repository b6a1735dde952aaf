/** Days of bookings, and the calendars they are read from. */
import { BookingDay, ChangedBookingRules, ChangedBookings, NewBookingCalendar, ReadCalendar } from "@kind-grip/core/api";
import { Id, IsoDate } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { bookingDay, saveBookingRules, saveBookings } from "./bookings";
import { addCalendar, readNow, removeCalendar } from "./calendars";

const DayParams = v.object({ crewId: Id, date: IsoDate });
const CalendarParams = v.object({ crewId: Id, calendarId: Id });

export function addBookingRoutes(routes: Routes, { db, now, insideCalendars: inside }: AppContext): void {
  routes.add({
    id: "bookingDay",
    method: "get",
    scope: "plan.read",
    path: "/api/crews/:crewId/bookings/:date",
    summary: "A crew's bookings of a day, and what is laid between them",
    answer: BookingDay,
    params: DayParams,
    handle: async ({ caller, params }) => bookingDay(db, caller, await now(caller), params.crewId, params.date),
  });
  routes.add({
    id: "saveBookings",
    method: "put",
    scope: "plan.write",
    path: "/api/crews/:crewId/bookings/:date",
    summary: "Change bookings of any day, all of them or none, and answer this day; 409 with it when somebody else changed one in between",
    answer: BookingDay,
    params: DayParams,
    body: ChangedBookings,
    bodyLimit: "1mb",
    handle: async ({ caller, params, body }) => saveBookings(db, caller, await now(caller), params.crewId, params.date, body),
  });
  routes.add({
    id: "saveBookingRules",
    method: "put",
    path: "/api/crews/:crewId/booking-rules/:date",
    summary: "Change the rules resets are laid by, and answer this day",
    answer: BookingDay,
    params: DayParams,
    body: ChangedBookingRules,
    handle: async ({ caller, params, body }) => saveBookingRules(db, caller, await now(caller), params.crewId, params.date, body),
  });
  routes.add({
    id: "addBookingCalendar",
    method: "post",
    path: "/api/crews/:crewId/booking-calendars",
    summary: "Give the address of a calendar with bookings; it is read at once and then by itself",
    answer: ReadCalendar,
    params: CrewParams,
    body: NewBookingCalendar,
    handle: async ({ caller, params, body }) => addCalendar(db, caller, await now(caller), params.crewId, body, { inside }),
  });
  routes.add({
    id: "readBookingCalendar",
    method: "post",
    path: "/api/crews/:crewId/booking-calendars/:calendarId/read",
    summary: "Read a calendar now",
    answer: ReadCalendar,
    params: CalendarParams,
    handle: async ({ caller, params }) => readNow(db, caller, await now(caller), params.crewId, params.calendarId, { inside }),
  });
  routes.add({
    id: "removeBookingCalendar",
    method: "delete",
    path: "/api/crews/:crewId/booking-calendars/:calendarId",
    summary: "Read a calendar no more; what was read ahead goes with it",
    answer: ReadCalendar,
    params: CalendarParams,
    handle: async ({ caller, params }) => removeCalendar(db, caller, await now(caller), params.crewId, params.calendarId),
  });
}
