/** What a practice sets for itself, and its staff. */
import * as v from "valibot";
import { PracticeSettings } from "../response";
import { Language, LONGEST_TEXT } from "../language";
import { Id, IsoDate, Measures, NonEmptyText } from "../units";
import { GIVEN_ROLES, STAFF_ROLES } from "./auth";
import { Version } from "./shapes";

export const SettingsEntry = v.strictObject({ settings: PracticeSettings, version: Version });
export type SettingsEntry = v.InferOutput<typeof SettingsEntry>;

/** What the practice's crews read, and how it writes quantities, times and dates. */
export const Customs = v.strictObject({ language: Language, measures: Measures });
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

export const NewStaff = v.strictObject({
  id: Id,
  name: NonEmptyText,
  email: v.pipe(v.string("is missing"), v.trim(), v.toLowerCase(), v.email("is not an e-mail address"), v.maxLength(160)),
  role: v.picklist(GIVEN_ROLES, "must be crew lead or employer contact"),
  crewIds: v.pipe(v.array(Id), v.minLength(1, "names no crew"), v.maxLength(200)),
});
export type NewStaff = v.InferOutput<typeof NewStaff>;

export const StaffEntry = v.strictObject({
  id: Id,
  name: v.string(),
  email: v.string(),
  role: v.picklist(STAFF_ROLES),
  crewIds: v.array(Id),
});
export type StaffEntry = v.InferOutput<typeof StaffEntry>;
export const Staff = v.array(StaffEntry);
/** The only time the first password is seen. */
export const AddedStaff = v.strictObject({ staff: Staff, password: v.string() });
export const CrewsOfStaff = v.strictObject({ crewIds: v.pipe(v.array(Id), v.maxLength(200)) });
