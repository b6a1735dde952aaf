import { sayIn } from "./words";

const counted = (count: number) => ["{{count}} people", { count, defaultValue_one: "{{count}} person" }] as const;

it("English is what stands in the code", () => {
  const t = sayIn("en");
  expect([t("Today"), t("Leading {{name}}", { name: "Break <2>" }), t(...counted(1)), t(...counted(0)), t(...counted(5))]).toEqual([
    "Today",
    "Leading Break <2>",
    "1 person",
    "0 people",
    "5 people",
  ]);
});

it("another language gives its own, with the forms its numbers need; what it lacks stays English", () => {
  const t = sayIn("pl", {
    "Leading {{name}}": "Prowadzisz: {{name}}",
    "{{count}} people_one": "{{count}} osoba",
    "{{count}} people_few": "{{count}} osoby",
    "{{count}} people_many": "{{count}} osób",
  });
  expect([1, 3, 5, 22].map((count) => t(...counted(count)))).toEqual(["1 osoba", "3 osoby", "5 osób", "22 osoby"]);
  expect([t("Leading {{name}}", { name: "A" }), t("Today")]).toEqual(["Prowadzisz: A", "Today"]);
});

it("dots and colons in a text are not places to look", () => {
  expect(sayIn("de", { "Saved.": "Gesichert.", "Needs: {{needs}}": "Braucht: {{needs}}" })("Needs: {{needs}}", { needs: "a.b" })).toBe(
    "Braucht: a.b",
  );
});
