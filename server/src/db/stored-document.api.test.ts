import { documentFormat, UnreadableDocument } from "@kind-grip/core/document";
import { DataTypes, QueryTypes, type Model, type ModelAttributes, type ModelStatic } from "sequelize";
import * as v from "valibot";
import { openTestApp, type TestApp } from "../test/test-app";
import { storedDocument } from "./stored-document";

/** First a bare text, then lines. */
const NOTE = documentFormat({
  name: "note",
  format: 2,
  steps: [(text) => ({ lines: String(text).split("/") })],
  schema: v.strictObject({ lines: v.array(v.string()), starred: v.optional(v.boolean(), false) }),
});
interface NoteRow {
  id: number;
  document: v.InferOutput<typeof NOTE.schema>;
  format?: number;
}

let test: TestApp;
const notes = () =>
  test.db.sequelize.define("test_notes", {
    id: { type: DataTypes.INTEGER, primaryKey: true },
    ...storedDocument(NOTE, "document"),
  } as ModelAttributes) as ModelStatic<Model<NoteRow, NoteRow>>;
const formatOf = async (id: number) =>
  test.db.sequelize.query<{ format: number }>(`SELECT format FROM test_notes WHERE id = ${id}`, { type: QueryTypes.SELECT });
beforeAll(async () => {
  test = await openTestApp();
  await test.db.sequelize.query("CREATE TABLE test_notes (id INT NOT NULL PRIMARY KEY, document JSON, format SMALLINT NOT NULL DEFAULT 1)");
  await test.db.sequelize.query(`INSERT INTO test_notes VALUES (1, '"bread/flour"', 1), (2, '{"lines":["salt"]}', 2), (3, '{}', 3)`);
});
afterAll(async () => {
  await test.db.sequelize.query("DROP TABLE test_notes");
  await test.close();
});

it("reads what an older product stored as today's, with what was left out", async () => {
  const row = (await notes().findByPk(1, { rejectOnEmpty: true })).get();
  expect(row.document).toEqual({ lines: ["bread", "flour"], starred: false });
});

it("once changed it is stored in today's format", async () => {
  await (await notes().findByPk(1, { rejectOnEmpty: true })).update({ document: { lines: ["bread"], starred: true } });
  expect(await formatOf(1)).toEqual([{ format: 2 }]);
  await notes().update({ document: { lines: ["rye"], starred: false } }, { where: { id: 1 } });
  expect((await notes().findByPk(1, { rejectOnEmpty: true })).get().document.lines).toEqual(["rye"]);
});

it("one that is new is of today's format", async () => {
  await notes().create({ id: 4, document: { lines: [], starred: false } });
  expect(await formatOf(4)).toEqual([{ format: 2 }]);
});

it("what a newer product stored is not guessed at", async () => {
  const row = await notes().findByPk(3, { rejectOnEmpty: true });
  expect(() => row.get().document).toThrow(UnreadableDocument);
});

it("cannot be asked for without its format", async () => {
  const row = await notes().findByPk(2, { attributes: ["id", "document"], rejectOnEmpty: true });
  expect(() => row.get().document).toThrow("without its format");
});
