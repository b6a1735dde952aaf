/** Kit for a group, and the tape planner. */
export { HAND_OVER_SEC, shareKit, type Sharing } from "./share-kit";
export { CORNER_MM, HALVES, MOST_WEAR_DAYS, tapePlan, type TapePlan } from "./tape";
