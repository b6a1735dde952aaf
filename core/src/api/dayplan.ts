/** Weeks, Today, calendars to subscribe to. */
import * as v from "valibot";
import { Placement, StandingPlan, WeekPlan } from "../dayplan";
import { KitKind, Region } from "../library";
import { DecisionKind } from "../response";
import { AlertAnswer, AlertCause, AlertKind } from "../safety";
import { MovementId, SlotKind } from "../session";
import { HAND_SIDES, Id, IsoDate, IsoInstant, NonEmptyText, wholeMinutes } from "../units";
import { Version } from "./shapes";

export const WeekPlanEntry = v.strictObject({
  crewId: Id,
  weekStart: IsoDate,
  /** Grows with the week and with the crew's standing plan. */
  version: Version,
  standing: StandingPlan,
  /** Placed once in this week. */
  placements: v.array(Placement),
  /** Of series, led or from before they changed: they stand instead of what their series would come to. From a week before to nine weeks after. */
  kept: v.array(Placement),
  /** Placed once from two days before the week to nine weeks after it, for spacing across its edges and a look ahead. Not edited here. */
  neighbours: v.array(Placement),
});
export type WeekPlanEntry = v.InferOutput<typeof WeekPlanEntry>;
/** Without a standing plan that one stays as it is. */
export const ChangedWeek = v.strictObject({
  version: Version,
  placements: WeekPlan.entries.placements,
  standing: v.optional(v.nullable(StandingPlan)),
});
export type ChangedWeek = v.InferOutput<typeof ChangedWeek>;

/** What every list of placed sessions says of each. */
const placedSession = {
  placementId: Id,
  crewId: Id,
  crewName: v.string(),
  place: v.string(),
  timeZone: v.string(),
  programId: Id,
  sessionId: Id,
  sessionName: v.string(),
  slot: SlotKind,
};

export const TodayEntry = v.strictObject({
  ...placedSession,
  movementIds: v.array(MovementId),
  startsAt: IsoInstant,
  totalSec: v.number(),
  /** Who may take part. */
  people: v.number(),
  /** The group, when it is not for the whole crew. */
  groupName: v.nullable(v.string()),
  groupPeople: v.nullable(v.array(Id)),
  /** The run that delivered it, when there is one. */
  runId: v.nullable(Id),
  /** What there are too few pieces of for everybody to do it at once, and the quickest way to share them. */
  shortKit: v.optional(
    v.array(
      v.strictObject({
        movementId: MovementId,
        kinds: v.array(KitKind),
        /** In each hand, kg. */
        loadKg: v.nullable(v.number()),
        people: v.number(),
        pieces: v.number(),
        way: v.picklist(["partners", "waves"]),
        waves: v.number(),
        costSec: v.number(),
      }),
    ),
    [],
  ),
});
export type TodayEntry = v.InferOutput<typeof TodayEntry>;

const span = v.strictObject({ startMs: v.number(), endMs: v.number() });
export const TodayShift = v.strictObject({
  date: IsoDate,
  name: v.string(),
  startMs: v.number(),
  endMs: v.number(),
  /** Time away in a split shift too. */
  breaks: v.array(span),
});
export type TodayShift = v.InferOutput<typeof TodayShift>;

export const AlertReport = v.strictObject({
  alertId: Id,
  cause: AlertCause,
  kind: AlertKind,
  side: v.nullable(v.picklist(HAND_SIDES)),
  regions: v.array(Region),
  movementId: v.nullable(MovementId),
  words: v.nullable(v.string()),
  at: IsoInstant,
  /** Of a morning, 0–10. */
  level: v.nullable(v.number()),
  pauses: v.boolean(),
  answer: v.nullable(AlertAnswer.entries.answer),
});
export type AlertReport = v.InferOutput<typeof AlertReport>;

/** Everything one person reported that waits for an answer. */
export const PersonAlert = v.strictObject({
  crewId: Id,
  crewName: v.string(),
  timeZone: v.string(),
  personId: Id,
  name: v.string(),
  /** Whether anything is paused by it. */
  pauses: v.boolean(),
  /** Held out of everything by an answer of rule 2. */
  heldOut: v.boolean(),
  reports: v.array(AlertReport),
});
export type PersonAlert = v.InferOutput<typeof PersonAlert>;

const person = { crewId: Id, crewName: v.string(), personId: Id, name: v.string() };

