/** Changes of a custom movement's figure: a pose, an arm, both arms where they work alike. */
import type { ArmPose, Figure, Pose, SideName } from "@kind-grip/core/figure";
import type { CustomMovement } from "@kind-grip/core/library";

export const MOST_POSES = 8;

export const withFigure = (custom: CustomMovement, change: Partial<Figure>): CustomMovement => ({
  ...custom,
  figure: { ...custom.figure, ...change },
});

export function withPose(custom: CustomMovement, at: number, pose: Pose): CustomMovement {
  return withFigure(custom, { poses: custom.figure.poses.map((each, i) => (i === at ? pose : each)) });
}

/** A change to one arm; where both hands work alike, to both. */
export function withArm(custom: CustomMovement, at: number, side: SideName, change: Partial<ArmPose>): CustomMovement {
  const now = custom.figure.poses[at]!;
  const changed = (each: SideName) => (now[each] ? { [each]: { ...now[each], ...change } } : {});
  return withPose(custom, at, { ...now, ...(custom.figure.both ? { ...changed("right"), ...changed("left") } : changed(side)) });
}
