/** The week that is being planned and the crew's standing plan with it, as one document; and what they come to on the calendar. */
import { useMemo } from "react";
import type { WeekPlanEntry } from "@kind-grip/core/api";
import { addDays, shiftOf, shiftsFrom, type Shift } from "@kind-grip/core/calendar";
import {
  clashesOf,
  layPlan,
  WEEK_DOCUMENT,
  type Clash,
  type LaidPlacement,
  type Placed,
  type WeekDraft,
  type WeekPlanned,
} from "@kind-grip/core/dayplan";
import type { CrewEntry } from "@kind-grip/core/api";
import { useOwner } from "../base/api";
import { useLibrary } from "../base/library";
import { useDocument, type EditedDocument } from "../document/use-document";
import { dayPlanApi } from "./api";
import { placedOf, type PlaceableSession } from "./placed";

/** Weeks ahead that are looked at for what does not work out. */
export const WEEKS_AHEAD = 8;

export interface Planned {
  document: EditedDocument<WeekDraft>;
  plan: WeekPlanned;
  change(next: WeekPlanned): void;
  /** Shifts from two days before the week to the last of the weeks ahead. */
  shifts: readonly Shift[];
  /** Everything laid on them, of this week and around it. */
  laid: readonly LaidPlacement[];
  /** The same with sessions and lengths, without those whose session is gone. */
  placed: readonly Placed[];
  /** Of this week. */
  clashes: readonly Clash[];
  laidById: ReadonlyMap<string, LaidPlacement>;
  shiftAt(atMs: number): Shift | undefined;
}

/** @param entry as the server has it when the page opens */
export function usePlan(crew: CrewEntry, entry: WeekPlanEntry, sessions: readonly PlaceableSession[]): Planned {
  const library = useLibrary();
  const [save] = dayPlanApi.useSavePlanMutation();
  const owner = useOwner();
  const { crewId, weekStart, version } = entry;
  // A session that was taken out of its program since leaves the plan with the next change.
  const placements = useMemo(() => entry.placements.filter((each) => placedOf([each], sessions).length > 0), [entry.placements, sessions]);
  const document = useDocument<WeekDraft>({
    draft: { storage: localStorage, owner, id: `${crewId}/${weekStart}`, of: WEEK_DOCUMENT },
    start: { version, value: { placements, standing: entry.standing } },
    save: (from, value) => save({ crewId, weekStart, version: from, ...value }),
    theirsFrom: (detail) => {
      const newer = detail as WeekPlanEntry | undefined;
      return newer?.placements ? { version: newer.version, value: { placements: newer.placements, standing: newer.standing } } : null;
    },
    // Another week of the crew changes the standing plan too.
    takesNewer: true,
  });
  const plan = useMemo(
    () => ({ placements: document.value.placements, standing: document.value.standing ?? entry.standing }),
    [document.value, entry.standing],
  );
  const { change } = document;
  const { shiftPattern, timeZone } = crew;
  const { shifts, laid, placed, clashes, laidById } = useMemo(() => {
    const from = addDays(weekStart, -2);
    const days = 4 + 7 * WEEKS_AHEAD;
    const shifts = shiftsFrom(shiftPattern, timeZone, from, days);
    const laid = layPlan(
      { standing: plan.standing, placements: [...plan.placements, ...entry.neighbours], kept: entry.kept },
      { shiftPattern, timeZone },
      from,
      days,
    );
    const placed = placedOf(laid, sessions);
    const laidById = new Map(laid.map((each) => [each.id, each]));
    const isHere = (date: string) => date >= weekStart && date < addDays(weekStart, 7);
    const nearby = placed.filter(({ id }) => laidById.get(id)!.date < addDays(weekStart, 9));
    const near = shifts.filter(({ date }) => date < addDays(weekStart, 9));
    const clashes = clashesOf(library, nearby, near, timeZone).filter((clash) =>
      clash.placementIds.length > 0 ? clash.placementIds.some((id) => isHere(laidById.get(id)!.date)) : isHere(clash.date),
    );
    return { shifts, laid, placed, clashes, laidById };
  }, [plan, entry.neighbours, entry.kept, shiftPattern, timeZone, weekStart, sessions, library]);
  return {
    document,
    plan,
    change: (next) => change({ placements: [...next.placements], standing: next.standing }),
    shifts,
    laid,
    placed,
    clashes,
    laidById,
    shiftAt: (atMs) => shiftOf(shifts, atMs),
  };
}
