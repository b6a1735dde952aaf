/** A sensible first place for a session in a shift: the trainer moves it from there. */
import type { SlotKind } from "../session";
import { onGrid } from "./placement";
import { workingSpans } from "./ribbon";
import type { Shift } from "../calendar";

/**
 * Pre-shift: at the start of the shift. Post-shift: so that it ends with the shift.
 * Break: at the break that is furthest from everything placed already, or the middle of the longest work without any.
 * @param takenMs starts already placed in this shift
 */
export function suggestStart(slot: SlotKind, lengthSec: number, shift: Shift, takenMs: readonly number[]): number {
  switch (slot) {
    case "preShift":
      return onGrid(shift.startMs);
    case "postShift":
      return Math.floor((shift.endMs - lengthSec * 1000) / 300_000) * 300_000;
    case "break": {
      const [longest] = workingSpans(shift).sort((a, b) => b.endMs - b.startMs - (a.endMs - a.startMs));
      const places = shift.breaks.length > 0 ? shift.breaks.map((pause) => pause.startMs) : [(longest!.startMs + longest!.endMs) / 2];
      const distance = (at: number) => Math.min(...takenMs.map((taken) => Math.abs(taken - at)), Infinity);
      return onGrid(places.reduce((best, at) => (distance(at) > distance(best) ? at : best)));
    }
  }
}
