/**
 * Everything a crew member reads or hears, by language. Another language is a folder beside `en` with the same shape, its facts in
 * `languages.ts` and one line in `FILES`; its words are fetched when somebody wants them.
 */
import { mapValues } from "es-toolkit";
import i18next, { type i18n } from "i18next";
import { SHIPPED_LIBRARY, type Library } from "../library";
import type { Dose, SessionSlot } from "../session";
import type { RestrictionReason, Symptom } from "../safety";
import type { Figure, HandShapeName, SideName } from "../figure";
import { lengthIn, massIn, METRIC, type Measures } from "../units";
import { en } from "./en";
import { figureText } from "./figure-text";
import { LANGUAGE_FACTS, type Language } from "./languages";
import type { MovementWords } from "./words";

export type { MovementWords } from "./words";
export * from "./languages";
export { correctionProblem, LONGEST_TEXT, textsOf, valuesOf } from "./texts";

type English = typeof en;
type Labels = English["labels"];

/** The shape of the English catalogue with words of any language in it. */
type Translated<T> = T extends string
  ? string
  : T extends readonly unknown[]
    ? readonly string[]
    : { readonly [K in keyof T]: Translated<T[K]> };

/** All words of one language. */
export type Catalogue = Translated<English>;

const FILES: Readonly<Record<Exclude<Language, "en">, () => Promise<Catalogue>>> = {
  es: async () => (await import("./es/index")).es,
  de: async () => (await import("./de/index")).de,
  pl: async () => (await import("./pl/index")).pl,
  ar: async () => (await import("./ar/index")).ar,
};

const catalogues: Partial<Record<Language, Catalogue>> = { en };

/** Fetches the words of a language, once; until then its readers read English. @throws what fetching a file throws */
export async function loadLanguage(language: Language): Promise<Catalogue> {
  const known = catalogues[language];
  if (known || language === "en") return known ?? en;
  return (catalogues[language] = await FILES[language]());
}

/** Words that were brought along, for who cannot or need not wait for a file. */
export function provideLanguage(language: Exclude<Language, "en">, catalogue: Catalogue): void {
  catalogues[language] = catalogue;
}

export function isLoaded(language: Language): boolean {
  return catalogues[language] !== undefined;
}

export interface Words {
  language: Language;
  /** The units and the clock of whoever reads. */
  measures: Measures;
  movement(id: string): MovementWords;
  movementName(id: string): string;
  formName(movementId: string, formId: string): string;
  label<L extends keyof Labels>(list: L, key: string): string;
  cue(key: keyof English["cues"], values?: Record<string, string | number>): string;
  /** A dose as a crew member reads it. */
  dose(dose: Dose): string;
  /** The same as short as it can be told, for a name on a screen that is read from afar. */
  shortDose(dose: Dose): string;
  /** What is in the hand; empty without a load. */
  load(held: { loadKg: number | null; tool?: string | null; gripM?: number | null }): string;
  /** The session's own name; one that ships, in this language. */
  sessionName(session: { name: string; slot: SessionSlot }): string;
  /** A name from a list as it stands within a sentence: without its capital, where the language has it so. */
  within(text: string): string;
  /** Figures in a text, such as `3:05`, in the digits of the language. */
  digits(text: string | number): string;
  /** Weekday, day and month. @param date ISO */
  dayName(date: string): string;
  /** Day, month and year. @param date ISO */
  dateName(date: string): string;
  /** @param hhmm `14:30` */
  timeOfDay(hhmm: string): string;
  /** Things one after the other: `a, b and c`. */
  list(parts: readonly string[]): string;
  paper(key: PaperKey, values?: Record<string, string | number>): string;
  /** A figure told in words, from its poses, for the side that does it. */
  figure(figure: Figure, side: SideName, name: string): string;
  handShape(name: HandShapeName): string;
  /** What a coaching card says. */
  coaching(id: string): { title: string; why: string };
  /** A safety question: as it is asked, and its short name. */
  safety(id: RestrictionReason): { ask: string; short: string };
  referral(key: keyof English["referral"], values?: Record<string, string | number>): string;
  symptomKind(kind: Symptom["kind"]): string;
  nights(nights: Symptom["nights"]): string;
  /** The crew member's own page. */
  member(key: MemberKey, values?: Record<string, string | number>): string;
}

type Member = English["member"];
/** Keys of counted words go without the ending that tells one from many. */
type Uncounted<K> = K extends `${infer Base}_one` ? Base : K extends `${string}_other` ? never : K;
type PaperKey = Uncounted<keyof English["paper"]>;
type MemberKey =
  | Exclude<Uncounted<keyof Member>, "reportKind" | "answerIs" | "mark" | "checkView" | "quick" | "quickHow" | "keptKind">
  | `reportKind.${keyof Member["reportKind"]}`
  | `answerIs.${keyof Member["answerIs"]}`
  | `mark.${keyof Member["mark"]}`
  | `checkView.${keyof Member["checkView"]}`
  | `quick.${keyof Member["quick"]}`
  | `quickHow.${keyof Member["quickHow"]}`
  | `keptKind.${keyof Member["keptKind"]}`;

