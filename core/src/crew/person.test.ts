import { givenNameOf } from "./person";

it.each([
  ["Ada Moss", "Ada"],
  ["Moss, Ada", "Ada"],
  ["Moss, Ada Beth", "Ada"],
  ["van der Moss,Ada", "Ada"],
  ["Ada", "Ada"],
  ["Moss,", "Moss"],
  ["Müller-Lüden, Änne", "Änne"],
])("%s is called %s", (name, called) => expect(givenNameOf(name)).toBe(called));
