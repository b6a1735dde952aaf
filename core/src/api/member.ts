/** Crew members: cards and PINs, signing in, and their own page. */
import * as v from "valibot";
import { CustomMovement, Region } from "../library";
import { Language } from "../language";
import { OwnQuickTest, QuickTest } from "../quicktest";
import { AlertAnswer, AlertKind } from "../safety";
import { Session, SessionSlot } from "../session";
import { HAND_SIDES, Id, IsoDate, IsoInstant, Measures } from "../units";
import { ReminderRule } from "./message";
import { QuickSeries } from "./quicktest";
import { CardToken, Version } from "./shapes";

/** The crew's code, and who has a card. */
export const AccessEntry = v.strictObject({
  code: v.nullable(v.string()),
  people: v.array(v.strictObject({ personId: Id, number: v.number(), issuedAt: IsoInstant })),
});
export type AccessEntry = v.InferOutput<typeof AccessEntry>;

/** A new card: the only time its secrets are seen. */
export const Card = v.strictObject({ personId: Id, name: v.string(), pin: v.string(), token: v.string() });
export type Card = v.InferOutput<typeof Card>;
export const IssuedCards = v.strictObject({ code: v.string(), cards: v.array(Card) });

export const CardsOf = v.strictObject({
  personIds: v.pipe(v.array(Id), v.minLength(1, "names nobody"), v.maxLength(500, "at most 500 people at once")),
});

export const PinSignIn = v.strictObject({
  code: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(20)),
  pin: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(20)),
});
export const CardSignIn = v.strictObject({ token: CardToken });

export const MemberSession = v.strictObject({
  /** Null for a session that may be done at any time. */
  placementId: v.nullable(Id),
  programId: Id,
  startsAt: v.nullable(IsoInstant),
  totalSec: v.number(),
  session: Session,
  done: v.boolean(),
  /** Laid between their bookings: done alone, then. */
  booked: v.optional(v.boolean()),
  /** Whoever leads it has come to its end. */
  ended: v.optional(v.boolean(), false),
});
export type MemberSession = v.InferOutput<typeof MemberSession>;

/** A treatment of their own: when, how long, which kind. */
export const MemberBooking = v.strictObject({
  id: Id,
  version: Version,
  startsAt: IsoInstant,
  lengthMin: v.number(),
  /** The kind of treatment; null while nobody has said. */
  name: v.nullable(v.string()),
  deep: v.boolean(),
});
export type MemberBooking = v.InferOutput<typeof MemberBooking>;

/** How much later one of their own begins; those it runs into go with it. */
export const RunningLate = v.strictObject({
  bookingId: Id,
  version: Version,
  byMin: v.pipe(
    v.number("must be a number"),
    v.integer("must be whole minutes"),
    v.minValue(-30, "must be -30 to 60"),
    v.maxValue(60, "must be -30 to 60"),
  ),
});
export type RunningLate = v.InferOutput<typeof RunningLate>;

/** A person's own report, and what became of it. */
export const MemberAlert = v.strictObject({
  id: Id,
  /** The report, check-in or run it came from: how a phone recognises what it sent itself. */
  causeId: Id,
  kind: AlertKind,
  side: v.nullable(v.picklist(HAND_SIDES)),
  regions: v.array(Region),
  at: IsoInstant,
  /** Whether it still pauses. */
  pauses: v.boolean(),
  answer: v.nullable(AlertAnswer.entries.answer),
  reply: v.nullable(v.string()),
  answeredAt: v.nullable(IsoInstant),
});
export type MemberAlert = v.InferOutput<typeof MemberAlert>;

