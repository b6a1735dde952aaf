/** What a run screen says of the moment: the side, the number to read from afar, the word that goes with it. */
import type { Words } from "@kind-grip/core/language";
import type { Position } from "@kind-grip/core/session";

export const SIDE_LETTER = { left: "L", right: "R", both: "LR" } as const;

/** The number to read from afar: repetitions are counted up, everything else counts its seconds down. */
export function countOf(position: Position, words: Words): { big: string; small: string } {
  const { phase, count, countOf: total, segment } = position;
  const leadLeft = Math.max(0, segment.leadSec - position.intoSec);
  const big = words.digits(count);
  if (phase === "out" || phase === "endPause" || phase === "back" || phase === "startPause")
    return { big, small: words.cue("ofTotal", { total }) };
  if (phase === "slide") return { big, small: words.cue("ofSlides", { total }) };
  if (phase === "step") return { big, small: words.cue("ofSteps", { total }) };
  const left = phase === "wait" ? position.leftSec : phase === "hold" || phase === "move" ? leadLeft : position.leftSec;
  return {
    big: words.digits(Math.ceil(left)),
    small: total > 1 ? words.cue("holdOf", { number: count, total }) : words.cue("seconds"),
  };
}

export function cueOf({ phase, segment, count }: Position, words: Words): string {
  if (phase === "ready") return words.member("getReady");
  if (phase === "switch") return words.member("changeTo", { side: words.within(words.label("side", segment.side)) });
  if (phase === "rest") return words.member("rest");
  return words.cue(phase, { count });
}
