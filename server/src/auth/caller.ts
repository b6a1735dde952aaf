/** Who is calling, in which role. The one place where roles are told apart; a route that names none is for trainers only. */
import type { Request } from "express";
import type { Role } from "@kind-grip/core/api";
import { Problem } from "../http/problem";

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
    /** What the session is called outside; its own id is the secret that opens it. */
    publicId: string;
    /** As the browser calls itself. */
    device: string;
  }
}

/** @throws Problem 401 when nobody is signed in, 403 when the role is not among those a route is for */
export function callerOf(request: Request, roles: readonly Role[]): Caller {
  const caller = request.session?.caller;
  if (!caller) throw new Problem(401, "signedOut", "Sign in to go on.");
  if (!roles.includes(caller.role)) throw new Problem(403, "notAllowed", "This is not for your sign-in.");
  return caller;
}
