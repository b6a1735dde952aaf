/**
 * Mixed writes on two servers while servers and database are killed, sockets hang half open, everything is sent twice now and then, and
 * fifty ask at once. What was confirmed is held against what is there in the end (ledger.ts).
 */
import { rmSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type { RunRecord } from "@kind-grip/core/run";
import { v7 as uuid } from "uuid";
import { hashPassword } from "../auth/password";
import { connect, type Db } from "../db/connection";
import { startPrivateServer, type PrivateServer } from "../db/private-server";
import { sampleCrew, samplePeople, sampleProgram, sampleRun, type SampleWorld } from "../test/samples";
import { holdAgainst, newLedger, type Ledger, type Verdict } from "./ledger";
import { Client, halfOpen, isReady, ROOT, startServer, TORTURE_KEYS, type Answer, type RunningServer } from "./servers";

export interface StormOptions {
  /** How often something is killed. */
  kills: number;
  /** Pause between two kills, milliseconds, from and to. */
  everyMs: readonly [number, number];
  /** How many write at the same time between bursts. */
  writers: number;
  crews: number;
  /** Bursts of fifty after the kills, when nothing is broken. */
  bursts: number;
  say?(line: string): void;
}

export interface StormResult extends Verdict {
  calls: number;
  kills: { servers: number; database: number };
  /** Answers of 500 and above that are no "try again in a moment". */
  failed: string[];
  /** "Try again in a moment", and calls without an answer: only while something is broken. */
  turnedAway: number;
  /** The longest time in which nothing was confirmed to anybody, milliseconds. */
  longestWaitMs: number;
  burst: { calls: number; failed: string[] };
}

const PASSWORD = "a long enough password";
const WEEK = "2026-03-02";
const BURST = 50;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const between = ([from, to]: readonly [number, number]) => from + Math.random() * (to - from);
const oneOf = <Thing>(list: readonly Thing[]): Thing => list[Math.floor(Math.random() * list.length)]!;

export async function storm({ kills, everyMs, writers, crews, bursts, say = () => undefined }: StormOptions): Promise<StormResult> {
  const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-storm-"));
  const database = await startPrivateServer({ dataDir: path.join(folder, "mariadb") });
  const servers: RunningServer[] = [];
  const db = connect(database.url, TORTURE_KEYS);
  try {
    // Both at once on an empty database: that is a part of it.
    servers.push(...(await Promise.all([1, 2].map(() => startServer(ROOT, database.url)))));
    say(`two servers on one database: ${servers.map(({ base }) => base).join(", ")}`);
    const happening = () => killSome(kills, everyMs, servers, database, say);
    const killedDatabase = Math.floor(kills / 3);
    const written = await writeThrough({ db, servers, writers, crews, bursts, say }, happening);
    return { ...written, kills: { servers: kills - killedDatabase, database: killedDatabase } };
  } finally {
    for (const server of servers) server.stop();
    await db.sequelize.close();
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

interface Writing extends Pick<StormOptions, "writers" | "crews" | "bursts" | "say"> {
  db: Db;
  servers: readonly RunningServer[];
}

/** Writes through something that happens, and in bursts after it; then looks at what is there. */
export async function writeThrough(
  { db, servers, writers, crews, bursts, say = () => undefined }: Writing,
  happening: () => Promise<void>,
): Promise<Omit<StormResult, "kills">> {
  const trainers = await signedInTrainers(db, servers, crews);
  const seen = new Sightings();
  const worlds = await Promise.all(trainers.map((client) => World.make(client, seen)));
  await writeWhile(worlds, writers, happening);
  const { longestWaitMs } = seen;
  say("it is over; bursts of 50 while nothing is broken");
  for (const { base } of servers) while (!(await isReady(base))) await pause(100);
  const burst = await inBursts(worlds, bursts);
  const verdict = await holdAgainst(db, seen.ledger);
  return { ...verdict, calls: seen.calls, failed: seen.failed, turnedAway: seen.turnedAway, longestWaitMs, burst };
}

/** What was answered, and what of it counts as confirmed. */
class Sightings {
  readonly ledger: Ledger = newLedger();
  calls = 0;
  turnedAway = 0;
  longestWaitMs = 0;
  readonly failed: string[] = [];
  private confirmedAtMs = Date.now();

  note(what: string, { status }: Answer): boolean {
    this.calls++;
    if (status === 0 || status === 503) this.turnedAway++;
    else if (status >= 500) this.failed.push(`${what}: ${status}`);
    const confirmed = status >= 200 && status < 300;
    if (confirmed) {
      this.longestWaitMs = Math.max(this.longestWaitMs, Date.now() - this.confirmedAtMs);
      this.confirmedAtMs = Date.now();
    }
    return confirmed;
  }
}

/** A crew that is written to from everywhere. */
class World {
  private constructor(
    private readonly client: Client,
    private readonly seen: Sightings,
    private readonly world: SampleWorld,
  ) {}

  static async make(client: Client, seen: Sightings): Promise<World> {
    const world = { crewId: uuid(), programId: uuid(), people: samplePeople(6), program: sampleProgram() };
    const answers = world.people.map(({ id }) => ({ id, sameAs: null }));
    const made = [
      await client.send("POST", "/api/crews", { id: world.crewId, crew: sampleCrew() }),
      await client.send("POST", `/api/crews/${world.crewId}/people`, { people: world.people, answers }),
      await client.send("POST", `/api/crews/${world.crewId}/programs`, { id: world.programId, program: world.program }),
    ];
    if (made.some(({ status }) => status >= 300)) throw new Error(`the crew could not be made: ${JSON.stringify(made)}`);
    seen.ledger.programs.set(world.programId, { version: 1, name: world.program.name });
    return new World(client, seen, world);
  }

  /** One write; now and then it is sent twice, as after an answer that got lost. */
  async write(): Promise<Answer> {
    const send = oneOf([this.run, this.run, this.week, this.program, this.person]).bind(this)();
    const answer = await send();
    return Math.random() < 0.25 ? send() : answer;
  }

  private run(): () => Promise<Answer> {
    const start = new Date(Date.parse("2026-03-03T07:00:00Z") + Math.floor(Math.random() * 20) * 86_400_000);
    const run: RunRecord = {
      ...sampleRun(this.world),
      startedAt: start.toISOString(),
      endedAt: new Date(start.getTime() + 300_000).toISOString(),
    };
    return async () => {
      const answer = await this.client.send("PUT", `/api/runs/${run.id}`, run);
      if (this.seen.note("run", answer)) this.seen.ledger.runs.set(run.id, run);
      return answer;
    };
  }

  /** Placements of a week, on the version that is there; another writer may have been faster. */
  private week(): () => Promise<Answer> {
    const { crewId, programId, program } = this.world;
    const placements = Array.from({ length: 1 + Math.floor(Math.random() * 8) }, (_, i) => ({
      id: uuid(),
      programId,
      sessionId: program.sessions[i % 2]!.id,
      startsAt: new Date(Date.parse("2026-03-02T08:00:00Z") + i * 5 * 3600_000).toISOString(),
      people: null,
      groupName: null,
    }));
    return async () => {
      const there = await this.client.send("GET", `/api/crews/${crewId}/plan/${WEEK}`);
      if (!this.seen.note("week read", there)) return there;
      const { version } = there.body as { version: number };
      const answer = await this.client.send("PUT", `/api/crews/${crewId}/plan/${WEEK}`, { version, placements });
      if (this.seen.note("week", answer)) {
        const stored = (answer.body as { version: number }).version;
        const known = this.seen.ledger.weeks.get(crewId);
        if (!known || known.version < stored)
          this.seen.ledger.weeks.set(crewId, { crewId, weekStart: WEEK, version: stored, placementIds: placements.map(({ id }) => id) });
      }
      return answer;
    };
  }

  private program(): () => Promise<Answer> {
    const { programId } = this.world;
    const name = `Program ${uuid().slice(-6)}`;
    return async () => {
      const there = await this.client.send("GET", `/api/programs/${programId}`);
      if (!this.seen.note("program read", there)) return there;
      const { version, program } = there.body as { version: number; program: object };
      const answer = await this.client.send("PUT", `/api/programs/${programId}`, { version, program: { ...program, name } });
      if (this.seen.note("program", answer)) {
        const stored = (answer.body as { version: number }).version;
        const known = this.seen.ledger.programs.get(programId);
        if (!known || known.version < stored) this.seen.ledger.programs.set(programId, { version: stored, name });
      }
      return answer;
    };
  }

  private person(): () => Promise<Answer> {
    const id = uuid();
    const [person] = samplePeople(1, { id, name: `Newcomer ${id.slice(-6)}`, badge: `N-${id.slice(-8)}` });
    return async () => {
      const answer = await this.client.send("POST", `/api/crews/${this.world.crewId}/people`, { people: [person] });
      if (this.seen.note("person", answer)) this.seen.ledger.people.add(id);
      return answer;
    };
  }
}

async function signedInTrainers(db: Db, servers: readonly RunningServer[], count: number): Promise<Client[]> {
  const passwordHash = await hashPassword(PASSWORD);
  const practiceId = uuid();
  await db.models.Practice.create({ id: practiceId, name: "Storm", demoNow: null });
  return Promise.all(
    Array.from({ length: count }, async (_, i) => {
      const email = `${uuid()}@storm.example`;
      await db.models.Account.create({ id: uuid(), practiceId, role: "trainer", email, name: `Trainer ${i}`, passwordHash });
      const client = new Client(servers.map(({ base }) => base));
      await client.signIn(email, PASSWORD);
      return client;
    }),
  );
}

/** Writers go on for as long as something happens. */
async function writeWhile(worlds: readonly World[], writers: number, happening: () => Promise<void>): Promise<void> {
  let over = false;
  const write = async () => {
    while (!over) if ([0, 503].includes((await oneOf(worlds).write()).status)) await pause(50);
  };
  const all = Promise.all(Array.from({ length: writers }, write));
  try {
    await happening();
  } finally {
    over = true;
    await all;
  }
}

async function killSome(
  kills: number,
  everyMs: readonly [number, number],
  servers: readonly RunningServer[],
  database: PrivateServer,
  say: (line: string) => void,
): Promise<void> {
  for (let i = 1; i <= kills; i++) {
    await pause(between(everyMs));
    const letGo = halfOpen(oneOf(servers).port, 10);
    if (i % 3 === 0) {
      say(`kill ${i} of ${kills}: the database`);
      process.kill(database.pid(), "SIGKILL");
      for (const { base } of servers) while (!(await isReady(base))) await pause(50);
    } else {
      const server = servers[i % servers.length]!;
      say(`kill ${i} of ${kills}: the server on port ${server.port}`);
      await server.killAndRestart();
    }
    letGo();
  }
}

/** Fifty at once, again and again: nobody is turned away when nothing is broken. */
async function inBursts(worlds: readonly World[], bursts: number): Promise<StormResult["burst"]> {
  const failed: string[] = [];
  for (let i = 0; i < bursts; i++) {
    const answers = await Promise.all(Array.from({ length: BURST }, () => oneOf(worlds).write()));
    for (const { status } of answers) if (status === 0 || status >= 500) failed.push(String(status));
  }
  return { calls: bursts * BURST, failed };
}
