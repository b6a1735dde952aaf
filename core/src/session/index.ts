/** The session: items, doses, and the timeline they compile to. */
export {
  Dose,
  HoldsDose,
  RepsDose,
  StepsDose,
  Tempo,
  TimedDose,
  boutsOf,
  tensionOf,
  doseText,
  tempoSec,
  type Bouts,
  type DoseKind,
} from "./dose";
export {
  FormId,
  heldIn,
  writtenHeld,
  NOTHING_HELD,
  BESIDE_SLOTS,
  HOME_SLOTS,
  isOfShift,
  isShiftSession,
  Item,
  MAX_ITEMS,
  MovementId,
  PersonalForm,
  Session,
  SESSION_DOCUMENT,
  SESSION_SLOTS,
  SessionSlot,
  withDoseShares,
  withHomeSlots,
  withResets,
  Sides,
  SLOT_KINDS,
  SlotKind,
  type Held,
  type BesideSlot,
  type HomeSlot,
  type ShiftSession,
} from "./item";
export { DEFAULT_TIMING, doseInForm, type FormTiming, type FormTimings } from "./form-timing";
export { compileGroup, compilePerson, groupWaits, type ItemSpan, type Segment, type SegmentKind, type Timeline } from "./timeline";
export { positionAt, type Phase, type Position } from "./position";
export { sessionTotals, type PerSide, type RegionShare, type SessionTotals, type TorqueOf } from "./totals";
export { alternatingSaving, savedIn, type Saved } from "./saving";
export { addItem, changeItem, duplicateItem, moveItem, removeItem, setPersonalForm } from "./edit";
