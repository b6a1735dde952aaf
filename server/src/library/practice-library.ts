/** The library of a practice: what ships with the product and what the practice made itself, as it is in the database now. */
import { libraryOf, SHIPPED_LIBRARY, type Library } from "@kind-grip/core/library";
import { QueryTypes, type Transaction } from "sequelize";
import type { Db } from "../db/connection";

/** Libraries put together before, with the versions they were put together from; one a practice. */
const made = new Map<string, { versions: string; library: Library }>();

/**
 * Removed movements are in it too: programs and runs may still hold them. The documents are read only when a version has changed, so
 * asking is cheap; whichever process stored a change, the next to ask here sees it.
 */
export async function practiceLibrary({ models, sequelize }: Db, practiceId: string, transaction?: Transaction): Promise<Library> {
  const rows = await sequelize.query<{ id: string; version: number }>(
    "SELECT id, version FROM custom_movements WHERE practiceId = :practiceId ORDER BY id",
    { replacements: { practiceId }, type: QueryTypes.SELECT, transaction },
  );
  if (rows.length === 0) return SHIPPED_LIBRARY;
  const versions = rows.map(({ id, version }) => `${id}.${version}`).join(" ");
  const known = made.get(practiceId);
  if (known?.versions === versions) return known.library;
  const found = await models.CustomMovement.findAll({ where: { practiceId }, order: [["id", "ASC"]], transaction });
  const plain = found.map((row) => row.get({ plain: true }));
  const library = libraryOf(plain.map(({ document }) => document));
  made.set(practiceId, { versions: plain.map(({ id, version }) => `${id}.${version}`).join(" "), library });
  return library;
}
