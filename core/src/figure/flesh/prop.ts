/** Things a movement needs: a bench to lean on, a tool in the hand. Millimetres, in the frame of what holds them. */
import { type Bones } from "../body/bones";
import { otherSide, type SideName } from "../body/pose";
import { gripFrame, HELD } from "./held-props";
import type { Prop } from "./prop-schema";
import type { Part } from "./solid";
import { STANDING, type Standing } from "./standing-props";
import { at } from "../vector";

/** What stands in the room; a roller without a place is held in the hand. */
function standingOf({ kind, place }: Prop): Standing | undefined {
  return kind === "roller" && !place ? undefined : STANDING[kind];
}

/** Whether the working hand has something in it, so that nothing else can be. */
export function isInWorkingHand(prop: Prop): boolean {
  return prop.hand !== "helping" && prop.kind !== "tape" && standingOf(prop) === undefined;
}

/** Parts of a prop. `worked` is the side that does the movement. */
export function propParts(prop: Prop, bones: Bones, worked: SideName, id: string): Part[] {
  const standing = standingOf(prop);
  if (standing) return standing(prop, worked === "right" ? -1 : 1, id);
  const hands: SideName[] = prop.hand === "both" ? ["right", "left"] : [prop.hand === "worked" ? worked : otherSide(worked)];
  return hands.flatMap((side) => {
    const arm = bones.arms[side];
    if (!arm) return [];
    const grip = gripFrame(arm);
    return (
      HELD[prop.kind]?.(
        { arm, grip, along: (x) => at(grip, x, 0, 0), other: bones.arms[otherSide(side)], place: prop.place, size: prop.size },
        `${id}:${side}`,
      ) ?? []
    );
  });
}
