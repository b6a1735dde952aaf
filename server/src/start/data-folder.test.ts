import { spawn } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openDataFolder } from "./data-folder";
import { commandLineOf, isAlive, processStartedAt } from "./processes";

let folder: string;
beforeEach(() => {
  folder = path.join(mkdtempSync(path.join(tmpdir(), "kind-grip-folder-")), "data");
});
afterEach(() => rmSync(path.dirname(folder), { recursive: true, force: true }));
const put = (name: string, text = "x") => {
  mkdirSync(folder, { recursive: true });
  writeFileSync(path.join(folder, name), text);
};

describe("throwing away what was kept", () => {
  it.each([
    ["a folder that is not there", []],
    ["an empty one", [""]],
    ["one with the mark", ["kind-grip-data", "cookie-secret"]],
    ["one of before the mark", ["cookie-secret"]],
  ])("takes %s", (_, files) => {
    if (files.length > 0) mkdirSync(folder);
    for (const file of files.filter(Boolean)) put(file);
    openDataFolder(folder, { reset: true }).release();
    expect(readdirSync(folder)).toEqual(["kind-grip-data"]);
  });
  it("leaves any other folder as it is, and says why", () => {
    put("holiday.jpg");
    expect(() => openDataFolder(folder, { reset: true })).toThrow(/was not made by Kind Grip/);
    expect(readdirSync(folder)).toEqual(["holiday.jpg"]);
  });
  it("a folder of somebody else's is used but not marked as ours: a later reset leaves it too", () => {
    put("holiday.jpg");
    openDataFolder(folder).release();
    expect(() => openDataFolder(folder, { reset: true })).toThrow(/was not made by Kind Grip/);
  });
});

describe("one server at a time", () => {
  const running = (text: string) => put("running", text);
  it("a second start says who runs there", async () => {
    const other = spawn("sleep", ["60"]);
    try {
      await new Promise((resolve) => other.once("spawn", resolve));
      put("kind-grip-data");
      running(`${other.pid} ${processStartedAt(other.pid!)}`);
      expect(() => openDataFolder(folder)).toThrow(`runs on this data already (process ${other.pid})`);
      expect(() => openDataFolder(folder, { reset: true })).toThrow(/runs on this data already/);
      expect(existsSync(path.join(folder, "kind-grip-data"))).toBe(true);
    } finally {
      other.kill("SIGKILL");
    }
  });
  it("one that was killed does not stand in the way", async () => {
    const other = spawn("sleep", ["60"]);
    await new Promise((resolve) => other.once("spawn", resolve));
    running(`${other.pid} ${processStartedAt(other.pid!)}`);
    other.kill("SIGKILL");
    await new Promise((resolve) => other.once("exit", resolve));
    openDataFolder(folder).release();
    expect(existsSync(path.join(folder, "running"))).toBe(false);
  });
  it("nor another program that has its number by now", () => {
    running(`${process.ppid} 1`);
    const opened = openDataFolder(folder);
    expect(readFileSync(path.join(folder, "running"), "utf8")).toMatch(new RegExp(`^${process.pid} `));
    opened.release();
  });
  it("what is left of a half-written note is no server", () => {
    running("");
    openDataFolder(folder).release();
  });
  it("giving it back takes only one's own note", () => {
    const opened = openDataFolder(folder);
    running("1 2");
    opened.release();
    expect(readFileSync(path.join(folder, "running"), "utf8")).toBe("1 2");
  });
});

describe("processes", () => {
  it("tells what runs from what does not, and two with one number apart", () => {
    expect([isAlive(process.pid), isAlive(2 ** 22 + 1)]).toEqual([true, false]);
    expect(processStartedAt(process.pid)).toMatch(/^\d+$/);
    expect(processStartedAt(process.pid)).not.toBe(processStartedAt(1));
    expect(processStartedAt(2 ** 22 + 1)).toBeUndefined();
    expect(commandLineOf(process.pid)).toContain("node");
    expect(commandLineOf(2 ** 22 + 1)).toBe("");
  });
});
