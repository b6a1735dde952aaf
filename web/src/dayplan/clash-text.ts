/** A clash in words: what is wrong, by how much, what the rule asks. */
import type { Clash } from "@kind-grip/core/dayplan";
import { hoursText } from "../base/hours";
import { t } from "../base/words";

/** @param nameOf display name of a placement @param regionName display name of a region */
export function clashText(clash: Clash, nameOf: (placementId: string) => string, regionName: (region: string) => string): string {
  const [first = "", second = ""] = clash.placementIds.map(nameOf);
  switch (clash.kind) {
    case "overlap":
      return t("{{first}} and {{second}} run at the same time for {{found}} min.", { first, second, found: clash.found });
    case "outsideShift":
      return t("{{first}} is a stretch break but lies outside the shift.", { first });
    case "notNearShift":
      return t("{{first}} is more than {{limit}} away from its shift.", { first, limit: hoursText(clash.limit) });
    case "longerThanBreak":
      return t("{{first}} takes {{found}} min, the break has {{limit}} min.", { first, found: clash.found, limit: clash.limit });
    case "sameKindTooClose":
      return t("{{first}} and {{second}} are {{found}} apart; the same kind needs {{limit}}.", {
        first,
        second,
        found: hoursText(clash.found),
        limit: hoursText(clash.limit),
      });
    case "strengthenTooClose":
      return t("{{first}} and {{second}} load the same tissue ({{regions}}) {{found}} apart; it needs {{limit}} to recover.", {
        first,
        second,
        regions: (clash.regions ?? []).map(regionName).join(", ").toLowerCase(),
        found: hoursText(clash.found),
        limit: hoursText(clash.limit),
      });
    case "tooManyGlides":
      return t("{{found}} sessions with glides in a day; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "tooMuchMobility":
      return t("{{found}} sessions with mobility or stretching in a day; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "tooManyStrengthDays":
      return t("Strengthening on {{found}} days of the week; at most {{limit}}.", { found: clash.found, limit: clash.limit });
    case "workTooLong":
      return t("{{found}} of hand work without a break or a session; {{limit}} is the most.", {
        found: hoursText(clash.found),
        limit: hoursText(clash.limit),
      });
    case "restTooShort":
      return clash.found < 0
        ? t("The shift begins {{found}} before the last one has ended: nobody can work both.", { found: hoursText(-clash.found) })
        : t("{{found}} of rest since the last shift; with less than {{limit}} sleep is cut short.", {
            found: hoursText(clash.found),
            limit: hoursText(clash.limit),
          });
  }
}
