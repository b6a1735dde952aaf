/** Days of bookings: treatments one after the other, and the resets that go between them. */
export { Booking, BOOKING_RULES_DOCUMENT, BookingRules, endOf, inOrder, isDeep, runningLate, USUAL_BOOKING_RULES } from "./booking";
export {
  bookedParts,
  bookedSpans,
  bookedStrain,
  handMinutes,
  isLightDay,
  KNOWN_FROM_DAYS,
  LIGHT_SHARE,
  workAsBooked,
  type BookedStrain,
} from "./booked-work";
export {
  AFTER_LAST_MIN,
  EARLY_MIN,
  EASE_MIN,
  LAID_KINDS,
  LAY_COST,
  layDay,
  MOST_LONGER,
  type BookedDay,
  type BookedSpan,
  type KitPrices,
  type LaidDay,
  type LaidKind,
  type LaidSession,
  type LayRules,
  type Missed,
  type SessionShape,
} from "./lay";
export { notThereYet, readBookingFile, type BookingField, type BookingFile, type BookingFileRow, type RowProblem } from "./booking-file";
export { personNamed, treatmentNamed } from "./recognise";
export { bookingSessions, shapesOf, type BookingSessions } from "./sessions";
export { layTogether, type LaidTogether } from "./together";