/** Words already made, by library and what they were asked in; a library that nobody holds any more takes its words with it. */
const made = new WeakMap<Library, Map<string, Words>>();
const instances = new Map<Language, i18n>();

/**
 * The words of a language, a practice's own names and corrections among them; English where it has none, or is not loaded yet.
 * @param measures in which masses and lengths are told
 */
export function wordsOf(library: Library, language: Language = "en", measures: Measures = METRIC): Words {
  if (!isLoaded(language)) return wordsOf(library, "en", measures);
  const ofLibrary = made.get(library) ?? new Map<string, Words>();
  made.set(library, ofLibrary);
  const key = `${language} ${measures.mass} ${measures.length} ${measures.clock}`;
  const known = ofLibrary.get(key);
  if (known) return known;
  const words = wordsFrom(instanceOf(library, language), library, language, measures);
  ofLibrary.set(key, words);
  return words;
}

/** The words of a language for what names no movement of a practice. */
export function wordsIn(language: Language = "en"): Words {
  return wordsOf(SHIPPED_LIBRARY, language);
}

function instanceOf(library: Library, language: Language): i18n {
  const corrections = library.corrections[language] ?? {};
  if (Object.keys(corrections).length > 0) return instanceFor(language, corrections);
  const instance = instances.get(language) ?? instanceFor(language);
  instances.set(language, instance);
  return instance;
}

function instanceFor(language: Language, corrections: Readonly<Record<string, string>> = {}): i18n {
  const instance = i18next.createInstance();
  const corrected = Object.keys(corrections).length > 0;
  void instance.init({
    lng: language,
    fallbackLng: "en",
    resources: {
      en: { translation: en },
      [language]: { translation: corrected ? structuredClone(catalogues[language]) : catalogues[language] },
    },
    initAsync: false,
    interpolation: { escapeValue: false },
    keySeparator: ".",
    showSupportNotice: false,
  } as Parameters<i18n["init"]>[0]);
  for (const [key, text] of Object.entries(corrections)) instance.addResource(language, "translation", key, text);
  return instance;
}

