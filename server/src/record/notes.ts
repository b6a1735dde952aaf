/** Notes of a person with a photo or a PDF: for the trainers of the crew only, each act in the trail. */
import type { ATTACHMENT_TYPES, NewNote } from "@kind-grip/core/api";
import { noteChanged, noteSeen } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { Op } from "sequelize";

export interface OfPerson {
  crewId: string;
  personId: string;
}

/** More than this many is no record of a person but a store of files. */
const MOST_FILES = 100;

/** How each kind of file begins; a name or a declared type can say anything. */
const BEGINS: Record<(typeof ATTACHMENT_TYPES)[number], (start: Buffer) => boolean> = {
  "image/jpeg": (start) => start.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  "image/png": (start) => start.subarray(0, 8).equals(Buffer.from("\x89PNG\r\n\x1a\n", "latin1")),
  "image/webp": (start) => start.toString("latin1", 0, 4) === "RIFF" && start.toString("latin1", 8, 12) === "WEBP",
  "application/pdf": (start) => start.toString("latin1", 0, 5) === "%PDF-",
};

/** Stored once, however often it is sent. @throws Problem 400 for a file that is not what it says it is */
export async function addNote(db: Db, caller: Caller, at: Date, place: OfPerson, { id, text, attachment }: NewNote): Promise<void> {
  const content = attachment && Buffer.from(attachment.content, "base64");
  if (attachment && !BEGINS[attachment.type](content!))
    throw invalid([{ path: "attachment.content", message: "is not the file it says it is" }]);
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, place.crewId, transaction);
    if (!(await db.models.Person.findOne({ where: { id: place.personId, crewId: place.crewId, erasedAt: null }, transaction })))
      throw notFound("person");
    const known = (await db.models.PersonNote.findByPk(id, { attributes: ["personId"], transaction }))?.get();
    if (known && known.personId !== place.personId) throw new Problem(409, "taken", "This id belongs to another note.");
    if (known) return;
    if (
      content &&
      (await db.models.PersonNote.count({ where: { personId: place.personId, fileType: { [Op.not]: null } }, transaction })) >= MOST_FILES
    )
      throw invalid([{ path: "attachment", message: `there are ${MOST_FILES} files of this person already` }]);
    await db.models.PersonNote.create(
      {
        ...place,
        id,
        text,
        at,
        writtenBy: caller.accountId,
        fileName: attachment?.name ?? null,
        fileType: attachment?.type ?? null,
        fileBytes: content?.length ?? null,
        content,
      },
      { transaction },
    );
    await noteChanged(
      db,
      caller,
      at,
      { ...place, subject: "note", what: attachment ? "note with a file added" : "note added" },
      transaction,
    );
  });
}

/** The words and the file are gone; that there was one stays in the trail. */
export async function removeNote(db: Db, caller: Caller, at: Date, { noteId, ...place }: OfPerson & { noteId: string }): Promise<void> {
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, place.crewId, transaction);
    if ((await db.models.PersonNote.destroy({ where: { ...place, id: noteId }, transaction })) === 0) throw notFound("note");
    await noteChanged(db, caller, at, { ...place, subject: "note", what: "note removed" }, transaction);
  });
}

export async function fileOfNote(
  db: Db,
  caller: Caller,
  at: Date,
  { noteId, ...place }: OfPerson & { noteId: string },
): Promise<{ name: string; type: string; content: Buffer }> {
  await crewOf(db, caller, place.crewId);
  const note = (await db.models.PersonNote.findOne({ where: { ...place, id: noteId } }))?.get();
  if (!note?.content) throw notFound("file");
  await noteSeen(db, caller, at, { ...place, subject: "note", what: "file of a note" });
  return { name: note.fileName!, type: note.fileType!, content: note.content };
}
