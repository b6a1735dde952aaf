/** Baseline rounds and records, as they are stored. */
import { NOISE_DOCUMENT, RECORD_DOCUMENT, type BaselineRecord, type MeasuringNoise } from "@kind-grip/core/baseline";
import type { Symptom } from "@kind-grip/core/safety";
import type { Sequelize } from "sequelize";
import { day, flag, id, idPart, moment, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";
import { storedDocument } from "../db/stored-document";

export interface RoundRow {
  id: string;
  crewId: string;
  name: string;
  startedOn: string;
  closedAt: Date | null;
  /** Whether people are asked on their own phones first. */
  asksOnPhones?: boolean;
  /** The round whose people are measured a second time. */
  repeats?: string | null;
}

/** What differences are held against from a moment on. */
export interface NoiseRow {
  id: string;
  practiceId: string;
  chosenAt: Date;
  chosenBy: string;
  /** Empty for the usual rules. */
  noise: MeasuringNoise;
}

export interface BaselineRow {
  roundId: string;
  personId: string;
  document: BaselineRecord;
  /** Where something is felt, apart from the document: asked for at every session. Null where nobody asked. */
  symptoms: Pick<Symptom, "region" | "level">[] | null;
  /** Day at the crew's place on which that was asked first in this round; null where nobody asked, and of what an earlier version stored. */
  symptomsAskedOn: string | null;
  /** Of who agreed to be weighed, apart from the document as well. */
  bodyMassKg: number | null;
  version: number;
  changedAt: Date;
  /** How far it is, apart from the document; null for one that an earlier version stored. */
  progress: RecordProgress | null;
}

export type RecordProgress = "empty" | "begun" | "finished";

export function defineBaselineTables(sequelize: Sequelize) {
  return {
    Round: sequelize.define("baseline_rounds", {
      id: { ...id },
      crewId: uuid,
      name: text,
      startedOn: day,
      closedAt: moment,
      asksOnPhones: flag,
      repeats: uuid,
    }) as Table<RoundRow>,
    Baseline: sequelize.define("baseline_records", {
      roundId: { ...idPart },
      personId: { ...idPart },
      ...storedDocument(RECORD_DOCUMENT, "document", { isEncrypted: true }),
      ...encrypted("symptoms"),
      symptomsAskedOn: day,
      ...encrypted("bodyMassKg"),
      version: whole,
      changedAt: moment,
      progress: text,
    }) as Table<BaselineRow>,
    MeasuringNoise: sequelize.define("measuring_noise", {
      id: { ...id },
      practiceId: uuid,
      chosenAt: moment,
      chosenBy: text,
      ...storedDocument(NOISE_DOCUMENT, "noise"),
    }) as Table<NoiseRow>,
  };
}
