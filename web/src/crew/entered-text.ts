/** What is entered of a person, as it is read. */
import { isEqual } from "es-toolkit";
import type { Person, RosterField } from "@kind-grip/core/crew";
import { LANGUAGE_FACTS } from "@kind-grip/core/language";
import { wholeDayText } from "../base/dates";
import { HAND_NAMES } from "./main-hand";
import { FIELD_NAMES } from "./roster-fields";

export const ENTERED = ["name", "badge", "handedness", "startedOn", "leftOn", "language"] as const satisfies (keyof Person & RosterField)[];

/** Empty where nothing is entered. */
export function enteredText(person: Person, field: (typeof ENTERED)[number]): string {
  const { [field]: value } = person;
  if (value === null) return "";
  if (field === "handedness") return HAND_NAMES[person.handedness!];
  if (field === "language") return LANGUAGE_FACTS[person.language!].ownName;
  return field === "startedOn" || field === "leftOn" ? wholeDayText(value) : value;
}

/** What somebody else made of it, field by field: `Badge: SL-9`, a dash for what they took out. */
export function changesText(before: Person, after: Person): string {
  return ENTERED.filter((field) => !isEqual(before[field], after[field]))
    .map((field) => `${FIELD_NAMES[field]}: ${enteredText(after, field) || "–"}`)
    .join(", ");
}
