/** Stills: strips of steps, enlargements, signs, the outline of the start. Read from the SVG, not from its curves. */
import { countBy } from "es-toolkit";
import * as v from "valibot";
import { Figure, pose, StagedFigure, type ArmInput, type FigureInput, type PictureOptions } from "..";
import type { Pose } from "../body/pose";
import { badge } from "./strip";

const look = { skin: "sand", hair: "short" } as const;
const arm = (elbow: number, more: ArmInput = {}): ArmInput => ({ elbow, pronation: 0, hand: "open", ...more });
type Input = Partial<Omit<FigureInput, "poses" | "slide">> & { poses?: Pose[]; slide?: [Pose, Pose] };
const figureOf = (input: Input = {}): Figure =>
  v.parse(Figure, {
    focus: "upper",
    view: "front",
    poses: [pose({ right: arm(20), left: arm(20) }), pose({ right: arm(90), left: arm(20) })],
    ...input,
  });
const stillOf = (input: Input = {}, options: Partial<PictureOptions> = {}) =>
  new StagedFigure(figureOf(input), { look, width: 300, height: 225, cell: 3, ...options }).still();
const count = (svg: string, what: RegExp) => [...svg.matchAll(what)].length;

const steps = [20, 50, 80, 110].map((elbow) => pose({ right: arm(elbow), left: arm(20) }));

describe("a strip", () => {
  it("shows every step once, numbered in order, each over the one before", () => {
    const svg = stillOf({ way: "steps", poses: steps });
    expect(count(svg, /class="step"/g)).toBe(4);
    expect(count(svg, /class="ghost"/g)).toBe(3);
    expect(count(svg, /<clipPath id="strip-/g)).toBe(1);
  });

  it("does not show again what comes again", () => {
    expect(count(stillOf({ way: "steps", poses: [steps[0]!, steps[1]!, steps[2]!, steps[1]!] }), /class="step"/g)).toBe(3);
  });

  it("of the hand alone leaves the other one out", () => {
    const svg = stillOf({ both: true, strip: "hand", poses: steps.slice(0, 2) });
    expect(svg).toContain('class="side-right"');
    expect(svg).not.toContain('class="side-left"');
  });

  it("says its forces in the last step only", () => {
    const svg = stillOf({ way: "steps", poses: steps, signs: [{ kind: "press", hand: "worked", at: "knuckles", way: [0, -1, 0] }] });
    expect(count(svg, /class="arc"/g)).toBe(1);
  });

  it("ends with the slide of the last step, marked to and fro and not numbered, also after two steps", () => {
    const away = pose({ right: arm(50), left: arm(20), neck: { tilt: -26 } });
    const svg = stillOf({ way: "steps", poses: steps.slice(0, 2), slide: [steps[1]!, away] });
    expect(count(svg, /class="step"/g)).toBe(3);
    const toAndFro = badge("toAndFro", 0, 0, 1).split('class="step"')[1]!;
    const mark = / d="([^"]+)"/.exec(toAndFro)![1]!;
    expect(svg.lastIndexOf(mark)).toBeGreaterThan(svg.indexOf(/ d="([^"]+)"/.exec(badge(2, 0, 0, 1).split('class="step"')[1]!)![1]!));
    expect(svg.split(mark).length - 1).toBe(1);
    expect(stillOf({ way: "steps", poses: steps.slice(0, 2) })).not.toContain(mark);
  });

  it.each([
    { abduction: 0, rows: [4] },
    { abduction: 35, rows: [2, 2] },
    { abduction: 85, rows: [2, 2] },
  ])("of arms $abduction degrees from the body stands in rows of $rows: no step alone in one", ({ abduction, rows }) => {
    const wide = [20, 50, 80, 110].map((elbow) => pose({ right: arm(elbow, { shoulderAbduction: abduction }), left: arm(20) }));
    const panels = stillOf({ way: "steps", poses: wide }).matchAll(
      /<g transform="translate\([\d.]+ ([\d.]+)\)"><g clip-path="url\(#strip/g,
    );
    expect(Object.values(countBy([...panels], ([, y]) => y!))).toEqual(rows);
  });

  it.each([
    { side: "right" as const, girdleRaise: -6, arrows: 1 },
    { side: "left" as const, girdleRaise: -6, arrows: 1 },
    { side: "right" as const, girdleRaise: -5, arrows: 0 },
    { side: "right" as const, girdleRaise: 20, arrows: 0 },
  ])("points $arrows times at the $side shoulder whose blade goes $girdleRaise degrees", ({ side, girdleRaise, arrows }) => {
    const sunk = pose({ right: arm(110, { girdleRaise }), left: arm(20) });
    expect(count(stillOf({ way: "steps", poses: [...steps, sunk] }, { side }), /class="arc"/g)).toBe(arrows);
  });

  it("numbers from one to nine, each another drawing", () => {
    const drawn = Array.from({ length: 9 }, (_, i) => / d="([^"]+)"/.exec(badge(i + 1, 0, 0, 1).split('class="step"')[1]!)![1]);
    expect(new Set(drawn).size).toBe(9);
  });
});

