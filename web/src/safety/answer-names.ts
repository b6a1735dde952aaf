/** What a trainer may answer to a report, in a word or two. */
import type { AlertAnswer } from "@kind-grip/core/safety";
import { t } from "../base/words";

export const ANSWER_NAMES: Readonly<Record<AlertAnswer["answer"], string>> = {
  giveBack: t("Give back"),
  ease: t("Ease"),
  keepPaused: t("Keep paused"),
  refer: t("Refer and hold out"),
};
