/** What a trainer wrote down of a person, as it is stored. */
import type { ATTACHMENT_TYPES } from "@kind-grip/core/api";
import type { Sequelize } from "sequelize";
import { id, moment, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";

export interface PersonNoteRow {
  id: string;
  crewId: string;
  personId: string;
  writtenBy: string;
  at: Date;
  text: string;
  fileName: string | null;
  fileType: (typeof ATTACHMENT_TYPES)[number] | null;
  fileBytes: number | null;
  content: Buffer | null;
}

export function defineRecordTables(sequelize: Sequelize) {
  return {
    PersonNote: sequelize.define("person_notes", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      writtenBy: uuid,
      at: moment,
      ...encrypted("text"),
      ...encrypted("fileName"),
      fileType: text,
      fileBytes: whole,
      ...encrypted("content", "bytes"),
    }) as Table<PersonNoteRow>,
  };
}
