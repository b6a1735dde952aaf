/** Why somebody is seen sooner or later, as headings of the list. */
import type { SeenFirst } from "@kind-grip/core/baseline";
import { t } from "../base/words";

export const SEEN_FIRST_NAMES: Readonly<Record<SeenFirst, string>> = {
  emergency: t("At once: chest or breath"),
  stop: t("See first: stop and refer"),
  clinician: t("A clinician first, for some"),
  felt: t("Feel something"),
  unasked: t("Not asked everything yet"),
  clear: t("Nothing found"),
};
