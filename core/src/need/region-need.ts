/**
 * Region need, 0–100 per region and hand, with its working. A planning aid: it says where the work and the findings ask for
 * attention first. It is not a validated risk score and says nothing about injury.
 */
import { REGIONS, type Region } from "../library";
import { effortsOf, minutesByTask, type Effort, type Task, type Work, type WorkDay } from "../strain";
import { HAND_SIDES, type HandSide } from "../units";
import { dutyOf, posturesOf } from "./postures";
import { GRIP_SHARES, EXERTION_FACTORS, POSTURE_SHARES, type Shares } from "./shares";

/** Each so many load minutes close half of what is left to 100: 60 → 50, 120 → 75, 180 → 88. */
export const HALVING_LOAD_MIN = 60;

/** What each kind of finding adds. Planning weights of this practice. */
export const ADDED_POINTS = { shortRange: 10, sideDifference: 10, rangeWithoutStrength: 10, weakGrip: 15, symptomPerPoint: 2 } as const;
export type AddedBy = "shortRange" | "sideDifference" | "rangeWithoutStrength" | "weakGrip" | "symptom";

export interface NeedFinding {
  side: HandSide;
  region: Region;
  by: AddedBy;
  points: number;
}

export interface LoadPart {
  taskId: string;
  effortId: string;
  minutes: number;
  duty: number;
  /** Effort 0–10 over ten. */
  intensity: number;
  share: number;
  /** Vibration and cold, 1 when neither. */
  harder: number;
  /** Its part of minutes × √(Σ share² · intensity³ · duty) × vibration and cold; of a task with one effort, all of it. */
  loadMin: number;
}

export interface RegionNeed {
  side: HandSide;
  region: Region;
  /** Need of relief, 0–100: work and all that was found. */
  need: number;
  /** Need of strength, 0–100: without symptoms. What hurts is relieved; it is never a reason to load more. */
  strengthNeed: number;
  loadMin: number;
  /** What the work alone gives, 0–100. */
  fromWork: number;
  parts: LoadPart[];
  added: NeedFinding[];
}

/** The share a region takes of an effort, 0–1: by grip, and more by posture. */
export function sharesOf(task: Pick<Task, "reach">, effort: Pick<Effort, "flexionDeg" | "tiltDeg" | "turn" | "grip">): Shares {
  const shares: Shares = { ...GRIP_SHARES[effort.grip] };
  const add = (more: Shares | undefined) => {
    for (const [region, share] of Object.entries(more ?? {}) as [Region, number][])
      shares[region] = Math.min(1, (shares[region] ?? 0) + share);
  };
  for (const posture of posturesOf(task, effort)) add(posture === "wristTilted" ? undefined : POSTURE_SHARES[posture]);
  if (posturesOf(task, effort).includes("wristTilted")) add(POSTURE_SHARES[effort.tiltDeg > 0 ? "ulnarDeviation" : "radialDeviation"]);
  if (effort.turn === "palmUp") add(POSTURE_SHARES.palmUp);
  return shares;
}

/**
 * Load minutes = Σ over tasks of minutes × √(Σ over efforts of share² · (effort/10)³ · duty) × vibration and cold; need =
 * 100·(1 − 2^(−load/60)) + what findings add, at most 100. The root of effort³ × duty is softer than damage counts and harder than
 * duty × effort: effort 1 all day comes to 16, effort 9 once a minute for a second to 46, effort 3 ten times a minute for 2 s to 41.
 * @param findings of one person; none for the crew's work alone
 * @returns one entry for each hand and region, regions in the library's order, left before right
 */
export function regionNeeds(work: Work, day: WorkDay | undefined, findings: readonly NeedFinding[] = []): RegionNeed[] {
  return HAND_SIDES.flatMap((side) => {
    const parts = day ? partsOf(work, day, side) : new Map<Region, LoadPart[]>();
    return REGIONS.map((region): RegionNeed => {
      const own = (parts.get(region) ?? []).sort((a, b) => b.loadMin - a.loadMin);
      const loadMin = own.reduce((sum, part) => sum + part.loadMin, 0);
      const fromWork = 100 * (1 - 2 ** (-loadMin / HALVING_LOAD_MIN));
      const added = findings.filter((finding) => finding.side === side && finding.region === region);
      const withAdded = (list: readonly NeedFinding[]) => Math.min(100, fromWork + list.reduce((sum, { points }) => sum + points, 0));
      const need = withAdded(added);
      const strengthNeed = withAdded(added.filter(({ by }) => by !== "symptom"));
      return { side, region, need, strengthNeed, loadMin, fromWork, parts: own, added };
    });
  });
}

function partsOf(work: Work, day: WorkDay, side: HandSide): Map<Region, LoadPart[]> {
  const found = new Map<Region, LoadPart[]>();
  for (const [taskId, minutes] of minutesByTask(day)) {
    const task = work.tasks.find((each) => each.id === taskId);
    if (!task) continue;
    const harder = EXERTION_FACTORS.vibration[task.vibration] * (task.cold ? EXERTION_FACTORS.cold : 1);
    const taken = new Map<Region, Omit<LoadPart, "loadMin">[]>();
    for (const effort of effortsOf(task, side)) {
      const of = { taskId, effortId: effort.id, minutes, duty: dutyOf(effort), intensity: effort.effort / 10, harder };
      for (const [region, share] of Object.entries(sharesOf(task, effort)) as [Region, number][])
        taken.set(region, [...(taken.get(region) ?? []), { ...of, share }]);
    }
    for (const [region, list] of taken) found.set(region, [...(found.get(region) ?? []), ...loadsOf(list)]);
  }
  return found;
}

/** What a region takes of one task, shared out over its efforts: an effort told in two halves comes to the same. */
function loadsOf(parts: readonly Omit<LoadPart, "loadMin">[]): LoadPart[] {
  const damage = ({ share, intensity, duty }: Omit<LoadPart, "loadMin">) => share ** 2 * intensity ** 3 * duty;
  const total = parts.reduce((sum, part) => sum + damage(part), 0);
  return parts.map((part) => ({
    ...part,
    loadMin: total === 0 ? 0 : part.minutes * part.harder * Math.sqrt(total) * (damage(part) / total),
  }));
}
