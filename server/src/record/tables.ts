/** What a trainer wrote down of a person, as it is stored. */
import type { ATTACHMENT_TYPES } from "@kind-grip/core/api";
import type { Sequelize } from "sequelize";
import { bytes, endlessText, id, moment, text, uuid, whole, type Table } from "../db/columns";

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
      text: endlessText,
      fileName: text,
      fileType: text,
      fileBytes: whole,
      content: bytes,
    }) as Table<PersonNoteRow>,
  };
}
