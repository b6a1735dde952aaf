import { bonesOf, mirrorPose, poseAlong, REFERENCE_RANGES, SIDE_NAMES, StagedFigure, type Figure, type Pose } from "../../figure";
import { touchingPlace } from "../../figure/body/contact";
import { armRods, rod, skinGap } from "../../figure/body/grasp";
import { propParts } from "../../figure/flesh/prop";
import type { Ball } from "../../figure/flesh/solid";
import { atPoint, distance } from "../../figure/vector";
import { wordsIn } from "../../language";
import { SHIPPED_LIBRARY, COACHING_CARDS, figuresOf, lookOf, poseProblems, stage } from "..";
import { FELT_AT } from "../../figure/flesh/landmarks";

const words = wordsIn("en");
const everyForm = SHIPPED_LIBRARY.movements.flatMap((movement) => movement.forms.map((form) => [movement.id, form.id] as const));
const own = (movementId: string, formId: string) => figuresOf(movementId)!.forms[formId] !== undefined;
const allPoses = ({ poses, slide }: Figure): Pose[] => [...poses, ...(slide ?? [])];

const rodBetween = (from: Ball, to: Ball) => rod(from.at, from.radius, to.at, to.radius);

it("has a figure for every movement and form, and no figure without its movement", () => {
  for (const [movementId, formId] of everyForm) expect(SHIPPED_LIBRARY.figure(movementId, formId)).toBeDefined();
  for (const { id, forms } of SHIPPED_LIBRARY.movements)
    for (const formId of Object.keys(figuresOf(id)!.forms)) expect(forms.map((form) => form.id)).toContain(formId);
});

