/** What a session of a slot is called until somebody names it. */
import type { SessionSlot } from "@kind-grip/core/session";
import { t } from "../base/words";

export const SESSION_NAMES: Readonly<Record<SessionSlot, string>> = {
  preShift: t("Warm-up"),
  break: t("Stretch break"),
  postShift: t("After the shift"),
  reset: t("Reset"),
  home: t("At home"),
  offDay: t("Day off"),
};
