/** A report in one line, for the trainer: what, where, how bad, in their own words, when. */
import type { PersonAlert } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import { DateTime } from "luxon";
import { t } from "../base/words";
import { dateText } from "../base/dates";

const FROM = {
  report: t("told on the phone"),
  checkIn: t("this morning's answer"),
  run: t("marked in a run"),
  selfCheck: t("answered before a round"),
} as const;

export function reportWords(report: PersonAlert["reports"][number], words: Words, timeZone: string): string {
  const { kind, side, regions, movementId, level, words: own, cause, at } = report;
  const places = regions.map((region) => words.label("place", region).toLowerCase()).join(", ");
  return [
    kind === "morning" ? t("A morning of {{level}} of 10", { level: level ?? "?" }) : words.member(`reportKind.${kind}`),
    [side && words.label("side", side).toLowerCase(), places].filter(Boolean).join(", "),
    movementId && t("at {{name}}", { name: words.movementName(movementId).toLowerCase() }),
    own && `“${own}”`,
    `${FROM[cause]}, ${dateText(DateTime.fromISO(at, { zone: timeZone }), "d LLL HH:mm")}`,
  ]
    .filter(Boolean)
    .join(" · ");
}

/** What is paused by some reports that pause. */
export function pausedWords(reports: PersonAlert["reports"], words: Words): string {
  const pausing = reports.filter(({ pauses }) => pauses);
  if (pausing.length === 0) return t("Nothing is paused.");
  if (pausing.some(({ regions }) => regions.length === 0)) return t("Everything is paused.");
  const places = [...new Set(pausing.flatMap(({ regions }) => regions))].map((region) => words.label("place", region).toLowerCase());
  return t("Paused: everything at the {{places}}.", { places: places.join(", ") });
}