describe.each(
  SHIPPED_LIBRARY.movements.map(({ id, phase, forms, startForm }) => ({
    id,
    phase,
    formIds: forms.map((form) => form.id).filter((formId) => formId === startForm || own(id, formId)),
  })),
)("$id", ({ id, phase, formIds }) => {
  it("keeps every joint in its range and every hand in reach, on the way too", () => {
    for (const formId of formIds) {
      const figure = SHIPPED_LIBRARY.figure(id, formId)!;
      const spans = figure.way === "thereAndBack" ? figure.poses.length - 1 : figure.poses.length;
      const between = Array.from({ length: spans }, (_, i) => poseAlong(figure.poses, i + 0.5, figure.way));
      for (const pose of [...allPoses(figure), ...(figure.way === "round" ? [] : between)]) expect(poseProblems(pose)).toEqual([]);
      if (phase === "stretch" || phase === "mobility")
        for (const pose of allPoses(figure)) {
          const arms = bonesOf(pose).arms;
          const working = figure.both ? SIDE_NAMES : (["right"] as const);
          for (const side of working)
            for (const [joint, { least, most }] of Object.entries(REFERENCE_RANGES)) {
              const degrees = arms[side]!.solved[joint as keyof typeof REFERENCE_RANGES];
              // A hand that is leaned on or clasped turns a little further than it would by itself.
              const more = pose[side]!.touch ? 12 : 0.5;
              expect([formId, joint, degrees >= least - more && degrees <= most + more]).toEqual([formId, joint, true]);
            }
        }
    }
  });

  it("touches what it should touch: skin on skin, near the place that is named", () => {
    for (const formId of formIds)
      for (const pose of allPoses(SHIPPED_LIBRARY.figure(id, formId)!)) {
        const { props } = SHIPPED_LIBRARY.figure(id, formId)!;
        const bones = bonesOf(pose);
        const { arms } = bones;
        for (const side of SIDE_NAMES) {
          const touch = pose[side]?.touch;
          if (!touch || (!touch.part.startsWith("otherFore") && !touch.part.startsWith("otherHand"))) continue;
          const arm = arms[side]!;
          const other = arms[side === "right" ? "left" : "right"]!;
          const frame = touch.part === "otherHand" ? other.hand : { ...other.wrist, o: other.fore.o };
          const held = props
            .flatMap((prop) => propParts(prop, bones, "right", "held"))
            .flatMap(({ balls, rods }) => rods.map(([a, b]) => rodBetween(balls[a]!, balls[b]!)));
          // It lies on the other arm, or on the tool that the other hand holds.
          const gap = Math.min(skinGap(arm.hand, arm.solved.hand, armRods(other)), skinGap(arm.hand, arm.solved.hand, held));
          expect([formId, gap < 4]).toEqual([formId, true]);
          expect(distance(atPoint(frame, touch.at), atPoint(arm.hand, touchingPlace(arm.solved.hand, touch.with)))).toBeLessThan(48);
        }
      }
  });

  it("is drawn whole on both sides: no part without a number, both letters, small enough", () => {
    for (const [i, formId] of formIds.entries())
      for (const side of i === 0 ? SIDE_NAMES : (["right"] as const)) {
        const staged = stage(SHIPPED_LIBRARY, id, formId, { side, width: 320, height: 240, cell: i === 0 ? 3 : 6 });
        const svg = i === 0 ? staged.still() : staged.at(staged.figure.poses.at(-1)!);
        expect(svg).not.toMatch(/NaN|Infinity|undefined/);
        const shown = SHIPPED_LIBRARY.figure(id, formId)!.poses.at(-1)!;
        for (const each of SIDE_NAMES) {
          // A strip of the hand alone shows only the hand that works.
          const alone = SHIPPED_LIBRARY.figure(id, formId)!.strip === "hand";
          const drawn = (side === "right" ? shown : mirrorPose(shown))[each] !== undefined && !(alone && i === 0 && each !== side);
          expect([formId, side, each, svg.includes(`class="side-${each}"`)]).toEqual([formId, side, each, drawn]);
        }
        expect(svg.length).toBeLessThan(90_000);
      }
  });

  it("is told in words from its poses", () => {
    const text = words.figure(SHIPPED_LIBRARY.figure(id)!, "left", words.movementName(id));
    expect(text.length).toBeGreaterThan(40);
    expect(text).not.toMatch(/figure\.|\{\{|undefined/);
  });
});

it("shows the commonest cheat different from the end it spoils, and names it", () => {
  for (const { id } of SHIPPED_LIBRARY.movements) {
    const { wrong, figure } = figuresOf(id)!;
    if (!wrong) continue;
    expect(wrong.pose).not.toEqual(figure.poses.at(-1));
    expect([id, words.movement(id).watch[wrong.watch]]).toEqual([id, expect.any(String)]);
    bonesOf(wrong.pose);
  }
});

it("marks where it is felt for every region, and says at most two", () => {
  for (const { id, regions } of SHIPPED_LIBRARY.movements) {
    for (const region of [...regions.worked, ...regions.stretched, ...regions.released]) expect(FELT_AT[region]).toBeDefined();
    expect(SHIPPED_LIBRARY.feltRegions(id).length).toBeLessThanOrEqual(2);
  }
  expect(stage(SHIPPED_LIBRARY, "wrist-nod").still()).toContain('class="felt"');
});

it("glides stop at the step their form uses, and slide there", () => {
  for (const id of ["median-glide", "ulnar-glide", "radial-glide"])
    for (const form of SHIPPED_LIBRARY.movements.find((movement) => movement.id === id)!.forms) {
      const figure = SHIPPED_LIBRARY.figure(id, form.id)!;
      expect(figure.poses).toHaveLength(form.stepsUsed!);
      expect(figure.slide).toBeDefined();
    }
});

it("draws every coaching card as two poses that differ and can be held", () => {
  expect(COACHING_CARDS).toHaveLength(11);
  for (const { id, figure, postures } of COACHING_CARDS) {
    expect(figure.poses).toHaveLength(2);
    for (const pose of figure.poses) {
      expect([id, poseProblems(pose)]).toEqual([id, []]);
      expect(new StagedFigure(figure, { look: lookOf(id), width: 300, height: 225 }).at(pose)).not.toMatch(/NaN/);
    }
    expect(postures.length).toBeGreaterThan(0);
    expect(words.coaching(id).title).not.toContain("coaching.");
  }
});
