/** What the server answers the interface, where the two would otherwise each describe it. Types only. */
export type { MemberDay, MemberProgress, MemberSession } from "./member";
export type { Progress, WaitingDecision } from "./progress";
export type { Today, TodayEntry, TodayShift } from "./today";
