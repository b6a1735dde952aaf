/** A disk that runs full under a server and has room again: nothing new is taken meanwhile, it is said, and nothing confirmed is lost. */
import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { open, statfs } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { v7 as uuid } from "uuid";
import { DEMO_PASSWORD, DEMO_SIGN_INS } from "../demo/load";
import { samplePeople } from "../test/samples";
import { Client, isReady, ROOT, startServer } from "./servers";

const DISK_MB = 900;
/** Under what a server keeps free, over what a database needs to go on reading. */
const LEFT_MB = 24;
const CHUNK = Buffer.alloc(1024 * 1024);
/** A server looks at its disk every two seconds. */
const NOTICED_MS = 3000;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** @returns what was not as it must be; null where a small disk cannot be made (it takes the right to mount one) */
export async function fillDisk(): Promise<string[] | null> {
  const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-small-disk-"));
  if (spawnSync("mount", ["-t", "tmpfs", "-o", `size=${DISK_MB}m`, "tmpfs", folder]).status !== 0) {
    rmSync(folder, { recursive: true });
    return null;
  }
  const wrong: string[] = [];
  const must = (what: string, is: unknown, wanted: unknown) => {
    if (is !== wanted) wrong.push(`${what}: ${String(is)} instead of ${String(wanted)}`);
  };
  const data = path.join(folder, "data");
  const server = await startServer(ROOT, null, { data });
  try {
    const client = new Client([server.base]);
    await client.signIn(DEMO_SIGN_INS[0]!.email, DEMO_PASSWORD);
    const [crew] = (await client.send("GET", "/api/crews")).body as { id: string }[];
    const people = `/api/crews/${crew!.id}/people`;
    const add = async (name: string) => {
      const id = uuid();
      const answer = await client.send("POST", people, { people: samplePeople(1, { id, name, badge: null }) });
      return { id, status: answer.status, code: (answer.body as { code?: string } | undefined)?.code };
    };
    const before = await add("Before it was full");
    must("a change before", before.status, 200);
    const filler = path.join(folder, "filler");
    await fill(folder, filler);
    await pause(NOTICED_MS);
    must("ready while it is full", await isReady(server.base), false);
    const meanwhile = await add("While it was full");
    must("a change while it is full", `${meanwhile.status} ${meanwhile.code}`, "503 diskFull");
    must("reading while it is full", (await client.send("GET", people)).status, 200);
    rmSync(filler);
    await pause(NOTICED_MS);
    must("ready with room again", await isReady(server.base), true);
    const after = await add("With room again");
    must("a change with room again", after.status, 200);
    const there = new Set(((await client.send("GET", people)).body as { id: string }[]).map(({ id }) => id));
    must("confirmed before, there", there.has(before.id), true);
    must("turned away, there", there.has(meanwhile.id), false);
    must("confirmed after, there", there.has(after.id), true);
  } finally {
    await server.end();
    execFileSync("umount", [folder]);
    rmSync(folder, { recursive: true, force: true });
  }
  return wrong;
}

async function fill(folder: string, file: string): Promise<void> {
  const handle = await open(file, "w");
  try {
    for (;;) {
      const { bavail, bsize } = await statfs(folder);
      if (Number(bavail) * Number(bsize) < LEFT_MB * CHUNK.length) return;
      await handle.write(CHUNK);
    }
  } finally {
    await handle.close();
  }
}
