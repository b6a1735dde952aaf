/**
 * The first day of a practice: begun at its one-time address, people invited, a way back. Then a day with forty people: a messy list, main hands, a check on the phones before the round, one person measured, a
 * run led with phones and a camera, an alert answered, the report. What each step costs the trainer is counted.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { chromium, expect, test, type Browser, type BrowserContext, type Page } from "@playwright/test";
import { QUESTION_IDS } from "@kind-grip/core/safety";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { Acts } from "./acts";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { BROWSER, sayMorning, skipUntil, toStep, typeDay } from "./browser";
import { writeCardVideo } from "./card-video";
import { startEmptyServer, type EmptyServer } from "./empty-practice";

const PORT = 4180;
const PEOPLE = 40;

/** As an office sends it: a title, German words, two digits for years, a word nobody knows, a day that is none, a person twice. */
function messyRoster(): string {
  const rows = Array.from({ length: PEOPLE }, (_, i) => {
    const number = String(i + 1).padStart(2, "0");
    return `${100 + i};Fahrer ${number}, Test;;${(i % 27) + 1}.3.${i % 2 ? "24" : "2023"}`;
  });
  const bad = ["140;Ohne Tag, Test;;31.2.24", "141;Zwei Mal, Test;;1.3.24", "141;Zwei Mal, Test;;1.3.24"];
  return ["Lager Nord;;;", "", "Nummer;Name;Hand;Eintritt", ...rows, ...bad].join("\n");
}

// The day goes on in the practice that the first day began.
test.describe.configure({ mode: "serial" });

let practice: EmptyServer;
const INES = { name: "Ines Marlow", email: "ines@marlow.example", password: "copper kettle walking slowly" };
let browser: Browser;
/** Holds what its camera sees. */
const camera = mkdtempSync(path.join(tmpdir(), "kind-grip-camera-"));
test.beforeAll(async () => {
  practice = await startEmptyServer(PORT);
});
test.afterAll(async () => {
  await browser?.close();
  await practice?.stop();
  rmSync(camera, { recursive: true, force: true });
});

