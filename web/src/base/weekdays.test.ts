import { weekdayText } from "./weekdays";

it.each([
  ["2026-03-23", "Mon"],
  ["2026-03-28", "Sat"],
  ["2026-03-29", "Sun"],
])("%s is a %s", (date, day) => expect(weekdayText(date)).toBe(day));
