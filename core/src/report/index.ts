/** What is told of a crew to its employer, worked out: on the server only. Shapes and calendar of it are in `followup`. */
export { blockFigures, type BlockFacts } from "./block-figures";
export { meanEstimate, rateChange, type Rate } from "./estimate";
export { firstAidFigures, personDaysBetween, type Employment, type FirstAidFigures } from "./first-aid-figures";
export { measuredChanges } from "./measured-changes";
