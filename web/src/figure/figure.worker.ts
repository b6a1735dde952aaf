/** Draws figures off the page's own thread, so that nothing a figure costs is felt while typing or counting. */
import { expose } from "comlink";
import {
  handMap,
  overlapsOf,
  sceneOf,
  StagedFigure,
  type Figure,
  type MapMark,
  type MapView,
  type PictureOptions,
  type Pose,
} from "@kind-grip/core/figure";
import { REGIONS } from "@kind-grip/core/library";
import type { FigurePlace } from "@kind-grip/core/run";

let staged: { key: string; figure: StagedFigure; frames: Map<string, string> } | undefined;
/** Frames kept of the motion that is shown; a dose repeats, so most are shown many times. About 40 kB each. */
const MOST_FRAMES = 400;

function stagedAs(key: string, figure: Figure, options: PictureOptions): NonNullable<typeof staged> {
  if (staged?.key !== key) staged = { key, figure: new StagedFigure(figure, options), frames: new Map() };
  return staged;
}

const drawer = {
  still: (figure: Figure, options: PictureOptions) => new StagedFigure(figure, options).still(),
  pose: (figure: Figure, options: PictureOptions, pose: Pose) => new StagedFigure(figure, options).at(pose),
  /** Where a pose has one body inside another. */
  overlaps: (figure: Figure, options: PictureOptions, pose: Pose) =>
    overlapsOf(sceneOf(pose, { figure, side: "right", view: figure.view, look: options.look }).parts),
  /** One moment of a motion; the staging is kept while `key` stays the same. */
  moment(key: string, figure: Figure, options: PictureOptions, place: FigurePlace): string {
    const { figure: now, frames } = stagedAs(key, figure, options);
    const frame = JSON.stringify(place);
    const known = frames.get(frame);
    if (known) return known;
    const svg = "slide" in place ? now.sliding(place.slide) : now.moment(place.place);
    if (frames.size < MOST_FRAMES) frames.set(frame, svg);
    return svg;
  },
  handMap: (view: MapView, look: PictureOptions["look"], marks: readonly MapMark[]) => handMap(view, look, REGIONS, marks),
};
export type FigureDrawer = typeof drawer;
expose(drawer);
