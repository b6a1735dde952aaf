/** Practices, as they are stored. */
import { SETTINGS_DOCUMENT, type PracticeSettings } from "@kind-grip/core/response";
import type { Sequelize } from "sequelize";
import { flag, id, moment, text, whole, type Table } from "../db/columns";
import { storedDocument } from "../db/stored-document";

export interface PracticeRow {
  id: string;
  name: string;
  /** Demo practices live on a fixed day: the moment it is when the server starts. */
  demoNow: Date | null;
  /** What the practice sets for itself; null while it uses the defaults. */
  settings?: PracticeSettings | null;
  settingsVersion?: number;
  /** Trainers sign in with a second step or a passkey. */
  asksSecondStep?: boolean;
}

export function definePracticeTables(sequelize: Sequelize) {
  return {
    Practice: sequelize.define("practices", {
      id: { ...id },
      name: text,
      demoNow: moment,
      ...storedDocument(SETTINGS_DOCUMENT, "settings"),
      settingsVersion: whole,
      asksSecondStep: flag,
    }) as Table<PracticeRow>,
  };
}
