import type { Span } from "../calendar";
import type { DecisionKind, TellKind } from "../response";
import type { SlotKind } from "../session";

export interface TodayEntry {
  placementId: string;
  crewId: string;
  crewName: string;
  place: string;
  timeZone: string;
  programId: string;
  sessionId: string;
  sessionName: string;
  slot: SlotKind;
  movementIds: string[];
  startsAt: string;
  totalSec: number;
  /** Who may take part. */
  people: number;
  /** The group, when it is not for the whole crew. */
  groupName: string | null;
  groupPeople: string[] | null;
  /** The run that delivered it, when there is one. */
  runId: string | null;
}

export interface TodayShift {
  date: string;
  name: string;
  startMs: number;
  endMs: number;
  /** Time away in a split shift too. */
  breaks: Span[];
}

export interface Today {
  now: string;
  crews: {
    id: string;
    name: string;
    trade: string;
    timeZone: string;
    people: number;
    programs: number;
    shifts: TodayShift[];
  }[];
  entries: TodayEntry[];
  /** Who is out of everything. Not why: that is on the crew's own page. */
  heldOut: { crewId: string; crewName: string; personId: string; name: string; since: string }[];
  /** Clearances that are good today and end within the week. */
  endingSoon: { crewId: string; crewName: string; personId: string; name: string; until: string }[];
  /** How many decisions wait, by crew and kind. */
  decisions: { crewId: string; crewName: string; kind: DecisionKind; count: number }[];
  /** What crew members told and nobody has seen yet, newest first. */
  tells: {
    id: string;
    crewId: string;
    crewName: string;
    personId: string;
    name: string;
    kind: TellKind;
    movementId: string | null;
    words: string | null;
    at: string;
  }[];
}
