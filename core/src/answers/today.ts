import type { Span } from "../calendar";
import type { Region } from "../library";
import type { DecisionKind } from "../response";
import type { AlertAnswer, AlertCause, AlertKind } from "../safety";
import type { SlotKind } from "../session";
import type { HandSide } from "../units";

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
  /** People for whom something waits to be decided, by crew; each counted under the most urgent of what waits. */
  decisions: { crewId: string; crewName: string; kind: DecisionKind; people: number }[];
  /** What people reported and nobody has answered yet: one entry a person, the newest first. */
  alerts: PersonAlert[];
  /** Late runs with somebody who is out of it by now. */
  clashes: {
    runId: string;
    crewId: string;
    crewName: string;
    personId: string;
    name: string;
    sessionName: string;
    startedAt: string;
    receivedAt: string;
    kind: "heldOut" | "outOfItem";
  }[];
}

/** Everything one person reported that waits for an answer. */
export interface PersonAlert {
  crewId: string;
  crewName: string;
  timeZone: string;
  personId: string;
  name: string;
  /** Whether anything is paused by it. */
  pauses: boolean;
  /** Held out of everything by an answer of rule 2. */
  heldOut: boolean;
  reports: {
    alertId: string;
    cause: AlertCause;
    kind: AlertKind;
    side: HandSide | null;
    regions: Region[];
    movementId: string | null;
    words: string | null;
    at: string;
    /** Of a morning, 0–10. */
    level: number | null;
    pauses: boolean;
    answer: AlertAnswer["answer"] | null;
  }[];
}
