/** The demo practice beside one's own: asked for, loaded once, opened, and told where it may not be or could not be made. */
import { v7 as uuid } from "uuid";
import { createApp } from "../app";
import { onEmptyDatabase } from "../test/empty-database";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { DEMO_SIGN_INS } from "./load";

let test: TestApp;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

it("is not offered where others can reach the server", async () => {
  const trainer = await TestTrainer.make(test);
  expect((await trainer.get("/api/demo")).body).toEqual({ state: "off" });
  expect((await trainer.send("post", "/api/demo")).body).toEqual({ state: "off" });
  expect((await trainer.send("post", "/api/demo/open")).body.code).toBe("noDemo");
});

it("that could not be made says so; asked for again it is loaded once, and opened as a practice of its own", async () => {
  await onEmptyDatabase(async (empty) => {
    let load: () => Promise<void> = () => Promise.reject(new Error("no room"));
    let loads = 0;
    const loadDemo = () => {
      loads++;
      return load();
    };
    const app = createApp({ db: empty.db, secret: "test", logLevel: "silent", checkAnswers: true, loadDemo });
    const trainer = await TestTrainer.make({ ...empty, app });
    const state = async () => (await trainer.get("/api/demo")).body.state as string;
    const until = async (wanted: string) => {
      for (let i = 0; i < 100 && (await state()) !== wanted; i++) await new Promise((done) => setTimeout(done, 20));
      expect(await state()).toBe(wanted);
    };
    const ask = async () => (await trainer.send("post", "/api/demo")).body.state as string;
    expect(await state()).toBe("none");
    await ask();
    await until("failed");
    // Nothing was made either, though nothing went wrong.
    load = () => Promise.resolve();
    await ask();
    await until("failed");

    loads = 0;
    let finish: () => void = () => undefined;
    load = async () => {
      await new Promise<void>((resolve) => (finish = resolve));
      const practiceId = uuid();
      await empty.db.models.Practice.create({ id: practiceId, name: "Demo", demoNow: new Date("2026-03-26T06:40:00Z") });
      const { name, email } = DEMO_SIGN_INS[0];
      await empty.db.models.Account.create({ id: uuid(), practiceId, role: "trainer", name, email, passwordHash: "none" });
    };
    expect([await ask(), await ask()]).toEqual(["loading", "loading"]);
    expect((await trainer.send("post", "/api/demo/open")).body.code).toBe("noDemo");
    finish();
    await until("ready");
    expect(loads).toBe(1);
    expect((await trainer.send("post", "/api/demo/open")).body.account).toMatchObject({ practice: "Demo", demo: true, role: "trainer" });
    expect((await trainer.get("/api/me")).body.account.practice).toBe("Demo");
    await app.stop();
  });
});
