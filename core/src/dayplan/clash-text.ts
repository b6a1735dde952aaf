/** A clash in words: what is wrong, by how much, what the rule asks. */
import type { Clash } from "./clashes";

/** @param nameOf display name of a placement @param regionName display name of a region */
export function clashText(clash: Clash, nameOf: (placementId: string) => string, regionName: (region: string) => string): string {
  const [first = "", second = ""] = clash.placementIds.map(nameOf);
  const hours = (min: number) => (min >= 60 ? `${Math.floor(min / 60)} h${min % 60 ? ` ${min % 60} min` : ""}` : `${min} min`);
  switch (clash.kind) {
    case "overlap":
      return `${first} and ${second} run at the same time for ${clash.found} min.`;
    case "outsideShift":
      return `${first} is a stretch break but lies outside the shift.`;
    case "notNearShift":
      return `${first} is more than ${hours(clash.limit)} away from its shift.`;
    case "longerThanBreak":
      return `${first} takes ${clash.found} min, the break has ${clash.limit} min.`;
    case "sameKindTooClose":
      return `${first} and ${second} are ${hours(clash.found)} apart; the same kind needs ${hours(clash.limit)}.`;
    case "strengthenTooClose":
      return `${first} and ${second} load the same tissue (${(clash.regions ?? []).map(regionName).join(", ").toLowerCase()}) ${hours(clash.found)} apart; it needs ${hours(clash.limit)} to recover.`;
    case "tooManyGlides":
      return `${clash.found} sessions with glides in a day; at most ${clash.limit}.`;
    case "tooMuchMobility":
      return `${clash.found} sessions with mobility or stretching in a day; at most ${clash.limit}.`;
    case "tooManyStrengthDays":
      return `Strengthening on ${clash.found} days of the week; at most ${clash.limit}.`;
    case "workTooLong":
      return `${hours(clash.found)} of hand work without a break or a session; ${hours(clash.limit)} is the most.`;
  }
}
