/** A dose as short as it can be told: for a strip of names that is read from afar. */
import type { Words } from "@kind-grip/core/language";
import type { Dose } from "@kind-grip/core/session";
import { t } from "../base/words";

export function shortDose(words: Words, dose: Dose): string {
  switch (dose.kind) {
    case "holds":
      return t("{{count}} × {{seconds}} s", { count: dose.reps, seconds: dose.holdSec });
    case "timed":
      return t("{{count}} × {{seconds}} s", { count: dose.sets, seconds: dose.workSec });
    case "reps":
      return dose.sets === 1
        ? t("{{count}} times", { count: dose.reps, defaultValue_one: "once" })
        : t("{{sets}} × {{reps}} times", { sets: dose.sets, reps: dose.reps });
    case "steps":
      return words.dose(dose);
  }
}
