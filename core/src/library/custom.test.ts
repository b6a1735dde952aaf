import * as v from "valibot";
import { pose } from "../figure";
import { wordsOf } from "../language";
import { readMovementFile, writeMovementFile } from "../exchange";
import { SHIPPED_LIBRARY, libraryOf, newItem, DEFAULT_STYLE, CustomMovement, customMovementProblems, stage } from ".";
import { sampleCustomMovement } from "./custom.sample";

const paths = (custom: CustomMovement) => customMovementProblems(custom).map(({ path, message }) => `${path}: ${message}`);
const changedFrom = (custom: CustomMovement, change: (custom: CustomMovement) => void): CustomMovement => {
  const next = structuredClone(custom);
  change(next);
  return next;
};
const changed = (change: (custom: CustomMovement) => void) => changedFrom(sampleCustomMovement("a"), change);

it("is fine as it is, and passes its own schema", () => {
  expect(paths(sampleCustomMovement("a"))).toEqual([]);
  expect(v.safeParse(CustomMovement, sampleCustomMovement("a")).success).toBe(true);
});

describe("is refused, with the field", () => {
  it.each([
    ["an id of the product's kind", (custom: CustomMovement) => (custom.movement.id = "palm-away"), "movement.id"],
    [
      "a cap above its phase's",
      (custom: CustomMovement) => (custom.movement.effortCap = 3),
      "movement.effortCap: may be 2 at most in this phase",
    ],
    ["a start form that is none", (custom: CustomMovement) => (custom.movement.startForm = "other"), "movement.startForm"],
    ["a form without a name", (custom: CustomMovement) => (custom.words.forms = {}), "words.forms.standard"],
    ["no region", (custom: CustomMovement) => (custom.movement.regions = { worked: [], stretched: [], released: [] }), "movement.regions"],
    [
      "a joint beyond its range",
      (custom: CustomMovement) => (custom.figure.poses[1]!.right!.wristFlexion = 96),
      "figure.poses.1: right.wristFlexion is 96°, it goes from -75° to 82°",
    ],
    [
      "a hand that cannot reach",
      (custom: CustomMovement) =>
        (custom.figure.poses[0] = pose({
          right: { touch: { part: "world", at: [0, 0, 2000], with: "palm", fingers: [0, 0, 1], palm: [0, -1, 0], elbow: [-1, 0, 0] } },
        })),
      "out of reach",
    ],
    ["two halves of two poses", (custom: CustomMovement) => (custom.figure.way = "halves"), "figure.way: two halves need four poses"],
    [
      "a head carried too far",
      (custom: CustomMovement) => (custom.figure.poses[0]!.neck.forward = 41),
      "figure.poses.0: neck.forward is 41",
    ],
    [
      "no working arm",
      (custom: CustomMovement) => (custom.figure.poses[0] = pose({ left: {} })),
      "figure.poses.0: the worked (right) arm is missing",
    ],
  ])("%s", (_, change, said) => {
    expect(paths(changed(change)).join("\n")).toContain(said);
  });

  it("a cap just at its phase's is fine", () => expect(paths(changed((custom) => (custom.movement.effortCap = 2)))).toEqual([]));
});

describe("in a library", () => {
  const custom = sampleCustomMovement("known");
  const { id } = custom.movement;
  const library = libraryOf([custom]);

  it("it is found, timed, named and drawn like any other", () => {
    expect(library.get(id)).toBe(custom.movement);
    expect(library.movements).toContain(custom.movement);
    expect(library.timings.get(id)?.get("standard")?.readySec).toBe(custom.movement.readySec);
    expect(wordsOf(library).movementName(id)).toBe("Door-handle turn");
    expect(library.figure(id)).toBe(custom.figure);
    expect(library.feltRegions(id)).toEqual(["pronators", "supinators"]);
    expect(newItem(custom.movement, DEFAULT_STYLE, "x").dose).toEqual(custom.movement.doses.usual);
    expect(stage(library, id).still()).toContain("<svg");
  });

  it("no other library knows it: not the shipped one, not another practice's", () => {
    for (const other of [SHIPPED_LIBRARY, libraryOf([sampleCustomMovement("other")])]) {
      expect(other.find(id)).toBeUndefined();
      expect(other.timings.get(id)).toBeUndefined();
      expect(other.figure(id)).toBeUndefined();
      expect(wordsOf(other).movementName(id)).toBe(id);
      expect(() => other.get(id)).toThrow(RangeError);
      expect(() => stage(other, id)).toThrow(RangeError);
    }
  });

  it("an edit changes its revision and the library's, and nothing else's", () => {
    const edited = changedFrom(custom, (next) => (next.figure.poses[1]!.right!.pronation = 50));
    const after = libraryOf([edited, sampleCustomMovement("other")]);
    const before = libraryOf([custom, sampleCustomMovement("other")]);
    expect(after.revision).not.toBe(before.revision);
    expect(after.revisionOf(id)).not.toBe(before.revisionOf(id));
    expect(after.revisionOf("own-other")).toBe(before.revisionOf("own-other"));
    expect(after.revisionOf("palm-away")).toBe(SHIPPED_LIBRARY.revisionOf("palm-away"));
    expect(libraryOf([structuredClone(custom)]).revision).toBe(library.revision);
  });

  it("of two with the same id the later one counts, once", () => {
    const edited = changedFrom(custom, (next) => (next.words.name = "Key turn"));
    const twice = libraryOf([custom, edited]);
    expect(wordsOf(twice).movementName(id)).toBe("Key turn");
    expect(twice.movements.filter((movement) => movement.id === id)).toHaveLength(1);
  });
});

describe("its file", () => {
  const custom = sampleCustomMovement("file");
  const text = JSON.stringify(writeMovementFile(custom));

  it("comes back under the id it is given", () => {
    const read = readMovementFile(text, "own-other");
    expect(read.problems).toEqual([]);
    expect(read.custom).toEqual({ ...custom, movement: { ...custom.movement, id: "own-other" } });
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
    expect(read.custom).toBeNull();
    expect(read.problems[0]!.path).toContain(path);
  });
});
