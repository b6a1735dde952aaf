/** Long work, as it is stored. */
import type { Sequelize } from "sequelize";
import type { JobKind, JobState } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import { id, longText, moment, real, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface JobRow {
  id: string;
  practiceId: string;
  /** Null for what is of the whole practice. */
  crewId: string | null;
  /** What it is made of: a program, the crew, the practice. */
  subjectId: string;
  kind: JobKind;
  /** Equal for equal work: asked for twice it is done once. */
  contentKey: string;
  fileName: string;
  /** Asked for in this language; null where each reads their own. */
  language: Language | null;
  /** What is to be done, as JSON; forgotten when it is done. */
  task: string | null;
  state: JobState;
  /** 0 to 1; null while it cannot be told. */
  progress: number | null;
  /** How many wait for it; taken back by the last of them it is not made. */
  asking: number;
  askedAt: Date;
  /** Which taking of it is at work, and until when without a sign of life. */
  takenBy: string | null;
  takenUntil: Date | null;
  tries: number;
  problem: string | null;
  file: Buffer | null;
}

export function defineJobTables(sequelize: Sequelize) {
  return {
    Job: sequelize.define("jobs", {
      id: { ...id },
      practiceId: uuid,
      crewId: uuid,
      subjectId: uuid,
      kind: text,
      contentKey: text,
      fileName: text,
      language: text,
      ...encrypted("task"),
      state: text,
      progress: real,
      asking: whole,
      askedAt: moment,
      takenBy: uuid,
      takenUntil: moment,
      tries: whole,
      problem: longText,
      ...encrypted("file", "bytes"),
    }) as Table<JobRow>,
  };
}
