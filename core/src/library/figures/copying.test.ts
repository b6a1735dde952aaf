/**
 * What must be true of every picture that people copy, on the whole way and not only at its ends: no body inside another, the end told
 * from the start, the helping hand seen, and nothing faster than a calm person moves.
 */
import { overlapsOf, poseAlong, poseBetween, sceneOf, SIDE_NAMES, type Figure, type Overlap, type Pose } from "../../figure";
import { cameraFor, helperOf, type Staging } from "../../figure/drawing/scene";
import { surfaceOf } from "../../figure/surface/surface";
import { SHIPPED_LIBRARY, figuresOf, lookOf } from "..";

const figures = SHIPPED_LIBRARY.movements.flatMap(({ id, startForm }) => {
  const { figure, forms } = figuresOf(id)!;
  return [[startForm, figure] as const, ...Object.entries(forms)].map(([formId, each]) => ({ id, formId, figure: each }));
});
const named = figures.map((each) => [`${each.id} · ${each.formId}`, each] as const);

const stagingOf = (id: string, figure: Figure): Staging => ({ figure, side: "right", view: figure.view, look: lookOf(id) });

/** Poses and moments between, and the slide. */
function momentsOf({ poses, way, slide }: Figure): Pose[] {
  const spans = way === "thereAndBack" ? poses.length - 1 : poses.length;
  const along = Array.from({ length: spans * 3 + 1 }, (_, i) => poseAlong(poses, i / 3, way));
  return slide ? [...along, ...[0, 0.5, 1].map((share) => poseBetween(slide[0], slide[1], share))] : along;
}

const sideOf = (id: string) => SIDE_NAMES.find((side) => id.startsWith(`${side}:`));
const isHelped = (pose: Pose) => SIDE_NAMES.some((side) => pose[side]?.touch?.part.startsWith("other"));
/** Both hands put somewhere on the same body: laced, pressed together, folded. */
const isClasped = (pose: Pose) => SIDE_NAMES.every((side) => pose[side]?.touch);

/** Millimetres that may be inside: skin that is pressed or held gives way, and cloth does. */
function allowed({ one, other }: Overlap, pose: Pose): number {
  const [a, b] = [sideOf(one), sideOf(other)];
  if (a && b && a === b) return 16;
  if (a && b) return isHelped(pose) || isClasped(pose) ? 19 : 6;
  if (one.startsWith("prop") || other.startsWith("prop")) return 14;
  return /trunk|shirtTail|leg/.test(`${one} ${other}`) ? 20 : 12;
}

it.each(named)("%s: nothing enters anything, all the way", (_, { id, figure }) => {
  const deep = momentsOf(figure).flatMap((pose) =>
    overlapsOf(sceneOf(pose, stagingOf(id, figure)).parts)
      .filter((overlap) => overlap.mm > allowed(overlap, pose))
      .map(({ one, other, mm }) => `${one} is ${Math.round(mm)} mm inside ${other}`),
  );
  expect([...new Set(deep)]).toEqual([]);
});

/** Cells of a small picture that a scene covers, by what is in front there. */
function coveredBy(id: string, figure: Figure, pose: Pose) {
  const staging = stagingOf(id, figure);
  const camera = cameraFor(
    staging,
    figure.poses.map((each) => sceneOf(each, staging)),
    { width: 90, height: 68 },
    5,
  );
  const { parts } = sceneOf(pose, staging);
  const surface = surfaceOf(parts, camera, 1);
  const cells = new Map<string, string>();
  surface.owner.forEach((owner, i) => {
    if (owner < 0) return;
    const column = Math.round(surface.left + (i % surface.columns));
    const row = Math.round(surface.top + Math.floor(i / surface.columns));
    cells.set(`${column} ${row}`, surface.parts[surface.shapes[owner]!.part]!.id);
  });
  return { cells, parts, camera };
}

it.each(named.filter(([, { figure }]) => figure.poses.length > 1))(
  "%s: the start can be told from the end at 90 px",
  (_, { id, figure }) => {
    const said = figure.arc !== undefined || (figure.signs ?? []).length > 0 || figure.strip !== undefined || figure.way !== "thereAndBack";
    const [start, end] = [figure.poses[0]!, figure.poses.at(-1)!].map((pose) => coveredBy(id, figure, pose).cells);
    const differing = [...new Set([...start!.keys(), ...end!.keys()])].filter((cell) => start!.has(cell) !== end!.has(cell)).length;
    expect(said || differing > 60).toBe(true);
  },
);

const helped = named.filter(([, { figure }]) => helperOf({ figure, side: "right" }) === "left" && figure.poses.at(-1)!.left?.touch);
it.each(helped)("%s: the helping hand is seen where it helps", (_, { id, figure }) => {
  const { cells, parts, camera } = coveredBy(id, figure, figure.poses.at(-1)!);
  const isHelper = (partId: string) => /^left:(palm|index|middle|ring|little|thumb)$/.test(partId);
  const alone = surfaceOf(
    parts.filter((part) => isHelper(part.id)),
    camera,
    1,
  ).owner.filter((owner) => owner >= 0).length;
  const seen = [...cells.values()].filter(isHelper).length;
  expect(seen / alone).toBeGreaterThan(0.35);
});
