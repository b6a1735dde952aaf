/**
 * What a crew's plan is as long as nobody changes it: its groups, and its sessions as series. A series says on which kind of shift a
 * session is, where in it, over which days, and which of them differ; `lay.ts` lays it on the calendar.
 */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Id, IsoDate, IsoInstant, NonEmptyText, wholeMinutes } from "../units";

/** People who are off the job together. */
export const PlanGroup = v.strictObject({
  id: Id,
  name: NonEmptyText,
  people: v.pipe(v.array(Id), v.maxLength(500)),
});
export type PlanGroup = v.InferOutput<typeof PlanGroup>;

/** Where in a shift: so many minutes after its start by the wall clock, before its end, or after one of its breaks begins. */
export const SeriesPlace = v.variant("from", [
  v.strictObject({ from: v.literal("start"), min: wholeMinutes(-120, 1080) }),
  v.strictObject({ from: v.literal("end"), min: wholeMinutes(-120, 1080) }),
  v.strictObject({
    from: v.literal("break"),
    /** Place among the breaks of the kind of shift, from 0. */
    nr: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(5)),
    min: wholeMinutes(-120, 240),
  }),
]);
export type SeriesPlace = v.InferOutput<typeof SeriesPlace>;

const dayNumbers = (min: number, max: number) =>
  v.pipe(v.array(v.pipe(v.number(), v.integer(), v.minValue(min), v.maxValue(max))), v.minLength(1, "names no day"), v.maxLength(56));

/** Only on some days of the week (1 is Monday) or of the crew's cycle (0 is the day it starts on). */
export const SeriesDays = v.variant("by", [
  v.strictObject({ by: v.literal("weekday"), days: dayNumbers(1, 7) }),
  v.strictObject({ by: v.literal("cycleDay"), days: dayNumbers(0, 55) }),
]);
export type SeriesDays = v.InferOutput<typeof SeriesDays>;

export const Series = v.pipe(
  v.strictObject({
    id: Id,
    programId: Id,
    sessionId: Id,
    /** Id of the kind of shift. */
    shift: v.pipe(v.string(), v.minLength(1), v.maxLength(40)),
    at: SeriesPlace,
    only: v.nullable(SeriesDays),
    /** Null for everybody. */
    groupId: v.nullable(Id),
    /** Account of whoever leads it; null for the crew's trainer. */
    leaderId: v.optional(v.nullable(Id), null),
    fromDate: IsoDate,
    /** Last day; null for as long as nobody ends it. */
    untilDate: v.nullable(IsoDate),
    /** Days that differ: another moment, or null for not on that day. */
    otherDays: v.pipe(
      v.array(v.strictObject({ date: IsoDate, startsAt: v.nullable(IsoInstant) })),
      v.maxLength(400, "at most 400 days that differ"),
    ),
  }),
  v.check(({ fromDate, untilDate }) => untilDate === null || untilDate >= fromDate, "ends before it begins"),
  v.check(({ otherDays }) => new Set(otherDays.map(({ date }) => date)).size === otherDays.length, "a day that differs is named twice"),
);
export type Series = v.InferOutput<typeof Series>;

export const StandingPlan = v.pipe(
  v.strictObject({
    groups: v.pipe(v.array(PlanGroup), v.maxLength(40, "at most 40 groups")),
    series: v.pipe(v.array(Series), v.maxLength(200, "at most 200 series")),
  }),
  v.check(({ groups }) => new Set(groups.map(({ id }) => id)).size === groups.length, "two groups share an id"),
  // Their last 32 bits are those of their days.
  v.check(
    ({ series }) => new Set(series.map(({ id }) => id.slice(0, -8))).size === series.length,
    "two series share an id, or all of one but its end",
  ),
  v.check(({ groups }) => {
    const named = groups.flatMap(({ people }) => people);
    return new Set(named).size === named.length;
  }, "somebody is in two groups"),
  v.check(
    ({ groups, series }) => series.every(({ groupId }) => groupId === null || groups.some(({ id }) => id === groupId)),
    "a series is for a group that is not there",
  ),
);
export type StandingPlan = v.InferOutput<typeof StandingPlan>;

export const NOTHING_STANDING: StandingPlan = { groups: [], series: [] };

export const STANDING_DOCUMENT = documentFormat<StandingPlan>({ name: "standing plan", format: 1, steps: [], schema: StandingPlan });
