/** Crews and their people, and how a roster file becomes people. */
export { CONDITIONS, Crew, CREW_DETAIL, KitEntry } from "./crew";
export { HOME_SEC, placeOf, slotSecOf, surroundingsOf } from "./session-place";
export { Handedness, NewPerson, Person, isHere } from "./person";
export { guessDateOrder, readRoster, type DateOrder, type KnownPerson, type RosterRow } from "./roster";
export { ROSTER_FIELDS, guessColumns, type ColumnMap, type RosterField } from "./roster-columns";
export { guessEncoding, readRosterText, type Encoding, type RosterText } from "./roster-text";
export { areSimilarNames } from "./similar-name";
