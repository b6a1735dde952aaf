/** Programs composed from need by a 0/1 programme (docs/compose.md). */
export { composer, neediest, type Composer, type ComposeInput } from "./compose";
export { USUAL_LIMITS, type ComposeLimits } from "./limits";
export type { Hindrance, ItemReason, Proposal, Unmet } from "./proposal";
