/** Watched at the line on a phone, the figures replace guesses, methods differ and the screen says why. */
import { expect, test, type CDPSession, type Page } from "@playwright/test";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { signIn } from "./browser";

const effort = (name: string, hands: "left" | "right", change: object = {}) => ({
  id: uuid(),
  name,
  hands,
  effort: 3,
  perMin: 10,
  secEach: 2,
  flexionDeg: 0,
  tiltDeg: 0,
  turn: "neutral",
  grip: "power",
  ...change,
});
const task = (name: string, efforts: object[]) => ({ id: uuid(), name, tool: null, vibration: "none", cold: false, reach: false, efforts });

/** A crew of its own: the demo's are shared by all journeys. */
async function crewWithWork(page: Page): Promise<{ crewId: string; work: { tasks: ReturnType<typeof task>[] } }> {
  const { csrfToken } = (await (await page.request.get("/api/me")).json()) as { csrfToken: string };
  const headers = { "x-csrf-token": csrfToken };
  const [model] = (await (await page.request.get("/api/crews")).json()) as Record<string, unknown>[];
  const { id: _, version: __, people: ___, programs: ____, sharedBy: _____, ...crew } = model!;
  const crewId = uuid();
  const made = await page.request.post("/api/crews", { headers, data: { id: crewId, crew: { ...crew, name: "Watched crew" } } });
  if (!made.ok()) throw new Error(`the crew could not be made: ${made.status()} ${await made.text()}`);
  const tapping = task("Tapping tiles", [effort("tap", "right"), effort("hold the tile", "left", { perMin: 2, secEach: 20 })]);
  // Light, seldom, and with the wrist far bent: only one of the methods sees that.
  const reaching = task("Reaching round", [effort("reach", "right", { effort: 2, perMin: 12, secEach: 1.2, flexionDeg: 80 })]);
  const work = {
    tasks: [tapping, reaching],
    days: [{ id: uuid(), name: "Usual day", personIds: [], parts: [tapping, reaching].map(({ id }) => ({ taskId: id, minutes: 200 })) }],
  };
  const saved = await page.request.put(`/api/crews/${crewId}/work`, { headers, data: { version: 0, work } });
  if (!saved.ok()) throw new Error(`the work could not be saved: ${saved.status()} ${await saved.text()}`);
  const people = Array.from({ length: 4 }, (_, i) => ({
    id: uuid(),
    name: `Hand ${i + 1}`,
    badge: `W-${i}`,
    handedness: "right",
    startedOn: "2024-01-01",
    leftOn: null,
    language: null,
  }));
  const added = await page.request.post(`/api/crews/${crewId}/people`, { headers, data: { people } });
  if (!added.ok()) throw new Error(`the people could not be added: ${added.status()} ${await added.text()}`);
  const sessions = [
    { id: uuid(), name: "Short break", slot: "break", items: [newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, uuid())] },
  ];
  const program = { name: "Watched hands", style: DEFAULT_STYLE, weeks: 8, sessions };
  const begun = await page.request.post(`/api/crews/${crewId}/programs`, { headers, data: { id: uuid(), program } });
  if (!begun.ok()) throw new Error(`the program could not be made: ${begun.status()} ${await begun.text()}`);
  return { crewId, work };
}

/** The long form watches for ten minutes: `OBSERVE_SECONDS=600 npx playwright test -c e2e/playwright.config.ts observe`. */
const SECONDS = Number(process.env.OBSERVE_SECONDS ?? 26);

/** Two fingers, four presses a second a hand, as the touch screen sends them. */
async function press(phone: CDPSession, fields: { x: number; y: number }[], seconds: number): Promise<number> {
  const began = Date.now();
  let count = 0;
  for (; Date.now() - began < seconds * 1000; count++) {
    const touchPoints = fields.map(({ x, y }, id) => ({ x, y, id }));
    await phone.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints });
    await new Promise((done) => setTimeout(done, 100));
    await phone.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
    // No hand lifts for less: what a busy machine is late by is not caught up with.
    await new Promise((done) => setTimeout(done, Math.max(120, began + (count + 1) * 250 - Date.now())));
  }
  return count;
}

