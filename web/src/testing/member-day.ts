/** A crew member's day with nothing in it. */
import type { MemberDay } from "@kind-grip/core/api";
import { METRIC } from "@kind-grip/core/units";
import { sampleId } from "./sample";

export const emptyMemberDay = (change: Partial<MemberDay> = {}): MemberDay => ({
  now: "2026-03-26T06:00:00.000Z",
  today: "2026-03-26",
  person: { id: sampleId(), name: "Ann Early" },
  firstDay: null,
  crew: { id: sampleId(), name: "Slate crew", place: "Yard", timeZone: "UTC" },
  trainer: "Maren Holt",
  heldOut: false,
  clinicianFirst: false,
  shortOfEndDeg: null,
  ramp: null,
  alerts: [],
  usualLevel: 0,
  alarmMorning: 6,
  sessions: [],
  anyTime: [],
  home: [],
  shifts: [],
  offDays: [],
  bookings: [],
  changes: null,
  customMovements: [],
  language: "en",
  usualLanguage: "en",
  measures: METRIC,
  corrections: {},
  reminder: { crew: { minutesBefore: null }, own: null },
  checkedIn: true,
  selfCheck: null,
  here: [],
  said: [],
  efforts: [],
  ...change,
});
