/** A roster file, from its bytes to people: columns, words, days, edits, and who is known already. */
import fc from "fast-check";
import { NO_WORDS, guessColumns, guessDateOrder, guessEncoding, readRoster, readRosterText, unknownWords } from ".";
import type { ColumnMap, KnownPerson, RosterReading } from ".";

const bytes = (text: string) => new TextEncoder().encode(text);
const TODAY = "2026-03-26";
const person = (name: string, more: Partial<KnownPerson> = {}): KnownPerson => ({
  id: name,
  name,
  badge: null,
  handedness: null,
  startedOn: null,
  leftOn: null,
  language: null,
  ...more,
});
const reading = (text: ReturnType<typeof readRosterText>, more: Partial<RosterReading> = {}): RosterReading => {
  const columns = guessColumns(text.headers);
  return { columns, dateOrder: guessDateOrder(text, columns), words: NO_WORDS, edits: {}, answers: {}, today: TODAY, known: [], ...more };
};
const read = (text: string, more: Partial<RosterReading> = {}) => {
  const file = readRosterText(bytes(text));
  return readRoster(file, reading(file, more));
};

describe("header names", () => {
  it.each<[string[], ColumnMap]>([
    [["Name", "Badge", "Hand", "Start date"], { name: 0, badge: 1, handedness: 2, startedOn: 3 }],
    [["Works No", "First Name", "Surname", "Dominant hand"], { badge: 0, givenName: 1, familyName: 2, handedness: 3 }],
    [["employee_id", "full-name", "JOINED", "last day"], { badge: 0, name: 1, startedOn: 2, leftOn: 3 }],
    [["", "Shoe size", "Employee"], { name: 2 }],
    [["ID", "Last name", "First name", "Name tag"], { badge: 0, familyName: 1, givenName: 2 }],
    [
      ["Personalnummer", "Vorname", "Nachname", "Händigkeit", "Eintritt"],
      { badge: 0, givenName: 1, familyName: 2, handedness: 3, startedOn: 4 },
    ],
    [["Numer pracownika", "Imię i nazwisko", "Ręka", "Język"], { badge: 0, name: 1, handedness: 2, language: 3 }],
    [["Matrícula", "Nombre", "Mano", "Idioma"], { badge: 0, name: 1, handedness: 2, language: 3 }],
    [["الاسم", "رقم الشارة", "اليد", "اللغة"], { name: 0, badge: 1, handedness: 2, language: 3 }],
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
  it("of nothing are refused with words", () => expect(() => readRosterText(bytes("\n\n"))).toThrow(/a line should name the columns/));
  it.each([",", ";", "\t"])("with the delimiter %j are split", (delimiter) => {
    expect(readRosterText(bytes(`Name${delimiter}Badge\nA B${delimiter}7`))).toMatchObject({
      delimiter,
      headerLine: 1,
      headers: ["Name", "Badge"],
      rows: [{ line: 2, cells: ["A B", "7"] }],
    });
  });
  it("may have a title and a date above the line that names the columns", () => {
    const text = "Employees of the west shed\n26.3.2026,,\n\nName,Badge,Hand\nAda Moss,7,L";
    expect(readRosterText(bytes(text))).toMatchObject({ headerLine: 4, headers: ["Name", "Badge", "Hand"], rows: [{ line: 5 }] });
    expect(readRosterText(bytes(text), "utf-8", 1)).toMatchObject({ headerLine: 1, rows: [{ line: 2 }, { line: 4 }, { line: 5 }] });
  });
  it("may name no columns at all: every line is a row then", () => {
    const file = readRosterText(bytes("Ada Moss,7\nBo Fern,8"), "utf-8", null);
    expect(file).toMatchObject({ headerLine: null, headers: ["", ""] });
    expect(readRoster(file, reading(file, { columns: { name: 0, badge: 1 } })).map((row) => row.person?.badge)).toEqual(["7", "8"]);
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
    ["a hand that is a word of the machine", "Name,Hand\nA,constructor", "handedness", /left, right or both/],
    ["an unknown hand", "Name,Hand\nA,sideways", "handedness", /left, right or both/],
    ["a day that is none", "Name,Started\nA,31/02/2024", "startedOn", /calendar/],
    ["a day without a day", "Name,Started\nA,last May", "startedOn", /calendar/],
    ["a works number for a day", "Name,Started\nA,12345", "startedOn", /calendar/],
    ["a last day before the first", "Name,Started,End date\nA,2024-05-02,2024-05-01", "leftOn", /before the first/],
    ["a name of the wrong encoding", "Name\nBjÃ¶rn", "name", /decoded/],
  ])("with %s are named", (_, text, field, message) => {
    const bad = read(text).filter((row) => row.outcome === "bad");
    expect(bad).toHaveLength(1);
    expect(bad[0]!.problems).toEqual([{ field, message: expect.stringMatching(message) }]);
    expect(bad[0]!.person).toBeNull();
  });

  it.each([
    ["03/04/2024", "2024-04-03"],
    ["3.4.2024", "2024-04-03"],
    ["2024-4-3", "2024-04-03"],
    ["3.4.24", "2024-04-03"],
    ["03/02/27", "2027-02-03"],
    ["03/02/28", "1928-02-03"],
    ["3 Apr 2024", "2024-04-03"],
    ["April 3, 2024", "2024-04-03"],
    ["3. März 2024", "2024-03-03"],
    ["3 de febrero de 2019", "2019-02-03"],
    ["3 lutego 2019", "2019-02-03"],
    ["2024-04-03 00:00:00", "2024-04-03"],
    ["45385", "2024-04-03"],
  ])("read %s day first", (cell, date) => expect(read(`Name;Started\nA;"${cell}"`)[0]!.person?.startedOn).toBe(date));

  it("are read month first once a date can be nothing else, for the whole file", () => {
    expect(read("Name,Started\nA,03/04/24\nB,12/25/23").map((row) => row.person!.startedOn)).toEqual(["2024-03-04", "2023-12-25"]);
  });

  it("any day is read back from how it is written", () => {
    const day = fc.date({ min: new Date("1960-01-01"), max: new Date("2026-12-31"), noInvalidDate: true });
    fc.assert(
      fc.property(day, (at) => {
        const date = at.toISOString().slice(0, 10);
        const [year, month, of] = date.split("-").map(Number);
        const written = [date, `${of}.${month}.${year}`, `${of}/${month}/${year}`].concat(
          ["en", "de", "es", "pl"].map((language) =>
            new Intl.DateTimeFormat(language, { dateStyle: "long", timeZone: "UTC" }).format(new Date(`${date}T00:00:00Z`)),
          ),
        );
        for (const each of written)
          expect([each, read(`Name;Started\nA;"${each}"`, { dateOrder: "dmy" })[0]!.person?.startedOn]).toEqual([each, date]);
      }),
      { numRuns: 60 },
    );
  });

  it("of two with the same name the one who is still in the crew is meant, also when their last day is named already", () => {
    const known = [person("Ada Moss", { id: "gone", leftOn: "2026-03-25" }), person("Ada Moss", { id: "leaving", leftOn: "2026-03-26" })];
    expect(read("Name;Badge\nAda Moss;9", { known })[0]!.known?.id).toBe("leaving");
  });

  it("2,000 of them are read whole", () => {
    const text = ["Name;Badge", ...Array.from({ length: 2000 }, (_, i) => `Person ${i};${i}`)].join("\n");
    expect(read(text).every((row) => row.outcome === "new")).toBe(true);
  });

  it("are written over in the preview", () => {
    const text = "Name,Badge,Hand\nAda Moss,7,sideways\nBo Fern,7,L";
    expect(read(text).map((row) => row.outcome)).toEqual(["bad", "bad"]);
    const rows = read(text, { edits: { 2: { handedness: "left" }, 3: { badge: "8" } } });
    expect(rows.map((row) => [row.outcome, row.person?.badge, row.person?.handedness])).toEqual([
      ["new", "7", "left"],
      ["new", "8", "left"],
    ]);
    expect(rows[0]!.given.handedness).toBe("left");
  });
});

describe("words", () => {
  it.each([
    ["l", "left"],
    ["LEFT-handed", "left"],
    ["links", "left"],
    ["Linkshänder", "left"],
    ["zurda", "left"],
    ["leworęczny", "left"],
    ["يسرى", "left"],
    ["rechts", "right"],
    ["Rechtshändig", "right"],
    ["diestro", "right"],
    ["prawa", "right"],
    ["beidhändig", "both"],
    ["L/R", "both"],
    ["oburęczna", "both"],
    ["?", null],
    ["unbekannt", null],
  ])("of a hand: %s is %s", (word, hand) => {
    const [row] = read(`Name,Hand\nAda Moss,${word}`);
    expect([row!.outcome, row!.person?.handedness]).toEqual(["new", hand]);
  });

  it.each([
    ["pl", "pl"],
    ["es-MX", "es"],
    ["Polish", "pl"],
    ["العربية", "ar"],
    ["", null],
    ["Klingon", undefined],
  ])("of a language: %j is %s", (cell, language) => {
    const [row] = read(`Name,Language\nAda Moss,${cell}`);
    expect(row!.person?.language).toBe(language);
    expect(row!.problems.map(({ field }) => field)).toEqual(language === undefined ? ["language"] : []);
  });

  it("in no list are asked once each, and mean for every row what the trainer says", () => {
    const file = readRosterText(bytes("Name,Hand,Language\nA,gauche,Welsh\nB,Gauche ,pl\nC,droite,\nD,L,welsh"));
    expect(unknownWords(file, reading(file))).toEqual([
      { field: "handedness", word: "gauche", times: 2 },
      { field: "handedness", word: "droite", times: 1 },
      { field: "language", word: "welsh", times: 2 },
    ]);
    const words = { handedness: { gauche: "left", droite: "right" }, language: { welsh: null } } as const;
    expect(readRoster(file, reading(file, { words })).map((row) => row.person?.handedness)).toEqual(["left", "left", "right", "left"]);
    // Still listed: what was said can be changed.
    expect(unknownWords(file, reading(file, { words }))).toHaveLength(3);
  });
});

describe("who is in the crew already", () => {
  const ada = person("Ada Moss", { badge: "X-7", handedness: "left", startedOn: "2020-01-01", language: "pl" });
  const bo = person("Bo Fern", { leftOn: "2025-01-01" });
  const known = [ada, bo];

  it("is known by the badge, and what the file leaves empty stays", () => {
    const [row] = read("Name,Badge,Hand,Started\nADA MOSS,x-7,R,", { known });
    expect(row).toMatchObject({ outcome: "change", by: "badge", known: ada, changed: ["handedness"] });
    expect(row!.person).toEqual({
      name: "Ada Moss",
      badge: "X-7",
      handedness: "right",
      startedOn: "2020-01-01",
      leftOn: null,
      language: "pl",
    });
  });
  it("and nothing else in the file changes nothing", () => {
    expect(read("Name,Badge\nAda Moss,X-7", { known })[0]).toMatchObject({ outcome: "same", changed: [] });
    expect(read("Badge,Hand\nX-7,L", { known })[0]).toMatchObject({ outcome: "same", changed: [] });
  });
  it("is asked about where the badge is theirs and the name is nothing like it", () => {
    const text = "Name,Badge\nDella Gannister,X-7";
    expect(read(text, { known })[0]).toMatchObject({ outcome: "ask", by: "badge" });
    expect(read(text, { known, answers: { 2: "same" } })[0]).toMatchObject({ outcome: "change", changed: ["name"] });
    expect(read(text, { known, answers: { 2: "else" } })[0]).toMatchObject({
      outcome: "bad",
      problems: [{ field: "badge", message: "already Ada Moss's in this crew" }],
    });
  });
  it("is asked about by the name, and added once it is somebody else", () => {
    const text = "Name,Badge\nfern bo,12";
    expect(read(text, { known })[0]).toMatchObject({ outcome: "ask", by: "name", known: bo });
    expect(read(text, { known, answers: { 2: "same" } })[0]).toMatchObject({ outcome: "change", changed: ["badge", "leftOn"] });
    expect(read(text, { known, answers: { 2: "else" } })[0]).toMatchObject({ outcome: "new", known: null });
  });
  it("and left is back on a list with last days that has none for them; one that has it changes nothing", () => {
    const left = person("Bo Fern", { badge: "B-2", leftOn: "2025-01-01" });
    const [back, still] = ["Name,Badge,Last day\nBo Fern,B-2,", "Name,Badge,Last day\nBo Fern,B-2,2025-01-01"].map(
      (text) => read(text, { known: [left] })[0]!,
    );
    expect(back).toMatchObject({ outcome: "change", changed: ["leftOn"], person: { leftOn: null } });
    expect(still).toMatchObject({ outcome: "same", changed: [] });
  });
  it("and left is asked about on a list without last days, which may be of everybody there ever was", () => {
    const left = person("Bo Fern", { badge: "B-2", leftOn: "2025-01-01" });
    const leaving = person("Cy Moor", { badge: "B-3", leftOn: TODAY });
    const text = "Name,Badge\nBo Fern,B-2\nCy Moor,B-3";
    expect(read(text, { known: [left, leaving] }).map(({ outcome }) => outcome)).toEqual(["ask", "same"]);
    const [row] = read(text, { known: [left, leaving], answers: { 2: "same" } });
    expect(row).toMatchObject({ outcome: "change", changed: ["leftOn"], person: { leftOn: null, badge: "B-2" } });
  });
  it("can be one row's only", () => {
    const rows = read("Name,Badge\nAda Moss,X-7\nMoss Ada,", { known, answers: { 3: "same" } });
    expect(rows.map((row) => row.outcome)).toEqual(["same", "bad"]);
    expect(rows[1]!.problems[0]!.message).toBe("is the same person as line 2");
  });
  it("may not be made impossible by what is merged", () => {
    const [row] = read("Name,Badge,End date\nAda Moss,X-7,2019-05-01", { known });
    expect(row).toMatchObject({ outcome: "bad", problems: [{ field: "leftOn", message: expect.stringMatching(/before the first/) }] });
  });
});
