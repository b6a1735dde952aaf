import type { Misfit } from "@kind-grip/core/library";
import type { Words } from "@kind-grip/core/language";
import { listText } from "../base/measures";
import { t } from "../base/words";

/** What a movement would need that is not there. */
export function needsText(words: Words, misfit: Misfit): string {
  const names =
    misfit.kind === "setting"
      ? misfit.needs.map((each) => words.label("setting", each))
      : misfit.needs.map((each) => words.label("kit", each));
  return t("Needs: {{needs}}", { needs: listText(names, "or").toLowerCase() });
}
