/**
 * What personal sheets for sixty people cost, in processor seconds of the whole process: `npm run bench:sheets`. First in a thread that
 * begins, as after a start of the server, then in the same thread with a program of all other movements. `PEOPLE=20` makes it twenty.
 */
import { performance } from "node:perf_hooks";
import { setTimeout as sleep } from "node:timers/promises";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { METRIC } from "@kind-grip/core/units";
import type { Caller } from "../src/auth/caller";
import { v7 as uuid } from "uuid";
import type { Db } from "../src/db/connection";
import { ask } from "../src/job/jobs";
import { JobWorker } from "../src/job/worker";
import { onThrowawayDatabase } from "./throwaway";

const PEOPLE = Number(process.env.PEOPLE ?? 60);
const SESSIONS = 5;
const ITEMS = 7;

await onThrowawayDatabase(measure);

async function measure(db: Db): Promise<void> {
  const practice = await db.models.Practice.create({ id: uuid(), name: "Bench" });
  const caller = { practiceId: practice.get("id") } as Caller;
  const worker = new JobWorker(db);
  process.stdout.write(`sheets for ${PEOPLE} people, ${SESSIONS} sessions of ${ITEMS} items\n`);
  process.stdout.write("                                             CPU s   wall s   file kB\n");
  for (const [name, from] of [
    ["in a thread that begins", 0],
    ["in one that has worked, all other figures", SESSIONS * ITEMS],
  ] as const) {
    const cpu = process.cpuUsage();
    const start = performance.now();
    const job = await ask(db, caller, { crewId: null, subjectId: uuid(), fileName: "sheets.pdf", task: taskOf(from) });
    worker.wake();
    const file = await made(db, job.id);
    const { user, system } = process.cpuUsage(cpu);
    const figures = [(user + system) / 1e6, (performance.now() - start) / 1000].map((seconds) => seconds.toFixed(1).padStart(8));
    process.stdout.write(`${name.padEnd(42)}${figures.join(" ")} ${String(Math.round(file / 1000)).padStart(9)}\n`);
  }
  await worker.stop();
}

/** @returns bytes of the file once it is made */
async function made(db: Db, id: string): Promise<number> {
  for (;;) {
    const row = (await db.models.Job.findByPk(id))!.get();
    if (row.state === "failed") throw new Error(row.problem ?? "failed");
    if (row.state === "made") return row.file!.length;
    await sleep(250);
  }
}

/** @param from the movement of the library the first session begins with: others are on paper then */
function taskOf(from: number) {
  const ids = SHIPPED_LIBRARY.movements.map(({ id }) => id);
  const program: Program = {
    name: `Bench ${from}`,
    style: DEFAULT_STYLE,
    weeks: 4,
    sessions: Array.from({ length: SESSIONS }, (_, session) => ({
      id: uuid(),
      name: `Session ${session + 1}`,
      slot: "preShift" as const,
      items: Array.from({ length: ITEMS }, (_, i) =>
        newItem(SHIPPED_LIBRARY.get(ids[(from + session * ITEMS + i) % ids.length]!), DEFAULT_STYLE, uuid()),
      ),
    })),
  };
  const people = Array.from({ length: PEOPLE }, (_, i) => ({ id: uuid(), name: `Person ${i + 1}`, language: "en" as const }));
  return {
    kind: "personalSheets" as const,
    customMovements: [],
    corrections: {},
    measures: METRIC,
    crewName: "Bench crew",
    program,
    people,
  };
}
