/** Figures: find a movement, watch it move, make one of one's own, use it in a session, print it. */
import { readFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import { signIn } from "./browser";

// What moves here has to move.
test.use({ contextOptions: { reducedMotion: "no-preference" } });

const figure = (page: Page) => page.getByRole("region", { name: "Figure" });
const drawn = (page: Page) => figure(page).locator("svg").first();
const downloaded = async (page: Page, press: () => Promise<void>): Promise<Buffer> => {
  const [download] = await Promise.all([page.waitForEvent("download"), press()]);
  return readFileSync(await download.path());
};

test("find a movement, play it, make an own one, use it in a session, print it", async ({ page }) => {
  await signIn(page);

  await test.step("find it by its picture and what it works", async () => {
    await page.getByRole("link", { name: "Library" }).click();
    await expect(page.getByText(/^(\d+) of \1 movements$/)).toBeVisible();
    await expect(page.getByRole("link", { name: /Shoulder circles/ }).locator("svg")).toBeVisible();
    await page.getByLabel("Region").click();
    await page.getByRole("option", { name: "Wrist extensors" }).click();
    await page.keyboard.press("Escape");
    await page.getByRole("button", { name: "Mobility" }).click();
    await page.getByRole("link", { name: /Wrist nod/ }).click();
    await expect(page.getByRole("heading", { level: 1, name: "Wrist nod" })).toBeVisible();
  });

  await test.step("watch it move at the pace of its dose, freeze it, turn it, mirror it", async () => {
    const moving = figure(page).locator("[data-place]");
    await expect(moving).toBeVisible();
    const before = await moving.getAttribute("data-place");
    await expect.poll(() => moving.getAttribute("data-place")).not.toBe(before);
    await expect(drawn(page).locator(".side-right")).toHaveCount(1);
    await page.getByRole("button", { name: "Freeze" }).click();
    await expect(moving).toHaveCount(0);
    await expect(drawn(page).locator(".arc")).toHaveCount(1);
    const seen = await drawn(page).innerHTML();
    await page.getByLabel("Seen from").click();
    await page.getByRole("option", { name: "Above", exact: true }).click();
    await expect.poll(() => drawn(page).innerHTML()).not.toBe(seen);
    await page.getByRole("button", { name: "For the left hand" }).click();
    await expect(drawn(page).locator(".side-left")).toHaveCount(1);
    await expect(page.getByRole("region", { name: "Wrong against right" })).toContainText("Not like this");
    await page.getByRole("button", { name: /Other hand holds the forearm/ }).click();
    await expect(drawn(page).locator(".side-right")).toHaveCount(1);
  });

  await test.step("with less motion wished for, start and end stand side by side", async () => {
    await page.emulateMedia({ reducedMotion: "reduce" });
    await expect(page.getByRole("list", { name: "Start and end" }).getByRole("listitem").filter({ hasText: "End" })).toBeVisible();
    await expect(page.getByRole("button", { name: "Play" })).toHaveCount(0);
    await page.emulateMedia({ reducedMotion: "no-preference" });
  });

  await test.step("make one of one's own; an impossible joint is refused with its range", async () => {
    await page.goto("/library");
    await page.getByRole("link", { name: "Make your own" }).click();
    await page.getByRole("button", { name: "Save to the library" }).click();
    await expect(page.getByRole("alert")).toContainText("Name: is missing");
    await page.getByRole("textbox", { name: "Wrist, degrees" }).fill("95");
    await expect(page.getByRole("alert")).toContainText("Pose 2: right.wristFlexion is 95°, it goes from -75° to 82°");
    await page.getByRole("textbox", { name: "Wrist, degrees" }).fill("60");
    await expect(page.getByRole("alert")).not.toContainText("goes from");
    // The slider works by keyboard, and a change can be taken back.
    const slider = page.getByRole("slider", { name: "Wrist", exact: true });
    await slider.focus();
    await page.keyboard.press("ArrowLeft");
    await expect(page.getByRole("textbox", { name: "Wrist, degrees" })).toHaveValue("59");
    await page.getByRole("radio", { name: "Hand", exact: true }).click();
    await page.getByLabel("Hand shape").click();
    await page.getByRole("option", { name: "fingers spread" }).click();
    await page.getByRole("button", { name: "Undo" }).click();
    await page.getByRole("button", { name: "Redo" }).click();
    await page.getByLabel("Name").fill("Spread and sink");
    await page.getByLabel("Steps").fill("Spread the fingers.\nLet the hand sink.");
    await page.getByLabel("Where it is felt").fill("The back of the forearm.");
    // A lost page loses nothing.
    await page.reload();
    await expect(page.getByLabel("Name")).toHaveValue("Spread and sink");
    await page.getByRole("button", { name: "Save to the library" }).click();
    await expect(page.getByRole("heading", { level: 1, name: "Spread and sink" })).toBeVisible();
  });

  await test.step("it travels as a file, and comes in again under a name of its own", async () => {
    await page.getByRole("link", { name: "Change it in the studio" }).click();
    const file = await downloaded(page, () => page.getByRole("link", { name: "Download as a file" }).click());
    expect(JSON.parse(file.toString("utf8"))).toMatchObject({
      format: "kind-grip/movement",
      version: 1,
      own: { words: { name: "Spread and sink" } },
    });
    await page.goto("/library");
    const count = page.getByText(/^(\d+) of \1 movements$/);
    await expect(count).toBeVisible();
    const before = await count.textContent();
    await page.getByLabel("Movement file").setInputFiles({
      name: "broken.json",
      mimeType: "application/json",
      buffer: Buffer.from(file.toString("utf8").replace(/"elbow": 90/, '"elbow": 190')),
    });
    await expect(page.getByRole("dialog")).toContainText("right.elbow is 190°");
    await page.getByRole("button", { name: "Close" }).click();
    await page.getByLabel("Movement file").setInputFiles({ name: "copy.json", mimeType: "application/json", buffer: file });
    await expect(page.getByRole("heading", { level: 1, name: "Spread and sink" })).toBeVisible();
    await page.getByRole("link", { name: "Change it in the studio" }).click();
    await page.getByRole("button", { name: "Take out of the library" }).click();
    await expect(count).toHaveText(before!);
  });

  await test.step("use it in a session like any other, lead it, print it", async () => {
    await page.getByRole("link", { name: "Crews" }).click();
    await page
      .getByRole("link", { name: /Ridgeline/ })
      .first()
      .click();
    await page.getByRole("navigation", { name: "Steps of this crew" }).getByRole("link", { name: "Program" }).click();
    await page.getByRole("link", { name: /block 1/ }).click();
    await page.getByRole("button", { name: /Ridge break/ }).click();
    await page.getByPlaceholder("Find a movement").fill("spread and sink");
    await page.getByRole("button", { name: "Add Spread and sink" }).click();
    await expect(
      page
        .getByRole("option", { name: /Spread and sink/ })
        .locator("svg")
        .first(),
    ).toBeVisible();
    await expect(page.getByText("Saved", { exact: true }).first()).toBeVisible();
    const [paper] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Hand-out", exact: true }).click()]);
    const pdf = readFileSync(await paper.path());
    expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
    expect(pdf.length).toBeGreaterThan(60_000);
  });
});

test("in a run the figure moves in step with the count, on a busy page too", async ({ page }) => {
  await signIn(page);
  await page.getByRole("link", { name: "Lead it" }).click();
  await page
    .getByRole("button", { name: "Start", exact: true })
    .or(page.getByRole("button", { name: "Start again" }))
    .first()
    .click();
  const sheet = page.locator("[data-place]");
  await expect(sheet).toBeVisible();
  // The first item's first repetition: two seconds out, no pause, two back, round and round.
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowLeft");
  await expect(page.getByRole("status").filter({ hasText: "Get ready" })).toHaveCount(0, { timeout: 20_000 });
  const place = async () => JSON.parse((await sheet.getAttribute("data-place")) ?? "{}") as { place?: number };
  const first = await place();
  // Load the page's own thread: it is blocked for 40 ms out of every 60.
  await page.evaluate(() => {
    const until = performance.now() + 3000;
    const block = () => {
      const start = performance.now();
      while (performance.now() - start < 40);
      if (performance.now() < until) setTimeout(block, 20);
    };
    block();
  });
  await expect.poll(async () => (await place()).place).not.toBe(first.place);
});
