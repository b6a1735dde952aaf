/** What every API test stands on: the application on the test database, and trainers of a practice of their own. */
import request, { type Agent, type Response } from "supertest";
import { v7 as uuid } from "uuid";
import { createApp } from "../app";
import { hashPassword } from "../auth/password";
import { connect, type Db } from "../db/connection";
import { migrate } from "../db/migrate";

export const PASSWORD = "a long enough password";

export interface TestApp {
  app: ReturnType<typeof createApp>;
  db: Db;
  close(): Promise<void>;
}

/** @param log collects what the application logs; silent when left out */
export async function openTestApp(url = process.env.TEST_DATABASE_URL!, log?: string[]): Promise<TestApp> {
  const db = connect(url);
  await migrate(db);
  const app = createApp({
    db,
    secret: "test",
    proxies: 1,
    ...(log ? { logLevel: "trace", logTo: { write: (line: string) => void log.push(line) } } : { logLevel: "silent" }),
  });
  return {
    app,
    db,
    async close() {
      app.stop();
      await db.sequelize.close();
    },
  };
}

/** A signed-in trainer whose calls carry session and token, as the interface's do. */
export class TestTrainer {
  private constructor(
    readonly agent: Agent,
    readonly email: string,
    private token: string,
  ) {}

  static async make({ app, db }: TestApp, practiceId = uuid()): Promise<TestTrainer> {
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
      passwordHash: await hashPassword(PASSWORD),
    });
    const agent = request.agent(app);
    const before = (await agent.get("/api/me")).body.csrfToken as string;
    const signedIn = await agent.post("/api/sign-in").set("x-csrf-token", before).send({ email, password: PASSWORD }).expect(200);
    return new TestTrainer(agent, email, signedIn.body.csrfToken as string);
  }

  get(address: string) {
    return this.agent.get(address);
  }

  send(method: "post" | "put" | "delete", address: string, body?: object): Promise<Response> {
    const call = this.agent[method](address).set("x-csrf-token", this.token);
    return body === undefined ? call.then() : call.send(body).then();
  }
}

export const fieldsOf = (response: Response): Record<string, string> =>
  Object.fromEntries((response.body.fields as { path: string; message: string }[]).map(({ path, message }) => [path, message]));
