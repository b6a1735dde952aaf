/** What a run screen says of the moment: the side, the number to read from afar, the word that goes with it. */
import type { Words } from "@kind-grip/core/language";
import type { Position } from "@kind-grip/core/session";
import { t } from "../base/words";

export const SIDE_LETTER = { left: "L", right: "R", both: "LR" } as const;

/** The number to read from afar: repetitions are counted up, everything else counts its seconds down. */
export function countOf(position: Position): { big: string; small: string } {
  const { phase, count, countOf: total, segment } = position;
  const leadLeft = Math.max(0, segment.leadSec - position.intoSec);
  if (phase === "out" || phase === "endPause" || phase === "back" || phase === "startPause")
    return { big: String(count), small: t("of {{total}}", { total }) };
  if (phase === "slide") return { big: String(count), small: t("of {{total}} slides", { total }) };
  if (phase === "step") return { big: String(count), small: t("of {{total}} steps", { total }) };
  const left = phase === "wait" ? position.leftSec : phase === "hold" || phase === "move" ? leadLeft : position.leftSec;
  return { big: String(Math.ceil(left)), small: total > 1 ? t("hold {{number}} of {{total}}", { number: count, total }) : "seconds" };
}

export function cueOf({ phase, segment, count }: Position, words: Words): string {
  if (phase === "ready") return words.member("getReady");
  if (phase === "switch") return words.member("changeTo", { side: words.label("side", segment.side).toLowerCase() });
  if (phase === "rest") return words.member("rest");
  return words.cue(phase, { count });
}