export const Today = v.strictObject({
  /** The moment it was worked out for, less than a minute ago. */
  now: IsoInstant,
  crews: v.array(
    v.strictObject({
      id: Id,
      name: v.string(),
      trade: v.string(),
      timeZone: v.string(),
      people: v.number(),
      programs: v.number(),
      shifts: v.array(TodayShift),
      /** Of who works by bookings: who works today, how much is booked, what is laid between; left out where days are shifts. */
      booked: v.optional(
        v.strictObject({
          people: v.number(),
          bookings: v.number(),
          resets: v.number(),
          done: v.number(),
          missed: v.number(),
          spans: v.array(v.strictObject({ startMs: v.number(), endMs: v.number() })),
        }),
      ),
    }),
  ),
  entries: v.array(TodayEntry),
  /** Who is out of everything. Not why: that is on the crew's own page. */
  heldOut: v.array(v.strictObject({ ...person, since: IsoInstant })),
  /** Clearances that are good today and end within the week. */
  endingSoon: v.array(v.strictObject({ ...person, until: IsoDate })),
  /** People for whom something waits to be decided, each once: the most urgent kind of it, and how many items it is about in all. */
  decisions: v.array(v.strictObject({ ...person, kind: DecisionKind, items: v.number() })),
  /** What people reported and nobody has answered yet: one entry a person, the newest first. */
  alerts: v.array(PersonAlert),
  /** Late runs with somebody who is out of it by now. */
  clashes: v.array(
    v.strictObject({
      runId: Id,
      ...person,
      sessionName: v.string(),
      startedAt: IsoInstant,
      receivedAt: IsoInstant,
      kind: v.picklist(["heldOut", "outOfItem"]),
    }),
  ),
});
export type Today = v.InferOutput<typeof Today>;

export const CalendarLink = v.strictObject({
  id: Id,
  name: v.string(),
  /** Null for the whole crew. */
  personId: v.nullable(Id),
  madeAt: IsoInstant,
  withdrawnAt: v.nullable(IsoInstant),
  lastReadAt: v.nullable(IsoInstant),
});
export type CalendarLink = v.InferOutput<typeof CalendarLink>;
export const NewCalendarLink = v.strictObject({ id: Id, name: NonEmptyText, personId: v.nullable(Id) });
/** The only time the secret address is seen. */
export const MadeCalendarLink = v.strictObject({ path: v.string(), links: v.array(CalendarLink) });

/** A session in the week of whoever leads. */
export const OwnWeekEntry = v.strictObject({
  ...placedSession,
  /** The series it is of; null for one that was placed once. */
  seriesId: v.nullable(Id),
  groupName: v.nullable(v.string()),
  /** Null for everybody. */
  groupPeople: v.nullable(v.array(Id)),
  /** The working day it is of, at the crew's place. */
  date: IsoDate,
  startsAt: IsoInstant,
  totalSec: v.number(),
  /** Who is to lead it, or led it. */
  leaderId: Id,
  /** For its series; it differs from it on this day when it is another. */
  seriesLeaderId: v.nullable(Id),
  runId: v.nullable(Id),
});
export type OwnWeekEntry = v.InferOutput<typeof OwnWeekEntry>;

/** Somebody who can lead sessions of some crews. */
export const Leader = v.strictObject({
  id: Id,
  name: v.string(),
  role: v.picklist(["trainer", "lead"]),
  crewIds: v.array(Id),
});
export type Leader = v.InferOutput<typeof Leader>;

const minutesOnTheWay = wholeMinutes(0, 600);
export const Way = v.strictObject({ places: v.tuple([NonEmptyText, NonEmptyText]), minutes: minutesOnTheWay });
export type Way = v.InferOutput<typeof Way>;
/** Without minutes it is not known any more. */
export const ChangedWay = v.strictObject({ places: v.tuple([NonEmptyText, NonEmptyText]), minutes: v.nullable(minutesOnTheWay) });

/** A crew lead who was shown a session and may lead it. */
export const Approval = v.strictObject({
  accountId: Id,
  sessionId: Id,
  at: IsoInstant,
  by: v.string(),
  /** The session has other movements by now: it has to be shown again. */
  outdated: v.boolean(),
});
export type Approval = v.InferOutput<typeof Approval>;

export const OwnWeek = v.strictObject({
  weekStart: IsoDate,
  now: IsoInstant,
  /** Whose week it is. */
  me: Id,
  entries: v.array(OwnWeekEntry),
  leaders: v.array(Leader),
  ways: v.array(Way),
  approvals: v.array(Approval),
});
export type OwnWeek = v.InferOutput<typeof OwnWeek>;

/** Who is to lead: null for whoever it is otherwise. `shown`: they were shown it and may lead it, which is kept. */
export const HandedOver = v.strictObject({ leaderId: v.nullable(Id), shown: v.optional(v.boolean(), false) });
export type HandedOver = v.InferOutput<typeof HandedOver>;
