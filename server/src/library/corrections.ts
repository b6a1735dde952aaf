/** The texts a practice says in its own words. */
import type { Corrections } from "@kind-grip/core/library";
import type { Transaction } from "sequelize";
import type { Db } from "../db/connection";

export async function correctionsOf({ models }: Db, practiceId: string, transaction?: Transaction): Promise<Corrections> {
  const rows = await models.Correction.findAll({ where: { practiceId }, order: ["language", "textKey"], transaction });
  const corrections: Record<string, Record<string, string>> = {};
  for (const { language, textKey, text } of rows.map((row) => row.get())) (corrections[language] ??= {})[textKey] = text;
  return corrections;
}
