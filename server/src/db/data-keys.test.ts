import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { DataKeys, newKey } from "./data-keys";

const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-keys-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const PLACE = "check_ins.tingling:0190d3a0-0000-7000-8000-000000000001";
const SAID = Buffer.from(JSON.stringify("Tingling in the left thumb, since Tuesday 🖐"));

it("what was encrypted opens at its place with its key, and is never the same twice", () => {
  const keys = DataKeys.read(newKey());
  const [one, other] = [keys.encrypt(PLACE, SAID), keys.encrypt(PLACE, SAID)];
  expect(one).not.toBe(other);
  expect(one).toMatch(/^[0-9a-f]{8}\.[A-Za-z0-9+/=]+$/);
  expect(keys.decrypt(PLACE, one).equals(SAID)).toBe(true);
  expect(keys.decrypt(PLACE, keys.encrypt(PLACE, Buffer.alloc(0)))).toHaveLength(0);
});

it("moved to another row or column, changed by a letter, cut short or under another key it does not open", () => {
  const keys = DataKeys.read(newKey());
  const text = keys.encrypt(PLACE, SAID);
  expect(() => keys.decrypt(PLACE.replace("0001", "0002"), text)).toThrow();
  expect(() => keys.decrypt(PLACE.replace("tingling", "regions"), text)).toThrow();
  for (const at of [9, 20, text.length - 12]) {
    const changed = text.slice(0, at) + (text[at] === "A" ? "B" : "A") + text.slice(at + 1);
    expect(() => keys.decrypt(PLACE, changed)).toThrow();
  }
  expect(() => keys.decrypt(PLACE, text.slice(0, 30))).toThrow();
  expect(() => DataKeys.read(newKey()).decrypt(PLACE, text)).toThrow(`the data key ${text.slice(0, 8)} is not here`);
  expect(() => DataKeys.none().encrypt(PLACE, SAID)).toThrow("is not here");
});

it("of several the newest encrypts, and the others still open what they encrypted", () => {
  const [first, second] = [newKey(), newKey()];
  const before = DataKeys.read(first).encrypt(PLACE, SAID);
  const both = DataKeys.read(`# two of them\n${first}\n\n${second}\n`);
  expect(both.decrypt(PLACE, before).equals(SAID)).toBe(true);
  expect(both.encrypt(PLACE, SAID).slice(0, 8)).toBe(both.ids[1]);
  expect(both.currentId).toBe(DataKeys.read(second).currentId);
  expect(DataKeys.read(both.toText()).ids).toEqual(both.ids);
});

it("a file is made once, for its owner alone; what is no key is said", () => {
  const file = path.join(folder, "data-keys");
  const made = DataKeys.inFile(file);
  expect(made.ids).toHaveLength(1);
  expect(statSync(file).mode & 0o777).toBe(0o600);
  const text = readFileSync(file, "utf8");
  expect(DataKeys.inFile(file).ids).toEqual(made.ids);
  expect(readFileSync(file, "utf8")).toBe(text);
  writeFileSync(file, "c2hvcnQ=");
  expect(() => DataKeys.inFile(file)).toThrow("a data key has 32 bytes in base64, this one has 5");
});
