/** The slot: how much of it a session uses, what is spare, what is over, and which items lie beyond its end. */
export { rulerOf, type Ruler } from "./ruler";
