/** Crews, people, absences. */
import * as v from "valibot";
import { Crew, NewPerson, Person, StepState } from "../crew";
import { Id, IsoDate } from "../units";
import { Version } from "./shapes";

export const CrewEntry = v.strictObject({ ...Crew.entries, id: Id, version: Version });
export type CrewEntry = v.InferOutput<typeof CrewEntry>;

/** With how many people are here and how many programs there are. */
export const CrewListEntry = v.strictObject({
  ...CrewEntry.entries,
  people: v.number(),
  programs: v.number(),
  /** Whose crew it is, when a colleague shares it with the caller. */
  sharedBy: v.nullable(v.string()),
});
export type CrewListEntry = v.InferOutput<typeof CrewListEntry>;

/** How far each step of a crew's job is. */
export const CrewPath = v.strictObject({
  people: StepState,
  work: StepState,
  baseline: StepState,
  program: StepState,
  plan: StepState,
  runs: StepState,
  progress: StepState,
  report: StepState,
});
export type CrewPath = v.InferOutput<typeof CrewPath>;

const Colleague = { accountId: Id, name: v.string(), email: v.string() };
/** Trainers who share a crew. */
export const CrewColleagues = v.strictObject({
  /** Whether it is the caller's own. */
  own: v.boolean(),
  /** Whose it is. */
  trainer: v.string(),
  colleagues: v.array(v.strictObject({ ...Colleague, accepted: v.boolean() })),
  /** Who could be invited; nobody on a colleague's crew. */
  others: v.array(v.strictObject(Colleague)),
});
export type CrewColleagues = v.InferOutput<typeof CrewColleagues>;

export const Invitation = v.strictObject({ crewId: Id, crewName: v.string(), trade: v.string(), by: v.string() });
export type Invitation = v.InferOutput<typeof Invitation>;

export const NewCrew = v.strictObject({ id: Id, crew: Crew });
export const ChangedCrew = v.strictObject({ version: Version, crew: Crew });

/** A crew lead gets names and days only; the rest is null. */
export const PersonEntry = v.strictObject({
  ...NewPerson.entries,
  version: Version,
  /** Everything of them was forgotten; the name is none. */
  isErased: v.exactOptional(v.literal(true)),
});
export type PersonEntry = v.InferOutput<typeof PersonEntry>;

export const ChangedPerson = v.strictObject({ version: Version, person: Person });

export const MOST_PEOPLE_AT_ONCE = 5000;
const mostPeople = <T>() => v.maxLength<T[], number, string>(MOST_PEOPLE_AT_ONCE, `at most ${MOST_PEOPLE_AT_ONCE} people at once`);
/** Who comes in and who is changed, all or none. */
export const ManyPeople = v.pipe(
  v.strictObject({
    people: v.pipe(v.array(NewPerson), mostPeople()),
    /** Of those whose name is known here: who they are, or null for somebody else. */
    answers: v.optional(v.pipe(v.array(v.strictObject({ id: Id, sameAs: v.nullable(Id) })), mostPeople()), []),
    changes: v.optional(v.pipe(v.array(v.strictObject({ id: Id, ...ChangedPerson.entries })), mostPeople()), []),
  }),
  v.forward(
    v.check(({ people, changes }) => people.length + changes.length > 0, "names nobody"),
    ["people"],
  ),
);
export type ManyPeople = v.InferOutput<typeof ManyPeople>;

/** Somebody new or back, and what they do less for now. */
export const RampEntry = v.strictObject({
  personId: Id,
  days: v.number(),
  form: v.picklist(["own", "easier", "easiest"]),
  loadWaits: v.boolean(),
  /** Days away, null for somebody new; first and last day of this step, last day of the ramp. Not told to a crew lead. */
  why: v.nullable(v.strictObject({ awayDays: v.nullable(v.number()), from: IsoDate, until: IsoDate, ends: IsoDate })),
});
export type RampEntry = v.InferOutput<typeof RampEntry>;
export const EndedRamp = v.strictObject({ ended: v.boolean("must be true or false") });

/** Days somebody is excused. */
const AbsenceFields = v.strictObject({ id: Id, personId: Id, from: IsoDate, until: IsoDate });
export const Absence = v.pipe(
  AbsenceFields,
  v.forward(
    v.check(({ from, until }) => from <= until, "is before the first day"),
    ["until"],
  ),
);
export type Absence = v.InferOutput<typeof Absence>;
export const Absences = v.array(AbsenceFields);
