/** What a practice sets for itself, and its staff. */
import * as v from "valibot";
import { EmailAddress } from "../contact";
import { PracticeSettings } from "../response";
import { TimeZone } from "../crew";
import { Language, LONGEST_TEXT } from "../language";
import { Id, IsoDate, IsoInstant, Measures, NonEmptyText } from "../units";
import { STAFF_ROLES } from "./auth";
import { Version } from "./shapes";

export const SettingsEntry = v.strictObject({ settings: PracticeSettings, version: Version });
export type SettingsEntry = v.InferOutput<typeof SettingsEntry>;

/** What the practice's crews read, and how it writes quantities, times and dates. */
export const Customs = v.strictObject({
  language: Language,
  measures: Measures,
  /** What new crews begin with; null where the practice never said. */
  place: v.optional(v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(160))), null),
  timeZone: v.optional(v.nullable(TimeZone), null),
});
export type Customs = v.InferOutput<typeof Customs>;
export const OwnMeasures = v.strictObject({ measures: v.nullable(Measures) });

/** Texts the practice says in its own words, and who of it read which language through. */
export const OwnTexts = v.strictObject({
  corrections: v.record(v.string(), v.record(v.string(), v.string())),
  readings: v.array(v.strictObject({ language: Language, readBy: v.string(), readOn: IsoDate })),
});
export type OwnTexts = v.InferOutput<typeof OwnTexts>;
/** Null takes the own words back. */
export const Correction = v.strictObject({
  key: v.pipe(v.string("is missing"), v.maxLength(160)),
  text: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(LONGEST_TEXT, `is longer than ${LONGEST_TEXT} letters`))),
});
/** Null: it was not read after all. */
export const LanguageReading = v.strictObject({ readBy: v.nullable(NonEmptyText) });

/** A colleague trainer has crews of their own; a lead or an employer contact is given some. */
export const NewStaffInvitation = v.pipe(
  v.strictObject({
    id: Id,
    name: NonEmptyText,
    email: EmailAddress,
    role: v.picklist(STAFF_ROLES, "must be trainer, crew lead or employer contact"),
    crewIds: v.pipe(v.array(Id), v.maxLength(200)),
  }),
  v.forward(
    v.check(({ role, crewIds }) => role === "trainer" || crewIds.length > 0, "names no crew"),
    ["crewIds"],
  ),
  v.forward(
    v.check(
      ({ role, crewIds }) => role !== "trainer" || crewIds.length === 0,
      "are not given to a trainer: share them when they are there",
    ),
    ["crewIds"],
  ),
);
export type NewStaffInvitation = v.InferOutput<typeof NewStaffInvitation>;

export const StaffInvitation = v.strictObject({
  id: Id,
  name: v.string(),
  email: v.string(),
  role: v.picklist(STAFF_ROLES),
  crewIds: v.array(Id),
  /** Who invited; whether that is the caller. */
  by: v.string(),
  own: v.boolean(),
  until: IsoInstant,
  expired: v.boolean(),
});
export type StaffInvitation = v.InferOutput<typeof StaffInvitation>;
export const StaffInvitations = v.array(StaffInvitation);
/** The only time the secret of its address is seen. */
export const MadeInvitation = v.strictObject({
  invitations: StaffInvitations,
  token: v.string(),
  mailed: v.picklist(["sent", "failed", "off"]),
});
export type MadeInvitation = v.InferOutput<typeof MadeInvitation>;

export const StaffEntry = v.strictObject({
  id: Id,
  name: v.string(),
  email: v.string(),
  role: v.picklist(STAFF_ROLES),
  crewIds: v.array(Id),
});
export type StaffEntry = v.InferOutput<typeof StaffEntry>;
export const Staff = v.array(StaffEntry);
export const CrewsOfStaff = v.strictObject({ crewIds: v.pipe(v.array(Id), v.maxLength(200)) });

/** What there is by now, in the order of the path from an empty practice to the first run. */
export const FIRST_STEPS = ["crew", "people", "work", "baseline", "program", "plan", "run"] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];
export const FirstSteps = v.strictObject({
  /** The crew that has come furthest; null before there is one. */
  crewId: v.nullable(Id),
  done: v.array(v.picklist(FIRST_STEPS)),
});
export type FirstSteps = v.InferOutput<typeof FirstSteps>;

/** `off`: this server has none to offer. */
export const DemoState = v.strictObject({ state: v.picklist(["off", "none", "loading", "ready", "failed"]) });
export type DemoState = v.InferOutput<typeof DemoState>;
