/** `npm run schemas`: writes docs/formats/schemas anew. No database is asked. */
import { mkdirSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { connect } from "../db/connection";
import { DataKeys } from "../db/data-keys";
import { fileSchemas } from "./file-schemas";

const folder = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../../../docs/formats/schemas");
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries(fileSchemas(connect("mariadb://nobody@127.0.0.1:9/none", DataKeys.none()))))
  writeFileSync(path.join(folder, `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`);
