/** A cut in words, with the seconds it gained. */
import { doseText } from "../session";
import { spanText } from "../units";
import type { Cut } from "./fit";

/** @param nameOf display name of a movement */
export function cutText(cut: Cut, nameOf: (movementId: string) => string): string {
  const name = nameOf(cut.movementId);
  const gained = cut.gainedSec >= 0 ? `${spanText(cut.gainedSec)} gained` : `${spanText(-cut.gainedSec)} more`;
  switch (cut.kind) {
    case "dropped":
      return `${name} left out, ${gained}`;
    case "dose":
      return `${name} ${doseText(cut.from)} → ${doseText(cut.to)}, ${gained}`;
    case "sides":
      return `${name} with alternating sides, the same dose, ${gained}`;
  }
}
