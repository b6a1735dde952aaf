/** What a practice sets for itself, and its staff. */
import * as v from "valibot";
import { PracticeSettings } from "../response";
import { Id, NonEmptyText } from "../units";
import { GIVEN_ROLES, STAFF_ROLES } from "./auth";
import { Version } from "./shapes";

export const SettingsEntry = v.strictObject({ settings: PracticeSettings, version: Version });
export type SettingsEntry = v.InferOutput<typeof SettingsEntry>;

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
