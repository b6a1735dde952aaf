/** Programs composed from need by 0/1 programmes, one aim after the other (docs/compose.md). */
export { composer, neediest, type Alternative, type Composer, type ComposeInput } from "./compose";
export type { Taste } from "./model";
export { kitOf } from "./shape";
export { limitsWith, notchGains, type Notch, type NotchGain } from "./notches";
export { USUAL_LIMITS, type ComposeLimits } from "./limits";
export type { AimMissed } from "./aims";
export { BESIDE_PHASES, besideSession, type BesideSession } from "./beside";
export { joined, joinersFor, type Joiner, type JoinerOptions } from "./joiners";
export { MET, type Hindrance, type ItemReason, type Met, type Proposal, type Unmet } from "./proposal";
