/** Who is calling, in which role. The one place where roles are told apart; a route that names none is for trainers only. */
import type { Request } from "express";
import { Problem } from "../http/problem";

/**
 * trainer: everything of their own crews · lead: leads runs of the crews they are given, sees names and forms ·
 * employer: crew figures of the crews they are given · member: their own page.
 */
export const ROLES = ["trainer", "lead", "employer", "member"] as const;
export type Role = (typeof ROLES)[number];

export interface Caller {
  role: Role;
  /** The account; for a crew member, the person. */
  accountId: string;
  practiceId: string;
  /** A crew member's crew. */
  crewId?: string;
}

declare module "express-session" {
  interface SessionData {
    caller: Caller;
  }
}

/** @throws Problem 401 when nobody is signed in, 403 when the role is not among those a route is for */
export function callerOf(request: Request, roles: readonly Role[]): Caller {
  const caller = request.session?.caller;
  if (!caller) throw new Problem(401, "signedOut", "Sign in to go on.");
  if (!roles.includes(caller.role)) throw new Problem(403, "notAllowed", "This is not for your sign-in.");
  return caller;
}
