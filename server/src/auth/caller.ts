/** Who is calling, in which role. The one place where roles are told apart; a route that names none is for trainers only. */
import type { Request } from "express";
import type { Role } from "@kind-grip/core/api";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";

export interface Caller {
  role: Role;
  /** The account; for a crew member, the person. */
  accountId: string;
  practiceId: string;
  /** A crew member's crew. */
  crewId?: string;
  /** The API token by which somebody's program calls. */
  token?: { id: string; name: string };
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

/**
 * What a browser kept until it could be sent says whose it is: an account by its e-mail address, a crew member by the person. What one
 * made is never stored as another's, also when somebody else has signed in meanwhile in the same browser.
 * @throws Problem 401 until its owner signs in again
 */
export async function refuseOtherOwner({ models }: Db, request: Request, { role, accountId }: Caller): Promise<void> {
  const owner = request.get("x-owner");
  if (!owner) return;
  const own = role === "member" ? accountId : (await models.Account.findByPk(accountId, { attributes: ["email"] }))?.get().email;
  if (owner !== own) throw new Problem(401, "otherOwner", "Somebody else is signed in here. It waits until its owner signs in again.");
}

/** @throws Problem 401 when nobody is signed in, 403 when the role is not among those a route is for */
export function callerOf(request: Request, roles: readonly Role[]): Caller {
  const caller = request.byToken?.caller ?? request.session?.caller;
  if (!caller) throw new Problem(401, "signedOut", "Sign in to go on.");
  if (!roles.includes(caller.role)) throw new Problem(403, "notAllowed", "This is not for your sign-in.");
  return caller;
}
