/** What stands in the way of leading two sessions, in words. */
import type { OwnWeek } from "@kind-grip/core/api";
import type { LeaderClash } from "@kind-grip/core/dayplan";
import { timeAmong } from "../base/clock-places";
import { t } from "../base/words";
import { zonesOf } from "./week-view";

export function clashText({ kind, ids, leaderId, found, needed }: LeaderClash, week: OwnWeek): string {
  const { entries, leaders, me } = week;
  const later = entries.find(({ placementId }) => placementId === ids[1])!;
  const next = `${timeAmong(Date.parse(later.startsAt), later.timeZone, zonesOf(week))} ${later.sessionName}`;
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
