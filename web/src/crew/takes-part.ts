/** What somebody may take part in, in a word or two. */
import { FULL_PARTICIPATION, type Participation, type Participations } from "@kind-grip/core/safety";
import { t } from "../base/words";

/** Whether anything keeps them out of anything. */
export const isLimited = (participation: Participation | undefined): boolean =>
  participation !== undefined &&
  (participation.heldOut ||
    participation.outOf.length > 0 ||
    participation.shortOfEndDeg !== null ||
    participation.cappedRegions.length > 0);

/**
 * In a few words and without any reason: reasons are on the page of who is held out.
 * @param participations undefined while nobody knows: nothing is claimed then
 */
export function takesPart(participations: Participations | undefined, personId: string): string {
  if (!participations) return t("not known yet");
  const participation = participations.get(personId) ?? FULL_PARTICIPATION;
  if (participation.heldOut) return t("held out");
  const out = participation.outOf.length > 0;
  const limited = participation.shortOfEndDeg !== null || participation.cappedRegions.length > 0;
  return out ? t("not every item") : limited ? t("everything, with limits") : t("everything");
}
