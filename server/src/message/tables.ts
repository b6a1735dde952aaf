/** Reminders, as they are stored. */
import type { Sequelize } from "sequelize";
import { id, longText, moment, text, uuid, whole, type Table } from "../db/columns";

export interface MessageRow {
  id: string;
  practiceId: string;
  crewId: string;
  personId: string;
  placementId: string | null;
  text: string;
  queuedAt: Date;
  /** `dropped`: no reminder any more as it was due. */
  state: "waiting" | "sent" | "failed" | "dropped";
  tries: number;
  nextTryAt: Date;
  sentAt: Date | null;
  problem: string | null;
}

export function defineMessageTables(sequelize: Sequelize) {
  return {
    Message: sequelize.define("messages", {
      id: { ...id },
      practiceId: uuid,
      crewId: uuid,
      personId: uuid,
      placementId: uuid,
      text: longText,
      queuedAt: moment,
      state: text,
      tries: whole,
      nextTryAt: moment,
      sentAt: moment,
      problem: text,
    }) as Table<MessageRow>,
  };
}
