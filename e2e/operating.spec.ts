/**
 * docs/operating.md, word for word: every line of its way from a bare Debian to TLS and to several servers, on a machine in a folder. What
 * stands then is used: two trainers, a lead and an employer contact, reminders in two languages by e-mail and to a phone's worker through the
 * proxy, a server that dies unnoticed. `npm run rehearse` does it from a clone of its own with its packages installed.
 */
import { readFileSync } from "node:fs";
import path from "node:path";
import { expect, test, type Browser, type BrowserContext, type Page } from "@playwright/test";
import { patternPreset } from "@kind-grip/core/calendar";
import { METRIC } from "@kind-grip/core/units";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { BareMachine, freePorts, linesOf, SITE, startStandIn } from "./bare-machine";
import { BROWSER } from "./browser";
import { agreeToPush, deliver, messagesOf, pushPage } from "./phone-push";

const IS_WHOLE = process.env.REHEARSE === "whole";
const PASSWORD = "copper kettle walking slowly";
const page = readFileSync(path.resolve(import.meta.dirname, "../docs/operating.md"), "utf8");
const lines = linesOf(page, "A server of one's own, from a bare Debian to TLS");

let machine: BareMachine;
let standIns: (() => void)[] = [];
let mailPort: number, inboxPort: number, pushPort: number;

