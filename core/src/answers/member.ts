import type { Session } from "../session";

export interface MemberSession {
  /** Null for a session that may be done at any time. */
  placementId: string | null;
  programId: string;
  startsAt: string | null;
  totalSec: number;
  session: Session;
  done: boolean;
}

export interface MemberDay {
  now: string;
  today: string;
  person: { id: string; name: string };
  crew: { id: string; name: string; place: string; timeZone: string };
  /** Out of everything until a clearance. Why is not sent to a phone. */
  heldOut: boolean;
  shortOfEndDeg: number | null;
  sessions: MemberSession[];
  anyTime: MemberSession[];
  checkedIn: boolean;
}

export interface MemberProgress {
  days: { day: string; itemsDue: number; itemsDone: number; doneSec: number; runs: number; meanEffort: number | null }[];
  mornings: { day: string; level: number }[];
}
