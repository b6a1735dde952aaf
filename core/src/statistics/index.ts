/** Means and spreads with the interval each is known by. */
export { CONFIDENCE, meanInterval, spreadInterval, type Interval } from "./intervals";
