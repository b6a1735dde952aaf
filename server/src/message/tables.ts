/** Reminders, as they are stored. */
import type { ContactWay } from "@kind-grip/core/contact";
import type { Sequelize } from "sequelize";
import { id, longText, moment, shortPart, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface MessageRow {
  id: string;
  practiceId: string;
  crewId: string;
  personId: string;
  placementId: string | null;
  way: ContactWay;
  text: string;
  /** When the session begins as the text says it; null of those from before this was kept. */
  startsAt: Date | null;
  /** From 0: how often this person was told of the session by this way before, at other times. */
  nr: number;
  queuedAt: Date;
  /** `dropped`: no reminder any more as it was due. */
  state: "waiting" | "sent" | "failed" | "dropped";
  tries: number;
  nextTryAt: Date;
  sentAt: Date | null;
  problem: string | null;
}

/** Of a crew: how long before a session everybody is reminded by itself; null for not at all. */
export interface ReminderRuleRow {
  crewId: string;
  minutesBefore: number | null;
}

/** Of whoever wants it otherwise than the crew; null for no reminders at all. */
export interface ReminderWishRow {
  personId: string;
  crewId: string;
  minutesBefore: number | null;
}

/** By which phones know this server; the private one never leaves it. */
export interface PushKeyRow {
  id: string;
  publicKey: string;
  privateKey: string;
  madeAt: Date;
}

export function defineMessageTables(sequelize: Sequelize) {
  return {
    PushKey: sequelize.define("push_keys", {
      id: { ...shortPart },
      publicKey: text,
      ...encrypted("privateKey"),
      madeAt: moment,
    }) as Table<PushKeyRow>,
    Message: sequelize.define("messages", {
      id: { ...id },
      practiceId: uuid,
      crewId: uuid,
      personId: uuid,
      placementId: uuid,
      way: text,
      text: longText,
      startsAt: moment,
      nr: whole,
      queuedAt: moment,
      state: text,
      tries: whole,
      nextTryAt: moment,
      sentAt: moment,
      problem: text,
    }) as Table<MessageRow>,
    ReminderRule: sequelize.define("reminder_rules", { crewId: { ...id }, minutesBefore: whole }) as Table<ReminderRuleRow>,
    ReminderWish: sequelize.define("reminder_wishes", {
      personId: { ...id },
      crewId: uuid,
      minutesBefore: whole,
    }) as Table<ReminderWishRow>,
  };
}
