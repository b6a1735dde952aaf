/** Signing in and out, and who is signed in. */
import * as v from "valibot";
import { IsoInstant } from "../units";

/** trainer: their own crews · lead: leads runs of the crews they are given · employer: crew figures · member: their own page. */
export const ROLES = ["trainer", "lead", "employer", "member"] as const;
export const Role = v.picklist(ROLES);
export type Role = v.InferOutput<typeof Role>;

export const Me = v.strictObject({
  /** What every change must carry. */
  csrfToken: v.string(),
  account: v.nullable(
    v.strictObject({
      role: Role,
      name: v.string(),
      /** Empty for a crew member. */
      email: v.string(),
      practice: v.string(),
      demo: v.boolean(),
      now: IsoInstant,
    }),
  ),
});
export type Me = v.InferOutput<typeof Me>;

export const SignIn = v.strictObject({
  email: v.pipe(v.string("is missing"), v.trim(), v.toLowerCase(), v.minLength(1, "is missing"), v.maxLength(160)),
  password: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(200)),
});
export type SignIn = v.InferOutput<typeof SignIn>;

export const NewPassword = v.strictObject({
  current: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(200)),
  next: v.pipe(v.string("is missing"), v.minLength(10, "needs at least 10 characters"), v.maxLength(200)),
});
export type NewPassword = v.InferOutput<typeof NewPassword>;
