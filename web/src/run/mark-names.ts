import type { MarkKind } from "@kind-grip/core/run";
import { t } from "../base/words";

export const MARK_NAMES: Record<MarkKind, string> = {
  tooMuch: t("Too much"),
  tingling: t("Tingling"),
  sharpPain: t("Sharp pain"),
  elsewhere: t("Felt elsewhere"),
  stopped: t("Stopped"),
};
