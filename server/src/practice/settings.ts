/** What a practice sets for itself, with the version that is printed on every decision it led to. */
import { isEqual } from "es-toolkit";
import { PracticeSettings, USUAL_SETTINGS } from "@kind-grip/core/response";
import type { Transaction } from "sequelize";
import * as v from "valibot";
import type { Db } from "../db/connection";
import { stale } from "../http/problem";

export interface SettingsAnswer {
  settings: PracticeSettings;
  version: number;
}

export async function settingsOf({ models }: Db, practiceId: string, transaction?: Transaction): Promise<SettingsAnswer> {
  const practice = (await models.Practice.findByPk(practiceId, { transaction }))?.get();
  return {
    settings: practice?.settings ? v.parse(PracticeSettings, practice.settings) : USUAL_SETTINGS,
    version: practice?.settingsVersion ?? 1,
  };
}

export async function saveSettings(db: Db, practiceId: string, version: number, settings: PracticeSettings): Promise<SettingsAnswer> {
  const [changed] = await db.models.Practice.update(
    { settings, settingsVersion: version + 1 },
    { where: { id: practiceId, settingsVersion: version } },
  );
  const now = await settingsOf(db, practiceId);
  if (changed === 0 && !isEqual(now.settings, settings)) throw stale(now);
  return now;
}
