/** A crew member. No health answers here: those have a subject of their own, with an audit trail. */
import * as v from "valibot";
import { Language } from "../language";
import { Handedness, Id, IsoDate, NonEmptyText } from "../units";

const PersonFields = {
  name: NonEmptyText,
  /** Works number; unique within the crew when given. */
  badge: v.nullable(v.pipe(v.string(), v.trim(), v.minLength(1, "is empty"), v.maxLength(40, "is longer than 40 characters"))),
  handedness: v.nullable(Handedness),
  startedOn: v.nullable(IsoDate),
  leftOn: v.nullable(IsoDate),
  /** What they read and hear; null for the crew's. */
  language: v.nullable(Language),
};

export const Person = v.pipe(
  v.strictObject(PersonFields),
  v.forward(
    v.check((person) => !person.startedOn || !person.leftOn || person.startedOn <= person.leftOn, "is before the first day"),
    ["leftOn"],
  ),
);
export type Person = v.InferOutput<typeof Person>;

export const NewPerson = v.strictObject({ id: Id, ...PersonFields });
export type NewPerson = v.InferOutput<typeof NewPerson>;

/** Whether a person is in the crew on a day: from their first day on, up to and with their last. */
export function isHere(person: Pick<Person, "startedOn" | "leftOn">, date: string): boolean {
  return (!person.startedOn || person.startedOn <= date) && (!person.leftOn || date <= person.leftOn);
}

/** Whether somebody's last day is over. Who leaves next month, or begins then, has not left. */
export function hasLeft({ leftOn }: Pick<Person, "leftOn">, date: string): boolean {
  return leftOn !== null && leftOn < date;
}

/** Whether a person is in the crew on any day of a span, its first and last day included. */
export function isHereBetween({ startedOn, leftOn }: Pick<Person, "startedOn" | "leftOn">, from: string, until: string): boolean {
  return (!startedOn || startedOn <= until) && (!leftOn || from <= leftOn);
}

/** What somebody is called by: the first word, or the first after the comma where the family name stands first. */
export function givenNameOf(name: string): string {
  const [family, given] = name.split(/,\s*/, 2);
  return (given || family || name).trim().split(/\s+/)[0]!;
}
