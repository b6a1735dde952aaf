/** What a practice's crews read, how it and whoever works in it write quantities and times, and the texts it says in its own words. */
import type { Customs, OwnTexts } from "@kind-grip/core/api";
import { correctionProblem, type Language, loadLanguage, textsOf } from "@kind-grip/core/language";
import { METRIC } from "@kind-grip/core/units";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { invalid } from "../http/problem";
import { correctionsOf } from "../library/corrections";
import { practiceLibrary } from "../library/practice-library";

export async function customsOf({ models }: Db, practiceId: string): Promise<Customs> {
  const practice = (await models.Practice.findByPk(practiceId, { attributes: ["language", "measures", "place", "timeZone"] }))?.get();
  return {
    language: practice?.language ?? "en",
    measures: practice?.measures ?? METRIC,
    place: practice?.place ?? null,
    timeZone: practice?.timeZone ?? null,
  };
}

export async function saveCustoms(db: Db, { practiceId }: Caller, customs: Customs): Promise<Customs> {
  await db.models.Practice.update(customs, { where: { id: practiceId } });
  return customsOf(db, practiceId);
}

export async function ownTexts(db: Db, practiceId: string): Promise<OwnTexts> {
  const [corrections, readings] = await Promise.all([
    correctionsOf(db, practiceId),
    db.models.LanguageReading.findAll({ where: { practiceId }, order: ["language"] }),
  ]);
  return {
    corrections,
    readings: readings.map((row) => ({ language: row.get().language as Language, readBy: row.get().readBy, readOn: row.get().readOn })),
  };
}

/** @param text null takes the practice's own words back @throws Problem 400 for a text that is not there, or that loses what is filled in */
export async function correctText(db: Db, { practiceId }: Caller, language: Language, key: string, text: string | null): Promise<OwnTexts> {
  const where = { practiceId, language, textKey: key };
  if (text === null) await db.models.Correction.destroy({ where });
  else {
    const shipped = await shippedText(db, practiceId, language, key);
    if (shipped === undefined) throw invalid([{ path: "key", message: "is no text" }]);
    const problem = correctionProblem(shipped, text);
    if (problem) throw invalid([{ path: "text", message: problem }]);
    await db.models.Correction.upsert({ ...where, text });
  }
  return ownTexts(db, practiceId);
}

/** What ships; of a movement the practice made itself, its own words. */
async function shippedText(db: Db, practiceId: string, language: Language, key: string): Promise<string | undefined> {
  const shipped = new Map(textsOf(await loadLanguage(language))).get(key);
  if (shipped !== undefined) return shipped;
  const [subject, id, ...rest] = key.split(".");
  const custom = subject === "movements" && id ? (await practiceLibrary(db, practiceId)).custom(id) : undefined;
  return custom && new Map(textsOf(custom.words)).get(rest.join("."));
}

/** @param readBy a practitioner who speaks it and read all of it; null: nobody did @param today in the practice's time */
export async function noteReading(
  db: Db,
  { practiceId }: Caller,
  language: Language,
  readBy: string | null,
  today: string,
): Promise<OwnTexts> {
  const where = { practiceId, language };
  if (readBy === null) await db.models.LanguageReading.destroy({ where });
  else await db.models.LanguageReading.upsert({ ...where, readBy, readOn: today });
  return ownTexts(db, practiceId);
}
