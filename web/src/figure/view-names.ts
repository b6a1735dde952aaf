/** The ways to look at a figure, by name. */
import type { ViewName } from "@kind-grip/core/figure";
import { t } from "../base/words";

export const VIEW_LABEL: Readonly<Record<ViewName, string>> = {
  front: t("Front"),
  frontRight: t("Front, right"),
  frontLeft: t("Front, left"),
  right: t("Right side"),
  left: t("Left side"),
  above: t("Above"),
  highRight: t("Above, right"),
  highLeft: t("Above, left"),
  overhead: t("Straight from above"),
  back: t("Back"),
  backRight: t("Back, right"),
  backLeft: t("Back, left"),
  below: t("Below"),
};
