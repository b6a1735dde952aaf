import type { CustomMovement, Region } from "../library";
import type { AlertAnswer, AlertKind } from "../safety";
import type { Session } from "../session";
import type { HandSide } from "../units";

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
  /** Whom to turn to. */
  trainer: string;
  /** Out of everything: by a hold, or by what they reported. Why is not sent to a phone. */
  heldOut: boolean;
  /** Out of everything by a hold: until a clinician has cleared it, whatever the trainer answers. */
  clinicianFirst: boolean;
  shortOfEndDeg: number | null;
  /** What they reported: what pauses, and what the trainer answered lately; newest first. */
  alerts: MemberAlert[];
  /** What mornings are compared with today, and from which level on one above it pauses: for a phone without a connection. */
  usualLevel: number;
  alarmMorning: number;
  sessions: MemberSession[];
  anyTime: MemberSession[];
  /** The practice's own movements among theirs: a phone has no other way to name, draw and ease them. */
  customMovements: CustomMovement[];
  checkedIn: boolean;
}

/** A person's own report, and what became of it. */
export interface MemberAlert {
  id: string;
  /** The report, check-in or run it came from: how a phone recognises what it sent itself. */
  causeId: string;
  kind: AlertKind;
  side: HandSide | null;
  regions: Region[];
  at: string;
  /** Whether it still pauses. */
  pauses: boolean;
  answer: AlertAnswer["answer"] | null;
  reply: string | null;
  answeredAt: string | null;
}

export interface MemberProgress {
  days: { day: string; itemsDue: number; itemsDone: number; doneSec: number; runs: number; meanEffort: number | null }[];
  mornings: { day: string; level: number }[];
}
