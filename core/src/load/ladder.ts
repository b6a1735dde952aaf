/** What the kit at hand amounts to for one movement: every load in one order of torque on its axis, the next step, and substitutes. */
import { GRAVITY } from "./gravity";
import { gripMarks, HAND_HALF_M } from "./lever";
import { leverOf, PALM_FROM_CREASE_M, torqueNm, type LoadUse, type Tool } from "./tool";

export interface Load {
  tool: Tool;
  /** On the axis of the movement. */
  torqueNm: number;
  /** Where the hand is, m from the near end; null for a weight held in its middle. */
  gripM: number | null;
}

/** A step of more than this is marked: rule 6, at most 10 % of torque where the kit allows it. */
export const SMALL_STEP = 0.1;
/** Loads closer than this are one rung; less than this is none, N·m. */
const SAME_NM = 0.005;
const LEAST_NM = 0.02;

/** Every load of the kit on the axis of a movement, pieces and grips, lightest first. @param reachM wrist crease to the middle of the palm, m */
export function loadLadder(tools: readonly Tool[], use: LoadUse, reachM = PALM_FROM_CREASE_M): Load[] {
  return tools
    .flatMap((tool) => gripsOf(tool, use).map((gripM): Load => ({ tool, gripM, torqueNm: torqueNm(tool, use, gripM, reachM) })))
    .filter((load) => load.torqueNm > LEAST_NM)
    .sort((a, b) => a.torqueNm - b.torqueNm);
}

/** How a tool can be held for a use: a weight in its middle, and at its end where it has one; a shaft at its marks. */
function gripsOf(tool: Tool, { handling }: LoadUse): (number | null)[] {
  if (handling === "palm") return tool.kind === "weight" ? [null] : [];
  if (tool.kind === "lever") return gripMarks(tool);
  return tool.lengthM === undefined ? [null] : [null, HAND_HALF_M];
}

export interface Step {
  load: Load;
  /** Change of what is lifted or turned, as a share of where one comes from. */
  share: number;
  /** More than the small step that rule 6 asks for. */
  large: boolean;
}

/**
 * The nearest heavier load; undefined when the kit has none.
 * @param fromNm torque now @param handNm what the hand itself adds: a step is judged on the whole
 */
export function stepUp(ladder: readonly Load[], fromNm: number, handNm = 0): Step | undefined {
  const load = ladder.find((each) => each.torqueNm > fromNm + SAME_NM);
  return load && stepTo(load, fromNm, handNm);
}

/** The nearest lighter load; undefined when the kit has none. */
export function stepDown(ladder: readonly Load[], fromNm: number, handNm = 0): Step | undefined {
  const load = ladder.findLast((each) => each.torqueNm < fromNm - SAME_NM);
  return load && stepTo(load, fromNm, handNm);
}

/** The step a week takes: the largest that is still small; where there is none, the nearest heavier load, marked. */
export function weeklyStep(ladder: readonly Load[], fromNm: number, handNm = 0): Step | undefined {
  const up = ladder.filter((each) => each.torqueNm > fromNm + SAME_NM).map((load) => stepTo(load, fromNm, handNm));
  return up.findLast(({ large }) => !large) ?? up[0];
}

export function stepTo(load: Load, fromNm: number, handNm = 0): Step {
  const share = (load.torqueNm + handNm) / (fromNm + handNm) - 1;
  return { load, share, large: Math.abs(share) > SMALL_STEP + 1e-9 };
}

export interface Substitute extends Load {
  /** How far off it is, as a share of the wanted torque; 0 for a lever gripped at the right place. */
  offShare: number;
}

/** The same torque on the same axis from every tool that can give it nearly: levers at the right grip, weights as they are. Nearest first. */
export function substitutesFor(tools: readonly Tool[], use: LoadUse, wantedNm: number, reachM = PALM_FROM_CREASE_M): Substitute[] {
  return tools
    .flatMap((tool): Substitute[] => {
      const gripM = tool.kind === "lever" ? gripForTorque(tool, use, wantedNm, reachM) : undefined;
      if (gripM !== undefined) return [{ tool, torqueNm: wantedNm, gripM, offShare: 0 }];
      if (tool.kind === "lever") return [];
      return gripsOf(tool, use).map((grip) => {
        const own = torqueNm(tool, use, grip, reachM);
        return { tool, torqueNm: own, gripM: grip, offShare: Math.abs(own / wantedNm - 1) };
      });
    })
    .filter(({ offShare }) => offShare <= SMALL_STEP + 1e-9)
    .sort((a, b) => a.offShare - b.offShare);
}

/**
 * Where to grip a tool for a torque on an axis: the formula of the axis solved for c.
 * @returns m from the near end; undefined where no grip of the shaft gives it
 */
export function gripForTorque(tool: Tool, use: LoadUse, wantedNm: number, reachM = PALM_FROM_CREASE_M): number | undefined {
  const lever = leverOf(tool, HAND_HALF_M);
  if (!lever || use.handling === "palm" || (use.handling === "across") !== (use.axis === "turn")) return undefined;
  const { lengthM, massKg, headKg } = lever;
  if (massKg + headKg <= 0) return undefined;
  const inHandNm = use.handling === "along" ? GRAVITY * (massKg + headKg) * reachM : 0;
  const gripM = ((massKg * lengthM) / 2 + headKg * lengthM - (wantedNm - inHandNm) / GRAVITY) / (massKg + headKg);
  return gripM >= HAND_HALF_M - 1e-9 && gripM <= lengthM - HAND_HALF_M + 1e-9 ? gripM : undefined;
}

/** First load: the smaller of 1.5 kg and 3 % of body mass. Practice rule. */
export const FIRST_LOAD = { mostKg: 1.5, bodyShare: 0.03 } as const;

/** The most a first load may be, kg. @param bodyKg null when it is not known */
export function firstLimitKg(bodyKg: number | null): number {
  return Math.min(FIRST_LOAD.mostKg, bodyKg === null ? Infinity : FIRST_LOAD.bodyShare * bodyKg);
}

/**
 * The first load of a movement, rounded down to the kit: no piece heavier than the limit, no torque over that of the limit in the palm.
 * @returns undefined when nothing light enough is there
 */
export function firstLoad(ladder: readonly Load[], bodyKg: number | null, reachM = PALM_FROM_CREASE_M): Load | undefined {
  const limitKg = firstLimitKg(bodyKg);
  return ladder.findLast(
    ({ tool, torqueNm: nm }) =>
      (tool.kind === "weight" ? tool.massKg : tool.massKg + tool.headKg) <= limitKg + 1e-9 && nm <= GRAVITY * limitKg * reachM + 1e-9,
  );
}
