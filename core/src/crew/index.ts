/** Crews and their people, and how a roster file becomes people. */
export { CONDITIONS, Crew, CREW_DETAIL, KitEntry, TimeZone } from "./crew";
export { BESIDE_SEC, placeOf, slotSecOf, surroundingsOf } from "./session-place";
export { givenNameOf, hasLeft, NewPerson, Person, isHere, isHereBetween } from "./person";
export { NO_WORDS, orderOfDates, plainWord, readDay, type DateOrder, type RosterWords, type WordField } from "./roster-cells";
export {
  guessDateOrder,
  readRoster,
  unknownWords,
  type KnownPerson,
  type RosterOutcome,
  type RosterReading,
  type RosterRow,
} from "./roster";
export { ROSTER_FIELDS, guessColumns, type ColumnMap, type RosterField } from "./roster-columns";
export { guessEncoding, readRosterText, type Encoding, type RosterText } from "./roster-text";
export { pathOf, STEPS, StepState, type PathFacts, type Step } from "./path";
export { areSimilarNames } from "./similar-name";
