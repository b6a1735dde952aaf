/** The change that helps most by every method, and what it does to the others. */
import type { HandSide } from "../units";
import { isReading, placeOnScale, type MethodId } from "./methods/method";
import { opinionsOfTask } from "./opinions";
import { effortsOf, type Task } from "./task";
import { workableChanges, type Changed } from "./what-if";

/** Besides single changes, two ways of doing the same work otherwise; they help one method at the cost of another. */
export type Trade = Omit<Changed, "factor"> & { factor: "lighterMoreOften" | "fewerLonger" };

export interface Weighed {
  change: Changed | Trade;
  /** Where each method that has something to say would be on the shared scale, and where it is now. */
  places: { method: MethodId; before: number; after: number }[];
}

export interface Advised {
  /** What all of them together gain most from: it brings the strictest opinion furthest down. */
  first: Weighed;
  /** For each method the change that helps it most; methods with the same change are told together. */
  byMethod: { methods: MethodId[]; best: Weighed }[];
}

/** Smaller is no help on the scale. */
const NO_HELP = 0.005;

/** @returns null where no change helps by any method */
export function adviceOfAll(task: Task, side: HandSide, hours: number): Advised | null {
  const before = places(task, side, hours);
  const weighed = [...workableChanges(task, side, hours), ...trades(task, side, hours)].map((change): Weighed => {
    const after = places(change.task, side, change.hours);
    // A method that has nothing to say any more says that it is fine.
    return { change, places: [...before].map(([method, place]) => ({ method, before: place, after: after.get(method) ?? 0 })) };
  });
  const byMethod: Advised["byMethod"] = [];
  for (const method of before.keys()) {
    const gain = (each: Weighed) => {
      const at = each.places.find((place) => place.method === method)!;
      return at.before - at.after;
    };
    const best = weighed.reduce((most, each) => (gain(each) > gain(most) + 1e-12 ? each : most));
    if (gain(best) < NO_HELP) continue;
    const same = byMethod.find((each) => each.best === best);
    if (same) same.methods.push(method);
    else byMethod.push({ methods: [method], best });
  }
  if (byMethod.length === 0) return null;
  const left = ({ places: all }: Weighed) => {
    const after = all.map((place) => place.after);
    // The strictest opinion first; where it cannot be moved, all of them.
    return Math.max(...after) + after.reduce((sum, place) => sum + place, 0) / (100 * after.length);
  };
  return { first: weighed.reduce((best, each) => (left(each) < left(best) - 1e-12 ? each : best)), byMethod };
}

function places(task: Task, side: HandSide, hours: number): Map<MethodId, number> {
  return new Map(
    opinionsOfTask(task, side, hours).flatMap(({ method, of }) => (isReading(of) ? [[method.id, placeOnScale(of)] as const] : [])),
  );
}

/** A point lighter and so much more often that the work is the same; half as many efforts, each twice as long. */
function trades(task: Task, side: HandSide, hours: number): Trade[] {
  return effortsOf(task, side).flatMap((effort): Trade[] => {
    const withEffort = (changed: typeof effort) => ({
      ...task,
      efforts: task.efforts.map((each) => (each.id === effort.id ? changed : each)),
    });
    const lighter = effort.effort - 1;
    const rate = lighter >= 1 ? (effort.perMin * effort.effort) / lighter : Infinity;
    return [
      ...(rate * effort.secEach <= 60
        ? [
            {
              factor: "lighterMoreOften" as const,
              effortId: effort.id,
              from: effort.effort,
              to: lighter,
              hours,
              task: withEffort({ ...effort, effort: lighter, perMin: rate }),
            },
          ]
        : []),
      {
        factor: "fewerLonger",
        effortId: effort.id,
        from: effort.perMin,
        to: effort.perMin / 2,
        hours,
        task: withEffort({ ...effort, perMin: effort.perMin / 2, secEach: effort.secEach * 2 }),
      },
    ];
  });
}
