/** The library of a practice: what ships with the product, what the practice made itself and what it says in its own words, as it is in the database now. */
import { libraryOf, SHIPPED_LIBRARY, type Library } from "@kind-grip/core/library";
import { QueryTypes, type Transaction } from "sequelize";
import type { Db } from "../db/connection";
import { correctionsOf } from "./corrections";

/** Libraries put together before, with the versions they were put together from; one a practice. */
const made = new Map<string, { versions: string; library: Library }>();

/**
 * Removed movements are in it too: programs and runs may still hold them. The documents are read only when a version has changed, so
 * asking is cheap; whichever process stored a change, the next to ask here sees it.
 */
export async function practiceLibrary(db: Db, practiceId: string, transaction?: Transaction): Promise<Library> {
  const { models, sequelize } = db;
  const rows = await sequelize.query<{ id: string; version: number }>(
    `SELECT id, version FROM custom_movements WHERE practiceId = :practiceId
     UNION ALL SELECT CONCAT(language, ' ', textKey), CRC32(text) FROM text_corrections WHERE practiceId = :practiceId ORDER BY 1`,
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );
  if (rows.length === 0) return SHIPPED_LIBRARY;
  const versions = rows.map(({ id, version }) => `${id}.${version}`).join(" ");
  const known = made.get(practiceId);
  if (known?.versions === versions) return known.library;
  const movements = await models.CustomMovement.findAll({ where: { practiceId }, order: [["id", "ASC"]], transaction });
  const library = libraryOf(
    movements.map((row) => row.get().document),
    await correctionsOf(db, practiceId, transaction),
  );
  made.set(practiceId, { versions, library });
  return library;
}
