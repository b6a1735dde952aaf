/** Programs composed from need by a 0/1 programme (docs/compose.md). */
export { compose, neediest, type ComposeInput, type Solver } from "./compose";
export { SESSION_NAMES, USUAL_LIMITS, type ComposeLimits } from "./limits";
export type { Hindrance, ItemReason, Proposal, Unmet } from "./proposal";
