import { sampleCustomMovement } from "@kind-grip/core/library";
import { studioReducer, studioWith, withArm, withFigure, withPose } from "./studio-state";

const custom = sampleCustomMovement("studio");
const bend = (degrees: number, from = custom) => withArm(from, 1, "right", { wristFlexion: degrees });

it("takes back and brings back, a drag of one slider as one step", () => {
  let state = studioWith(custom);
  for (const degrees of [10, 20, 30])
    state = studioReducer(state, { do: "change", what: "1-right-wristFlexion", custom: bend(degrees, state.custom) });
  state = studioReducer(state, { do: "change", what: "1-right-elbow", custom: withArm(state.custom, 1, "right", { elbow: 80 }) });
  expect(state.past).toHaveLength(2);
  state = studioReducer(state, { do: "undo" });
  expect(state.custom.figure.poses[1]!.right).toMatchObject({ wristFlexion: 30, elbow: 90 });
  state = studioReducer(state, { do: "undo" });
  expect(state.custom).toBe(custom);
  expect(studioReducer(state, { do: "undo" })).toBe(state);
  state = studioReducer(studioReducer(state, { do: "redo" }), { do: "redo" });
  expect(state.custom.figure.poses[1]!.right).toMatchObject({ wristFlexion: 30, elbow: 80 });
});

it("a new change forgets what was taken back, and the chosen pose stays inside the list", () => {
  let state = studioReducer(studioWith(custom), { do: "change", what: "", custom: bend(10) });
  state = studioReducer(studioReducer(state, { do: "undo" }), {
    do: "change",
    what: "",
    custom: withFigure(custom, { poses: [custom.figure.poses[0]!] }),
  });
  expect([state.future, state.at]).toEqual([[], 0]);
});

it("changes both hands where both do the same, and only one otherwise", () => {
  const pair = withPose(withFigure(custom, { both: true }), 1, { ...custom.figure.poses[1]!, left: custom.figure.poses[1]!.right });
  const bent = withArm(pair, 1, "right", { elbow: 40 });
  expect([bent.figure.poses[1]!.right!.elbow, bent.figure.poses[1]!.left!.elbow]).toEqual([40, 40]);
  expect(withArm(custom, 1, "left", { elbow: 40 })).toEqual(custom);
});