test("the first day: begun once, a colleague and a lead invited, a forgotten password, the next step in view", async ({
  browser: firefly,
}) => {
  test.setTimeout(120_000);
  const open = async () => (await firefly.newContext({ baseURL: practice.url, viewport: { width: 1280, height: 800 } })).newPage();
  const linkIn = (text: string) => /http:\S+\/link#\S+/.exec(text)![0];
  const page = await open();
  await test.step("the first trainer begins", async () => {
    await page.goto(practice.first);
    await page.getByLabel("Name of the practice").fill("Marlow Hand Works");
    await page.getByLabel("Your name").fill(INES.name);
    await page.getByLabel("Your e-mail address").fill(INES.email);
    await page.getByLabel("A password").fill("marlow hand works");
    await page.getByLabel("Where your crews work as a rule").fill("Hall 2");
    // The browser speaks American English, and is believed until something else is chosen.
    await expect(page.getByRole("radio", { name: "pounds" })).toBeChecked();
    for (const unit of ["kilograms", "centimetres", "14:30", "5 March 2026", "Monday"])
      await page.getByRole("radio", { name: unit }).click();
    expect(await axeViolationsOn(page, WCAG)).toEqual([]);
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page.getByText(/would be guessed too soon/)).toBeVisible();
    await page.getByLabel("A password").fill(INES.password);
    await page.getByRole("button", { name: "Begin" }).click();
    await page.waitForURL("**/today");
    const path = page.getByRole("region", { name: "The way to your first run" });
    await expect(path.getByRole("link", { name: "Make a crew" })).toBeVisible();
    expect(await axeViolationsOn(page, WCAG)).toEqual([]);
  });
  await test.step("the address is good once, and there is no other", async () => {
    const other = await open();
    await other.goto(practice.first);
    await expect(other.getByRole("heading", { name: "This address is not good any more" })).toBeVisible();
    await expect(practice.admin("first")).rejects.toThrow(/There is a practice already/);
    await expect(practice.admin("leave", "Marlow Hand Works", "/no/such/folder/marlow.zip")).rejects.toThrow(
      /\/no\/such\/folder is not here/,
    );
    await expect(practice.admin("come", "/no/such/marlow.zip")).rejects.toThrow(/marlow\.zip is not here/);
    expect(await practice.admin("practices")).toBe("Marlow Hand Works: 1 trainers, 0 crews\n");
    await other.context().close();
  });
  await test.step("a colleague is invited by e-mail and accepts", async () => {
    await page.goto("/practice");
    await page.getByRole("button", { name: "Invite somebody" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByRole("radio", { name: "Trainer" }).click();
    await dialog.getByLabel("Name").fill("Tove Ash");
    await dialog.getByLabel("E-mail").fill("tove@marlow.example");
    await dialog.getByRole("button", { name: "Invite" }).click();
    await expect(page.getByText("It is on its way to tove@marlow.example.")).toBeVisible();
    expect(await axeViolationsOn(page, WCAG)).toEqual([]);
    await page.getByRole("button", { name: "Done" }).click();
    await expect(page.getByText(/invited by Ines Marlow/)).toBeVisible();
    const [mail] = await practice.mails();
    expect(mail).toMatchObject({ to: "tove@marlow.example", subject: "Ines Marlow invites you to Marlow Hand Works" });
    const tove = await open();
    await tove.goto(linkIn(mail!.text));
    await expect(tove.getByRole("heading", { name: "Welcome to Marlow Hand Works" })).toBeVisible();
    await tove.getByLabel("A password").fill("violet tractor under seven bells");
    await tove.getByRole("button", { name: "Accept and sign in" }).click();
    await tove.waitForURL("**/today");
    await tove.context().close();
  });
  await test.step("a forgotten password has two ways back: by e-mail, and by whoever runs the server", async () => {
    const lost = await open();
    await lost.goto("/sign-in");
    await lost.getByRole("link", { name: "Forgotten your password?" }).click();
    // The sign-in has an e-mail field too, and stays until the next page is there.
    await expect(lost.getByRole("heading", { name: "Forgotten your password?" })).toBeVisible();
    await lost.getByLabel("E-mail").fill("tove@marlow.example");
    await lost.getByRole("button", { name: "Send it" }).click();
    await expect(lost.getByRole("heading", { name: "Look into your inbox" })).toBeVisible();
    await expect.poll(async () => (await practice.mails())[0]!.subject).toBe("A new password for Kind Grip");
    const byMail = async () => (await practice.mails())[0]!.text;
    const byAdmin = () => practice.admin("password", "tove@marlow.example");
    for (const way of [byMail, byAdmin]) {
      const address = linkIn(await way());
      await lost.context().clearCookies();
      await lost.goto("/sign-in");
      await lost.goto(address);
      await lost.getByLabel("New password").fill("seven quiet lanterns on ice");
      await lost.getByRole("button", { name: "Set it" }).click();
      await lost.waitForURL("**/today");
    }
    await lost.context().close();
  });
});

interface Card {
  personId: string;
  name: string;
  token: string;
}

async function phoneOf(card: Card): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ baseURL: practice.url, viewport: { width: 390, height: 844 } });
  context.setDefaultTimeout(40_000);
  const page = await context.newPage();
  await page.goto(`/me/sign-in#card=${card.token}`);
  await page.waitForURL("**/me");
  await expect(page.getByRole("heading", { name: /Hello/ })).toBeVisible();
  return { context, page };
}

/** Nothing for axe to find, so tall that nothing lies under the bar at the foot. */
async function clean(page: Page): Promise<void> {
  const usual = page.viewportSize()!;
  await page.setViewportSize({ ...usual, height: 1800 });
  // A colour on its way is none yet.
  await page.evaluate(() => Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => undefined))));
  expect(await axeViolationsOn(page, WCAG, true)).toEqual([]);
  await page.setViewportSize(usual);
}

/** The check before a round on a phone, question by question. @param felt a place with sharp pain */
async function answerOnPhone(page: Page, { yes = [], felt = false }: { yes?: readonly string[]; felt?: boolean }): Promise<void> {
  await page.getByRole("link", { name: /Before you are measured/ }).click();
  for (const [i, id] of QUESTION_IDS.entries()) {
    await expect(page.getByText(`${i + 1} of ${QUESTION_IDS.length + 3}`)).toBeVisible();
    if (felt && i === 0) await clean(page);
    await page.getByRole("button", { name: yes.includes(id) ? "Yes" : "No", exact: true }).click();
  }
  if (felt) {
    await expect(page.getByRole("button", { name: "Right: Base of the thumb" }).first()).toBeVisible();
    await clean(page);
    await page.getByRole("button", { name: "Right: Base of the thumb" }).first().click();
    await page.getByRole("button", { name: "Ache" }).click();
    await page.getByRole("button", { name: "4", exact: true }).click();
    await page.getByRole("radio", { name: "Some nights" }).click();
    await clean(page);
    await page.getByRole("button", { name: "Keep this place" }).click();
    await page.getByRole("button", { name: "That is all" }).click();
  } else await page.getByRole("button", { name: "Nothing anywhere" }).click();
  await page.getByRole("button", { name: "Right", exact: true }).click();
  if (felt) await clean(page);
  await page.getByRole("button", { name: /^Send to/ }).click();
  await expect(page.getByRole("heading", { name: "Told." })).toBeVisible();
  await expect(page.getByText("Everything is sent.")).toBeVisible();
}

