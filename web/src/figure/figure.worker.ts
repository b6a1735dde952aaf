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

let staged: { key: string; figure: StagedFigure } | undefined;

function stagedAs(key: string, figure: Figure, options: PictureOptions): StagedFigure {
  if (staged?.key !== key) staged = { key, figure: new StagedFigure(figure, options) };
  return staged.figure;
}

const drawer = {
  still: (figure: Figure, options: PictureOptions) => new StagedFigure(figure, options).still(),
  pose: (figure: Figure, options: PictureOptions, pose: Pose) => new StagedFigure(figure, options).at(pose),
  /** Where a pose has one body inside another. */
  overlaps: (figure: Figure, options: PictureOptions, pose: Pose) =>
    overlapsOf(sceneOf(pose, { figure, side: "right", view: figure.view, look: options.look }).parts),
  /** One moment of a motion; the staging is kept while `key` stays the same. */
  moment(key: string, figure: Figure, options: PictureOptions, place: FigurePlace): string {
    const now = stagedAs(key, figure, options);
    return "slide" in place ? now.sliding(place.slide) : now.moment(place.place);
  },
  handMap: (view: MapView, look: PictureOptions["look"], marks: readonly MapMark[]) => handMap(view, look, REGIONS, marks),
};
export type FigureDrawer = typeof drawer;
expose(drawer);
