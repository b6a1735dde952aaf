/** The people of a round: by whom to see first where they were asked on their phones, else as the crew's list has them. */
import { screen, within } from "@testing-library/react";
import type { RecordEntry } from "@kind-grip/core/api";
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { FULL_PARTICIPATION, QUESTION_IDS, type SafetyAnswers } from "@kind-grip/core/safety";
import { samplePerson } from "../testing/sample";
import { showPage } from "../testing/screen";
import { RoundPeople } from "./RoundPeople";

const people = ["Ann Clear", "Bo Unasked", "Cy Ache", "Di Weak", "Ed Held"].map((name) => samplePerson({ name }));
const idOf = (name: string) => people.find((person) => person.name.startsWith(name))!.id;
const noTo = (change: Partial<SafetyAnswers> = {}) =>
  ({ ...Object.fromEntries(QUESTION_IDS.map((id) => [id, false])), ...change }) as SafetyAnswers;
const entry = (name: string, record: Partial<BaselineRecord>): RecordEntry => ({
  personId: idOf(name),
  version: 1,
  changedAt: "2026-03-26T06:00:00.000Z",
  record: { ...emptyRecord(), symptomsAsked: true, safety: noTo(), ...record },
});
const ache = {
  id: idOf("Cy"),
  side: "right",
  region: "wristFlexors",
  kind: "ache",
  level: 4,
  since: null,
  nights: "never",
  constant: false,
} as const;
const open = (bySeenFirst: boolean, list = people) => {
  const onChoose = jest.fn();
  const page = showPage(
    <RoundPeople
      people={list}
      chosen={idOf("Ann")}
      entries={[entry("Ann", {}), entry("Cy", { symptoms: [ache] }), entry("Di", { safety: noTo({ growingWeakness: true }) })]}
      participations={new Map([[idOf("Ed"), { ...FULL_PARTICIPATION, heldOut: true }]])}
      bySeenFirst={bySeenFirst}
      onChoose={onChoose}
    />,
  );
  return { ...page, onChoose };
};
const names = (within_: { getAllByRole: typeof screen.getAllByRole } = screen) =>
  within_.getAllByRole("button").map(({ textContent }) => textContent);

it("in the order of the crew's list, without a word of what was answered", () => {
  open(false);
  expect(names()).toEqual(people.map(({ name }) => name));
  expect(screen.getByRole("progressbar", { name: "Measured or held out" })).toHaveAttribute("aria-valuenow", "1");
});

it("whoever has to stop first, then what is felt, who was not asked, who has nothing; with the reason", () => {
  open(true);
  const group = (name: string) => names(within(screen.getByRole("region", { name })));
  expect(group("See first: stop and refer")).toEqual(["Di WeakGrowing weakness", "Ed Held"]);
  expect(group("Feel something")).toEqual(["Cy AcheForearm, palm side 4"]);
  expect(group("Not asked everything yet")).toEqual(["Bo Unasked"]);
  expect(group("Nothing found")).toEqual(["Ann Clear"]);
  expect(screen.getAllByRole("heading").map(({ textContent }) => textContent)).toEqual([
    "See first: stop and refer2",
    "Feel something1",
    "Not asked everything yet1",
    "Nothing found1",
  ]);
});

it("a long list is searched; Enter opens whoever stands first", async () => {
  const more = Array.from({ length: 12 }, (_, i) => samplePerson({ name: `Other ${i}` }));
  const { user, onChoose } = open(true, [...people, ...more]);
  await user.type(screen.getByRole("searchbox", { name: "Find a person" }), "d{Enter}");
  expect(onChoose).toHaveBeenCalledWith(idOf("Di"));
});
