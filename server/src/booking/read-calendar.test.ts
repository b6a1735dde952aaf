import readCalendar from "./read-calendar";

const event = (...lines: string[]) => ["BEGIN:VEVENT", "DTSTAMP:20260301T000000Z", ...lines, "END:VEVENT"];
const file = (...lines: string[]) => ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//test//", ...lines, "END:VCALENDAR", ""].join("\r\n");
const read = (text: string, { from = "2026-03-20", until = "2026-04-20", timeZone = "Europe/Dublin" } = {}) =>
  readCalendar({ text, timeZone, fromMs: Date.parse(from), untilMs: Date.parse(until) });
const times = (text: string, options?: Parameters<typeof read>[1]) =>
  read(text, options).map(({ startMs, lengthMin }) => `${new Date(startMs).toISOString().slice(0, 16)} ${lengthMin}`);
const one = (start: string, end: string, ...more: string[]) => file(...event("UID:a", start, end, "SUMMARY:Deep tissue", ...more));

/** A zone by a name nobody else knows: two hours ahead, always. */
const OWN_ZONE = [
  "BEGIN:VTIMEZONE",
  "TZID:Works time",
  "BEGIN:STANDARD",
  "DTSTART:20000101T000000",
  "TZOFFSETFROM:+0200",
  "TZOFFSETTO:+0200",
  "END:STANDARD",
  "END:VTIMEZONE",
];

describe("when", () => {
  it.each([
    ["of the world clock", "DTSTART:20260324T090000Z", "DTEND:20260324T100000Z", "2026-03-24T09:00 60"],
    ["of no zone: the crew's place, in summer too", "DTSTART:20260401T090000", "DTEND:20260401T095000", "2026-04-01T08:00 50"],
    [
      "of a zone by its name",
      "DTSTART;TZID=America/New_York:20260324T090000",
      "DTEND;TZID=America/New_York:20260324T100000",
      "2026-03-24T13:00 60",
    ],
    ["with a length instead of an end", "DTSTART:20260324T090000Z", "DURATION:PT1H15M", "2026-03-24T09:00 75"],
  ])("%s", (_, start, end, expected) => {
    expect(times(one(start, end))).toEqual([expected]);
  });
  it("a zone the file describes", () => {
    const text = file(...OWN_ZONE, ...event("UID:a", "DTSTART;TZID=Works time:20260324T090000", "DTEND;TZID=Works time:20260324T100000"));
    expect(times(text)).toEqual(["2026-03-24T07:00 60"]);
  });
  it.each([
    ["a whole day", "DTSTART;VALUE=DATE:20260324", "DTEND;VALUE=DATE:20260325"],
    ["time that is free", "DTSTART:20260324T090000Z", "DTEND:20260324T100000Z\r\nTRANSP:TRANSPARENT"],
    ["four minutes", "DTSTART:20260324T090000Z", "DTEND:20260324T090400Z"],
    ["more than eight hours", "DTSTART:20260324T080000Z", "DTEND:20260324T160100Z"],
    ["what is before", "DTSTART:20260319T090000Z", "DTEND:20260319T100000Z"],
    ["what is after", "DTSTART:20260420T000000Z", "DTEND:20260420T010000Z"],
  ])("%s is no booking", (_, start, end) => {
    expect(times(one(start, end))).toEqual([]);
  });
});

describe("what repeats", () => {
  const weekly = [
    "UID:w",
    "DTSTART;TZID=Europe/Dublin:20260323T090000",
    "DTEND;TZID=Europe/Dublin:20260323T100000",
    "RRULE:FREQ=WEEKLY;COUNT=4",
  ];
  it("by the clock on the wall, over the night it changes", () => {
    expect(times(file(...event(...weekly)))).toEqual([
      "2026-03-23T09:00 60",
      "2026-03-30T08:00 60",
      "2026-04-06T08:00 60",
      "2026-04-13T08:00 60",
    ]);
  });
  it("without days that are taken out; a moved one where it was moved to, a cancelled one cancelled, all with their own key", () => {
    const moved = event(
      "UID:w",
      "RECURRENCE-ID;TZID=Europe/Dublin:20260406T090000",
      "DTSTART;TZID=Europe/Dublin:20260407T140000",
      "DTEND;TZID=Europe/Dublin:20260407T143000",
    );
    const gone = event(
      "UID:w",
      "RECURRENCE-ID;TZID=Europe/Dublin:20260413T090000",
      "DTSTART;TZID=Europe/Dublin:20260413T090000",
      "DTEND;TZID=Europe/Dublin:20260413T100000",
      "STATUS:CANCELLED",
    );
    const text = file(...event(...weekly, "EXDATE;TZID=Europe/Dublin:20260330T090000"), ...moved, ...gone);
    const found = read(text);
    expect(found.map(({ startMs, cancelled }) => [new Date(startMs).toISOString().slice(0, 16), cancelled])).toEqual([
      ["2026-03-23T09:00", false],
      ["2026-04-07T13:00", false],
      ["2026-04-13T08:00", true],
    ]);
    // Before it was moved it was the same booking.
    expect(found[1]!.key).toBe(read(file(...event(...weekly)))[2]!.key);
    expect(new Set(found.map(({ key }) => key)).size).toBe(3);
  });
  it("an instance that comes without what it is of", () => {
    const text = file(...event("UID:x", "RECURRENCE-ID:20260324T090000Z", "DTSTART:20260324T110000Z", "DTEND:20260324T120000Z"));
    expect(times(text)).toEqual(["2026-03-24T11:00 60"]);
  });
  it("since long ago, and each second, ends", () => {
    const daily = ["UID:d", "DTSTART:20010101T090000Z", "DTEND:20010101T100000Z", "RRULE:FREQ=DAILY"];
    expect(times(file(...event(...daily)), { until: "2026-03-22" })).toEqual(["2026-03-20T09:00 60", "2026-03-21T09:00 60"]);
    expect(times(file(...event("UID:s", "DTSTART:20260301T090000Z", "DURATION:PT1H", "RRULE:FREQ=SECONDLY")))).toEqual([]);
  });
});

it("says whose and what by its title, place, names and lists, and never by what is described", () => {
  const [found] = read(
    one(
      "DTSTART:20260324T090000Z",
      "DTEND:20260324T100000Z",
      "LOCATION:Room 2",
      "CATEGORIES:spa,Calm",
      "ATTENDEE;CN=Ann Weir:mailto:a@b.example",
      "DESCRIPTION:my shoulder",
    ),
  );
  expect(found!.texts).toEqual(["Deep tissue", "Room 2", "Ann Weir", "spa", "Calm"]);
});

describe("refuses in words", () => {
  it.each(["", "hello", "<html></html>", "BEGIN:VCALENDAR", "BEGIN:VCARD\r\nVERSION:4.0\r\nEND:VCARD"])("%j", (text) => {
    expect(() => read(text)).toThrow("What is at the address is no calendar.");
  });
  it("more events than a team has", () => {
    const many = Array.from({ length: 5001 }, (_, i) => event(`UID:${i}`, "DTSTART:20260324T090000Z", "DURATION:PT1H")).flat();
    expect(() => read(file(...many))).toThrow("more than 5000 events");
  });
});
