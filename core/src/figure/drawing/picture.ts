/** The pictures of a figure: whole and still, one moment of its motion, or its steps side by side. SVG text, no DOM. */
import { isEqual, minBy, uniqWith } from "es-toolkit";
import type { Figure } from "../figure";
import { draw } from "./drawing";
import { framing, type Camera, type ViewName } from "../surface/camera";
import { eased, poseAlong, poseBetween } from "../motion/motion";
import { felt } from "./felt";
import { arc, ghost, signs, sinkingBlade } from "./overlay";
import { badge } from "./strip";
import { number } from "../surface/svg-path";
import { otherSide, SIDE_NAMES, type Pose, type SideName } from "../body/pose";
import { cameraFor, enlargementOf, helperOf, insetPlace, sceneOf, seenFrom, type Look, type Scene, type Staging } from "./scene";

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
  /** Scenes of this figure's poses, where they are known already. */
  scenes?: ReadonlyMap<Pose, Scene>;
}

const MARGIN = 34;
/** Panels this much of the largest, and more, count as equally large. */
const ABOUT_AS_LARGE = 0.9;

/** One figure, staged once and then drawn at any moment: what does not change between moments is kept. */
export class StagedFigure {
  readonly staging: Staging;
  readonly width: number;
  readonly height: number;
  private readonly cell: number;
  /** What a pixel of a picture 600 wide is in this one. */
  private readonly pen: number;
  private readonly camera: Camera;
  private readonly poses: readonly Pose[];
  /** What is shown again and again is worked out once. */
  private readonly scenes: ReadonlyMap<Pose, Scene>;

  constructor(
    readonly figure: Figure,
    private readonly options: PictureOptions,
  ) {
    this.staging = { figure, side: options.side ?? "right", view: options.view ?? figure.view, look: options.look };
    this.width = options.width ?? 600;
    this.height = options.height ?? 450;
    this.cell = options.cell ?? (2.4 * this.width) / 600;
    this.pen = (this.width / 600) * (options.bold ?? 1);
    this.poses = figure.poses;
    const shown = [...this.poses, ...(figure.slide ?? []), ...(options.alsoShown ?? [])];
    this.scenes = new Map(shown.map((pose) => [pose, options.scenes?.get(pose) ?? sceneOf(pose, this.staging)]));
    const size = { width: this.width, height: this.height };
    this.camera = cameraFor(this.staging, [...this.scenes.values()], size, (MARGIN * this.width) / 600);
  }

  private sceneOf(pose: Pose): Scene {
    return this.scenes.get(pose) ?? sceneOf(pose, this.staging);
  }

  /** Everything in one still: the last pose with the ghost of the first, the way, the signs and the felt mark; a row of steps as a strip. */
  still(): string {
    if (this.figure.strip || this.figure.slide || (this.figure.way === "steps" && this.poses.length > 2)) return this.frame(this.strip());
    const shown = this.figure.cover ?? this.poses.length - 1;
    return this.frame(this.shownFrom(this.sceneOf(this.poses[0]!), this.poses[shown]!, shown > 0));
  }

  /** A pose with what tells it from the one before. */
  private shownFrom(before: Scene, pose: Pose, moved: boolean, signed = true): string {
    const now = this.sceneOf(pose);
    const { side } = this.staging;
    const drawn = this.drawn(now, moved ? before : undefined);
    const way = this.figure.arc && this.poses.length > 1 ? arc(this.figure, this.camera, side, this.figure.arc, this.pen) : "";
    const said = !signed ? "" : signs(this.figure, before.bones, now.bones, this.camera, side, this.pen);
    return drawn + way + said + this.inset(now);
  }

