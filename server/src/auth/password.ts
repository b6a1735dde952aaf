/** Passwords: argon2id with the parameters OWASP recommends (19 MiB, 2 passes). */
import { hash, verify } from "@node-rs/argon2";

/** 2 is argon2id in the library's list of algorithms. */
const OPTIONS = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS);
}

/** Takes as long for an unknown account as for a wrong password, so that accounts cannot be told apart. */
export async function passwordMatches(passwordHash: string | undefined, password: string): Promise<boolean> {
  const matches = await verify(passwordHash ?? (await decoy()), password, OPTIONS);
  return matches && passwordHash !== undefined;
}

let decoyHash: Promise<string> | undefined;
function decoy(): Promise<string> {
  return (decoyHash ??= hashPassword("nobody has this password"));
}
