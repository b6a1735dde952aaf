import { sampleCustomMovement } from "@kind-grip/core/library";
import { withArm, withFigure, withPose } from "./change-pose";

const custom = sampleCustomMovement("studio");

it("changes both hands where both do the same, and only one otherwise", () => {
  const pair = withPose(withFigure(custom, { both: true }), 1, { ...custom.figure.poses[1]!, left: custom.figure.poses[1]!.right });
  const bent = withArm(pair, 1, "right", { elbow: 40 });
  expect([bent.figure.poses[1]!.right!.elbow, bent.figure.poses[1]!.left!.elbow]).toEqual([40, 40]);
  expect(withArm(custom, 1, "left", { elbow: 40 })).toEqual(custom);
});
