import { libraryOf, SHIPPED_LIBRARY, type Library } from "../library";
import { sampleCustomMovement } from "../library/custom.sample";
import { newItem, LOAD_SCHOOLS, STRETCH_SCHOOLS } from "../library";
import { coachFor, cuesOf, speechSec } from "../run";
import { compilePerson, type Dose } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { METRIC } from "../units";
import {
  correctionProblem,
  isLoaded,
  LANGUAGE_FACTS,
  languageFor,
  languageOf,
  LANGUAGES,
  loadLanguage,
  textsOf,
  valuesOf,
  wordsIn,
  wordsOf,
  type Language,
} from ".";

const OTHERS = LANGUAGES.filter((language) => language !== "en");
const texts = new Map<Language, Map<string, string>>();

it("a language that was not fetched yet reads English", () => {
  expect([isLoaded("pl"), wordsIn("pl").label("side", "left"), wordsIn("pl").language]).toEqual([false, "Left", "en"]);
});

describe("every language", () => {
  beforeAll(async () => {
    for (const language of LANGUAGES) texts.set(language, new Map(textsOf(await loadLanguage(language))));
  });
  const PLURAL = /_(zero|one|two|few|many|other)$/;
  const stem = (key: string) => key.replace(PLURAL, "");

  it.each(OTHERS)("%s has each text and no other", (language) => {
    const stems = (of: Language) => [...new Set([...texts.get(of)!.keys()].map(stem))].sort();
    expect(stems(language)).toEqual(stems("en"));
  });

  it.each(LANGUAGES)("%s has each form its numbers need", (language) => {
    const forms = new Intl.PluralRules(LANGUAGE_FACTS[language].locale).resolvedOptions().pluralCategories;
    const counted = new Set([...texts.get(language)!.keys()].filter((key) => PLURAL.test(key)).map(stem));
    // Spanish and Polish know forms for parts of things and for millions, which nothing here counts.
    const needed = new Set(Array.from({ length: 200 }, (_, n) => new Intl.PluralRules(LANGUAGE_FACTS[language].locale).select(n)));
    expect([...needed].filter((form) => !forms.includes(form))).toEqual([]);
    for (const each of counted)
      for (const form of needed) expect([each, form, texts.get(language)!.has(`${each}_${form}`)]).toEqual([each, form, true]);
  });

  it.each(OTHERS)("%s fills in the values English does", (language) => {
    for (const [key, text] of texts.get(language)!) {
      const english = texts.get("en")!.get(key) ?? texts.get("en")!.get(`${stem(key)}_other`)!;
      // A form for one thing or two may leave the figure out, and Polish abbreviates a row of them.
      const asked = valuesOf(english).filter((name) => name !== "count" || !PLURAL.test(key));
      expect([key, valuesOf(text).filter((name) => name !== "count" || !PLURAL.test(key))]).toEqual([key, asked]);
    }
  });

  it.each(OTHERS)("%s leaves nothing in English", (language) => {
    // Words that are the same in both, and what is only values and signs.
    const same = [...texts.get(language)!].filter(
      ([key, text]) => texts.get("en")!.get(key) === text && /[a-z]{4}/i.test(text.replace(/{{\w+}}/g, "")),
    );
    const ALIKE = /^(Stretch|Start|Stop|Tape|Name|Pause|Arms?|Hand|Band|Finger|Total|Note|Symptom)$/;
    expect(same.filter(([, text]) => !ALIKE.test(text)).map(([key]) => key)).toEqual([]);
  });

  it("Arabic is in its own letters and figures throughout", () => {
    for (const [key, text] of texts.get("ar")!)
      expect([key, text.replace(/{{\w+}}/g, "")]).toEqual([key, expect.not.stringMatching(/[A-Za-z0-9]/)]);
  });

  it.each(OTHERS)("%s has room where English has", (language) => {
    // What stands on buttons and beside figures, and what is called out: the longest that fits there.
    const most = (key: string) =>
      /^member\.(start|startNow|pause|goOn|skip|easier|stop|back|today|tell|keep|done|again|signIn|signOut|progress)$/.test(key)
        ? 20
        : /^cues\.(ready|readyTogether|switch|opening|closing|mildPull|to[A-Z]\w+)$/.test(key)
          ? 130
          : /^cues\./.test(key)
            ? 24
            : /^labels\.side\./.test(key)
              ? 14
              : /^movements\.[\w-]+\.name$/.test(key)
                ? 44
                : /^movements\./.test(key)
                  ? 150
                  : Infinity;
    for (const [key, text] of texts.get(language)!)
      if (text.replace(/{{\w+}}/g, "99").length > most(key)) expect([key, text, most(key)]).toEqual([key, "shorter", most(key)]);
  });

  it.each(OTHERS)("%s is said into silence too", (language) => {
    const words = wordsIn(language);
    const overlaps = (cues: ReturnType<typeof cuesOf>) =>
      cues
        .filter(({ say }) => say !== null)
        .flatMap((cue, i, list) => (list[i + 1] && cue.atSec + speechSec(cue.say!, language) > list[i + 1]!.atSec + 1e-9 ? [cue.say] : []));
    for (const movement of SHIPPED_LIBRARY.movements) {
      const item = newItem(movement, { stretch: STRETCH_SCHOOLS[0], load: LOAD_SCHOOLS[0] }, sampleId());
      const timeline = compilePerson(sampleSession([item]), SHIPPED_LIBRARY.timings);
      const before = overlaps(cuesOf(timeline, words));
      const after = overlaps(cuesOf(timeline, words, coachFor(SHIPPED_LIBRARY, "full")));
      expect([movement.id, after.filter((say) => !before.includes(say))]).toEqual([movement.id, []]);
    }
  });

  const tempo = { outSec: 2, endPauseSec: 0, backSec: 3, startPauseSec: 0 };
  const reps = (sets: number, reps: number): Dose => ({ kind: "reps", sets, reps, tempo, restSec: 30 });
  it.each<[string, Dose, Record<Language, string>]>([
    [
      "one repetition",
      reps(1, 1),
      {
        en: "once, 2 s out, 3 s back",
        es: "una vez, 2 s de ida, 3 s de vuelta",
        de: "einmal, 2 s hin, 3 s zurück",
        pl: "raz, 2 s tam, 3 s z powrotem",
        ar: "مرة واحدة، ٢ ث ذهابًا، ٣ ث عودة",
      },
    ],
    [
      "twelve of them",
      reps(1, 12),
      {
        en: "12 times, 2 s out, 3 s back",
        es: "12 veces, 2 s de ida, 3 s de vuelta",
        de: "12-mal, 2 s hin, 3 s zurück",
        pl: "12 razy, 2 s tam, 3 s z powrotem",
        ar: "١٢ مرة، ٢ ث ذهابًا، ٣ ث عودة",
      },
    ],
    [
      "two rounds",
      reps(2, 8),
      {
        en: "2 rounds of 8, 2 s out, 3 s back",
        es: "2 series de 8, 2 s de ida, 3 s de vuelta",
        de: "2 Runden zu 8, 2 s hin, 3 s zurück",
        pl: "2 serie po 8, 2 s tam, 3 s z powrotem",
        ar: "جولتان، في كل منها ٨، ٢ ث ذهابًا، ٣ ث عودة",
      },
    ],
    [
      "five rounds by time",
      { kind: "timed", sets: 5, workSec: 20, restSec: 10 },
      {
        en: "5 rounds of 20 s",
        es: "5 series de 20 s",
        de: "5 Runden zu 20 s",
        pl: "5 serii po 20 s",
        ar: "٥ جولات، في كل منها ٢٠ ث",
      },
    ],
  ])("a dose has the form its numbers ask for: %s", (_name, dose, told) => {
    for (const language of LANGUAGES) expect(wordsIn(language).dose(dose)).toBe(told[language]);
  });

  it.each<[Dose, string, string, string]>([
    [{ kind: "holds", reps: 3, holdSec: 20, restSec: 5 }, "3 × 20 s", "3 × 20 s", "٣ × ٢٠ ث"],
    [{ kind: "timed", sets: 2, workSec: 30, restSec: 10 }, "2 × 30 s", "2 × 30 s", "٢ × ٣٠ ث"],
    [reps(1, 10), "10 times", "10 razy", "١٠ مرات"],
    [reps(1, 1), "once", "raz", "مرة واحدة"],
    [reps(2, 12), "2 × 12", "2 × 12", "٢ × ١٢"],
  ])("a dose is told short in the language of whoever reads it: %j", (dose, ...told) => {
    expect((["en", "pl", "ar"] as const).map((language) => wordsIn(language).shortDose(dose))).toEqual(told);
  });

  it("numbers follow the language, loads the units asked for", () => {
    const held = { loadKg: 1.5, tool: "hammer", gripM: 0.125 };
    expect(LANGUAGES.map((language) => wordsIn(language).load(held))).toEqual([
      "hammer, 1.5 kg, hand at the 12.5 cm mark",
      "martillo, 1,5 kg, mano en la marca de 12,5 cm",
      "Hammer, 1,5 kg, Hand an der Marke 12,5 cm",
      "młotek, 1,5 kg, dłoń przy znaku 12,5 cm",
      "مطرقة، ١٫٥ كغ، اليد عند علامة ١٢٫٥ سم",
    ]);
    const pounds = { ...METRIC, mass: "lb", length: "in" } as const;
    expect(wordsOf(SHIPPED_LIBRARY, "en", pounds).load(held)).toBe("hammer, 3.3 lb, hand at the 4.9 in mark");
    expect(wordsIn("ar").digits("3:05")).toBe("٣:٠٥");
  });

  it("counts as the language does", () => {
    const steps = (language: Language) => [1, 2, 3, 5, 11].map((stepsUsed) => wordsIn(language).paper("step", { count: stepsUsed }));
    expect(steps("pl")).toEqual(["1 krok", "2 kroki", "3 kroki", "5 kroków", "11 kroków"]);
    expect(steps("ar")).toEqual(["خطوة واحدة", "خطوتان", "٣ خطوات", "٥ خطوات", "١١ خطوة"]);
  });

  it("names within a sentence and days as the language writes them", () => {
    expect(LANGUAGES.map((language) => wordsIn(language).within(wordsIn(language).label("kit", "hammer")))).toEqual([
      "hammers",
      "martillos",
      "Hämmer",
      "młotki",
      "مطارق",
    ]);
    expect(LANGUAGES.map((language) => wordsIn(language).dayName("2026-03-05"))).toEqual([
      "Thursday 5 March",
      "jueves, 5 de marzo",
      "Donnerstag, 5. März",
      "czwartek, 5 marca",
      "الخميس، ٥ مارس",
    ]);
  });

  it("a session that nobody named has a name in each; one that somebody named keeps it", () => {
    expect(wordsIn("de").sessionName({ name: "Warm-up", slot: "preShift" })).toBe("Aufwärmen");
    expect(wordsIn("de").sessionName({ name: "Roof warm-up", slot: "preShift" })).toBe("Roof warm-up");
  });
});

