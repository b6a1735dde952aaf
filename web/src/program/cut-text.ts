/** A cut in words, with the seconds it gained. */
import { doseText } from "@kind-grip/core/session";
import type { Cut } from "@kind-grip/core/slot";
import { spanText } from "../base/measures";
import { t } from "../base/words";

/** @param nameOf display name of a movement */
export function cutText(cut: Cut, nameOf: (movementId: string) => string): string {
  const name = nameOf(cut.movementId);
  const gained =
    cut.gainedSec >= 0
      ? t("{{gainedSec}} gained", { gainedSec: spanText(cut.gainedSec) })
      : t("{{gainedSec}} more", { gainedSec: spanText(-cut.gainedSec) });
  switch (cut.kind) {
    case "dropped":
      return t("{{name}} left out, {{gained}}", { name, gained });
    case "dose":
      return `${name} ${doseText(cut.from)} → ${doseText(cut.to)}, ${gained}`;
    case "sides":
      return t("{{name}} with alternating sides, the same dose, {{gained}}", { name, gained });
  }
}