function wordsFrom(instance: i18n, library: Library, language: Language, measures: Measures): Words {
  const { locale, capitalNouns } = LANGUAGE_FACTS[language];
  const number = new Intl.NumberFormat(locale, { maximumFractionDigits: 2, useGrouping: false });
  const text = (key: string, values: Record<string, string | number> = {}) =>
    instance.t(key, { ...values, replace: mapValues(values, (value) => (typeof value === "number" ? number.format(value) : value)) });
  const days = new Intl.DateTimeFormat(locale, { weekday: "long", day: "numeric", month: "long", timeZone: "UTC" });
  const dates = new Intl.DateTimeFormat(locale, { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" });
  const lists = new Intl.ListFormat(locale, { type: "conjunction" });
  const tens = new Intl.NumberFormat(locale, { useGrouping: false });
  const digits = Array.from({ length: 10 }, (_, digit) => tens.format(digit));
  const inDigits = (each: string | number) => String(each).replace(/\d/g, (digit) => digits[Number(digit)]!);
  const hours = new Intl.DateTimeFormat(locale, { hour: "numeric", minute: "2-digit", hour12: true, timeZone: "UTC" });
  const movement = (id: string): MovementWords => {
    const custom = library.custom(id);
    if (custom) return correctedWords(custom.words, `movements.${id}`, library.corrections[language]);
    const found = instance.t(`movements.${id}`, { returnObjects: true }) as unknown;
    return typeof found === "object" && found !== null
      ? (found as MovementWords)
      : { name: id, steps: [], feel: "", watch: [], care: [], forms: {} };
  };
  return {
    language,
    measures,
    movement,
    movementName: (id) => (library.find(id) ? movement(id).name : id),
    formName: (movementId, formId) => movement(movementId).forms[formId] ?? formId,
    label: (list, key) => text(`labels.${list}.${key}`),
    cue: (key, values) => text(`cues.${key}`, values),
    dose: (dose) => doseIn((key, values) => text(`paper.${key}`, values), dose),
    shortDose: (dose) => shortDoseIn((key, values) => text(`paper.${key}`, values), dose),
    load: (held) => loadIn(text, held, measures),
    sessionName: ({ name, slot }) => (name === en.labels.sessionName[slot] ? text(`labels.sessionName.${slot}`) : name),
    within: (each) => (capitalNouns ? each : each.charAt(0).toLocaleLowerCase(locale) + each.slice(1)),
    digits: inDigits,
    timeOfDay: (hhmm) => inDigits(measures.clock === "24h" ? hhmm : hours.format(new Date(`2026-01-01T${hhmm}:00Z`))),
    dayName: (date) => days.format(new Date(`${date}T12:00:00Z`)),
    dateName: (date) => dates.format(new Date(`${date}T12:00:00Z`)),
    list: (parts) => lists.format(parts),
    paper: (key, values) => text(`paper.${key}`, values),
    figure: (figure, side, name) => figureText((key, values) => text(`figure.${key}`, values), figure, side, name),
    handShape: (name) => text(`figure.hand.${name}`),
    coaching: (id) => ({ title: text(`coaching.${id}.title`), why: text(`coaching.${id}.why`) }),
    safety: (id) => ({ ask: text(`safety.${id}.ask`), short: text(`safety.${id}.short`) }),
    referral: (key, values) => text(`referral.${key}`, values),
    symptomKind: (kind) => text(`symptom.kind.${kind}`),
    nights: (nights) => text(`symptom.nights.${nights}`),
    member: (key, values) => text(`member.${key}`, values),
  };
}

function loadIn(
  text: (key: string, values?: Record<string, string | number>) => string,
  { loadKg, tool = null, gripM = null }: { loadKg: number | null; tool?: string | null; gripM?: number | null },
  measures: Measures,
): string {
  if (loadKg === null) return "";
  const mass =
    measures.mass === "kg"
      ? text("paper.inKg", { amount: loadKg })
      : text("paper.inLb", { amount: Math.round(massIn(loadKg, measures) * 10) / 10 });
  const load = tool ? text("paper.loadOf", { tool: text(`labels.piece.${tool}`), load: mass }) : mass;
  if (gripM === null) return load;
  const amount = Math.round(lengthIn(gripM, measures) * 10) / 10;
  return text("paper.gripAt", { load, length: text(measures.length === "cm" ? "paper.inCm" : "paper.inIn", { amount }) });
}

type PaperText = (key: PaperKey, values: Record<string, string | number>) => string;
/** What stands a number of times, in the form its number asks for. */
type Counted = "step" | "slide" | "round" | "shape" | "time" | "set";

function doseIn(paper: PaperText, dose: Dose): string {
  const counted = (key: Counted, count: number) => paper(key, { count });
  switch (dose.kind) {
    case "holds":
      return paper(dose.reps === 1 ? "oneHold" : "holds", { ...dose });
    case "reps": {
      const { sets, reps } = dose;
      const pace = paper(dose.tempo.endPauseSec > 0 ? "paceWithStay" : "pace", { ...dose.tempo });
      return paper(sets === 1 ? "reps" : "repsInSets", { sets, reps, rounds: counted("set", sets), times: counted("time", reps), pace });
    }
    case "timed":
      return paper(dose.sets === 1 ? "timed" : "timedInSets", { ...dose, rounds: counted("set", dose.sets) });
    case "steps":
      return dose.slides > 0
        ? paper("steps", { steps: counted("step", dose.stepsUsed), slides: counted("slide", dose.slides * dose.slideReps) })
        : paper("shapes", { rounds: counted("round", dose.rounds), shapes: counted("shape", dose.stepsUsed) });
  }
}

/** As short as it can be told: how often, and for how long. */
function shortDoseIn(paper: PaperText, dose: Dose): string {
  switch (dose.kind) {
    case "holds":
      return paper("holdsShort", { reps: dose.reps, seconds: dose.holdSec });
    case "timed":
      return paper("holdsShort", { reps: dose.sets, seconds: dose.workSec });
    case "reps":
      return dose.sets === 1 ? paper("time", { count: dose.reps }) : paper("repsInSetsShort", { sets: dose.sets, reps: dose.reps });
    case "steps":
      return doseIn(paper, dose);
  }
}

/** The words of a practice's own movement, told in another language as far as the practice did. */
function correctedWords(words: MovementWords, key: string, corrections: Readonly<Record<string, string>> = {}): MovementWords {
  const line = (at: string, text: string) => corrections[`${key}.${at}`] ?? text;
  const lines = (at: string, texts: readonly string[]) => texts.map((text, i) => line(`${at}.${i}`, text));
  return {
    name: line("name", words.name),
    steps: lines("steps", words.steps),
    feel: line("feel", words.feel),
    watch: lines("watch", words.watch),
    care: lines("care", words.care),
    forms: Object.fromEntries(Object.entries(words.forms).map(([id, text]) => [id, line(`forms.${id}`, text)])),
  };
}
