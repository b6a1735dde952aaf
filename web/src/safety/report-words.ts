/** A report in one line, for the trainer: what, where, how bad, in their own words, when. */
import type { PersonAlert } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import { DateTime } from "luxon";

const FROM = { report: "told on the phone", checkIn: "this morning's answer", run: "marked in a run" } as const;

export function reportWords(report: PersonAlert["reports"][number], words: Words, timeZone: string): string {
  const { kind, side, regions, movementId, level, words: own, cause, at } = report;
  const places = regions.map((region) => words.label("place", region).toLowerCase()).join(", ");
  return [
    kind === "morning" ? `A morning of ${level ?? "?"} of 10` : words.member(`reportKind.${kind}`),
    [side && words.label("side", side).toLowerCase(), places].filter(Boolean).join(", "),
    movementId && `at ${words.movementName(movementId).toLowerCase()}`,
    own && `“${own}”`,
    `${FROM[cause]}, ${DateTime.fromISO(at, { zone: timeZone }).toFormat("d LLL HH:mm")}`,
  ]
    .filter(Boolean)
    .join(" · ");
}

/** What is paused by some reports that pause. */
export function pausedWords(reports: PersonAlert["reports"], words: Words): string {
  const pausing = reports.filter(({ pauses }) => pauses);
  if (pausing.length === 0) return "Nothing is paused.";
  if (pausing.some(({ regions }) => regions.length === 0)) return "Everything is paused.";
  const places = [...new Set(pausing.flatMap(({ regions }) => regions))].map((region) => words.label("place", region).toLowerCase());
  return `Paused: everything at the ${places.join(", ")}.`;
}
