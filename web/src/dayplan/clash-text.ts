/** A clash in words: what is wrong, by how much, what the rule asks. */
import type { Clash } from "@kind-grip/core/dayplan";
import { t } from "../base/words";

/** @param nameOf display name of a placement @param regionName display name of a region */
export function clashText(clash: Clash, nameOf: (placementId: string) => string, regionName: (region: string) => string): string {
  const [first = "", second = ""] = clash.placementIds.map(nameOf);
  const hours = (min: number) =>
    min >= 60 ? `${Math.floor(min / 60)} h${min % 60 ? ` ${t("{{min}} min", { min: min % 60 })}` : ""}` : t("{{min}} min", { min });
  switch (clash.kind) {
    case "overlap":
      return t("{{first}} and {{second}} run at the same time for {{found}} min.", { first, second, found: clash.found });
    case "outsideShift":
      return t("{{first}} is a stretch break but lies outside the shift.", { first });
    case "notNearShift":
      return t("{{first}} is more than {{limit}} away from its shift.", { first, limit: hours(clash.limit) });
    case "longerThanBreak":
      return t("{{first}} takes {{found}} min, the break has {{limit}} min.", { first, found: clash.found, limit: clash.limit });
    case "sameKindTooClose":
      return t("{{first}} and {{second}} are {{found}} apart; the same kind needs {{limit}}.", {
        first,
        second,
        found: hours(clash.found),
        limit: hours(clash.limit),
      });
    case "strengthenTooClose":
      return t("{{first}} and {{second}} load the same tissue ({{regions}}) {{found}} apart; it needs {{limit}} to recover.", {
        first,
        second,
        regions: (clash.regions ?? []).map(regionName).join(", ").toLowerCase(),
        found: hours(clash.found),
        limit: hours(clash.limit),
      });
    case "tooManyGlides":
      return t("{{found}} sessions with glides in a day; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "tooMuchMobility":
      return t("{{found}} sessions with mobility or stretching in a day; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "tooManyStrengthDays":
      return t("Strengthening on {{found}} days of the week; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "workTooLong":
      return t("{{found}} of hand work without a break or a session; {{limit}} is the most.", {
        found: hours(clash.found),
        limit: hours(clash.limit),
      });
  }
}
