/**
 * Everything a crew member reads or hears, by language. A second language is a folder beside `en`
 * with the same shape and one line in `resources`.
 */
import i18next, { type i18n } from "i18next";
import { SHIPPED_LIBRARY, type Library } from "../library";
import type { Dose } from "../session";
import type { RestrictionReason, Symptom } from "../safety";
import type { Figure, HandShapeName, SideName } from "../figure";
import { en } from "./en";
import { figureText } from "./figure-text";
import type { MovementWords } from "./words";

export type { MovementWords } from "./words";

type Catalogue = typeof en;
type Labels = Catalogue["labels"];

/** The shape of the English catalogue with words of any language in it. */
type Translated<T> = T extends string
  ? string
  : T extends readonly unknown[]
    ? readonly string[]
    : { readonly [K in keyof T]: Translated<T[K]> };

const resources: Record<string, { translation: Translated<Catalogue> }> = { en: { translation: en } };

export interface Words {
  language: string;
  movement(id: string): MovementWords;
  movementName(id: string): string;
  formName(movementId: string, formId: string): string;
  label<L extends keyof Labels>(list: L, key: string): string;
  cue(key: keyof Catalogue["cues"], values?: Record<string, string | number>): string;
  /** A dose as a crew member reads it. */
  dose(dose: Dose): string;
  /** What is in the hand; empty without a load. */
  load(held: { loadKg: number | null; tool?: string | null; gripM?: number | null }): string;
  paper(key: PaperKey, values?: Record<string, string | number>): string;
  /** A figure told in words, from its poses, for the side that does it. */
  figure(figure: Figure, side: SideName, name: string): string;
  handShape(name: HandShapeName): string;
  /** What a coaching card says. */
  coaching(id: string): { title: string; why: string };
  /** A safety question: as it is asked, and its short name. */
  safety(id: RestrictionReason): { ask: string; short: string };
  referral(key: keyof Catalogue["referral"], values?: Record<string, string | number>): string;
  symptomKind(kind: Symptom["kind"]): string;
  nights(nights: Symptom["nights"]): string;
  /** The crew member's own page. */
  member(key: MemberKey, values?: Record<string, string | number>): string;
}

type Member = Catalogue["member"];
/** Keys of counted words go without the ending that tells one from many. */
type Uncounted<K> = K extends `${infer Base}_one` ? Base : K extends `${string}_other` ? never : K;
type PaperKey = Uncounted<keyof Catalogue["paper"]>;
type MemberKey =
  | Exclude<Uncounted<keyof Member>, "reportKind" | "answerIs" | "mark">
  | `reportKind.${keyof Member["reportKind"]}`
  | `answerIs.${keyof Member["answerIs"]}`
  | `mark.${keyof Member["mark"]}`;

/** Words already made, by library and language; a library that nobody holds any more takes its words with it. */
const made = new WeakMap<Library, Map<string, Words>>();
const instances = new Map<string, i18n>();

/** The words of a language, a practice's own names of its movements among them; English where the language has none. */
export function wordsOf(library: Library, language = "en"): Words {
  const ofLibrary = made.get(library) ?? new Map<string, Words>();
  made.set(library, ofLibrary);
  const known = ofLibrary.get(language);
  if (known) return known;
  const instance = instances.get(language) ?? instanceFor(language);
  instances.set(language, instance);
  const words = wordsFrom(instance, library, language);
  ofLibrary.set(language, words);
  return words;
}

/** The words of a language for what names no movement of a practice. */
export function wordsIn(language = "en"): Words {
  return wordsOf(SHIPPED_LIBRARY, language);
}

function instanceFor(language: string): i18n {
  const instance = i18next.createInstance();
  void instance.init({
    lng: language,
    fallbackLng: "en",
    resources,
    initAsync: false,
    interpolation: { escapeValue: false },
    keySeparator: ".",
    showSupportNotice: false,
  } as Parameters<i18n["init"]>[0]);
  return instance;
}

function wordsFrom(instance: i18n, library: Library, language: string): Words {
  const text = (key: string, values?: Record<string, string | number>) => instance.t(key, values ?? {});
  const movement = (id: string): MovementWords => {
    const custom = library.custom(id);
    if (custom) return custom.words;
    const found = instance.t(`movements.${id}`, { returnObjects: true }) as unknown;
    return typeof found === "object" && found !== null
      ? (found as MovementWords)
      : { name: id, steps: [], feel: "", watch: [], care: [], forms: {} };
  };
  return {
    language,
    movement,
    movementName: (id) => (library.find(id) ? movement(id).name : id),
    formName: (movementId, formId) => movement(movementId).forms[formId] ?? formId,
    label: (list, key) => text(`labels.${list}.${key}`),
    cue: (key, values) => text(`cues.${key}`, values),
    dose: (dose) => doseIn((key, values) => text(`paper.${key}`, values), dose),
    load: (held) => loadIn(text, held),
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
): string {
  if (loadKg === null) return "";
  const load = tool ? text("paper.loadOf", { tool: text(`labels.piece.${tool}`), kg: loadKg }) : text("paper.load", { kg: loadKg });
  return gripM === null ? load : text("paper.gripAt", { load, cm: Math.round(gripM * 1000) / 10 });
}

function doseIn(paper: (key: PaperKey, values: Record<string, string | number>) => string, dose: Dose): string {
  switch (dose.kind) {
    case "holds":
      return paper(dose.reps === 1 ? "oneHold" : "holds", { ...dose });
    case "reps": {
      const pace = paper(dose.tempo.endPauseSec > 0 ? "paceWithStay" : "pace", { ...dose.tempo });
      return paper(dose.sets === 1 ? "reps" : "repsInSets", { sets: dose.sets, reps: dose.reps, pace });
    }
    case "timed":
      return paper(dose.sets === 1 ? "timed" : "timedInSets", { ...dose });
    case "steps": {
      const counted = (key: "step" | "slide" | "round" | "shape", count: number) => paper(key, { count });
      return dose.slides > 0
        ? paper("steps", { steps: counted("step", dose.stepsUsed), slides: counted("slide", dose.slides * dose.slideReps) })
        : paper("shapes", { rounds: counted("round", dose.rounds), shapes: counted("shape", dose.stepsUsed) });
    }
  }
}
