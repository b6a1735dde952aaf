/** Asks the browser for a passkey, and says in words why there was none. */
import type { WebAuthnError } from "@simplewebauthn/browser";
import type { PasskeyAnswer, PasskeyQuestion } from "@kind-grip/core/api";
import { t } from "../base/words";

/** Browsers have none at an address that is a number. */
export const knowsPasskeys = (): boolean =>
  typeof PublicKeyCredential !== "undefined" && window.isSecureContext && !/^[\d.]+$|:/.test(location.hostname);

/** Loaded by whoever asks for one: most people sign in without. */
const dialogs = () => import("@simplewebauthn/browser");

/** @returns the answer, or what to tell; null when the person changed their mind */
export async function makePasskey(question: PasskeyQuestion): Promise<PasskeyAnswer | { problem: string } | null> {
  return answered(async () => (await dialogs()).startRegistration({ optionsJSON: question as never }));
}

export async function askPasskey(question: PasskeyQuestion): Promise<PasskeyAnswer | { problem: string } | null> {
  return answered(async () => (await dialogs()).startAuthentication({ optionsJSON: question as never }));
}

async function answered(ask: () => Promise<object>): Promise<PasskeyAnswer | { problem: string } | null> {
  try {
    return (await ask()) as PasskeyAnswer;
  } catch (error) {
    const { name, code } = error as Partial<WebAuthnError>;
    if (code === "ERROR_AUTHENTICATOR_PREVIOUSLY_REGISTERED") return { problem: t("This device has a passkey for you already.") };
    // Not allowed, or taken back: browsers do not tell which.
    if (name === "NotAllowedError" || name === "AbortError") return null;
    return { problem: t("This browser could not use a passkey here. {{reason}}", { reason: (error as Error).message }) };
  }
}
