import { readTime } from "./read-time";

it.each([
  ["7", "07:00"],
  ["730", "07:30"],
  ["7.30", "07:30"],
  ["07:30", "07:30"],
  ["22h05", "22:05"],
  [" 1845 ", "18:45"],
  ["7:30 pm", "19:30"],
  ["7 a.m.", "07:00"],
  ["12:05 am", "00:05"],
  ["12 PM", "12:00"],
  ["13:00 pm", undefined],
  ["0 am", undefined],
  ["24:00", undefined],
  ["7:60", undefined],
  ["noon", undefined],
  ["", undefined],
])("%j is read as %s", (typed, time) => expect(readTime(typed)).toBe(time));