describe("enlargements", () => {
  const wide = {
    both: true,
    inset: true,
    poses: [70, 80].map((shoulderAbduction) => pose({ right: arm(4, { shoulderAbduction }), left: arm(4, { shoulderAbduction }) })),
  };
  it.each([
    ["worked", 1],
    ["helping", 1],
    ["both", 1],
    ["each", 2],
  ] as const)("of %s hand: %d windows", (of, windows) => {
    expect(count(stillOf({ ...wide, enlargement: { of, size: 0.4 } }), /class="inset"/g)).toBe(windows);
  });

  it("have a camera of their own, and none where none is asked for", () => {
    const front = stillOf({ ...wide, enlargement: { of: "worked", view: "front", size: 0.4 } });
    const above = stillOf({ ...wide, enlargement: { of: "worked", view: "overhead", size: 0.4 } });
    expect(front).not.toBe(above);
    expect(stillOf({ ...wide, inset: false })).not.toContain('class="inset"');
  });
});

describe("signs", () => {
  const turning = {
    poses: [pose({ right: arm(90, { pronation: 80 }) }), pose({ right: arm(90, { pronation: -80 }) })],
    focus: "forearm" as const,
  };
  it("a turn is drawn round the forearm only where it turns", () => {
    expect(count(stillOf({ ...turning, signs: [{ kind: "turn", about: "forearm" }] }), /class="arc"/g)).toBe(1);
    expect(count(stillOf({ signs: [{ kind: "turn", about: "forearm" }] }), /class="arc"/g)).toBe(0);
  });

  it("a pull of both hands is mirrored, and a force towards the viewer is not drawn", () => {
    const both = stillOf({ both: true, signs: [{ kind: "pull", hand: "both", at: "wrist", way: [-1, 0, 0] }] });
    expect(count(both, /class="arc"/g)).toBe(2);
    expect(count(stillOf({ signs: [{ kind: "pull", hand: "worked", at: "wrist", way: [0, 0, 0] }] }), /class="arc"/g)).toBe(0);
  });

  it("grow with the picture", () => {
    const widthOf = (svg: string) => Number(/class="arc"[^>]*stroke-width="([\d.]+)"/.exec(svg)![1]);
    const sign = {
      signs: [{ kind: "press" as const, hand: "worked" as const, at: "wrist" as const, way: [0, -1, 0] as [number, number, number] }],
    };
    expect(widthOf(stillOf(sign, { width: 600, height: 450 }))).toBeCloseTo(2 * widthOf(stillOf(sign)), 0);
  });
});

it("the start is outlined for what works, not for what helps", () => {
  const moved = { poses: [pose({ right: arm(20), left: arm(20) }), pose({ right: arm(20), left: arm(110) })] };
  expect(stillOf(moved)).not.toContain('class="ghost"');
  expect(stillOf({ ...moved, both: true })).toContain('class="ghost"');
});

it("a figure may say more closely where it is felt than its movement", () => {
  const marked = (felt?: FigureInput["felt"]) => stillOf({ felt }, { regions: ["shoulderNeck"] });
  expect(marked()).toContain('class="felt"');
  expect(marked(["chest"])).not.toBe(marked());
  expect(stillOf({ felt: ["chest"] })).not.toContain('class="felt"');
});

it("the left hand's picture is the mirror image: the same signs on the other side", () => {
  const sign = {
    signs: [{ kind: "press" as const, hand: "worked" as const, at: "wrist" as const, way: [-1, -1, 0] as [number, number, number] }],
  };
  const [right, left] = (["right", "left"] as const).map((side) => stillOf(sign, { side }));
  expect(count(left!, /class="arc"/g)).toBe(count(right!, /class="arc"/g));
  expect(left).not.toBe(right);
});
