/** What is held in a movement, and the steps the crew's kit allows: one ladder of torque on the movement's axis, pieces and grips alike. */
import type { KitEntry } from "../crew";
import type { KitKind, Library, Movement } from "../library";
import { firstLoad, HAND_HALF_M, loadLadder, toolOf, torqueNm, weeklyStep, type Load, type Tool } from "../load";
import type { Held, TorqueOf } from "../session";

/** Gripped at the end: so far from it, m. The figure of the worked examples. */
const END_GRIP_M = 0.05;

/** A load of the kit with the kind of piece it is. */
interface KitLoad extends Load {
  kind: KitKind;
}

/** Kinds a movement can be loaded with, those of its forms among them. */
function kindsOf(movement: Movement): KitKind[] {
  return [...new Set([...movement.kit, ...movement.forms.flatMap((form) => form.kit)])];
}

/** Everything of a kit a movement can be loaded with, lightest first. */
export function ladderFor(movement: Movement, kit: readonly KitEntry[]): KitLoad[] {
  const use = movement.load;
  if (!use) return [];
  const kinds = kindsOf(movement);
  return kit
    .filter(({ kind }) => kinds.includes(kind))
    .flatMap(({ kind, massKg }): KitLoad[] => {
      const tool = toolOf(kind, massKg);
      return tool ? loadLadder([tool], use).map((load) => ({ ...load, kind })) : [];
    })
    .sort((a, b) => a.torqueNm - b.torqueNm);
}

/** Where a tool is held in a form when nothing else is said: the last rung of a ladder of grips at the end, the others near the middle. */
export function usualGripM(movement: Movement, formId: string, tool: Tool): number | null {
  if (!movement.load || movement.load.handling === "palm") return null;
  const atEnd = movement.load.rungs === "grip" && movement.forms.at(-1)!.id === formId;
  if (tool.kind === "weight") return atEnd && tool.lengthM !== undefined ? HAND_HALF_M : null;
  // The middle of a plain rod is balanced: it loads nothing.
  return atEnd ? END_GRIP_M : tool.headKg > 0 ? tool.lengthM / 2 : tool.lengthM / 3;
}

/** The tool that is held; the first kind of the kit, or else of the movement, that has this mass, where none is named. */
export function toolIn(movement: Movement, { loadKg, tool }: Held, kit: readonly KitEntry[] = []): Tool | undefined {
  const kinds = kindsOf(movement);
  const kind =
    tool ?? kit.find((each) => kinds.includes(each.kind) && each.massKg === loadKg)?.kind ?? kinds.find((each) => toolOf(each, 1));
  return kind === undefined ? undefined : toolOf(kind, loadKg);
}

/** Torque of what is held on the axis the movement loads, N·m; 0 without a load, or where the movement has no axis. */
export function heldTorqueNm(movement: Movement, formId: string, held: Held, kit: readonly KitEntry[] = []): number {
  const tool = movement.load && toolIn(movement, held, kit);
  if (!tool) return 0;
  const grip = held.gripM ?? usualGripM(movement, formId, tool);
  const gripM = grip === null ? null : Math.min(grip, lengthOf(tool));
  return Math.max(0, torqueNm(tool, movement.load!, gripM));
}

function lengthOf(tool: Tool): number {
  return tool.lengthM ?? Infinity;
}

/** For adding up a session: the torque of what a segment holds. */
export function torqueIn(library: Library): TorqueOf {
  return ({ movementId, formId, held }) => {
    const movement = library.find(movementId);
    return movement ? heldTorqueNm(movement, formId, held) : 0;
  };
}

/** What somebody does of a load: which form it makes of the movement, and what is in the hand. */
export interface HeldForm {
  formId: string;
  held: Held;
}

/**
 * The first load the kit has for somebody; undefined when nothing is light enough.
 * @param bodyKg null when it is not known @param mostNm torque it may not go over, N·m
 */
export function firstHeld(movement: Movement, kit: readonly KitEntry[], bodyKg: number | null, mostNm = Infinity): HeldForm | undefined {
  const ladder = ladderFor(movement, kit).filter((load) => load.torqueNm <= mostNm + 1e-9);
  const load = firstLoad(ladder, bodyKg) as KitLoad | undefined;
  return load && heldFormOf(movement, load, movement.forms[0]!.id, true);
}

export interface HeldStep extends HeldForm {
  /** Change of torque as a share of what it was. */
  share: number;
  /** More than a tenth: the kit has no smaller step. */
  large: boolean;
}

/** The next load up, whatever changes for it: piece, tool or grip. */
export function nextHeld(movement: Movement, { formId, held }: HeldForm, kit: readonly KitEntry[]): HeldStep | undefined {
  const nowNm = heldTorqueNm(movement, formId, held, kit);
  const step = weeklyStep(ladderFor(movement, kit), nowNm);
  return step && { ...heldFormOf(movement, step.load as KitLoad, formId, false), share: step.share, large: step.large };
}

/** A rung of the way up in load: what is held, its torque, and by how much more than the rung before. */
export interface LoadRung extends HeldForm {
  torqueNm: number;
  /** Null for the first. */
  share: number | null;
  large: boolean;
}

const MOST_RUNGS = 40;

/**
 * The way up a kit allows in a movement, a week's step after the other from the first load on; empty where it has no first load.
 * @param bodyKg null when it is not known
 */
export function loadRungs(movement: Movement, kit: readonly KitEntry[], bodyKg: number | null = null): LoadRung[] {
  const first = firstHeld(movement, kit, bodyKg);
  const rungs: LoadRung[] = [];
  const torque = ({ formId, held }: HeldForm) => heldTorqueNm(movement, formId, held, kit);
  for (let step: HeldForm | undefined = first; step && rungs.length < MOST_RUNGS; step = nextHeld(movement, step, kit)) {
    const { share = null, large = false } = step as Partial<HeldStep>;
    rungs.push({ formId: step.formId, held: step.held, torqueNm: torque(step), share, large });
  }
  return rungs;
}

function heldFormOf(movement: Movement, { tool, kind, gripM }: KitLoad, formId: string, isFirst: boolean): HeldForm {
  const massKg = tool.kind === "weight" ? tool.massKg : tool.massKg + tool.headKg;
  const held = { loadKg: Math.round(massKg * 1000) / 1000, tool: kind, gripM };
  const [easiest, hardest] = [movement.forms[0]!.id, movement.forms.at(-1)!.id];
  switch (movement.load!.rungs) {
    case "kit":
      return { formId, held };
    case "grip": {
      // The rung says where it is held: in the quarter next to the end, or nearer to the middle.
      const atEnd = gripM !== null && gripM <= lengthOf(tool) / 4;
      return { formId: atEnd ? hardest : easiest, held };
    }
    case "mass":
      return { formId: isFirst ? easiest : hardest, held };
  }
}
