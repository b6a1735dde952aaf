/** What the columns of a roster are called on the screen. */
import type { RosterField } from "@kind-grip/core/crew";
import { t } from "../base/words";

export const FIELD_NAMES: Record<RosterField, string> = {
  name: t("Name"),
  givenName: t("First name"),
  familyName: t("Last name"),
  badge: t("Badge"),
  handedness: t("Main hand"),
  startedOn: t("First day"),
  leftOn: t("Last day"),
  language: t("Language"),
};