test("forty people in a day: in, asked, measured, led, answered, told", async () => {
  test.setTimeout(300_000);
  const costs: Record<string, number> = {};
  const video = path.join(camera, "card.y4m");
  writeCardVideo("nothing yet", video);
  const fakeCamera = ["--use-fake-ui-for-media-stream", "--use-fake-device-for-media-stream", `--use-file-for-fake-video-capture=${video}`];
  browser = await chromium.launch({ ...BROWSER, args: [...BROWSER.args!, ...fakeCamera] });
  const desk = await browser.newContext({ baseURL: practice.url, viewport: { width: 1280, height: 800 } });
  desk.setDefaultTimeout(40_000);
  const page = await desk.newPage();
  const acts = new Acts(page);
  const button = (name: string | RegExp) => page.getByRole("button", { name });
  const get = async <T>(address: string) => (await (await page.request.get(address)).json()) as T;
  const send = async (method: "POST" | "PUT", address: string, data: object) => {
    const { csrfToken } = await get<{ csrfToken: string }>("/api/me");
    const answer = await page.request.fetch(address, { method, headers: { "x-csrf-token": csrfToken }, data });
    expect(answer.ok(), `${address}: ${await answer.text()}`).toBe(true);
    return answer;
  };
  let crewId = "";
  let cards: Card[] = [];

  await test.step("an empty practice, a crew, and a messy list", async () => {
    await page.goto("/sign-in");
    await page.getByLabel("E-mail").fill(INES.email);
    await page.getByLabel("Password").fill(INES.password);
    await page.getByRole("button", { name: "Sign in", exact: true }).click();
    await page.waitForURL("**/today");
    await page.goto("/crews/new");
    await page.getByLabel("Name of the crew").fill("Lager Nord");
    await page.getByLabel("Trade").fill("Parcel sorting");
    await page.getByRole("textbox", { name: "Place" }).fill("Hall 2");
    await button("Make the crew").click();
    await expect(page.getByRole("heading", { name: "0 people" })).toBeVisible();
    crewId = /crews\/([^/]+)/.exec(page.url())![1]!;
    await page.getByRole("link", { name: "Bring in a list" }).click();
    const file = { name: "liste.csv", mimeType: "text/csv", buffer: Buffer.from(messyRoster()) };
    acts.taken();
    await acts.give(page.getByLabel("Roster file"), file);
    await expect(page.getByRole("combobox", { name: "Columns are named in" })).toContainText("line 3");
    await acts.press(button(`Keep ${PEOPLE + 1} new, leave out 2`));
    await expect(page.getByRole("heading", { name: `${PEOPLE + 1} people` })).toBeVisible();
    costs["a list of 43 messy rows"] = acts.taken();
  });

  await test.step("the main hand of forty", async () => {
    await acts.press(button(`Choose all ${PEOPLE + 1}`));
    await acts.press(page.getByRole("radiogroup", { name: "Main hand of the chosen" }).getByRole("radio", { name: "R", exact: true }));
    await expect(page.getByText(`${PEOPLE + 1} people are changed.`)).toBeVisible();
    costs["the hand of forty"] = acts.taken();
  });

  await test.step("a round that asks on the phones first; some answer by hand, the others' phones send theirs", async () => {
    const people = await get<{ id: string; name: string }[]>(`/api/crews/${crewId}/people`);
    const issued = await send("POST", `/api/crews/${crewId}/access`, { personIds: people.map(({ id }) => id) });
    cards = ((await issued.json()) as { cards: Card[] }).cards.sort((a, b) => a.name.localeCompare(b.name));
    await toStep(page, "Baseline");
    await button("Begin a round").click();
    await expect(page.getByRole("dialog").getByRole("button", { name: "Asked on their phones first" })).toHaveAttribute(
      "aria-pressed",
      "true",
    );
    await page.getByRole("dialog").getByRole("button", { name: "Begin" }).click();
    await expect(page.getByRole("group", { name: "People of this round" })).toBeVisible();
    const [round] = await get<{ id: string }[]>(`/api/crews/${crewId}/rounds`);

    const [stops, aches, ...others] = cards;
    for (const [card, answers] of [
      [stops!, { yes: ["growingWeakness"] }],
      [aches!, { felt: true }],
    ] as const) {
      const phone = await phoneOf(card);
      await answerOnPhone(phone.page, answers);
      if (card === stops) await expect(phone.page.getByText(/has to be looked at by a clinician first/)).toBeVisible();
      await phone.context.close();
    }
    await Promise.all(
      others.slice(0, -1).map(async ({ token }) => {
        const context = await browser.newContext({ baseURL: practice.url });
        const { csrfToken } = (await (await context.request.get("/api/me")).json()) as { csrfToken: string };
        const signedIn = await context.request.post("/api/member/card", { headers: { "x-csrf-token": csrfToken }, data: { token } });
        expect(signedIn.status(), await signedIn.text()).toBe(200);
        const me = (await (await context.request.get("/api/me")).json()) as { csrfToken: string };
        const id = uuid();
        const safety = Object.fromEntries(QUESTION_IDS.map((question) => [question, false]));
        const data = { id, roundId: round!.id, at: new Date().toISOString(), safety, symptoms: [], handedness: "right" };
        const answer = await context.request.put(`/api/member/self-checks/${id}`, { headers: { "x-csrf-token": me.csrfToken }, data });
        expect(answer.status()).toBe(200);
        await context.close();
      }),
    );
    // Whom to see first stands first, without the page being asked for again.
    const list = page.getByRole("group", { name: "People of this round" });
    await expect(list.getByRole("region").first()).toHaveAccessibleName("See first: stop and refer");
    await expect(list.getByRole("region", { name: "See first: stop and refer" })).toContainText(stops!.name);
    await expect(list.getByRole("region", { name: "Feel something" })).toContainText(`${aches!.name}Base of the thumb 4`);
    await expect(list.getByRole("region", { name: "Nothing found" }).getByRole("button")).toHaveCount(PEOPLE - 2);
    await expect(list.getByRole("region", { name: "Not asked everything yet" }).getByRole("button")).toHaveCount(1);
  });

  await test.step("a person without findings is measured", async () => {
    const clear = cards[4]!;
    acts.taken();
    await acts.press(page.getByRole("group", { name: "People of this round" }).getByRole("button", { name: clear.name }));
    await acts.press(button("Full both sides"));
    await acts.press(button("Grip"));
    for (let trial = 0; trial < 3; trial++)
      for (const hand of ["Right", "Left"]) {
        await acts.type(page.getByRole("textbox", { name: `${hand} grip, kg` }), hand === "Right" ? "42" : "39");
        await acts.key("Enter");
      }
    await acts.press(button("Function"));
    for (const hand of ["Left", "Right"]) await acts.press(button(`${hand}: 2 of 10`));
    await expect(page.getByText("Saved", { exact: true })).toBeVisible();
    await expect(page.getByText(`1 of ${PEOPLE + 1} measured, 1 held out`)).toBeVisible();
    costs["a person without findings in a round"] = acts.taken();
  });

  const programId = uuid();
  const session = {
    id: uuid(),
    name: "Warm-up",
    slot: "preShift",
    items: ["fist-and-star", "palm-away", "shake-out"].map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, uuid())),
  };
  const placementId = uuid();
  await test.step("a session is planned for now", async () => {
    await send("POST", `/api/crews/${crewId}/programs`, {
      id: programId,
      program: { name: "Sorting hands", style: DEFAULT_STYLE, weeks: 4, sessions: [session] },
    });
    const { timeZone } = await get<{ timeZone: string }>(`/api/crews/${crewId}`);
    const startsAt = new Date(Date.now() + 5 * 60_000);
    const today = new Intl.DateTimeFormat("en-CA", { timeZone }).format(startsAt);
    const noon = new Date(`${today}T12:00:00Z`);
    const monday = new Date(noon.getTime() - ((noon.getUTCDay() + 6) % 7) * 86_400_000).toISOString().slice(0, 10);
    await send("PUT", `/api/crews/${crewId}/plan/${monday}`, {
      version: 0,
      placements: [{ id: placementId, programId, sessionId: session.id, startsAt: startsAt.toISOString() }],
    });
  });

  const byPhone = cards[10]!;
  const byCard = cards[11]!;
  let phone: Awaited<ReturnType<typeof phoneOf>>;
  await test.step("who is here: by phone, by a card before the camera, by everybody; whoever is held out is on no list", async () => {
    writeCardVideo(`${practice.url}/me/sign-in#card=${byCard.token}`, video);
    phone = await phoneOf(byPhone);
    await page.goto(`/crews/${crewId}/run/${programId}/${session.id}?placement=${placementId}`);
    await button(/^Here: 40 of 40$/).click();
    const roll = page.getByRole("dialog");
    await roll.getByRole("button", { name: "Nobody yet" }).click();
    // The morning's question comes first, then what is about to begin.
    await sayMorning(phone.page, 1);
    await phone.page.getByRole("button", { name: "Keep it" }).click();
    await phone.page.getByRole("button", { name: "I am here" }).click();
    await expect(phone.page.getByText("You are counted as here")).toBeVisible();
    await expect(roll.getByRole("button", { name: `${byPhone.name} · by phone`, pressed: true })).toBeVisible();
    await roll.getByRole("button", { name: "Scan cards" }).click();
    await expect(roll.getByText(`${byCard.name} is here`)).toBeVisible();
    await expect(roll.getByRole("heading", { name: "Here: 2 of 40" })).toBeVisible();
    await expect(roll.getByRole("button", { name: cards[0]!.name })).toHaveCount(0);
    expect(await axeViolationsOn(page, WCAG, true)).toEqual([]);
    await roll.getByRole("button", { name: "Everybody is here" }).click();
    await roll.getByRole("button", { name: "Done" }).click();
  });

  await test.step("led to its close; somebody stops and tells while it goes on", async () => {
    await button("Start").click();
    const now = button("Start now");
    if (await now.isVisible()) await now.click();
    await expect(page.getByRole("progressbar", { name: "Session" })).toBeVisible();
    const teller = await phoneOf(cards[20]!);
    await teller.page.getByRole("link", { name: "Stop and tell" }).click();
    await teller.page.getByRole("button", { name: "Sharp pain" }).click();
    await teller.page.getByRole("button", { name: "Base of the thumb" }).click();
    await teller.page.getByRole("button", { name: "Tell my trainer" }).click();
    await expect(teller.page.getByText(/^Paused: /)).toBeVisible();
    // The phone pauses before it has sent: put away too early, nobody is told.
    await expect(teller.page.getByRole("heading", { name: "Told." })).toBeVisible();
    await teller.context.close();
    const skip = button("Skip");
    await skipUntil(skip, page.getByRole("heading", { name: "How hard was it?" }));
  });

  await test.step("ending it: what a phone says, two for all, one exception", async () => {
    const asked = phone.page.getByRole("region", { name: "How hard was Warm-up?" });
    await asked.getByRole("button", { name: "4", exact: true }).click();
    await expect(asked).toBeHidden();
    await expect(button(`${byPhone.name}: 4`)).toHaveAttribute("aria-pressed", "true");
    acts.taken();
    await acts.press(button("All: 2"));
    await acts.press(button(`${cards[30]!.name}: 6`));
    await acts.press(button("Keep this run"));
    costs["ending a run of forty"] = acts.taken();
    await page.waitForURL("**/today");
    await expect(async () => {
      const { runs } = await get<{ runs: { present: number; meanEffort: number }[] }>(`/api/crews/${crewId}/runs`);
      expect(runs).toMatchObject([{ present: PEOPLE, meanEffort: (2 * (PEOPLE - 2) + 4 + 6) / PEOPLE }]);
    }).toPass();
    await phone.context.close();
  });

  await test.step("one alert, one entry, one answer", async () => {
    const told = page.getByRole("listitem").filter({ hasText: cards[20]!.name });
    await expect(told).toHaveCount(1);
    acts.taken();
    await acts.press(told.getByRole("button", { name: `Answer ${cards[20]!.name}` }));
    await acts.press(page.getByRole("dialog").getByRole("radio", { name: /Give back/ }));
    await acts.press(page.getByRole("dialog").getByRole("button", { name: "Answer" }));
    await expect(told).toHaveCount(0);
    costs["an alert answered"] = acts.taken();
  });

  await test.step("the report says when it will be there, and takes the first-aid book of before", async () => {
    await page.goto(`/crews/${crewId}/report`);
    await expect(page.getByText(/The first report is here on/)).toBeVisible();
    await typeDay(page, "The book is complete since", "2025-01-01", "Enter");
    await typeDay(page, "Day", "2025-02-03");
    await button("Add").click();
    await expect(page.getByText("1 case")).toBeVisible();
    await expect(page.getByText("Saved", { exact: true })).toBeVisible();
    await expect(page.getByRole("row", { name: /^First-aid cases/ })).toContainText("1");
    // There is no day after yet to compare with.
    await expect(page.getByText(/Nothing can be told yet/)).toBeVisible();
  });

  expect(costs["the hand of forty"]).toBeLessThan(6);
  expect(costs["a person without findings in a round"]).toBeLessThanOrEqual(25);
  expect(costs["ending a run of forty"]).toBeLessThan(10);
  process.stdout.write(`Acts: ${JSON.stringify(costs)}\n`);
  await desk.close();
});
