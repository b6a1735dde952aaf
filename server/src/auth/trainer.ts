/** Who is calling. */
import type { Request } from "express";
import { Problem } from "../http/problem";

export interface Trainer {
  accountId: string;
  practiceId: string;
}

declare module "express-session" {
  interface SessionData {
    trainer: Trainer;
  }
}

/** @throws Problem 401 when nobody is signed in */
export function trainerOf(request: Request): Trainer {
  const trainer = request.session?.trainer;
  if (!trainer) throw new Problem(401, "signedOut", "Sign in to go on.");
  return trainer;
}
