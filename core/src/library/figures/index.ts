/** The figures of the library: for every movement and form the poses, the camera, the things it is done with. */
import { bonesOf, armRangeProblems, Figure, pose, rangeProblems, SIDE_NAMES, type Pose } from "../../figure";
import * as v from "valibot";
import { fingers } from "./fingers";
import { getReady } from "./get-ready";
import { glide } from "./glide";
import { grip } from "./grip";
import { mobility } from "./mobility";
import { release } from "./release";
import type { FigureSource, FigureSources } from "./source";
import { strengthen } from "./strengthen";
import { stretch } from "./stretch";
import { stretchAssisted } from "./stretch-assisted";
import { upperBody } from "./upper-body";

const SOURCES: FigureSources = {
  ...getReady,
  ...mobility,
  ...fingers,
  ...stretchAssisted,
  ...stretch,
  ...upperBody,
  ...glide,
  ...strengthen,
  ...grip,
  ...release,
};

export interface MovementFigures {
  figure: Figure;
  /** Forms that look different; every other form looks like `figure`. */
  forms: Readonly<Record<string, Figure>>;
  /** The commonest cheat, and which of the movement's watch-fors it shows. */
  wrong?: { pose: Pose; watch: number };
}

const made = new Map<string, MovementFigures>();

/** The figures of a movement that ships with the product; undefined for any other. Made when first asked for. */
export function figuresOf(movementId: string): MovementFigures | undefined {
  const known = made.get(movementId);
  if (known) return known;
  const source = SOURCES[movementId];
  if (!source) return undefined;
  const figure = figureFrom(source.figure);
  const figures: MovementFigures = {
    figure,
    forms: Object.fromEntries(Object.entries(source.forms ?? {}).map(([id, form]) => [id, figureFrom(form)])),
    ...(source.wrong && { wrong: { pose: pose(source.wrong.pose), watch: source.wrong.watch } }),
  };
  made.set(movementId, figures);
  return figures;
}

function figureFrom({ poses, slide, ...rest }: FigureSource): Figure {
  return v.parse(Figure, { ...rest, poses: poses.map(pose), ...(slide && { slide: slide.map(pose) }) });
}

/** What is wrong with a pose: joints beyond their range, hands that cannot reach. One line each, empty when all is well. */
export function poseProblems(now: Pose): string[] {
  const bones = bonesOf(now);
  const solved = SIDE_NAMES.flatMap((side) => {
    const arm = bones.arms[side];
    if (!arm || !now[side]?.touch) return [];
    return [...arm.problems.map((problem) => `${side}: ${problem}`), ...armRangeProblems(side, arm.solved).map(rangeText)];
  });
  return [...rangeProblems(now).map(rangeText), ...solved];
}

const rangeText = ({ joint, degrees, least, most }: { joint: string; degrees: number; least: number; most: number }) =>
  `${joint} is ${Math.round(degrees)}°, it goes from ${least}° to ${most}°`;
