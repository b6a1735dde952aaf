/** Forearm, upper arm, sleeve, and the cuff that tells left from right. */
import { FOREARM_ROWS, forearmFrame, onForearm, rowAt } from "../body/forearm";
import { UPPER_ARM, type ArmBones } from "../body/skeleton";
import type { SideName } from "../body/pose";
import { PartBuilder, type Part, type Tone } from "./solid";
import { add, at, between, scale, type Vector } from "../vector";

const CUFF_FROM = 0.66;
const CUFF_TO = 0.84;
const SLEEVE_MM = 172;

function ring(arm: Pick<ArmBones, "fore" | "wrist">, share: number, above: number): Vector[] {
  return Array.from({ length: 33 }, (_, i) => onForearm(arm, share, (i / 32) * 360, above));
}

export function armParts(side: SideName, arm: ArmBones, tone: Tone): Part[] {
  const { upper, fore } = arm;
  const forearm = new PartBuilder(`${side}:forearm`, tone, { joins: [`${side}:upper`, `${side}:palm`, `${side}:forearm`], step: 9 });
  const row = (builder: PartBuilder, share: number, above = 0): [number, number] => {
    const { half, radius } = rowAt(share);
    const frame = forearmFrame(arm, share);
    return [builder.ballIn(frame, half, 0, 0, radius + above), builder.ballIn(frame, -half, 0, 0, radius + above)];
  };
  forearm.tube(FOREARM_ROWS.map(([share]) => row(forearm, share)));
  // The point of the elbow shows once it bends.
  const point = forearm.ball(at(fore, 0, -2, -9), 30);
  forearm.chain(point, 0).chain(point, 1);

  const cuff = new PartBuilder(`${side}:cuff`, side === "left" ? "cuffLeft" : "cuffRight", {
    joins: [`${side}:cuff`, `${side}:forearm`],
    step: 99,
  });
  cuff.tube([CUFF_FROM - 0.05, (CUFF_FROM + CUFF_TO) / 2, CUFF_TO + 0.05].map((share) => row(cuff, share, 1.5)));
  for (const [share, way] of [
    [CUFF_FROM, -1],
    [CUFF_TO, 1],
  ] as const) {
    cuff.cut(between(fore.o, arm.wrist.o, share), scale(fore.y, way)).mark("seam", ring(arm, share, 1.6));
  }

  // The left one is striped: colours are lost in grey.
  if (side === "left") for (const share of [CUFF_FROM + 0.014, CUFF_TO - 0.014]) cuff.mark("stripe", ring(arm, share, 1.6));

  const upperArm = new PartBuilder(`${side}:upper`, tone, { joins: [`${side}:forearm`, `${side}:upper`], step: 10 });
  upperArm.chain(
    upperArm.ballIn(upper, 0, 60, 4, 44),
    upperArm.ballIn(upper, 0, 130, 4, 44),
    upperArm.ballIn(upper, 0, 215, 3, 41),
    upperArm.ballIn(upper, 0, UPPER_ARM - 18, 0, 36),
    upperArm.ball(fore.o, 35),
  );

  const sleeve = new PartBuilder(`${side}:sleeve`, "shirt", { joins: ["trunk", `${side}:sleeve`], step: 16 });
  sleeve.chain(
    sleeve.ballIn(upper, 0, 0, 0, 55),
    sleeve.ballIn(upper, 0, 70, 4, 55),
    sleeve.ballIn(upper, 0, SLEEVE_MM, 3, 54),
    sleeve.ballIn(upper, 0, SLEEVE_MM + 20, 3, 54),
  );
  const hem = Array.from({ length: 33 }, (_, i) => {
    const turn = (i / 32) * 2 * Math.PI;
    return at(upper, Math.cos(turn) * 54.3, SLEEVE_MM, 3 + Math.sin(turn) * 54.3);
  });
  sleeve.cut(at(upper, 0, SLEEVE_MM, 0), upper.y).mark("seam", hem);
  sleeve.face("lining", ...hem.slice(1).map((p) => add(p, scale(upper.y, -1))));
  return [forearm.part, cuff.part, upperArm.part, sleeve.part];
}
