import { clockPlace, nowThere, timeAmong } from "./clock-places";

const MARCH = Date.parse("2026-03-26T06:40:00Z");
const JULY = Date.parse("2026-07-26T06:40:00Z");
const AT_HOME = ["Europe/Dublin", "Europe/London", "Europe/Dublin"];
const AWAY = [...AT_HOME, "America/Los_Angeles"];

it("names no place while all clocks on the screen agree, whatever their zones are called", () => {
  expect(clockPlace("Europe/Dublin", AT_HOME, MARCH)).toBeNull();
  expect(timeAmong(MARCH, "Europe/Dublin", AT_HOME)).toBe("06:40");
  expect(nowThere("Europe/Dublin", AT_HOME, MARCH)).toBeNull();
  expect(clockPlace("UTC", [], MARCH)).toBeNull();
});

it("names it where they differ, by the city of its zone, each for itself", () => {
  expect(AWAY.map((zone) => timeAmong(MARCH, zone, AWAY))).toEqual(["06:40 Dublin", "06:40 London", "06:40 Dublin", "23:40 Los Angeles"]);
  expect(nowThere("America/Los_Angeles", AWAY, MARCH)).toBe("Los Angeles: now Wed 25 Mar, 23:40");
});

it("asks of the moment: two places may agree in winter and not in summer", () => {
  const zones = ["Europe/London", "UTC"];
  expect([MARCH, JULY].map((at) => clockPlace("Europe/London", zones, at))).toEqual([null, "London"]);
});
