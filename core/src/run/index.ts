/** Runs: the clock that leads one, the cues it gives, and the record it leaves. */
export { closeIndexOf } from "./close";
export { end, isOver, jump, newClock, pause, placeAt, play, relay, type RunClock } from "./clock";
export { captionAt, COACH_LEVELS, coachFor, openingLine, type Coach, type CoachLevel } from "./coach";
export type { Cue, Sound } from "./cue";
export { cuesOf } from "./cues";
export { speechSec } from "./speech";
export { calmSpanSec, farthest, figureMoment, previewPlace, previewSec, type FigureMoment, type FigurePlace } from "./figure-place";
export { lighterThan, SHORT_SHARE, shortVersion } from "./short-version";
export { DONE_SHARE, itemsDone } from "./items-done";
export { Arrival, ARRIVAL_MIN, EFFORT_ASKED_HOURS, mayArrive, OwnEffort } from "./own-answer";
export { MARKS, MarkKind, RunItem, RunPerson, RunRecord, RunSummary } from "./record";
