/** The movement that is being made, with its history: every change can be taken back. */
import type { ArmPose, Figure, Pose, SideName } from "@kind-grip/core/figure";
import type { OwnMovement } from "@kind-grip/core/library";

export interface StudioState {
  own: OwnMovement;
  /** Index of the pose that is being shaped. */
  at: number;
  past: OwnMovement[];
  future: OwnMovement[];
  /** What the last change was of: changes of the same thing in a row are one step of undo. */
  last: string;
}

export type StudioAct =
  | { do: "change"; what: string; own: OwnMovement }
  | { do: "choose"; at: number }
  | { do: "undo" }
  | { do: "redo" }
  | { do: "load"; own: OwnMovement };

export const MOST_POSES = 8;
const KEPT = 100;

export const studioWith = (own: OwnMovement): StudioState => ({ own, at: own.figure.poses.length - 1, past: [], future: [], last: "" });

export function studioReducer(state: StudioState, act: StudioAct): StudioState {
  const within = (own: OwnMovement) => Math.min(state.at, own.figure.poses.length - 1);
  switch (act.do) {
    case "change": {
      const same = act.what === state.last && act.what !== "";
      return {
        own: act.own,
        at: within(act.own),
        past: same ? state.past : [...state.past, state.own].slice(-KEPT),
        future: [],
        last: act.what,
      };
    }
    case "choose":
      return { ...state, at: act.at, last: "" };
    case "undo": {
      const own = state.past.at(-1);
      return own
        ? { ...state, own, at: within(own), past: state.past.slice(0, -1), future: [state.own, ...state.future], last: "" }
        : state;
    }
    case "redo": {
      const own = state.future[0];
      return own ? { ...state, own, at: within(own), past: [...state.past, state.own], future: state.future.slice(1), last: "" } : state;
    }
    case "load":
      return studioWith(act.own);
  }
}

export const withFigure = (own: OwnMovement, change: Partial<Figure>): OwnMovement => ({ ...own, figure: { ...own.figure, ...change } });

export function withPose(own: OwnMovement, at: number, pose: Pose): OwnMovement {
  return withFigure(own, { poses: own.figure.poses.map((each, i) => (i === at ? pose : each)) });
}

/** A change to one arm; where both hands work alike, to both. */
export function withArm(own: OwnMovement, at: number, side: SideName, change: Partial<ArmPose>): OwnMovement {
  const now = own.figure.poses[at]!;
  const changed = (each: SideName) => (now[each] ? { [each]: { ...now[each], ...change } } : {});
  return withPose(own, at, { ...now, ...(own.figure.both ? { ...changed("right"), ...changed("left") } : changed(side)) });
}