// The shell that is quicker has no notifications; the site has a name only in here, and nobody vouches for it.
test.use({
  launchOptions: async ({}, use) => {
    machine = await BareMachine.make(IS_WHOLE);
    const args = [`--host-resolver-rules=MAP ${SITE}:443 127.0.0.1:${machine.ports["443"]}`, "--ignore-certificate-errors"];
    await use({ ...BROWSER, executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium", args: [...BROWSER.args!, ...args] });
  },
  baseURL: `https://${SITE}`,
  ignoreHTTPSErrors: true,
});
test.afterAll(async () => {
  for (const stop of standIns) stop();
  await machine?.end();
});

/** Somebody at a page of the site. */
class Caller {
  private constructor(readonly page: Page) {}

  static async at(context: BrowserContext): Promise<Caller> {
    const tab = await context.newPage();
    await tab.goto("/sign-in");
    return new Caller(tab);
  }

  async send<Body>(method: string, address: string, body?: object): Promise<{ status: number; body: Body }> {
    return this.page.evaluate(
      async ([verb, to, sent]) => {
        const { csrfToken } = (await (await fetch("/api/me")).json()) as { csrfToken: string };
        const headers = { "content-type": "application/json", "x-csrf-token": csrfToken };
        const answer = await fetch(to!, { method: verb!, headers, ...(verb === "GET" ? {} : { body: sent! }) });
        const text = await answer.text();
        return { status: answer.status, body: text === "" ? null : JSON.parse(text) };
      },
      [method, address, JSON.stringify(body ?? {})] as const,
    );
  }

  async done<Body>(method: string, address: string, body?: object): Promise<Body> {
    const answer = await this.send<Body>(method, address, body);
    if (answer.status >= 300) throw new Error(`${method} ${address}: ${answer.status} ${JSON.stringify(answer.body)}`);
    return answer.body;
  }
}

const mails = async () =>
  ((await (await fetch(`http://127.0.0.1:${inboxPort}/mails`)).json()) as { mails: { to: string; subject: string; text: string }[] }).mails;
const tokenIn = (text: string) => /https:\/\/hands\.example\/link#([\w-]+)/.exec(text)![1]!;

/** Opens the address of an invitation that came by e-mail, and accepts. */
async function accepted(browser: Browser, email: string, name: string): Promise<Caller> {
  await expect.poll(async () => (await mails()).some(({ to }) => to === email)).toBe(true);
  const { text } = (await mails()).find(({ to }) => to === email)!;
  const caller = await Caller.at(await browser.newContext());
  await caller.done("POST", "/api/link/use", { kind: "invitation", token: tokenIn(text), name, password: PASSWORD });
  return caller;
}

test("from a bare machine to a practice at work, by the page alone", async ({ browser }) => {
  test.setTimeout(IS_WHOLE ? 900_000 : 300_000);
  [mailPort, inboxPort, pushPort] = (await freePorts(3)) as [number, number, number];
  standIns = [startStandIn("mail", "--port", `${mailPort}`, "--inbox", `${inboxPort}`), startStandIn("push", "--port", `${pushPort}`)];
  const severalFrom = lines.findIndex((line) => line.startsWith("systemctl disable --now kind-grip"));

  await test.step("one server behind nginx, its first day waiting", async () => {
    for (const line of lines.slice(0, severalFrom)) await test.step(line, () => machine.line(line));
    expect(machine.journal("kind-grip")).toContain(`https://${SITE}/link#`);
    const visitor = await Caller.at(await browser.newContext());
    expect((await visitor.send("GET", "/readyz")).body).toMatchObject({ ready: true });
  });

  let first = "";
  await test.step("several servers and a worker, on Debian's database, all of it well", async () => {
    machine.set(`MAIL_URL=smtp://127.0.0.1:${mailPort}`);
    machine.set(`INSIDE_PUSH=127.0.0.1:${pushPort}`);
    let said = "";
    for (const line of lines.slice(severalFrom)) said += await test.step(line, () => machine.line(line));
    first = tokenIn(said);
    expect(said.match(/^well {6}\w+/gm)).toHaveLength(7);
    expect(said).not.toContain("NOT WELL");
  });

  const maren = await Caller.at(await browser.newContext());
  const crewId = uuid();
  const [ada, olmo] = [uuid(), uuid()];
  await test.step("the first day; a second trainer, a lead and an employer contact accept what came by e-mail", async () => {
    const about = { practice: "Quarry Hands", name: "Maren Holt", email: "maren@quarry.example", place: "Yard", timeZone: "Europe/Dublin" };
    await maren.done("POST", "/api/link/use", {
      kind: "first",
      token: first,
      ...about,
      password: PASSWORD,
      language: "en",
      measures: METRIC,
    });
    const crew = {
      name: "Slate crew",
      trade: "Slate",
      place: "Yard",
      timeZone: "Europe/Dublin",
      settings: ["any"],
      conditions: [],
      kit: [],
    };
    const rest = { slots: { preShift: 480, break: 180, postShift: 600 }, mostOffJob: 5, language: null };
    const shiftPattern = patternPreset("weekdays", "2026-03-02");
    await maren.done("POST", "/api/crews", { id: crewId, crew: { ...crew, ...rest, shiftPattern } });
    const cookies = await maren.page.context().cookies();
    expect(cookies.map(({ name, secure }) => [name, secure])).toEqual(expect.arrayContaining([["kind-grip", true]]));
    expect(cookies.every(({ secure }) => secure)).toBe(true);
    for (const [role, name] of [
      ["trainer", "Teo Vance"],
      ["lead", "Greta Rook"],
      ["employer", "Ivo Sand"],
    ] as const) {
      const email = `${role}@quarry.example`;
      await maren.done("POST", "/api/practice/invitations", { id: uuid(), name, email, role, crewIds: role === "trainer" ? [] : [crewId] });
      const { body } = await (await accepted(browser, email, name)).send<{ account: { role: string } }>("GET", "/api/me");
      expect(body.account.role).toBe(role);
    }
  });

  await test.step("reminders in two languages by e-mail, and to a phone's worker", async () => {
    const person = { badge: null, handedness: "right", startedOn: "2024-01-01", leftOn: null };
    const people = [
      { ...person, id: ada, name: "Ada Quill", language: "en" },
      { ...person, id: olmo, name: "Olmo Reed", language: "es" },
    ];
    await maren.done("POST", `/api/crews/${crewId}/people`, { people, answers: [], changes: [] });
    for (const { id, name } of people)
      await maren.done("PUT", `/api/crews/${crewId}/people/${id}/contacts`, {
        way: "email",
        address: `${name.split(" ")[0]}@post.example`,
      });
    const { cards } = await maren.done<{ cards: { token: string }[] }>("POST", `/api/crews/${crewId}/access`, { personIds: [ada] });
    const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
    const service = `http://127.0.0.1:${pushPort}`;
    const phone = await pushPage(context, service);
    await phone.goto(`/me/sign-in#card=${cards[0]!.token}`);
    await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();
    await agreeToPush(phone);
    const session = {
      id: uuid(),
      name: "Warm-up",
      slot: "preShift",
      items: [newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, uuid())],
    };
    const program = { id: uuid(), program: { name: "Block 1", style: DEFAULT_STYLE, weeks: 4, sessions: [session] } };
    await maren.done("POST", `/api/crews/${crewId}/programs`, program);
    const { weekStart, startsAt } = nextMonday();
    const placement = { id: uuid(), programId: program.id, sessionId: session.id, startsAt, people: null, groupName: null };
    await maren.done("PUT", `/api/crews/${crewId}/plan/${weekStart}`, { version: 0, placements: [placement] });
    await maren.done("POST", `/api/crews/${crewId}/reminders`, { placementId: placement.id, atOnce: true });
    const reminders = async () => (await mails()).filter(({ to }) => to.endsWith("@post.example"));
    await expect.poll(async () => (await reminders()).length).toBe(2);
    const [inEnglish, inSpanish] = ["ada", "olmo"].map(
      (name) => async () => (await reminders()).find(({ to }) => to.startsWith(name))!.text,
    );
    expect(await inEnglish!()).toContain("You get this because");
    expect(await inSpanish!()).not.toContain("You get this because");
    expect(await inSpanish!()).toContain(`https://${SITE}/me/progress`);
    await expect.poll(async () => (await messagesOf(service)).length).toBe(1);
    await deliver(phone, (await messagesOf(service))[0]!);
  });

  await test.step("a server that dies is not noticed", async () => {
    await machine.stopOne(`kind-grip@${machine.ports["4100"]}`, "SIGKILL");
    for (let i = 0; i < 12; i++) expect((await maren.send("GET", "/api/crews")).status).toBe(200);
  });
});

function nextMonday(): { weekStart: string; startsAt: string } {
  const day = new Date();
  day.setUTCDate(day.getUTCDate() + 7 - ((day.getUTCDay() + 6) % 7));
  const weekStart = day.toISOString().slice(0, 10);
  return { weekStart, startsAt: `${weekStart}T07:00:00.000Z` };
}