  /** All steps in order, numbered, each over a pale outline of the one before; after them where the last one slides to and fro. */
  private strip(): string {
    const { poses, figure, width, height } = this;
    const alone = ({ left: _, ...pose }: Pose): Pose => pose;
    // What comes again is not shown again.
    const steps = uniqWith(figure.strip === "hand" ? poses.map(alone) : poses, isEqual);
    const shown = figure.slide ? [...steps, figure.slide[1]] : steps;
    const { arc: _way, slide: _slide, strip: _strip, ...rest } = figure;
    const close = figure.strip === "hand";
    const alike = { ...rest, poses: shown, inset: figure.inset && !close, ...(close && { both: false }) };
    const scenes = new Map(shown.map((pose) => [pose, sceneOf(pose, { ...this.staging, figure: alike })]));
    // As many columns as make the panels' pictures largest; of those that make them about as large, what leaves least paper empty.
    const layouts = shown.map((_, i) => {
      const size = { width: width / (i + 1), height: height / Math.ceil(shown.length / (i + 1)) };
      const { scale } = cameraFor({ ...this.staging, figure: alike }, [...scenes.values()], size, (MARGIN * size.width) / 600);
      return { columns: i + 1, ...size, scale };
    });
    const largest = Math.max(...layouts.map(({ scale }) => scale));
    const about = layouts.filter(({ scale }) => scale >= ABOUT_AS_LARGE * largest);
    const { columns, width: wide, height: high } = minBy(about, ({ columns }) => Math.ceil(shown.length / columns) * columns)!;
    const panel = new StagedFigure(alike, {
      ...this.options,
      width: wide,
      height: high,
      cell: this.cell,
      bold: (this.options.bold ?? 1) * Math.sqrt(columns),
      alsoShown: [],
      scenes,
    });
    const clip = `strip-${Math.round(wide)}-${Math.round(high)}`;
    const pen = this.pen;
    return (
      `<clipPath id="${clip}"><rect x="0" y="0" width="${number(wide)}" height="${number(high)}"/></clipPath>` +
      shown
        .map((pose, i) => {
          const before = scenes.get(shown[Math.max(0, i - 1)]!)!;
          const [x, y] = [(i % columns) * wide, Math.floor(i / columns) * high];
          return (
            `<g transform="translate(${number(x)} ${number(y)})"><g clip-path="url(#${clip})">${panel.shownFrom(before, pose, i > 0, i === shown.length - 1)}${sinkingBlade(before.bones, scenes.get(pose)!.bones, panel.camera, panel.staging.side, panel.pen)}</g>` +
            `${badge(i < steps.length ? i + 1 : "toAndFro", 20 * pen, 20 * pen, pen)}</g>`
          );
        })
        .join("")
    );
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
    return this.frame(this.body(this.sceneOf(pose)));
  }

  private body(scene: Scene): string {
    return this.drawn(scene) + this.inset(scene);
  }

  /** @param before where everything was, to be shown as a pale outline */
  private drawn(scene: Scene, before?: Scene): string {
    const { look, side } = this.staging;
    const { surface, svg } = draw(scene.parts, this.camera, look.skin, this.cell, scene.bones, this.options.bold);
    const sides = this.figure.both ? SIDE_NAMES : [side];
    const start = before ? ghost(before, scene, helperOf(this.staging), surface, this.cell, this.pen) : "";
    const { regions = [] } = this.options;
    const places = regions.length > 0 ? (this.figure.felt ?? regions) : [];
    const mark = places.length > 0 ? felt(surface, scene.bones, places, sides, look.skin) : "";
    return svg.body + start + mark + svg.lines;
  }

  /** Hands enlarged in round windows, in the strip that the camera keeps free for them. */
  private inset(scene: Scene): string {
    if (!this.figure.inset) return "";
    const { side } = this.staging;
    const { of } = enlargementOf(this.figure);
    const corner = side === "right" ? "right" : "left";
    if (of === "both") return this.window(scene, SIDE_NAMES, corner);
    // A person who faces the viewer has the right hand on the viewer's left.
    if (of === "each") return this.window(scene, ["right"], "left") + this.window(scene, ["left"], "right");
    return this.window(scene, [of === "worked" ? side : otherSide(side)], corner);
  }

  private window(scene: Scene, sides: readonly SideName[], corner: "left" | "right"): string {
    const { side, look } = this.staging;
    const { view, size } = enlargementOf(this.figure);
    const hand = scene.parts.filter(
      (part) => sides.some((each) => part.id.startsWith(`${each}:`)) && /palm|index|middle|ring|little|thumb/.test(part.id),
    );
    const { x, y, radius } = insetPlace(this, size, corner);
    const camera = framing(
      seenFrom(view ?? this.staging.view, side),
      hand.flatMap((part) => part.balls),
      { width: radius * 2, height: radius * 2 },
      radius * 0.2,
      this.camera.scale * 5,
    );
    const { svg } = draw(
      scene.parts.filter((part) => /^(right|left):(palm|index|middle|ring|little|thumb|cuff|forearm|foot)$|^prop/.test(part.id)),
      camera,
      look.skin,
      this.cell,
      undefined,
      this.options.bold,
    );
    const id = `inset-${corner}-${Math.round(x)}-${Math.round(radius)}`;
    return (
      `<clipPath id="${id}"><circle cx="${number(x)}" cy="${number(y)}" r="${number(radius)}"/></clipPath>` +
      `<circle cx="${number(x)}" cy="${number(y)}" r="${number(radius)}" fill="#FFFDF8"/>` +
      `<g clip-path="url(#${id})"><g transform="translate(${number(x - radius)} ${number(y - radius)})">${svg.body}${svg.lines}</g></g>` +
      `<circle class="inset" cx="${number(x)}" cy="${number(y)}" r="${number(radius)}" fill="none" stroke="#1D2B2A" stroke-width="${number(2 * this.pen)}"/>`
    );
  }

  private frame(content: string): string {
    const { width, height } = this;
    const title = this.options.title ? `<title>${escaped(this.options.title)}</title>` : "";
    return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"${title ? ' role="img"' : ""}>${title}${content}</svg>`;
  }
}

const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[sign]!);
