/** What stands in the way of leading two sessions, in words. */
import type { OwnWeek } from "@kind-grip/core/api";
import type { LeaderClash } from "@kind-grip/core/dayplan";
import { timeText } from "../base/dates";
import { t } from "../base/words";

export function clashText({ kind, ids, leaderId, found, needed }: LeaderClash, { entries, leaders, me }: OwnWeek): string {
  const later = entries.find(({ placementId }) => placementId === ids[1])!;
  const next = `${timeText(Date.parse(later.startsAt), later.timeZone)} ${later.sessionName}`;
  const who = leaderId === me ? "" : `${leaders.find(({ id }) => id === leaderId)?.name ?? ""}: `;
  switch (kind) {
    case "twoAtOnce":
      return `${who}${t("{{next}} runs at the same time for {{found}} min", { next, found })}`;
    case "tooFar":
      return `${who}${t("{{found}} min to {{next}} at {{place}}, the way takes {{needed}}", { found, next, place: later.place, needed })}`;
    case "unknownWay":
      return `${who}${t("{{found}} min to {{place}}; how long the way takes is not entered", { found, place: later.place })}`;
  }
}
