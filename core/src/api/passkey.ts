/** Passkeys: signing in with what unlocks a telephone or a computer (Web Authentication). */
import * as v from "valibot";
import { Id, IsoInstant } from "../units";

export const Passkey = v.strictObject({ id: Id, name: v.string(), addedAt: IsoInstant, usedAt: v.nullable(IsoInstant) });
export type Passkey = v.InferOutput<typeof Passkey>;
export const Passkeys = v.array(Passkey);

/** What the browser is asked, in the words of the standard. */
export const PasskeyQuestion = v.looseObject({ challenge: v.string() });
export type PasskeyQuestion = v.InferOutput<typeof PasskeyQuestion>;

const part = v.pipe(v.string(), v.maxLength(20_000));
/** What the browser answers; its parts are checked by what they are signed with. */
export const PasskeyAnswer = v.looseObject({
  id: v.pipe(v.string("is missing"), v.minLength(1, "is missing"), v.maxLength(600)),
  rawId: part,
  type: v.literal("public-key"),
  response: v.looseObject({ clientDataJSON: part }),
  clientExtensionResults: v.optional(v.looseObject({}), {}),
});
export type PasskeyAnswer = v.InferOutput<typeof PasskeyAnswer>;

export const PasskeySignIn = v.strictObject({ answer: PasskeyAnswer });
export const NewPasskey = v.strictObject({
  name: v.pipe(v.string("is missing"), v.trim(), v.minLength(1, "is missing"), v.maxLength(60, "is longer than 60 characters")),
  answer: PasskeyAnswer,
});

/** Whether a practice asks its trainers for a second step or a passkey. */
export const SignInRule = v.strictObject({ asksSecondStep: v.boolean() });
export type SignInRule = v.InferOutput<typeof SignInRule>;
