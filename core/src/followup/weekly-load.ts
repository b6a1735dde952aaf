/**
 * The load of strengthening by week and region: torque × seconds under tension where something is held, seconds under tension × effort
 * where nothing is. A rise of more than a tenth over the last week that had any is named, beside the work of the same days, and so is a
 * load where there was none before.
 */
import * as v from "valibot";
import { daysBetween } from "../calendar";
import { Region, type Library } from "../library";
import { FIRST_LOAD, PALM_FROM_CREASE_M, torqueNm } from "../load";
import { torqueIn } from "../program";
import { boutsOf, heldIn, type Session } from "../session";
import { IsoDate } from "../units";

/** What is known of one run. */
export interface LoadedRun {
  /** Day it was led on. */
  day: string;
  /** As it was led, own forms included. */
  session: Session;
  items: readonly { itemId: string; status: "done" | "part" | "skipped"; plannedSec: number; doneSec: number }[];
  people: readonly { personId: string; present: boolean; effort: number | null; leftOut: readonly string[] }[];
}

/** `torque`: N·m × seconds under tension a side. `effort`: seconds under tension × effort ÷ 10 a side. */
const LoadKind = v.picklist(["torque", "effort"]);
export type LoadKind = v.InferOutput<typeof LoadKind>;

export const LoadRise = v.strictObject({
  region: Region,
  kind: LoadKind,
  /** First day of the week that rose. */
  weekStart: IsoDate,
  /** First day of the week it is compared with: the last that had any. Null where there was none before. */
  againstWeek: v.nullable(IsoDate),
  /** Means of the people who took part in the week it is compared with and in this one. */
  before: v.number(),
  after: v.number(),
  /** Share it rose by, above 0.1; null from nothing. */
  rise: v.nullable(v.number()),
});
export type LoadRise = v.InferOutput<typeof LoadRise>;

/** More than this over the last week that had any is named. Practice rule. */
export const NOTABLE_RISE = 0.1;
/** Weeks at the start in which a rise is what was planned. */
const WEEKS_TO_SETTLE = 2;
/** Something held where nothing was before is named when it is more than a first load may be, N·m. */
const FIRST_LOAD_NM = torqueNm(
  { name: "", kind: "weight", massKg: FIRST_LOAD.mostKg },
  { axis: "bend", handling: "palm" },
  null,
  PALM_FROM_CREASE_M,
);

interface Load {
  mean: number;
  /** The most that was held at once, N·m. */
  mostNm: number;
}

/**
 * @param weekStarts first days of the weeks looked at, in order
 * @param startedOn first day of the crew's runs, also before the weeks looked at; the first two weeks from it are never named
 * @returns rises by week, then the steepest first
 */
export function loadRises(
  library: Library,
  runs: readonly LoadedRun[],
  weekStarts: readonly string[],
  startedOn = weekStarts[0]!,
): LoadRise[] {
  const weeks = weekStarts.map((from, i) =>
    meansOf(
      library,
      runs.filter(({ day }) => day >= from && (i + 1 === weekStarts.length || day < weekStarts[i + 1]!)),
    ),
  );
  return weeks.flatMap((loads, i) =>
    daysBetween(startedOn, weekStarts[i]!) < 7 * (WEEKS_TO_SETTLE - 1) + 1
      ? []
      : [...loads].flatMap(([key, after]) => riseIn(key, after, weeks.slice(0, i), weekStarts, i)).sort(bySteepness),
  );
}

function riseIn(key: string, after: Load, earlier: readonly Map<string, Load>[], weekStarts: readonly string[], i: number): LoadRise[] {
  const [kind, region] = key.split(" ") as [LoadKind, Region];
  const last = earlier.findLastIndex((week) => (week.get(key)?.mean ?? 0) > 0);
  const named = { region, kind, weekStart: weekStarts[i]!, after: after.mean };
  if (last >= 0) {
    const before = earlier[last]!.get(key)!.mean;
    const rise = after.mean / before - 1;
    return rise > NOTABLE_RISE + 1e-9 ? [{ ...named, againstWeek: weekStarts[last]!, before, rise }] : [];
  }
  const fromNothing = i > 0 && kind === "torque" && after.mostNm > FIRST_LOAD_NM + 1e-9;
  return fromNothing ? [{ ...named, againstWeek: null, before: 0, rise: null }] : [];
}

function bySteepness(a: LoadRise, b: LoadRise): number {
  return (b.rise ?? Infinity) === (a.rise ?? Infinity) ? a.region.localeCompare(b.region) : (b.rise ?? Infinity) - (a.rise ?? Infinity);
}

/** `kind region` → load of a week for each person who took part in it. */
function meansOf(library: Library, runs: readonly LoadedRun[]): Map<string, Load> {
  const sums = new Map<string, { sum: number; mostNm: number }>();
  const took = { torque: new Set<string>(), effort: new Set<string>() };
  for (const run of runs)
    for (const person of run.people) {
      if (!person.present) continue;
      took.torque.add(person.personId);
      if (person.effort !== null) took.effort.add(person.personId);
      for (const { kind, amount, torque, regions } of loadsOf(library, run, person))
        for (const region of regions) {
          const known = sums.get(`${kind} ${region}`) ?? { sum: 0, mostNm: 0 };
          sums.set(`${kind} ${region}`, { sum: known.sum + amount, mostNm: Math.max(known.mostNm, torque) });
        }
    }
  return new Map([...sums].map(([key, { sum, mostNm }]) => [key, { mean: sum / took[key.split(" ")[0] as LoadKind].size, mostNm }]));
}

/** What one person's strengthening in one run amounts to. Unloaded, and without an answer about effort, it says nothing. */
function loadsOf(
  library: Library,
  { session, items }: LoadedRun,
  { personId, effort, leftOut }: LoadedRun["people"][number],
): { kind: LoadKind; amount: number; torque: number; regions: readonly string[] }[] {
  return items.flatMap(({ itemId, status, plannedSec, doneSec }): ReturnType<typeof loadsOf> => {
    const item = session.items.find(({ id }) => id === itemId);
    if (!item || status === "skipped" || leftOut.includes(itemId) || library.find(item.movementId)?.phase !== "strengthen") return [];
    const share = status === "done" || plannedSec <= 0 ? 1 : Math.min(1, doneSec / plannedSec);
    const own = item.personal[personId];
    const { count, tensionSec } = boutsOf(own?.dose ?? item.dose);
    const torque = torqueIn(library)({
      movementId: item.movementId,
      formId: own?.formId ?? item.formId,
      held: heldIn(item, library.timings, own),
    });
    const regions = library.tensionRegions(item.movementId);
    if (torque > 0) return [{ kind: "torque", amount: share * count * tensionSec * torque, torque, regions }];
    return effort === null ? [] : [{ kind: "effort", amount: (share * count * tensionSec * effort) / 10, torque: 0, regions }];
  });
}