test("two tasks watched, the figures replace guesses, two methods that differ are explained, the rotation is levelled", async ({
  page,
  browser,
}) => {
  test.setTimeout((SECONDS + 200) * 1000);
  await signIn(page);
  const { crewId, work } = await crewWithWork(page);
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    storageState: await page.context().storageState(),
  });
  const phone = await context.newPage();
  await phone.goto(`/crews/${crewId}/work/observe`);
  await phone.getByRole("button", { name: "Watch at the line" }).click();
  const cdp = await context.newCDPSession(phone);
  // A telephone is a quarter of this machine.
  await cdp.send("Emulation.setCPUThrottlingRate", { rate: 4 });
  const fields = phone.getByRole("button", { name: /hand works: hold/ });
  const places = await Promise.all([0, 1].map(async (i) => (await fields.nth(i).boundingBox())!));
  await context.setOffline(true);
  const pressed = await press(
    cdp,
    places.map(({ x, y, width, height }) => ({ x: x + width / 2, y: y + height / 2 })),
    SECONDS,
  );
  await cdp.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  for (const i of [0, 1]) await expect(fields.nth(i)).toContainText(String(pressed));
  await phone.getByRole("group", { name: "The wrist now, right" }).getByRole("button", { name: "Far bent" }).click();
  await expect(phone.getByText(SECONDS < 180 ? "Three minutes and twenty efforts a hand at least." : /^Enough/)).toBeVisible();
  expect(await axeViolationsOn(phone, WCAG)).toEqual([]);
  expect(await phone.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0);
  await phone.getByRole("button", { name: "Keep" }).click();
  await expect(phone.getByText(/^Kept: /)).toBeVisible();
  await context.setOffline(false);

  // Sent by itself when the connection is back; nothing was lost on the way.
  await expect
    .poll(async () =>
      ((await (await page.request.get(`/api/crews/${crewId}/observations`)).json()) as { hands: { efforts: number }[] }[]).flatMap(
        ({ hands }) => hands.map(({ efforts }) => efforts),
      ),
    )
    .toEqual([pressed, pressed]);
  await context.close();

  await page.goto(`/crews/${crewId}/work?task=${work.tasks[0]!.id}`);
  await expect(page.getByText(/^Watched, .*Said before: 10 a minute of 2 s\.$/)).toBeVisible();
  await page.getByText("1 observation").click();
  await page.getByRole("button", { name: "Counts" }).click();
  await expect(page.getByText(/^Watched, /)).toHaveCount(0);

  await page.goto(`/crews/${crewId}/work?task=${work.tasks[1]!.id}`);
  await expect(page.getByText(/Strain index is stricter than Hand activity and peak force because of the bent wrist/)).toBeVisible();
  await expect(page.getByText(/^Change first:/)).toBeVisible();
  expect(await axeViolationsOn(page, WCAG)).toEqual([]);
  await page.getByRole("radio", { name: "Opinions of the shift" }).click();
  await expect(page.getByRole("table", { name: "Each task by each method" })).toBeVisible();
  expect(await axeViolationsOn(page, WCAG)).toEqual([]);

  await test.step("the rotation is levelled, tried, kept, and the day plan follows", async () => {
    await page.getByRole("radio", { name: "Who does what" }).click();
    const rows = page.getByRole("list", { name: "People, the hardest hand first" }).getByRole("button");
    await expect(rows).toHaveCount(4);
    await page.getByRole("button", { name: "Level the hardest hand" }).click();
    await page.getByRole("combobox", { name: "Somebody may not do every task" }).click();
    await page.getByRole("option", { name: "Hand 4" }).click();
    await expect(page.getByRole("button", { name: "Tapping tiles", pressed: true })).toBeVisible();
    await page.getByRole("button", { name: "Find the rotation" }).click();
    await expect(page.getByText(/^No rotation leaves the hardest hand below [\d.]+; this one is at [\d.]+\. Proven best\.$/)).toBeVisible();
    await expect(page.getByText("This is tried, not kept")).toBeVisible();
    await expect(rows.filter({ hasText: "Hand 4" }).getByText("Tapping tiles")).toHaveCount(0);
    await expect(page.getByRole("region", { name: "What the day plan says to it" })).toContainText("Short break");
    expect(await axeViolationsOn(page, WCAG)).toEqual([]);
    await page.getByRole("button", { name: "Keep it so" }).click();
    await expect(page.getByText("Saved", { exact: true })).toBeVisible();
    await expect(page.getByText("This is tried, not kept")).toHaveCount(0);
    await page.getByRole("navigation", { name: "Steps of this crew" }).getByRole("link", { name: "Day plan" }).click();
    await expect(page.getByText(/ and 1 other$/).first()).toBeVisible();
  });
});
