/** The drawn, moving hand: poses in clinical degrees → SVG text. */
export { bonesOf, type Bones } from "./body/bones";
export { MIRRORED_VIEW, VIEW_NAMES, VIEWS, type ViewName } from "./surface/camera";
export { Figure, FOCUSES, type Enlargement, type FigureInput, type Focus, type Sign } from "./figure";
export { handMap, MAP_VIEWS, type HandMap, type MapMark, type MapPlace, type MapView } from "./drawing/hand-map";
export * as handContacts from "./body/hand-contacts";
export { overlapsOf, type Overlap } from "./flesh/overlap";
export { LANDMARKS, type Landmark } from "./flesh/landmarks";
export { feltTurnOf } from "./motion/hand-turn";
export { eased, mirrorPose, poseAlong, poseBetween } from "./motion/motion";
export { enlargementOf, sceneOf } from "./drawing/scene";
export { StagedFigure, type PictureOptions } from "./drawing/picture";
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
} from "./body/pose";
export { PROP_KINDS, type PropInput, type PropKind } from "./flesh/prop-schema";
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
} from "./body/ranges";
export type { Look } from "./drawing/scene";
export { HAND_SHAPE_NAMES, HAND_SHAPES, type HandShapeName } from "./body/shapes";
export { SKINS, type Skin } from "./flesh/tones";
export { HAIR_STYLES, type HairStyle } from "./flesh/trunk-flesh";
export { factsOf, nearestShape, type Fact, type PoseFacts } from "./body/telling";
