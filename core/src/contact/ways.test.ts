import * as v from "valibot";
import { Contact, TelephoneNumber } from ".";

it.each([
  ["+49 170 1234567", "+491701234567"],
  ["0049 (170) 123-45.67", "+491701234567"],
  ["+1 555 010 0123", "+15550100123"],
  ["+1234567", "+1234567"],
  ["+123456789012345", "+123456789012345"],
])("%s can be called from anywhere", (typed, kept) => {
  expect(v.parse(TelephoneNumber, typed)).toBe(kept);
});

it.each(["0170 1234567", "+123456", "+1234567890123456", "+0491701234567", "+49 170 CALL", "", "+49;ext=1"])("%s cannot", (typed) => {
  expect(v.safeParse(TelephoneNumber, typed).success).toBe(false);
});

it.each([
  [
    { way: "email", address: "  Ada@Crew.Example " },
    { way: "email", address: "ada@crew.example" },
  ],
  [{ way: "email", address: "ada" }, null],
  [{ way: "telephone", address: "ada@crew.example" }, null],
  [{ way: "pigeon", address: "loft 3" }, null],
  [{ way: "email", address: "ada@crew.example", more: 1 }, null],
])("%j is kept as %j", (given, kept) => {
  const read = v.safeParse(Contact, given);
  expect(read.success ? read.output : null).toEqual(kept);
});
