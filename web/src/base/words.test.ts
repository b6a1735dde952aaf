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

it("numbers within a text have the mark of whoever reads it; a count stays whole", async () => {
  Object.assign(globalThis, { localStorage: { getItem: () => JSON.stringify({ decimal: "comma" }) } });
  jest.resetModules();
  const { t } = await import("./words");
  const { fixedText, spanText, torqueText } = await import("./measures");
  Reflect.deleteProperty(globalThis, "localStorage");
  expect(t("{{gap}} of {{all}}, {{text}}", { gap: 1.25, all: 3, text: "1.5" })).toBe("1,25 of 3, 1.5");
  expect([t(...counted(2)), fixedText(2, 1), spanText(2.5), spanText(90), torqueText(1.234)]).toEqual([
    "2 people",
    "2,0",
    "2,5 s",
    "1 min 30 s",
    "1,23 N·m",
  ]);
});
