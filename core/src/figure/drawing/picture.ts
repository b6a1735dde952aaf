/** The pictures of a figure: whole and still, one moment of its motion, or its steps side by side. SVG text, no DOM. */
import type { Figure } from "../figure";
import { draw } from "./drawing";
import { framing, MIRRORED_VIEW, VIEWS, type Camera, type ViewName } from "../surface/camera";
import { eased, poseAlong, poseBetween } from "../motion/motion";
import { arc, felt, ghost } from "./overlay";
import { number } from "../surface/svg-path";
import { SIDE_NAMES, type Pose, type SideName } from "../body/pose";
import { cameraFor, insetRadius, sceneOf, type Look, type Scene, type Staging } from "./scene";

export interface PictureOptions {
  side?: SideName;
  view?: ViewName;
  look: Look;
  /** Regions to mark on the skin. */
  regions?: readonly string[];
  width?: number;
  height?: number;
  /** Pixels of a cell of the depth map; coarser is faster. */
  cell?: number;
  /** Lines this many times as thick, for pictures that are shown small. */
  bold?: number;
  /** Poses that must fit into the picture besides the figure's own. */
  alsoShown?: readonly Pose[];
  /** Told to whoever cannot see it. */
  title?: string;
}

const MARGIN = 34;

/** One figure, staged once and then drawn at any moment: what does not change between moments is kept. */
export class StagedFigure {
  readonly staging: Staging;
  readonly width: number;
  readonly height: number;
  private readonly cell: number;
  private readonly camera: Camera;
  private readonly poses: readonly Pose[];
  private readonly first: Scene;

  constructor(
    readonly figure: Figure,
    private readonly options: PictureOptions,
  ) {
    this.staging = { figure, side: options.side ?? "right", view: options.view ?? figure.view, look: options.look };
    this.width = options.width ?? 600;
    this.height = options.height ?? 450;
    this.cell = options.cell ?? (2.4 * this.width) / 600;
    this.poses = figure.poses;
    const scenes = [...this.poses, ...(figure.slide ?? []), ...(options.alsoShown ?? [])].map((pose) => sceneOf(pose, this.staging));
    this.first = scenes[0]!;
    this.camera = cameraFor(this.staging, scenes, { width: this.width, height: this.height }, (MARGIN * this.width) / 600);
  }

  /** The last pose with the ghost of the first, the arc and the felt mark: everything in one still. */
  still(): string {
    const shown = this.figure.cover ?? this.poses.length - 1;
    const now = sceneOf(this.poses[shown]!, this.staging);
    const before = shown > 0 ? ghost(this.first, now, this.camera, this.cell) : "";
    const way = this.figure.arc && this.poses.length > 1 ? arc(this.figure, this.camera, this.staging.side, this.figure.arc) : "";
    return this.frame(before + this.body(now) + way);
  }

  /** One pose alone; `place` counts poses from 0 and may lie between two. */
  moment(place: number): string {
    return this.at(poseAlong(this.poses, place, this.figure.way));
  }

  /** The slide at the last step, `share` of the way from one end to the other; the last pose where the figure has no slide. */
  sliding(share: number): string {
    const { slide } = this.figure;
    return this.at(slide ? poseBetween(slide[0], slide[1], eased(share)) : this.poses.at(-1)!);
  }

  /** Any pose, seen by this figure's camera. */
  at(pose: Pose): string {
    return this.frame(this.body(sceneOf(pose, this.staging)));
  }

  private body(scene: Scene): string {
    const { look, side } = this.staging;
    const { surface, svg } = draw(scene.parts, this.camera, look.skin, this.cell, scene.bones, this.options.bold);
    const sides = this.figure.both ? SIDE_NAMES : [side];
    const mark = this.options.regions?.length ? felt(surface, scene.bones, this.options.regions, sides) : "";
    return svg.body + mark + svg.lines + (this.figure.inset ? this.inset(scene) : "");
  }

  /** The working hand enlarged in a round window, in the strip that the camera keeps free for it. */
  private inset(scene: Scene): string {
    const { side, view, look } = this.staging;
    const sides: readonly SideName[] = this.figure.both ? ["left"] : [side];
    const hand = scene.parts.filter(
      (part) => sides.some((each) => part.id.startsWith(`${each}:`)) && /palm|index|middle|ring|little|thumb/.test(part.id),
    );
    const radius = insetRadius(this.height);
    const turned = VIEWS[side === "right" ? view : MIRRORED_VIEW[view]];
    const camera = framing(
      turned,
      hand.flatMap((part) => part.balls),
      { width: radius * 2, height: radius * 2 },
      radius * 0.2,
      this.camera.scale * 3,
    );
    const { svg } = draw(
      scene.parts.filter((part) => sides.some((each) => part.id.startsWith(each)) || part.id.startsWith("prop")),
      camera,
      look.skin,
      this.cell,
      undefined,
    );
    const x = side === "right" ? this.width - radius - 10 : radius + 10;
    const y = radius + 10;
    const id = `inset-${side}-${Math.round(x)}`;
    return (
      `<clipPath id="${id}"><circle cx="${number(x)}" cy="${number(y)}" r="${number(radius)}"/></clipPath>` +
      `<circle cx="${number(x)}" cy="${number(y)}" r="${number(radius)}" fill="#FFFDF8"/>` +
      `<g clip-path="url(#${id})"><g transform="translate(${number(x - radius)} ${number(y - radius)})">${svg.body}${svg.lines}</g></g>` +
      `<circle class="inset" cx="${number(x)}" cy="${number(y)}" r="${number(radius)}" fill="none" stroke="#1D2B2A" stroke-width="2"/>`
    );
  }

  private frame(content: string): string {
    const { width, height } = this;
    const title = this.options.title ? `<title>${escaped(this.options.title)}</title>` : "";
    return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"${title ? ' role="img"' : ""}>${title}${content}</svg>`;
  }
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[sign]!);
