/** Clashes that stop, from today on, with the smallest mend of each; the same trouble day after day is one. */
import { useDeferredValue, useMemo } from "react";
import { brokenDays, movedOnce, takenOutOnce, type BrokenDay, type Clash } from "@kind-grip/core/dayplan";
import { grouped } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { t } from "../base/words";
import type { Planned } from "./use-plan";

export interface Mends {
  /** Of this week and of the weeks ahead, alike ones together. */
  alike: BrokenDay[][];
  /** Those of a clash; undefined for one that needs none. */
  of(clash: Clash): BrokenDay[] | undefined;
  mend(days: readonly BrokenDay[]): void;
  /** What mending them does, as a button says it. */
  text(days: readonly BrokenDay[]): string;
}

/** @param fromDate nothing before it is mended @param led ids of what was led: it stays */
export function useMends(planned: Planned, timeZone: string, fromDate: string, led: ReadonlySet<string>): Mends {
  const library = useLibrary();
  const { plan, change } = planned;
  // Looked for after what was pressed is on the screen.
  const { placed, shifts, laidById } = useDeferredValue(planned);
  const ledIds = [...led].sort().join(" ");
  const alike = useMemo(() => {
    const stays = new Set(ledIds.split(" "));
    const days = brokenDays(library, placed, shifts, timeZone, fromDate, (id) => !laidById.get(id)?.kept && !stays.has(id));
    return [...grouped(days, (day) => likeness(day, { placed, laidById })).values()];
  }, [library, placed, shifts, laidById, timeZone, fromDate, ledIds]);
  return {
    alike,
    of: (clash) => {
      const key = clashKey(clash);
      return alike.find((days) => days.some((day) => clashKey(day.clash) === key));
    },
    mend: (days) =>
      change(
        days.reduce((before, { placementId, startMs }) => {
          const laid = planned.laidById.get(placementId);
          if (!laid) return before;
          return startMs === null ? takenOutOnce(before, laid) : movedOnce(before, laid, new Date(startMs).toISOString());
        }, plan),
      ),
    text: (days) => mendText(days, planned),
  };
}

function clashKey({ kind, date, placementIds }: Clash): string {
  return [kind, date, ...placementIds].join(" ");
}

function movedBy({ placementId, startMs }: BrokenDay, placed: Planned["placed"]): number | null {
  const own = placed.find(({ id }) => id === placementId);
  return startMs === null || !own ? null : startMs - own.startMs;
}

function likeness(day: BrokenDay, { placed, laidById }: Pick<Planned, "placed" | "laidById">): string {
  const of = day.clash.placementIds.map((id) => laidById.get(id)?.seriesId ?? id);
  return [day.clash.kind, ...of, movedBy(day, placed)].join(" ");
}

function mendText(days: readonly BrokenDay[], { placed }: Pick<Planned, "placed">): string {
  const by = movedBy(days[0]!, placed);
  const count = days.length;
  if (by === null) return t("Take it out on {{count}} days", { count, defaultValue_one: "Take it out on that day" });
  const min = Math.round(Math.abs(by) / 60_000);
  return by > 0
    ? t("Mend: {{min}} min later on {{count}} days", { min, count, defaultValue_one: "Mend: {{min}} min later" })
    : t("Mend: {{min}} min earlier on {{count}} days", { min, count, defaultValue_one: "Mend: {{min}} min earlier" });
}
