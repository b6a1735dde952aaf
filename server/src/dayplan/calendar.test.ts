/** Calendars are read by a foreign reader, which compares moments; the process that writes them stands in three different zones. */
import { execFileSync } from "node:child_process";
import path from "node:path";
import ICAL from "ical.js";
import { MOMENTS, PLACES } from "./calendar.sample";

const root = path.resolve(__dirname, "../../..");
const written = (processZone: string): string[] =>
  JSON.parse(
    execFileSync(process.execPath, ["--import", "tsx", "server/src/dayplan/calendar.sample.ts", "--print"], {
      cwd: root,
      env: { ...process.env, TZ: processZone },
      encoding: "utf8",
    }),
  ) as string[];

function read(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never);
  const zone = new ICAL.Timezone(calendar.getFirstSubcomponent("vtimezone")!);
  const events = calendar.getAllSubcomponents("vevent").map((component) => {
    const event = new ICAL.Event(component);
    for (const time of [event.startDate, event.endDate]) if (time.zone !== ICAL.Timezone.utcTimezone) time.zone = zone;
    return { component, event };
  });
  return { calendar, events };
}

describe.each(["UTC", "Asia/Tokyo", "America/Los_Angeles"])("written by a process in %s", (processZone) => {
  const calendars = written(processZone);
  it.each(PLACES.map((place, i) => [place, i] as const))("events of %s are at their moments, winter and summer", (_, i) => {
    const { events } = read(calendars[i]!);
    expect(events.map(({ event }) => event.startDate.toJSDate().toISOString())).toEqual(MOMENTS);
    for (const { event } of events) expect(event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()).toBe(180_000);
  });
  it("stamps are in UTC, revisions grow with changes, readers are told when to look again", () => {
    for (const { component } of read(calendars[0]!).events) {
      expect(component.getFirstPropertyValue("dtstamp")!.toString()).toBe("2026-01-02T03:04:05Z");
      expect(component.getFirstPropertyValue("sequence")).toBeGreaterThan(0);
    }
    expect(calendars[0]).toMatch(/REFRESH-INTERVAL;VALUE=DURATION:PT1H\r\n/);
  });
  it("a name with separators and line ends stays one name", () => {
    expect(calendars[0]).not.toMatch(/^X-EVIL/m);
    // As it is written: separators and line ends escaped.
    expect(read(calendars[0]!).calendar.getFirstPropertyValue("x-wr-calname")).toBe(String.raw`Crew\; one\,\nX-EVIL:1 – hand work`);
  });
});
