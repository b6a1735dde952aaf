/** Region need: where the work and the findings ask for attention first, and what would be the opposite of the work. */
export { cardsFor, LEAST_POSTURE_MIN, oppositesFor, UNEVEN_RATIO, type Opposite } from "./opposites";
export { dutyOf, postureMinutes, posturesOf, type PostureTime } from "./postures";
export {
  ADDED_POINTS,
  HALVING_LOAD_MIN,
  regionNeeds,
  sharesOf,
  type AddedBy,
  type LoadPart,
  type NeedFinding,
  type RegionNeed,
} from "./region-need";
export { GRIP_SHARES, EXERTION_FACTORS, POSTURE_FROM_DEG, POSTURE_SHARES } from "./shares";
