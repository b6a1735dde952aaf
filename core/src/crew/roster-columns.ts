/** Which column of a roster file is what: guessed from its header, adjusted by the user. */

export const ROSTER_FIELDS = ["name", "givenName", "familyName", "badge", "handedness", "startedOn", "leftOn", "language"] as const;
export type RosterField = (typeof ROSTER_FIELDS)[number];

/** Field → index of its column; a field without a column is left out. */
export type ColumnMap = Partial<Record<RosterField, number>>;

/** Header words in every language here, lower case without punctuation, most telling first. */
const HEADER_WORDS: Record<RosterField, readonly string[]> = {
  givenName: [
    "first name",
    "given name",
    "firstname",
    "givenname",
    "forename",
    "first",
    "vorname",
    "rufname",
    "nombre de pila",
    "imię",
    "الاسم الأول",
  ],
  familyName: [
    "last name",
    "family name",
    "surname",
    "lastname",
    "familyname",
    "last",
    "nachname",
    "familienname",
    "apellidos",
    "apellido",
    "nazwisko",
  ].concat(["اسم العائلة", "اللقب"]),
  name: [
    "full name",
    "name",
    "employee",
    "worker",
    "person",
    "crew member",
    "member",
    "mitarbeiter",
    "nombre",
    "trabajador",
    "empleado",
  ].concat(["imię i nazwisko", "pracownik", "الاسم", "العامل"]),
  badge: ["badge no", "badge number", "badge", "works number", "works no", "employee no", "employee id", "staff no", "payroll"]
    .concat([
      "personalnummer",
      "personalnr",
      "personal nr",
      "ausweis",
      "matrícula",
      "legajo",
      "número de empleado",
      "numer pracownika",
      "identyfikator",
    ])
    .concat(["رقم الشارة", "الرقم الوظيفي", "id", "number", "nummer", "nr", "número", "numer", "رقم", "no"]),
  handedness: [
    "handedness",
    "dominant hand",
    "main hand",
    "hand",
    "handed",
    "dominant",
    "lr",
    "händigkeit",
    "führhand",
    "mano dominante",
    "lateralidad",
  ].concat(["mano", "ręka dominująca", "ręka", "ręczność", "اليد المهيمنة", "اليد"]),
  startedOn: [
    "start date",
    "started on",
    "started",
    "start",
    "joined",
    "since",
    "hired",
    "first day",
    "eintrittsdatum",
    "eintritt",
    "beginn",
    "seit",
  ].concat(["fecha de inicio", "fecha de alta", "alta", "data zatrudnienia", "od", "تاريخ البدء"]),
  leftOn: [
    "left on",
    "end date",
    "leaving date",
    "last day",
    "until",
    "leaves",
    "end",
    "austrittsdatum",
    "austritt",
    "bis",
    "fecha de baja",
    "baja",
  ].concat(["data zwolnienia", "do", "تاريخ الانتهاء"]),
  language: ["language", "mother tongue", "first language", "speaks", "sprache", "muttersprache", "idioma", "lengua", "język", "اللغة"],
};

/** Best guess for each field; a header serves one field only. */
export function guessColumns(headers: readonly string[]): ColumnMap {
  const plain = headers.map((header) =>
    header
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, " ")
      .trim(),
  );
  const map: ColumnMap = {};
  const used = new Set<number>();
  const take = (field: RosterField, matches: (header: string, word: string) => boolean) => {
    if (map[field] !== undefined) return;
    for (const word of HEADER_WORDS[field]) {
      const index = plain.findIndex((header, i) => !used.has(i) && header !== "" && matches(header, word));
      if (index < 0) continue;
      map[field] = index;
      used.add(index);
      return;
    }
  };
  const fields = Object.keys(HEADER_WORDS) as RosterField[];
  for (const field of fields) take(field, (header, word) => header === word);
  for (const field of fields) take(field, (header, word) => word.length > 2 && ` ${header} `.includes(` ${word} `));
  if (map.name !== undefined && map.givenName !== undefined && map.familyName !== undefined) delete map.name;
  return map;
}
