/**
 * The list of everything the screens say, read from the code: `npm run words` writes web/src/words/en.json, which is what another
 * language has to give its own text for. `--check` says what is wrong instead: a list that is not that of the code, a text that is put
 * together outside of `t`, a value that is missing or left over.
 */
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

const SOURCE = "web/src";
const LIST = "web/src/words/en.json";

const problems = [];
/** Text for many → text for one, or null where one text does for any number. */
const found = new Map();

for (const name of readdirSync(SOURCE, { recursive: true }).sort()) {
  if (!/\.tsx?$/.test(name) || /\.test\.|^testing/.test(name)) continue;
  const file = path.join(SOURCE, name);
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const at = (node) => `${file}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
  const visit = (node) => {
    if (ts.isCallExpression(node) && node.expression.getText() === "t") collect(node, at(node));
    if (ts.isJsxText(node) && /\p{L}{2}/u.test(node.text)) problems.push(`${at(node)} is not in t(): ${node.text.trim()}`);
    ts.forEachChild(node, visit);
  };
  visit(source);
}

function collect(call, where) {
  const [text, values] = call.arguments;
  if (!text || !ts.isStringLiteralLike(text)) {
    if (!where.includes("base/words.ts")) problems.push(`${where}: the text of t() has to stand there as it is`);
    return;
  }
  const given = new Map();
  if (values && ts.isObjectLiteralExpression(values))
    for (const property of values.properties) given.set(property.name.getText(), property.initializer);
  const one = given.get("defaultValue_one")?.text ?? null;
  given.delete("defaultValue_one");
  const wanted = new Set([text.text, one ?? ""].flatMap((each) => [...each.matchAll(/\{\{(\w+)\}\}/g)].map(([, key]) => key)));
  for (const key of wanted) if (!given.has(key)) problems.push(`${where}: no value for {{${key}}}`);
  for (const key of given.keys()) if (!wanted.has(key) && !(key === "count" && one)) problems.push(`${where}: ${key} is not in the text`);
  if (found.has(text.text) && (found.get(text.text) ?? one) !== (one ?? found.get(text.text)))
    problems.push(`${where}: another text for one than elsewhere`);
  found.set(text.text, one ?? found.get(text.text) ?? null);
}

const list = Object.fromEntries(
  [...found.keys()]
    .sort((a, b) => a.localeCompare(b, "en"))
    .flatMap((text) =>
      found.get(text) === null
        ? [[text, text]]
        : [
            [`${text}_one`, found.get(text)],
            [`${text}_other`, text],
          ],
    ),
);
const written = `${JSON.stringify(list, null, 2)}\n`;
if (process.argv.includes("--check")) {
  if (readFileSync(LIST, "utf8") !== written) problems.push(`${LIST} is not the list of the code: npm run words`);
} else {
  writeFileSync(LIST, written);
  process.stdout.write(`${found.size} texts in ${LIST}\n`);
}
if (problems.length > 0) {
  process.stderr.write(`${problems.join("\n")}\n`);
  process.exitCode = 1;
}
