/** The movement that is being made, with its history: every change can be taken back. */
import type { ArmPose, Figure, Pose, SideName } from "@kind-grip/core/figure";
import type { CustomMovement } from "@kind-grip/core/library";

export interface StudioState {
  custom: CustomMovement;
  /** Index of the pose that is being shaped. */
  at: number;
  past: CustomMovement[];
  future: CustomMovement[];
  /** What the last change was of: changes of the same thing in a row are one step of undo. */
  last: string;
}

export type StudioAct =
  | { do: "change"; what: string; custom: CustomMovement }
  | { do: "choose"; at: number }
  | { do: "undo" }
  | { do: "redo" }
  | { do: "load"; custom: CustomMovement };

export const MOST_POSES = 8;
const KEPT = 100;

export const studioWith = (custom: CustomMovement): StudioState => ({
  custom,
  at: custom.figure.poses.length - 1,
  past: [],
  future: [],
  last: "",
});

export function studioReducer(state: StudioState, act: StudioAct): StudioState {
  const within = (custom: CustomMovement) => Math.min(state.at, custom.figure.poses.length - 1);
  switch (act.do) {
    case "change": {
      const same = act.what === state.last && act.what !== "";
      return {
        custom: act.custom,
        at: within(act.custom),
        past: same ? state.past : [...state.past, state.custom].slice(-KEPT),
        future: [],
        last: act.what,
      };
    }
    case "choose":
      return { ...state, at: act.at, last: "" };
    case "undo": {
      const custom = state.past.at(-1);
      return custom
        ? { ...state, custom, at: within(custom), past: state.past.slice(0, -1), future: [state.custom, ...state.future], last: "" }
        : state;
    }
    case "redo": {
      const custom = state.future[0];
      return custom
        ? { ...state, custom, at: within(custom), past: [...state.past, state.custom], future: state.future.slice(1), last: "" }
        : state;
    }
    case "load":
      return studioWith(act.custom);
  }
}

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
