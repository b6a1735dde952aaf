/** What is entered of a person, without id and version. */
import type { PersonEntry } from "@kind-grip/core/api";
import type { Person } from "@kind-grip/core/crew";

export const personOf = ({ id: _id, version: _version, ...person }: PersonEntry): Person => person;
