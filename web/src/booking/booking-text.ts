/** What is laid on a day of bookings, in words. */
import type { LaidKind } from "@kind-grip/core/booking";
import type { MissedReset } from "@kind-grip/core/api";
import { t } from "../base/words";

export const LAID_NAMES: Readonly<Record<LaidKind, string>> = {
  warmUp: t("Warm-up"),
  reset: t("Reset"),
  longer: t("Longer break"),
  strength: t("Strengthening"),
  closing: t("Closing"),
};

/** @param after when the treatment before ends */
export function missedText({ what, roomMin }: MissedReset, after: string): string {
  switch (what) {
    case "warmUp":
      return t("No time for a warm-up before the first.");
    case "afterDeep":
      return roomMin === 0
        ? t("No gap after the deep treatment that ends at {{after}}.", { after })
        : t("Only {{count}} min after the deep treatment that ends at {{after}}.", {
            count: roomMin,
            after,
            defaultValue_one: "Only {{count}} min after the deep treatment that ends at {{after}}.",
          });
    case "inRow":
      return t("Too many in a row without a gap until {{after}}.", { after });
  }
}
