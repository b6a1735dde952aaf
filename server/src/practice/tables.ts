/** Practices, as they are stored. */
import { SETTINGS_DOCUMENT, type PracticeSettings } from "@kind-grip/core/response";
import type { Language } from "@kind-grip/core/language";
import type { Measures } from "@kind-grip/core/units";
import type { Sequelize } from "sequelize";
import { day, flag, hashPart, id, idPart, json, longText, moment, shortPart, text, whole, type Table } from "../db/columns";
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
  /** Of the crews that have none of their own. */
  language?: Language | null;
  /** Null for kilograms, centimetres and 24 hours. */
  measures?: Measures | null;
  /** What new crews begin with; null where nobody said. */
  place?: string | null;
  timeZone?: string | null;
}

/** A text of a catalogue that the practice says in its own words. */
export interface CorrectionRow {
  practiceId: string;
  language: string;
  textKey: string;
  text: string;
}

/** Who of the practice read a language through. */
export interface LanguageReadingRow {
  practiceId: string;
  language: string;
  readBy: string;
  readOn: string;
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
      language: text,
      measures: json,
      place: text,
      timeZone: text,
    }) as Table<PracticeRow>,
    Correction: sequelize.define("text_corrections", {
      practiceId: { ...idPart },
      language: { ...shortPart },
      textKey: { ...hashPart, type: text },
      text: longText,
    }) as Table<CorrectionRow>,
    LanguageReading: sequelize.define("language_readings", {
      practiceId: { ...idPart },
      language: { ...shortPart },
      readBy: text,
      readOn: day,
    }) as Table<LanguageReadingRow>,
  };
}
