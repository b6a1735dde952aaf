/** What health is asked of besides the database, as the settings name it. */
import type { Surroundings } from "../health/parts";
import { freeBytesOf } from "../http/disk";
import { askMailServer } from "../message/mail";
import { setting } from "./settings";

/** @param data folder of the private database; undefined for a database elsewhere */
export function surroundingsOf(data: string | undefined): Surroundings {
  const [mailUrl, backupFolder] = [setting("MAIL_URL"), setting("BACKUP_FOLDER")];
  return {
    ...(data ? { freeBytes: freeBytesOf(data) } : {}),
    ...(mailUrl ? { askMail: () => askMailServer(mailUrl) } : {}),
    ...(backupFolder ? { backupFolder } : {}),
  };
}
