/** Prints calendars of five places as JSON, for the test that runs it in processes of different zones. */
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { sampleProgram } from "../test/samples";
import { calendarOf } from "./calendar";

export const PLACES = ["Europe/Berlin", "Europe/Dublin", "Asia/Kolkata", "Australia/Lord_Howe", "America/St_Johns"];
/** In winter and in summer of both halves, and on both sides of a clock change in Berlin. */
export const MOMENTS = [
  "2026-01-14T05:00:00.000Z",
  "2026-07-14T04:00:00.000Z",
  "2026-03-29T00:30:00.000Z",
  "2026-03-29T01:30:00.000Z",
  "2026-10-25T01:30:00.000Z",
];

if (process.argv.includes("--print")) {
  const [session] = sampleProgram().sessions;
  const entriesIn = (timeZone: string) =>
    MOMENTS.map((at) => ({
      id: uuid(),
      startsAt: new Date(at),
      changedAt: new Date("2026-01-02T03:04:05Z"),
      session: session!,
      place: "Yard",
      timeZone,
      personIds: [],
    }));
  const calendars = PLACES.map((zone) => calendarOf(SHIPPED_LIBRARY, "Crew; one,\r\nX-EVIL:1", entriesIn(zone)));
  process.stdout.write(JSON.stringify(calendars));
}
