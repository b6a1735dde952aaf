import * as v from "valibot";
import { pose } from "../figure";
import { wordsIn } from "../language";
import { readMovementFile, writeMovementFile } from "../exchange";
import {
  FORM_TIMINGS,
  figureOf,
  findMovement,
  knowOwnMovements,
  movementOf,
  newItem,
  DEFAULT_STYLE,
  OwnMovement,
  ownMovementProblems,
  regionsOf,
  stage,
} from ".";
import { sampleOwnMovement } from "./own.sample";

const paths = (own: OwnMovement) => ownMovementProblems(own).map(({ path, message }) => `${path}: ${message}`);
const changed = (change: (own: OwnMovement) => void): OwnMovement => {
  const own = structuredClone(sampleOwnMovement("a"));
  change(own);
  return own;
};

it("is fine as it is, and passes its own schema", () => {
  expect(paths(sampleOwnMovement("a"))).toEqual([]);
  expect(v.safeParse(OwnMovement, sampleOwnMovement("a")).success).toBe(true);
});

describe("is refused, with the field", () => {
  it.each([
    ["an id of the product's kind", (own: OwnMovement) => (own.movement.id = "palm-away"), "movement.id"],
    ["a cap above its phase's", (own: OwnMovement) => (own.movement.effortCap = 3), "movement.effortCap: may be 2 at most in this phase"],
    ["a start form that is none", (own: OwnMovement) => (own.movement.startForm = "other"), "movement.startForm"],
    ["a form without a name", (own: OwnMovement) => (own.words.forms = {}), "words.forms.standard"],
    ["no region", (own: OwnMovement) => (own.movement.regions = { worked: [], stretched: [], released: [] }), "movement.regions"],
    [
      "a joint beyond its range",
      (own: OwnMovement) => (own.figure.poses[1]!.right!.wristFlexion = 96),
      "figure.poses.1: right.wristFlexion is 96°, it goes from -75° to 82°",
    ],
    [
      "a hand that cannot reach",
      (own: OwnMovement) =>
        (own.figure.poses[0] = pose({
          right: { touch: { part: "world", at: [0, 0, 2000], with: "palm", fingers: [0, 0, 1], palm: [0, -1, 0], elbow: [-1, 0, 0] } },
        })),
      "out of reach",
    ],
    [
      "no working arm",
      (own: OwnMovement) => (own.figure.poses[0] = pose({ left: {} })),
      "figure.poses.0: the worked (right) arm is missing",
    ],
  ])("%s", (_, change, said) => {
    expect(paths(changed(change)).join("\n")).toContain(said);
  });

  it("a cap just at its phase's is fine", () => expect(paths(changed((own) => (own.movement.effortCap = 2)))).toEqual([]));
});

it("once known it is found, timed, named and drawn like any other", () => {
  const own = sampleOwnMovement("known");
  expect(findMovement(own.movement.id)).toBeUndefined();
  knowOwnMovements([own]);
  expect(movementOf(own.movement.id)).toBe(own.movement);
  expect(FORM_TIMINGS.get(own.movement.id)?.get("standard")?.readySec).toBe(own.movement.readySec);
  expect(wordsIn().movementName(own.movement.id)).toBe("Door-handle turn");
  expect(figureOf(own.movement.id)).toBe(own.figure);
  expect(regionsOf(own.movement.id)).toEqual(["pronators", "supinators"]);
  expect(newItem(own.movement, DEFAULT_STYLE, "x").dose).toEqual(own.movement.doses.usual);
  expect(stage(own.movement.id).still()).toContain("<svg");
});

describe("its file", () => {
  const own = sampleOwnMovement("file");
  const text = JSON.stringify(writeMovementFile(own));

  it("comes back under the id it is given", () => {
    const read = readMovementFile(text, "own-other");
    expect(read.problems).toEqual([]);
    expect(read.own).toEqual({ ...own, movement: { ...own.movement, id: "own-other" } });
  });

  it.each([
    ["no JSON", "{", ""],
    ["another format", JSON.stringify({ format: "x", version: 1 }), "format"],
    ["a later version", JSON.stringify({ format: "kind-grip/movement", version: 2 }), "version"],
    ["a missing name", text.replace('"Door-handle turn"', '""'), "own.words.name"],
    ["an unknown field", text.replace('"focus"', '"fokus"'), "own.figure"],
    ["an impossible joint", text.replace(/"elbow":90/g, '"elbow":190'), "own.figure.poses.0"],
  ])("names %s", (_, broken, path) => {
    const read = readMovementFile(broken, "own-x");
    expect(read.own).toBeNull();
    expect(read.problems[0]!.path).toContain(path);
  });
});