describe("a practice's corrections", () => {
  beforeAll(() => loadLanguage("es"));
  const name = (library: Library, language: Language) => wordsOf(library, language).movementName("palm-away");

  it("are read instead of what ships, in their language alone and by that practice alone", () => {
    const corrected = libraryOf([], {
      es: { "movements.palm-away.name": "Estiramiento de palma", "movements.palm-away.steps.1": "Paso dos." },
    });
    expect([name(corrected, "es"), name(corrected, "en"), name(SHIPPED_LIBRARY, "es")]).toEqual([
      "Estiramiento de palma",
      "Palm-away stretch",
      "Palma hacia fuera",
    ]);
    expect(wordsOf(corrected, "es").movement("palm-away").steps[1]).toBe("Paso dos.");
    expect(wordsOf(SHIPPED_LIBRARY, "es").movement("palm-away").steps[1]).toBe("La otra mano coge los cuatro dedos.");
    expect(corrected.revision).not.toBe(SHIPPED_LIBRARY.revision);
  });

  it("tell a practice's own movement in another language", () => {
    const own = sampleCustomMovement("own");
    const library = libraryOf([own], { es: { [`movements.${own.movement.id}.name`]: "El mío" } });
    expect([wordsOf(library, "es").movementName(own.movement.id), wordsOf(library, "en").movementName(own.movement.id)]).toEqual([
      "El mío",
      own.words.name,
    ]);
  });
});

it.each([
  [["pl-PL", "en"], "pl"],
  [["fr", "ES-mx"], "es"],
  [["fr"], "en"],
  [[], "en"],
])("of the languages wished for %j it is %s", (wished, language) => expect(languageFor(wished)).toBe(language));

it("a person's own language comes first, then the crew's, then the practice's", () => {
  expect([languageOf("pl", "es", "de"), languageOf(null, "es", "de"), languageOf(null, undefined, "de"), languageOf(null)]).toEqual([
    "pl",
    "es",
    "de",
    "en",
  ]);
});

it.each([
  ["Hold {{holdSec}} s", "Halte {{holdSec}} s", null],
  ["Hold {{holdSec}} s", "Halte", "leaves out {{holdSec}}"],
  ["Hold", "Hold {{holdSec}}", "asks for {{holdSec}}, which is not known there"],
  ["Hold", "Hold {{", "has braces that do not close"],
  ["Hold", "  ", "is empty"],
  ["Hold", "x".repeat(600), null],
  ["Hold", "x".repeat(601), "is longer than 600 letters"],
])("of %j corrected to %j is said: %s", (shipped, own, problem) => expect(correctionProblem(shipped, own)).toBe(problem));
