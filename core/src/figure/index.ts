/** The drawn, moving hand: poses in clinical degrees → SVG text. */
export { bonesOf, type Bones } from "./bones";
export { MIRRORED_VIEW, VIEW_NAMES, VIEWS, type ViewName } from "./camera";
export { Figure, FOCUSES, type FigureInput, type Focus } from "./figure";
export { handMap, MAP_VIEWS, type HandMap, type MapMark, type MapPlace, type MapView } from "./hand-map";
export * as holds from "./holds";
export { LANDMARKS, type Landmark } from "./landmarks";
export { mirrorPose, poseAlong, poseBetween } from "./motion";
export { StagedFigure, type PictureOptions } from "./picture";
export {
  armPose,
  handPose,
  otherSide,
  Pose,
  pose,
  SIDE_NAMES,
  type ArmInput,
  type ArmPose,
  type HandInput,
  type PoseInput,
  type SideName,
} from "./pose";
export { PROP_KINDS, type PropInput, type PropKind } from "./prop";
export {
  ARM_RANGES,
  armRangeProblems,
  FINGER_RANGES,
  NECK_RANGES,
  rangeProblems,
  REFERENCE_RANGES,
  THUMB_RANGES,
  TRUNK_RANGES,
  type Range,
  type RangeProblem,
} from "./ranges";
export type { Look } from "./scene";
export { HAND_SHAPE_NAMES, HAND_SHAPES, type HandShapeName } from "./shapes";
export { SKINS, type Skin } from "./tones";
export { HAIR_STYLES, type HairStyle } from "./trunk-flesh";
export { factsOf, nearestShape, type Fact, type PoseFacts } from "./telling";
