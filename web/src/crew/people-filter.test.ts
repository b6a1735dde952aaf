import { FULL_PARTICIPATION, type Participations } from "@kind-grip/core/safety";
import { sampleId } from "../testing/sample";
import { EVERYBODY, filterPeople, type PeopleFilter } from "./people-filter";

const person = (name: string, change: object = {}) => ({
  id: sampleId(),
  version: 1,
  name,
  badge: null,
  handedness: "right" as const,
  startedOn: "2024-01-01",
  leftOn: null,
  language: null,
  ...change,
});
const ada = person("Ada Brightwater", { badge: "KM-201", language: "pl" });
const ostrand = person("Bertil Østrand", { badge: "KM-202", handedness: null });
const jose = person("José Ada Fallowes", { startedOn: null });
const all = [ada, ostrand, jose];
const nobodyOut: Participations = new Map();
const found = (filter: Partial<PeopleFilter>, may = nobodyOut) =>
  filterPeople(all, { ...EVERYBODY, ...filter }, may).map(({ name }) => name);

it.each<[string, Partial<PeopleFilter>, object[]]>([
  ["nothing asked", {}, all],
  ["the beginning of any word of the name", { text: "ada" }, [ada, jose]],
  ["two words in any order, without accents", { text: "fal jose" }, [jose]],
  ["a part of the badge", { text: "202" }, [ostrand]],
  ["not the middle of a word", { text: "water" }, []],
  ["no main hand", { with: "noHand" }, [ostrand]],
  ["no badge", { with: "noBadge" }, [jose]],
  ["no first day", { with: "noFirstDay" }, [jose]],
  ["what they read", { with: "reads pl" }, [ada]],
  ["both at once", { text: "ada", with: "noFirstDay" }, [jose]],
])("by %s", (_, filter, people) => expect(found(filter)).toEqual((people as typeof all).map(({ name }) => name)));

it("by what keeps somebody out of anything", () => {
  const may: Participations = new Map([
    [ada.id, { ...FULL_PARTICIPATION, heldOut: true }],
    [jose.id, FULL_PARTICIPATION],
    [ostrand.id, { ...FULL_PARTICIPATION, shortOfEndDeg: 20 }],
  ]);
  expect(found({ with: "limited" }, may)).toEqual([ada.name, ostrand.name]);
});
