/** What the server answers the interface, where the two would otherwise each describe it. Types only. */
export type { MemberAlert, MemberDay, MemberProgress, MemberSession } from "./member";
export type { Progress, WaitingDecision } from "./progress";
export type { PersonAlert, Today, TodayEntry, TodayShift } from "./today";
