/** All parts of a posed body. */
import { armParts } from "./arm-flesh";
import type { Bones } from "../body/bones";
import { handParts } from "./hand-flesh";
import { SIDE_NAMES, type SideName } from "../body/pose";
import type { Part } from "./solid";
import { trunkParts, type HairStyle } from "./trunk-flesh";

export interface BodyLook {
  /** Hands and forearms for a close look; arms; the upper body; or down to the feet. */
  extent: "hands" | "arms" | "upper" | "whole";
  hair: HairStyle;
  /** The arm that only helps is drawn with a lighter line. */
  helper: SideName | undefined;
}

export function bodyParts(bones: Bones, { extent, hair, helper }: BodyLook): Part[] {
  const arms = SIDE_NAMES.flatMap((side) => {
    const arm = bones.arms[side];
    if (!arm) return [];
    const tone = side === helper ? "helper" : "skin";
    const parts = armParts(side, arm, tone);
    return [
      ...(extent === "hands" ? parts.filter(({ id }) => id.endsWith("forearm") || id.endsWith("cuff")) : parts),
      ...handParts(side, arm, tone),
    ];
  });
  return extent === "arms" || extent === "hands" ? arms : [...trunkParts(bones, hair, extent === "whole"), ...arms];
}
