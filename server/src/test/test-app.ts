/** What every API test stands on: the application on the test database, and trainers of a practice of their own. */
import type { NewStaffInvitation } from "@kind-grip/core/api";
import { hash } from "@node-rs/argon2";
import request, { type Agent, type Response } from "supertest";
import { v7 as uuid } from "uuid";
import { createApp, type OutsideServices } from "../app";
import { connect, type Db } from "../db/connection";
import { migrate } from "../db/migrate";
import { refuseSecondConnections } from "../db/transaction";
import { TEST_KEYS } from "./data-keys";

export const PASSWORD = "a long enough password";
/** Made once, and quick to look at: what a hash costs is written in it. */
let passwordHash: Promise<string> | undefined;

export interface TestApp {
  app: ReturnType<typeof createApp>;
  db: Db;
  close(): Promise<void>;
}

/** @param log collects what the application logs; silent when left out @param inside machines calendars may be read from */
export async function openTestApp(
  url = process.env.TEST_DATABASE_URL!,
  log?: string[],
  inside?: ReadonlySet<string>,
  outsides?: OutsideServices,
): Promise<TestApp> {
  const db = connect(url, TEST_KEYS);
  refuseSecondConnections(db.sequelize);
  await migrate(db);
  const app = createApp({
    db,
    secret: "test",
    ...(outsides ? { outsides } : {}),
    proxies: 1,
    checkAnswers: true,
    ...(inside ? { insideCalendars: inside } : {}),
    ...(log ? { logLevel: "trace", logTo: { write: (line: string) => void log.push(line) } } : { logLevel: "silent" }),
  });
  return {
    app,
    db,
    async close() {
      await app.stop();
      await db.sequelize.close();
    },
  };
}

/** Somebody signed in whose calls carry session and token, as the interface's do. */
export class TestCaller {
  protected constructor(
    readonly agent: Agent,
    readonly token: string,
  ) {}

  get(address: string) {
    return this.agent.get(address);
  }

  send(method: "post" | "put" | "delete", address: string, body?: object): Promise<Response> {
    const call = this.agent[method](address).set("x-csrf-token", this.token);
    return body === undefined ? call.then() : call.send(body).then();
  }

  /** A browser that nobody is signed in with. */
  static async stranger({ app }: TestApp): Promise<TestCaller> {
    const agent = request.agent(app);
    return new TestCaller(agent, (await agent.get("/api/me")).body.csrfToken as string);
  }

  /** A new browser that signs in. @param address where; @param body with what */
  static async signedIn({ app }: TestApp, address: string, body: object): Promise<TestCaller> {
    const agent = request.agent(app);
    const before = (await agent.get("/api/me")).body.csrfToken as string;
    await agent.post(address).set("x-csrf-token", before).send(body).expect(200);
    return new TestCaller(agent, (await agent.get("/api/me")).body.csrfToken as string);
  }
}

export class TestTrainer extends TestCaller {
  private constructor(
    agent: Agent,
    token: string,
    readonly email: string,
  ) {
    super(agent, token);
  }

  static async make(test: TestApp, practiceId = uuid()): Promise<TestTrainer> {
    const { db } = test;
    const email = `${uuid()}@test.example`;
    await db.models.Practice.findOrCreate({
      where: { id: practiceId },
      defaults: { id: practiceId, name: "Test practice", demoNow: null },
    });
    await db.models.Account.create({
      id: uuid(),
      practiceId,
      role: "trainer",
      email,
      name: "Test",
      passwordHash: await (passwordHash ??= hash(PASSWORD, { memoryCost: 1024, timeCost: 1 })),
    });
    const { agent, token } = await TestCaller.signedIn(test, "/api/sign-in", { email, password: PASSWORD });
    return new TestTrainer(agent, token, email);
  }

  /** A crew lead or employer contact with some of this trainer's crews. */
  async staff(test: TestApp, role: "lead" | "employer", crewIds: readonly string[]): Promise<TestCaller> {
    return this.invited(test, { id: uuid(), name: role, email: `${uuid()}@test.example`, role, crewIds });
  }

  /** Somebody who accepted this trainer's invitation. */
  async invited(test: TestApp, invitation: Omit<NewStaffInvitation, "crewIds"> & { crewIds: readonly string[] }): Promise<TestCaller> {
    const { body } = await this.send("post", "/api/practice/invitations", invitation);
    const accepted = { kind: "invitation", token: body.token, name: invitation.name, password: PASSWORD };
    return TestCaller.signedIn(test, "/api/link/use", accepted);
  }

  /** A crew member's phone, opened with a new card. */
  async member(test: TestApp, crewId: string, personId: string): Promise<TestCaller> {
    const { body } = await this.send("post", `/api/crews/${crewId}/access`, { personIds: [personId] });
    return TestCaller.signedIn(test, "/api/member/card", { token: body.cards[0].token });
  }
}

export const fieldsOf = (response: Response): Record<string, string> =>
  Object.fromEntries((response.body.fields as { path: string; message: string }[]).map(({ path, message }) => [path, message]));
