import type { Clash } from "@kind-grip/core/dayplan";
import { clashText } from "./clash-text";
import { relaxationText } from "./relaxation-text";

const clash = (change: Partial<Clash>) =>
  clashText(
    { kind: "sameKindTooClose", placementIds: ["1", "2"], severity: "stop", found: 60, limit: 120, ...change } as Clash,
    (id) => (id === "1" ? "A" : "B"),
    (region) => region,
  );

it.each([
  [clash({}), "A and B are 1 h apart; the same kind needs 2 h."],
  [clash({ found: 95 }), "A and B are 1 h 35 min apart; the same kind needs 2 h."],
  [clash({ kind: "overlap", found: 5 }), "A and B run at the same time for 5 min."],
])("a clash is told with its figures: %s", (told, expected) => expect(told).toBe(expected));

it.each([
  [relaxationText({ change: "reach", addMin: 30 }), "Up to 30 min further from the ideal times everything finds a place."],
  [
    relaxationText({ change: "mostOffJob", job: 1, to: 6 }, ["Quay", "Yard"]),
    "With 6 people of Yard off the job at once everything finds a place.",
  ],
  [relaxationText({ change: "mostOffJob", job: 0, to: 6 }, ["Quay"]), "With 6 people off the job at once everything finds a place."],
  [relaxationText({ change: "leaders", to: 2 }), "With 2 leaders everything finds a place."],
])("what would help is told: %s", (told, expected) => expect(told).toBe(expected));
