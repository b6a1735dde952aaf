import { sampleOwnMovement } from "@kind-grip/core/library";
import { studioReducer, studioWith, withArm, withFigure, withPose } from "./studio-state";

const own = sampleOwnMovement("studio");
const bend = (degrees: number, from = own) => withArm(from, 1, "right", { wristFlexion: degrees });

it("takes back and brings back, a drag of one slider as one step", () => {
  let state = studioWith(own);
  for (const degrees of [10, 20, 30])
    state = studioReducer(state, { do: "change", what: "1-right-wristFlexion", own: bend(degrees, state.own) });
  state = studioReducer(state, { do: "change", what: "1-right-elbow", own: withArm(state.own, 1, "right", { elbow: 80 }) });
  expect(state.past).toHaveLength(2);
  state = studioReducer(state, { do: "undo" });
  expect(state.own.figure.poses[1]!.right).toMatchObject({ wristFlexion: 30, elbow: 90 });
  state = studioReducer(state, { do: "undo" });
  expect(state.own).toBe(own);
  expect(studioReducer(state, { do: "undo" })).toBe(state);
  state = studioReducer(studioReducer(state, { do: "redo" }), { do: "redo" });
  expect(state.own.figure.poses[1]!.right).toMatchObject({ wristFlexion: 30, elbow: 80 });
});

it("a new change forgets what was taken back, and the chosen pose stays inside the list", () => {
  let state = studioReducer(studioWith(own), { do: "change", what: "", own: bend(10) });
  state = studioReducer(studioReducer(state, { do: "undo" }), {
    do: "change",
    what: "",
    own: withFigure(own, { poses: [own.figure.poses[0]!] }),
  });
  expect([state.future, state.at]).toEqual([[], 0]);
});

it("changes both hands where both do the same, and only one otherwise", () => {
  const pair = withPose(withFigure(own, { both: true }), 1, { ...own.figure.poses[1]!, left: own.figure.poses[1]!.right });
  const bent = withArm(pair, 1, "right", { elbow: 40 });
  expect([bent.figure.poses[1]!.right!.elbow, bent.figure.poses[1]!.left!.elbow]).toEqual([40, 40]);
  expect(withArm(own, 1, "left", { elbow: 40 })).toEqual(own);
});
