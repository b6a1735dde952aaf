/**
 * What people answered about their health is encrypted, and what opens doors elsewhere: columns become text, what is in them is
 * encrypted row by row. Each step can be run again where a start was killed between.
 */
import { QueryTypes, type QueryInterface } from "sequelize";
import type { DataKeys } from "../data-keys";
import { inTurn } from "../in-turn";
import { KEYS_TABLE, proveKeys } from "../key-proofs";
import { rewriteEncrypted } from "../rewrite-encrypted";

const TEXT = "LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin";

/** How a column was written before: as JSON, as words, as a yes or no, as bytes in base64. */
type Before = "json" | "words" | "flag" | "base64";
interface Table {
  key: readonly string[];
  columns: Readonly<Record<string, Before>>;
}
const OWN_ID = ["id"];

const TABLES: Readonly<Record<string, Table>> = {
  baseline_records: { key: ["roundId", "personId"], columns: { document: "json", symptoms: "json", bodyMassKg: "json" } },
  run_people: { key: ["runId", "personId"], columns: { marks: "json", quick: "json" } },
  check_ins: { key: OWN_ID, columns: { regions: "json", tingling: "flag", stillThere: "flag" } },
  decisions: { key: OWN_ID, columns: { why: "words", response: "json", was: "json", resumedWhy: "words" } },
  restrictions: { key: OWN_ID, columns: { question: "words", words: "words", withdrawnWhy: "words" } },
  clearances: { key: OWN_ID, columns: { givenBy: "words", profession: "words", allows: "json", note: "words", withdrawnWhy: "words" } },
  symptom_reports: {
    key: OWN_ID,
    columns: { kind: "words", words: "words", side: "words", regions: "json", stillThere: "flag", freshInjury: "flag" },
  },
  symptom_alerts: { key: OWN_ID, columns: { kind: "words", side: "words", regions: "json", reply: "words" } },
  person_notes: { key: OWN_ID, columns: { text: "words", fileName: "words", content: "base64" } },
  frozen_blocks: { key: ["crewId", "blockStart"], columns: { behind: "json" } },
  frozen_changes: { key: ["crewId", "roundId"], columns: { behind: "json" } },
  first_aid_books: { key: ["crewId"], columns: { document: "json" } },
  contacts: { key: OWN_ID, columns: { address: "words" } },
  accounts: { key: OWN_ID, columns: { totpSecret: "words" } },
  booking_calendars: { key: OWN_ID, columns: { address: "words" } },
};

const SHAPE = [
  KEYS_TABLE,
  "ALTER TABLE baseline_records ADD COLUMN IF NOT EXISTS bodyMassKg LONGTEXT NULL",
  // What was made can be made again.
  "DELETE FROM jobs",
  `ALTER TABLE jobs MODIFY task ${TEXT} NULL, MODIFY file ${TEXT} NULL`,
  ...Object.entries(TABLES).flatMap(([table, { columns }]) => {
    const plain = Object.entries(columns).flatMap(([column, before]) => (before === "base64" ? [] : [`MODIFY \`${column}\` ${TEXT} NULL`]));
    return [`ALTER TABLE ${table} ${plain.join(", ")}`];
  }),
  // From the document as long as the database can read it; what is encrypted already is no JSON.
  `UPDATE baseline_records SET bodyMassKg = JSON_VALUE(document, '$.bodyMass.kg')
   WHERE JSON_VALID(document) AND JSON_VALUE(document, '$.bodyMass.agreed') = 1`,
  `UPDATE baseline_records SET symptoms = NULL
   WHERE JSON_VALID(document) AND COALESCE(JSON_VALUE(document, '$.symptomsAsked'), 0) <> 1 AND COALESCE(JSON_LENGTH(symptoms), 0) = 0`,
];

/** Bytes do not become text by themselves. */
const FILES = [
  "ALTER TABLE person_notes ADD COLUMN IF NOT EXISTS contentText LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL AFTER content",
  "UPDATE person_notes SET contentText = REPLACE(TO_BASE64(content), '\\n', '') WHERE content IS NOT NULL",
  "ALTER TABLE person_notes DROP COLUMN content",
  "ALTER TABLE person_notes CHANGE COLUMN contentText content LONGTEXT CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL",
];

async function filesAsText({ sequelize }: QueryInterface): Promise<void> {
  const columns = await sequelize.query<{ name: string; type: string }>(
    `SELECT COLUMN_NAME AS name, DATA_TYPE AS type FROM information_schema.COLUMNS
     WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'person_notes' AND COLUMN_NAME IN ('content', 'contentText')`,
    { type: QueryTypes.SELECT },
  );
  const content = columns.find(({ name }) => name === "content");
  if (content?.type === "longtext") return;
  // Killed after the third step there is only the new one.
  await inTurn(content ? FILES : FILES.slice(3))({ sequelize } as QueryInterface);
}

const asJson: Record<Before, (value: string) => Buffer> = {
  json: (value) => Buffer.from(value),
  words: (value) => Buffer.from(JSON.stringify(value)),
  flag: (value) => Buffer.from(value === "0" ? "false" : "true"),
  base64: (value) => Buffer.from(value, "base64"),
};

async function up(query: QueryInterface, keys: DataKeys): Promise<void> {
  await inTurn(SHAPE)(query);
  await filesAsText(query);
  await proveKeys(query.sequelize, keys);
  const isDone = (place: string, text: string) => {
    if (!/^[0-9a-f]{8}\./.test(text)) return false;
    try {
      keys.decrypt(place, text);
      return true;
    } catch {
      return false;
    }
  };
  for (const [table, { key, columns }] of Object.entries(TABLES))
    await rewriteEncrypted(query.sequelize, { table, key, columns: Object.keys(columns) }, (place, value, column) => {
      const text = String(value);
      return isDone(place, text) ? text : keys.encrypt(place, asJson[columns[column]!](text));
    });
}

const down = () => Promise.reject(new Error("what was encrypted is not written out again; bring back a backup from before"));

export const encryptedColumns = { up, down };
