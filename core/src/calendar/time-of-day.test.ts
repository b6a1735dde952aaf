import { endsNextDay, minutesOfDay, minutesUntil, timeAfter } from "./time-of-day";

it.each([
  ["00:00", 0],
  ["07:05", 425],
  ["23:59", 1439],
])("%s is minute %d of a day", (time, minutes) => expect(minutesOfDay(time)).toBe(minutes));

it.each([
  ["22:00", 0, "22:00"],
  ["22:00", 119, "23:59"],
  ["22:00", 120, "00:00"],
  ["22:00", 480, "06:00"],
  ["06:00", 1440, "06:00"],
])("%s and %d minutes is %s", (start, min, end) => expect(timeAfter(start, min)).toBe(end));

it("from every time to every other and back", () => {
  for (const start of ["00:00", "07:30", "22:00"])
    for (let min = 0; min < 1440; min += 7) expect(minutesUntil(start, timeAfter(start, min))).toBe(min);
});

it.each([
  ["16:00", 479, false],
  ["16:00", 480, true],
  ["22:00", 480, true],
  ["06:00", 480, false],
])("%s for %d minutes ends on the next day: %s", (start, lengthMin, next) => expect(endsNextDay(start, lengthMin)).toBe(next));
