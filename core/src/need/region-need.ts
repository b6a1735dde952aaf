/**
 * Region need, 0–100 per region and hand, with its working. A planning aid: it says where the work and the findings ask for
 * attention first. It is not a validated risk score and says nothing about injury.
 */
import { REGIONS, type Region } from "../library";
import { effortsOf, minutesByTask, type Effort, type Task, type Work, type WorkDay } from "../strain";
import { HAND_SIDES, type HandSide } from "../units";
import { dutyOf, posturesOf } from "./postures";
import { GRIP_SHARES, HARDER, POSTURE_SHARES, type Shares } from "./shares";

/** Each so many load minutes close half of what is left to 100: 30 → 50, 60 → 75, 90 → 88. */
export const HALVING_LOAD_MIN = 30;

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
  /** The product of the five. */
  loadMin: number;
}

export interface RegionNeed {
  side: HandSide;
  region: Region;
  /** 0–100. */
  need: number;
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
  if (posturesOf(task, effort).includes("wristTilted")) add(POSTURE_SHARES[effort.tiltDeg > 0 ? "tiltLittleSide" : "tiltThumbSide"]);
  if (effort.turn === "palmUp") add(POSTURE_SHARES.palmUp);
  return shares;
}

/**
 * Load minutes = Σ minutes × duty × effort/10 × share × vibration and cold; need = 100·(1 − 2^(−load/30)) + what findings add, at most 100.
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
      const need = Math.min(100, fromWork + added.reduce((sum, { points }) => sum + points, 0));
      return { side, region, need, loadMin, fromWork, parts: own, added };
    });
  });
}

function partsOf(work: Work, day: WorkDay, side: HandSide): Map<Region, LoadPart[]> {
  const found = new Map<Region, LoadPart[]>();
  for (const [taskId, minutes] of minutesByTask(day)) {
    const task = work.tasks.find((each) => each.id === taskId);
    if (!task) continue;
    const harder = HARDER.vibration[task.vibration] * (task.cold ? HARDER.cold : 1);
    for (const effort of effortsOf(task, side)) {
      const duty = dutyOf(effort);
      const intensity = effort.effort / 10;
      for (const [region, share] of Object.entries(sharesOf(task, effort)) as [Region, number][]) {
        const part = {
          taskId,
          effortId: effort.id,
          minutes,
          duty,
          intensity,
          share,
          harder,
          loadMin: minutes * duty * intensity * share * harder,
        };
        found.set(region, [...(found.get(region) ?? []), part]);
      }
    }
  }
  return found;
}
