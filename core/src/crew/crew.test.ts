import * as v from "valibot";
import { patternPreset } from "../calendar";
import { Crew, guessColumns, guessEncoding, isHere, readRoster, readRosterText, type ColumnMap } from ".";

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (text: string, columns?: ColumnMap, known: { name: string; badge: string | null }[] = []) => {
  const file = readRosterText(bytes(text));
  return readRoster(file, columns ?? guessColumns(file.headers), known);
};

describe("header names", () => {
  it.each<[string[], ColumnMap]>([
    [["Name", "Badge", "Hand", "Start date"], { name: 0, badge: 1, handedness: 2, startedOn: 3 }],
    [["Works No", "First Name", "Surname", "Dominant hand"], { badge: 0, givenName: 1, familyName: 2, handedness: 3 }],
    [["employee_id", "full-name", "JOINED", "last day"], { badge: 0, name: 1, startedOn: 2, leftOn: 3 }],
    [["", "Shoe size", "Employee"], { name: 2 }],
    [["ID", "Last name", "First name", "Name tag"], { badge: 0, familyName: 1, givenName: 2 }],
  ])("%j", (headers, columns) => expect(guessColumns(headers)).toEqual(columns));
});

describe("bytes", () => {
  it("are read in their encoding", () => {
    expect(guessEncoding(bytes("Øst"))).toBe("utf-8");
    expect(guessEncoding(new Uint8Array([0x4e, 0xd8, 0x73]))).toBe("windows-1252");
    expect(guessEncoding(new Uint8Array([0xff, 0xfe, 0x41, 0]))).toBe("utf-16le");
    expect(readRosterText(new Uint8Array([0x4e, 0x61, 0x6d, 0x65, 0x0a, 0xd8, 0x73, 0x74])).rows[0]!.cells).toEqual(["Øst"]);
    expect(readRosterText(bytes("\uFEFFName\nAda")).headers).toEqual(["Name"]);
  });
  it("of nothing are refused with words", () => expect(() => readRosterText(bytes("\n\n"))).toThrow(/first line should name the columns/));
  it.each([",", ";", "\t"])("with the delimiter %j are split", (delimiter) => {
    expect(readRosterText(bytes(`Name${delimiter}Badge\nA B${delimiter}7`))).toMatchObject({
      delimiter,
      headers: ["Name", "Badge"],
      rows: [{ line: 2, cells: ["A B", "7"] }],
    });
  });
});

describe("rows", () => {
  it("make people, empty lines skipped, line numbers as a spreadsheet counts", () => {
    const rows = read("Name,Badge,Hand,Started\n\nAda Moss,7,right-handed,2024-03-05\n,,,\nBo Fern,8,L,");
    expect(rows.map((row) => [row.line, row.person])).toEqual([
      [3, { name: "Ada Moss", badge: "7", handedness: "right", startedOn: "2024-03-05", leftOn: null, language: null }],
      [5, { name: "Bo Fern", badge: "8", handedness: "left", startedOn: null, leftOn: null, language: null }],
    ]);
  });

  it.each([
    ["a missing name", "Name,Badge\n,7", "name", /missing/],
    ["a badge used twice", "Name,Badge\nA,7\nB,7", "badge", /line 2/],
    ["an unknown hand", "Name,Hand\nA,sideways", "handedness", /left, right or both/],
    ["a day that is none", "Name,Started\nA,31/02/2024", "startedOn", /calendar/],
    ["a date in words", "Name,Started\nA,last May", "startedOn", /calendar/],
    ["a last day before the first", "Name,Started,End date\nA,2024-05-02,2024-05-01", "leftOn", /before the first/],
    ["a name of the wrong encoding", "Name\nBjÃ¶rn", "name", /decoded/],
  ])("with %s are named", (_, text, field, message) => {
    const bad = read(text).filter((row) => row.person === null);
    expect(bad).toHaveLength(1);
    expect(bad[0]!.problems).toEqual([{ field, message: expect.stringMatching(message) }]);
  });

  it("know the badges of the crew", () => {
    expect(read("Name,Badge\nA,x-7", undefined, [{ name: "Una", badge: "X-7" }])[0]!.problems[0]!.message).toBe(
      "already Una's in this crew",
    );
  });

  it.each([
    ["03/04/2024", "2024-04-03"],
    ["3.4.2024", "2024-04-03"],
    ["2024-4-3", "2024-04-03"],
  ])("read %s day first", (cell, date) => expect(read(`Name,Started\nA,${cell}`)[0]!.person!.startedOn).toBe(date));

  it("are read month first once a date can be nothing else, for the whole file", () => {
    expect(read("Name,Started\nA,03/04/2024\nB,12/25/2023").map((row) => row.person!.startedOn)).toEqual(["2024-03-04", "2023-12-25"]);
  });

  it("2,000 of them are read whole", () => {
    const text = ["Name;Badge", ...Array.from({ length: 2000 }, (_, i) => `Person ${i};${i}`)].join("\n");
    expect(read(text).every((row) => row.person !== null)).toBe(true);
  });
});

it("a person is here from the first day to the last, both included", () => {
  const person = { startedOn: "2024-05-02", leftOn: "2024-06-01" };
  expect(["2024-05-01", "2024-05-02", "2024-06-01", "2024-06-02"].map((day) => isHere(person, day))).toEqual([false, true, true, false]);
});

describe("a crew", () => {
  const crew = {
    name: "A",
    trade: "B",
    place: "C",
    timeZone: "UTC",
    settings: [],
    conditions: [],
    slots: { preShift: 60, break: 3600, postShift: 600 },
    kit: [],
    mostOffJob: 1,
    language: null,
    shiftPattern: patternPreset("weekdays", "2026-03-02"),
  };
  const ok = (change: object) => v.safeParse(Crew, { ...crew, ...change }).success;
  it("holds its ranges", () => {
    expect(ok({})).toBe(true);
    expect([1, 500, 0, 501].map((mostOffJob) => ok({ mostOffJob }))).toEqual([true, true, false, false]);
    expect([59, 3601].map((preShift) => ok({ slots: { ...crew.slots, preShift } }))).toEqual([false, false]);
    expect(["Europe/Dublin", "Mars/Base"].map((timeZone) => ok({ timeZone }))).toEqual([true, false]);
    expect([0.1, 40, 0, 40.5].map((massKg) => ok({ kit: [{ kind: "dumbbell", massKg, count: 1 }] }))).toEqual([true, true, false, false]);
  });
});

it.each([
  ["pl", "pl"],
  ["es-MX", "es"],
  ["Polish", "pl"],
  ["العربية", "ar"],
  ["", null],
  ["Klingon", undefined],
])("a language written %j in a roster is %s", (cell, language) => {
  const [row] = read(`Name,Language\nAda Moss,${cell}`);
  expect(row!.person?.language).toBe(language);
  expect(row!.problems.map(({ field }) => field)).toEqual(language === undefined ? ["language"] : []);
});
