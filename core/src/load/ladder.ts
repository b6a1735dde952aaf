/** What the kit at hand amounts to: every load in one ladder of torque, the next step up and down, and equal-torque substitutes. */
import { PALM_FROM_CREASE_M, supportedWristTorqueNm } from "./dumbbell";
import { gripForTorque, gripMarks, type Lever } from "./lever";

/** Held in the palm: dumbbell, bottle, plate. Held by the shaft: rod, hammer, bar. */
export type Tool = { name: string; kind: "weight"; massKg: number } | ({ name: string; kind: "lever" } & Lever);

export interface Load {
  tool: Tool;
  torqueNm: number;
  /** Where the hand is, m from the near end; for a lever only. */
  gripM?: number;
}

/** A step of more than this is marked: rule 6, at most 10 % of torque where the kit allows it. */
export const SMALL_STEP = 0.1;
/** Loads closer than this are one rung, N·m. */
const SAME_NM = 0.005;

/** Every load of the kit, lightest first. @param reachM wrist crease to the middle of the palm, m */
export function loadLadder(tools: readonly Tool[], reachM = PALM_FROM_CREASE_M): Load[] {
  return tools
    .flatMap((tool): Load[] =>
      tool.kind === "weight"
        ? [{ tool, torqueNm: supportedWristTorqueNm(tool.massKg, reachM) }]
        : gripMarks(tool).map(({ gripM, torqueNm }) => ({ tool, torqueNm, gripM })),
    )
    .sort((a, b) => a.torqueNm - b.torqueNm);
}

export interface Step {
  load: Load;
  /** Change of torque as a share of where one comes from. */
  share: number;
  /** More than the small step that rule 6 asks for. */
  large: boolean;
}

/** The nearest heavier load; undefined when the kit has none. @param torqueNm now, above 0 */
export function stepUp(ladder: readonly Load[], torqueNm: number): Step | undefined {
  const load = ladder.find((each) => each.torqueNm > torqueNm + SAME_NM);
  return load && stepTo(load, torqueNm);
}

/** The nearest lighter load; undefined when the kit has none. */
export function stepDown(ladder: readonly Load[], torqueNm: number): Step | undefined {
  const load = [...ladder].reverse().find((each) => each.torqueNm < torqueNm - SAME_NM);
  return load && stepTo(load, torqueNm);
}

function stepTo(load: Load, torqueNm: number): Step {
  const share = load.torqueNm / torqueNm - 1;
  return { load, share, large: Math.abs(share) > SMALL_STEP + 1e-9 };
}

export interface Substitute extends Load {
  /** How far off it is, as a share of the wanted torque; 0 for a lever gripped at the right place. */
  offShare: number;
}

/** The same torque from every tool that can give it nearly: levers at the right grip, weights as they are. Nearest first. */
export function substitutesFor(tools: readonly Tool[], torqueNm: number, reachM = PALM_FROM_CREASE_M): Substitute[] {
  return tools
    .flatMap((tool): Substitute[] => {
      if (tool.kind === "weight") {
        const own = supportedWristTorqueNm(tool.massKg, reachM);
        return [{ tool, torqueNm: own, offShare: Math.abs(own / torqueNm - 1) }];
      }
      const gripM = gripForTorque(tool, torqueNm);
      return gripM === undefined ? [] : [{ tool, torqueNm, gripM, offShare: 0 }];
    })
    .filter(({ offShare }) => offShare <= SMALL_STEP + 1e-9)
    .sort((a, b) => a.offShare - b.offShare);
}

/** First load: the smaller of 1.5 kg and 3 % of body mass. Practice rule. */
export const FIRST_LOAD = { mostKg: 1.5, bodyShare: 0.03 } as const;

/**
 * The first load for a supported wrist lift, rounded down to the kit.
 * @param massesKg pieces at hand @param bodyKg null when it is not known
 * @returns kg; 0 when nothing light enough is there
 */
export function firstLoadKg(massesKg: readonly number[], bodyKg: number | null): number {
  const limit = Math.min(FIRST_LOAD.mostKg, bodyKg === null ? Infinity : FIRST_LOAD.bodyShare * bodyKg);
  return Math.max(0, ...massesKg.filter((kg) => kg <= limit + 1e-9));
}
