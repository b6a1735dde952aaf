import * as v from "valibot";
import { patternPreset } from "../calendar";
import { Crew, hasLeft, isHere, isHereBetween } from ".";

it("a person is here from the first day to the last, both included", () => {
  const person = { startedOn: "2024-05-02", leftOn: "2024-06-01" };
  expect(["2024-05-01", "2024-05-02", "2024-06-01", "2024-06-02"].map((day) => isHere(person, day))).toEqual([false, true, true, false]);
});

it("somebody has left on the day after their last one, and not before, nor while they have not begun", () => {
  const person = { startedOn: "2024-05-02", leftOn: "2024-06-01" };
  expect(["2024-05-01", "2024-05-31", "2024-06-01", "2024-06-02"].map((day) => hasLeft(person, day))).toEqual([false, false, false, true]);
  expect(hasLeft({ leftOn: null }, "2024-06-02")).toBe(false);
});

it("somebody is here in a week when they are on any of its days", () => {
  const person = { startedOn: "2024-05-08", leftOn: "2024-05-20" };
  const weeks = ["2024-04-29", "2024-05-06", "2024-05-13", "2024-05-20", "2024-05-27"];
  const sundays = ["2024-05-05", "2024-05-12", "2024-05-19", "2024-05-26", "2024-06-02"];
  expect(weeks.map((monday, i) => isHereBetween(person, monday, sundays[i]!))).toEqual([false, true, true, true, false]);
  expect(isHereBetween({ startedOn: null, leftOn: null }, "2024-04-29", "2024-05-05")).toBe(true);
});

describe("a crew", () => {
  const crew = {
    name: "A",
    trade: "B",
    place: "C",
    timeZone: "UTC",
    settings: [],
    conditions: [],
    slots: { preShift: 60, break: 3600, postShift: 600 },
    kit: [],
    mostOffJob: 1,
    language: null,
    shiftPattern: patternPreset("weekdays", "2026-03-02"),
  };
  const ok = (change: object) => v.safeParse(Crew, { ...crew, ...change }).success;
  it("holds its ranges", () => {
    expect(ok({})).toBe(true);
    expect([1, 500, 0, 501].map((mostOffJob) => ok({ mostOffJob }))).toEqual([true, true, false, false]);
    expect([59, 3601].map((preShift) => ok({ slots: { ...crew.slots, preShift } }))).toEqual([false, false]);
    expect(["Europe/Dublin", "Mars/Base"].map((timeZone) => ok({ timeZone }))).toEqual([true, false]);
    expect([0.1, 40, 0, 40.5].map((massKg) => ok({ kit: [{ kind: "dumbbell", massKg, count: 1 }] }))).toEqual([true, true, false, false]);
  });
});