export const MemberDay = v.strictObject({
  now: IsoInstant,
  today: IsoDate,
  person: v.strictObject({ id: Id, name: v.string() }),
  /** The day they begin on, while it is still to come: until then nothing is planned for them. */
  firstDay: v.optional(v.nullable(IsoDate), null),
  crew: v.strictObject({ id: Id, name: v.string(), place: v.string(), timeZone: v.string() }),
  /** Whom to turn to. */
  trainer: v.string(),
  /** Out of everything: by a hold, or by what they reported. Why is not sent to a phone. */
  heldOut: v.boolean(),
  /** Out of everything by a hold: until a clinician has cleared it, whatever the trainer answers. */
  clinicianFirst: v.boolean(),
  shortOfEndDeg: v.nullable(v.number()),
  /** Why they do less for now, and until when: days away, null for somebody new. */
  ramp: v.nullable(v.strictObject({ awayDays: v.nullable(v.number()), ends: IsoDate })),
  /** What they reported: what pauses, and what the trainer answered lately; newest first. */
  alerts: v.array(MemberAlert),
  /** What mornings are compared with today, and from which level on one above it pauses: for a phone without a connection. */
  usualLevel: v.number(),
  alarmMorning: v.number(),
  sessions: v.array(MemberSession),
  /** Their own bookings of today and the next days, in order; none for who works no bookings. */
  bookings: v.optional(v.array(MemberBooking), []),
  /** What the pulse was when this was told; null for who works no bookings. */
  changes: v.optional(v.nullable(v.number()), null),
  anyTime: v.array(MemberSession),
  /** For home, and for days without a shift; both without the site's kit. */
  home: v.array(MemberSession),
  /** Shifts around now and of the next days: after midnight in a night shift it is still the day that shift began on. */
  shifts: v.optional(v.array(v.strictObject({ date: IsoDate, startsAt: IsoInstant, endsAt: IsoInstant })), []),
  /** Which of today and the next days are without a shift. */
  offDays: v.array(IsoDate),
  /** Custom movements among theirs: a phone has no other way to name, draw and ease them. */
  customMovements: v.array(CustomMovement),
  /** What this page is read in, and what would be read by whoever chose none. */
  language: Language,
  usualLanguage: Language,
  measures: Measures,
  /** The practice's own words in that language. */
  corrections: v.record(v.string(), v.string()),
  /** When they are reminded: as the crew is, and as they want it themselves; null for as the crew. */
  reminder: v.strictObject({ crew: ReminderRule, own: v.nullable(ReminderRule) }),
  /** What is asked before and after what is followed alone: of the crew, and of their own choice; left out by an earlier version. */
  quickTest: v.optional(v.strictObject({ crew: v.nullable(QuickTest), own: v.nullable(OwnQuickTest) })),
  checkedIn: v.boolean(),
  /** The round they are asked about on this phone, until they have answered. */
  selfCheck: v.nullable(v.strictObject({ id: Id, name: v.string() })),
  /** Placements of which they said that they are here, and those of which they said how hard it was. */
  here: v.array(Id),
  said: v.array(Id),
  /** Led runs they took part in of which nobody has said how hard it was for them; newest first. */
  efforts: v.array(v.strictObject({ runId: Id, placementId: v.nullable(Id), name: v.string(), slot: SessionSlot, endedAt: IsoInstant })),
});
export type MemberDay = v.InferOutput<typeof MemberDay>;

export const MemberProgress = v.strictObject({
  days: v.array(
    v.strictObject({
      day: IsoDate,
      itemsDue: v.number(),
      itemsDone: v.number(),
      doneSec: v.number(),
      runs: v.number(),
      meanEffort: v.nullable(v.number()),
    }),
  ),
  /** `raised`: above what was usual for them then; left out by an earlier version. */
  mornings: v.array(v.strictObject({ day: IsoDate, level: v.number(), raised: v.optional(v.boolean(), false) })),
  /** Before and after; left out by an earlier version. */
  quick: v.optional(v.array(QuickSeries), []),
});
export type MemberProgress = v.InferOutput<typeof MemberProgress>;

/** Null: what the crew reads. */
export const OwnLanguage = v.strictObject({ language: v.nullable(Language) });
