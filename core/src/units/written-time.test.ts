import { datePattern, METRIC, timeOfDayText, type Measures } from ".";

const inOrder = (dateOrder: Measures["dateOrder"], clock: Measures["clock"] = "24h") => ({ ...METRIC, dateOrder, clock });

it.each([
  ["00:05", "12:05 am"],
  ["09:30", "9:30 am"],
  ["12:00", "12:00 pm"],
  ["23:59", "11:59 pm"],
])("%s on a clock of twelve hours is %s", (hhmm, text) => {
  expect([timeOfDayText(hhmm, { clock: "12h" }), timeOfDayText(hhmm, { clock: "24h" })]).toEqual([text, hhmm]);
});

it.each([
  ["d LLL", "LLL d", "LLL d"],
  ["cccc d LLLL", "cccc LLLL d", "cccc LLLL d"],
  ["d LLLL yyyy", "LLLL d yyyy", "yyyy LLLL d"],
  ["ccc d LLL, HH:mm", "ccc LLL d, HH:mm", "ccc LLL d, HH:mm"],
  ["ccc", "ccc", "ccc"],
])("%s with the month first is %s, with the year first %s", (pattern, month, year) => {
  expect([
    datePattern(pattern, inOrder("dayMonth")),
    datePattern(pattern, inOrder("monthDay")),
    datePattern(pattern, inOrder("yearMonthDay")),
  ]).toEqual([pattern, month, year]);
});

it("hours of a pattern become those of a clock of twelve", () => {
  expect(datePattern("d LLL, HH:mm", inOrder("monthDay", "12h"))).toBe("LLL d, h:mm a");
  expect(datePattern("HH", inOrder("dayMonth", "12h"))).toBe("h a");
  expect(datePattern("H", inOrder("dayMonth", "12h"))).toBe("h");
});
