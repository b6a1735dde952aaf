/**
 * The load of strengthening by week and region: repetitions × torque where there is a load, seconds under tension × effort where there is
 * none. A rise of more than a tenth from one week to the next is named from the third week on, beside the work of the same days.
 */
import { findMovement, tensionRegions, type Region } from "../library";
import { supportedWristTorqueNm } from "../load";
import { boutsOf, type Session } from "../session";

/** What is known of one run. */
export interface LoadedRun {
  /** Day it was led on. */
  day: string;
  /** As it was led, own forms included. */
  session: Session;
  items: readonly { itemId: string; status: "done" | "part" | "skipped"; plannedSec: number; doneSec: number }[];
  people: readonly { personId: string; present: boolean; effort: number | null; leftOut: readonly string[] }[];
}

/** `torque`: N·m × repetitions a side. `effort`: seconds × effort 0–10 a side. */
export type LoadKind = "torque" | "effort";

export interface LoadRise {
  region: Region;
  kind: LoadKind;
  /** First day of the week that rose. */
  weekStart: string;
  /** Means of the people who took part that week, the week before and this one. */
  before: number;
  after: number;
  /** Share it rose by, above 0.1. */
  rise: number;
}

/** More than this from one week to the next is named. Practice rule. */
export const NOTABLE_RISE = 0.1;
/** Weeks at the start in which a rise is what was planned. */
const WEEKS_TO_SETTLE = 2;

/** @param weekStarts first days of the weeks looked at, in order @returns rises by week, then the steepest first */
export function loadRises(runs: readonly LoadedRun[], weekStarts: readonly string[]): LoadRise[] {
  const weeks = weekStarts.map((from, i) =>
    meansOf(runs.filter(({ day }) => day >= from && (i + 1 === weekStarts.length || day < weekStarts[i + 1]!))),
  );
  return weeks.flatMap((means, i) =>
    i < WEEKS_TO_SETTLE
      ? []
      : [...means]
          .flatMap(([key, after]): LoadRise[] => {
            const before = weeks[i - 1]!.get(key) ?? 0;
            const [kind, region] = key.split(" ") as [LoadKind, Region];
            const rise = after / before - 1;
            return before > 0 && rise > NOTABLE_RISE + 1e-9 ? [{ region, kind, weekStart: weekStarts[i]!, before, after, rise }] : [];
          })
          .sort((a, b) => b.rise - a.rise || a.region.localeCompare(b.region)),
  );
}

/** `kind region` → load of a week for each person who took part in it. */
function meansOf(runs: readonly LoadedRun[]): Map<string, number> {
  const sums = new Map<string, number>();
  const took = { torque: new Set<string>(), effort: new Set<string>() };
  for (const run of runs)
    for (const person of run.people) {
      if (!person.present) continue;
      took.torque.add(person.personId);
      if (person.effort !== null) took.effort.add(person.personId);
      for (const { kind, amount, regions } of loadsOf(run, person))
        for (const region of regions) sums.set(`${kind} ${region}`, (sums.get(`${kind} ${region}`) ?? 0) + amount);
    }
  return new Map([...sums].map(([key, sum]) => [key, sum / took[key.split(" ")[0] as LoadKind].size]));
}

/** What one person's strengthening in one run amounts to. Unloaded, and without an answer about effort, it says nothing. */
function loadsOf(
  { session, items }: LoadedRun,
  { personId, effort, leftOut }: LoadedRun["people"][number],
): { kind: LoadKind; amount: number; regions: readonly string[] }[] {
  return items.flatMap(({ itemId, status, plannedSec, doneSec }): ReturnType<typeof loadsOf> => {
    const item = session.items.find(({ id }) => id === itemId);
    if (!item || status === "skipped" || leftOut.includes(itemId) || findMovement(item.movementId)?.phase !== "strengthen") return [];
    const share = status === "done" || plannedSec <= 0 ? 1 : Math.min(1, doneSec / plannedSec);
    const own = item.personal[personId];
    const { count, repsPerBout, tensionSec } = boutsOf(own?.dose ?? item.dose);
    const loadKg = own?.loadKg === undefined ? item.loadKg : own.loadKg;
    const regions = tensionRegions(item.movementId);
    if (loadKg !== null && repsPerBout > 0)
      return [{ kind: "torque", amount: share * count * repsPerBout * supportedWristTorqueNm(loadKg), regions }];
    return effort === null ? [] : [{ kind: "effort", amount: share * count * tensionSec * effort, regions }];
  });
}
