/** Personal starts in words. */
import type { PersonalStart, StartReason } from "@kind-grip/core/program";
import type { Words } from "@kind-grip/core/language";
import { listText, massText } from "../base/measures";
import { MOTION_NAMES } from "../baseline/finding-text";
import { sideWord, t } from "../base/words";

/** What is different for somebody in an item, and why, in words. */
export function startText(words: Words, start: PersonalStart): string {
  switch (start.kind) {
    case "own": {
      const { formId, dose, loadKg } = start.own;
      const what = [
        words.formName(start.movementId, formId).toLowerCase(),
        ...(dose ? [words.dose(dose)] : []),
        ...(loadKg === null ? [t("no load")] : []),
      ].join(", ");
      return t("{{what}}: {{why}}", { what, why: listText(start.because.map((reason) => reasonText(words, reason))) });
    }
    case "leftOut":
      return t("leaves it out until cleared");
    case "weakerSide":
      return t("the {{side}} hand is weaker and sets the load for both", { side: sideWord(start.side) });
    case "cap":
      return t("stays at {{cap}} of 10 or less", { cap: start.cap });
    case "shortOfEnd":
      return t("stops {{deg}}° short of the end", { deg: start.deg });
  }
}

function reasonText(words: Words, reason: StartReason): string {
  const region = words.label("region", reason.region).toLowerCase();
  const side = words.label("side", reason.side).toLowerCase();
  switch (reason.kind) {
    case "symptom":
      return t("{{word}} {{word2}} felt, {{level}} of 10", { word: side, word2: region, level: reason.level });
    case "shortRange":
      return t("{{side}}: {{motion}} {{activeDeg}}° of {{referenceDeg}}°", {
        side,
        motion: MOTION_NAMES[reason.motion].toLowerCase(),
        activeDeg: reason.activeDeg,
        referenceDeg: reason.referenceDeg,
      });
    case "rangeWithoutStrength":
      return t("{{side}}: {{motion}}, range without strength", { side, motion: MOTION_NAMES[reason.motion].toLowerCase() });
    case "weakGrip":
      return t("{{side}} grip weaker, {{mean}} against {{expected}}", {
        side,
        mean: massText(reason.meanKg, 1),
        expected: massText(reason.expectedKg, 1),
      });
  }
}
