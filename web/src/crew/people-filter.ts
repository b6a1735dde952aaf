/** Who of a crew is looked for: by name or badge, and by what is not known of them or keeps them out. */
import type { PersonEntry } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import type { Participations } from "@kind-grip/core/safety";
import { isLimited } from "./takes-part";

type Lack = "all" | "noHand" | "noBadge" | "noFirstDay" | "limited";
export type PeopleWith = Lack | `reads ${Language}`;

export interface PeopleFilter {
  /** Words that all begin a word of the name, or are in the badge; case and accents do not matter. */
  text: string;
  with: PeopleWith;
}
export const EVERYBODY: PeopleFilter = { text: "", with: "all" };

const plain = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

export function filterPeople(
  people: readonly PersonEntry[],
  filter: PeopleFilter,
  participations: Participations | undefined,
): PersonEntry[] {
  const words = plain(filter.text).split(/\s+/).filter(Boolean);
  const hasWords = ({ name, badge }: PersonEntry) => {
    const own = plain(name).split(/[^\p{L}\p{N}]+/u);
    return words.every((word) => own.some((each) => each.startsWith(word)) || plain(badge ?? "").includes(word));
  };
  const isWith = (person: PersonEntry): boolean => {
    const reads = /^reads (.*)$/.exec(filter.with)?.[1];
    if (reads) return person.language === reads;
    switch (filter.with as Lack) {
      case "all":
        return true;
      case "noHand":
        return person.handedness === null;
      case "noBadge":
        return person.badge === null;
      case "noFirstDay":
        return person.startedOn === null;
      case "limited":
        return isLimited(participations?.get(person.id));
    }
  };
  return people.filter((person) => hasWords(person) && isWith(person));
}
