/** Two editors at once, and a connection that goes away: nothing is overwritten in silence, nothing is lost. */
import { readFileSync } from "node:fs";
import path from "node:path";
import { expect, test, type Page } from "@playwright/test";
import { signIn, toStep } from "./browser";

const openProgram = async (page: Page) => {
  await page.goto("/crews");
  await page.getByRole("link", { name: /Tansy Lane/ }).click();
  await toStep(page, "Program");
  await page.getByRole("link", { name: "Staple and webbing hands" }).click();
  await expect(page.getByRole("option").first()).toBeVisible();
};
const saved = (page: Page) => expect(page.getByText("Saved", { exact: true })).toBeVisible();
const rename = async (page: Page, name: string) => {
  const stored = page.waitForResponse((answer) => answer.request().method() === "PUT" && answer.ok());
  await page.getByLabel("Name of the program").fill(name);
  await page.keyboard.press("Enter");
  await stored;
};

test("a second editor of the same program gets a clear choice", async ({ page, browser }) => {
  await signIn(page);
  await openProgram(page);
  const other = await (await browser.newContext()).newPage();
  await signIn(other);
  await openProgram(other);

  await rename(page, "Renamed by the first");
  await saved(page);
  await other.getByRole("button", { name: "Add Shake-out" }).click();
  const dialog = other.getByRole("dialog", { name: /Somebody else saved this program/ });
  await expect(dialog).toContainText("Renamed by the first");
  await dialog.getByRole("button", { name: "Take theirs" }).click();
  await expect(other.getByLabel("Name of the program")).toHaveValue("Renamed by the first");
  await expect(other.getByRole("option")).toHaveCount(6);
  await other.getByRole("button", { name: "Undo" }).click();
  await expect(other.getByRole("option")).toHaveCount(7);
  await saved(other);
  await other.getByRole("button", { name: "Undo" }).click();
  await rename(other, "Staple and webbing hands");
  await saved(other);
  await other.context().close();
});

test("without a connection work goes on, survives a reload, and is sent when it is back", async ({ page, context }) => {
  await signIn(page);
  await openProgram(page);
  const items = await page.getByRole("option").count();
  await page.route("**/api/**", (route) => route.abort());
  await page.getByRole("button", { name: "Add Shake-out" }).click();
  await expect(page.getByText(/Kept here/)).toBeVisible();
  await expect(page.getByText("The records cannot be reached at the moment.")).toBeVisible();
  page.on("dialog", (dialog) => void dialog.accept());
  await page.unroute("**/api/**");
  await context.setOffline(false);
  await saved(page);
  await expect(page.getByText("The records cannot be reached at the moment.")).toBeHidden();
  await page.reload();
  await expect(page.getByRole("option")).toHaveCount(items + 1);
  await page.getByRole("option").last().click();
});

test("unsaved work is there again after the page was lost", async ({ page }) => {
  await signIn(page);
  await openProgram(page);
  const items = await page.getByRole("option").count();
  await page.route("**/api/programs/**", (route) => (route.request().method() === "PUT" ? route.abort() : route.continue()));
  await page.getByRole("button", { name: "Add Arm swings" }).click();
  await expect(page.getByText(/Kept here/)).toBeVisible();
  const address = page.url();
  await page.close({ runBeforeUnload: false });
  const again = await page.context().newPage();
  await again.goto(address);
  await expect(again.getByRole("option")).toHaveCount(items + 1);
  await saved(again);
});

test("a run finished without a connection is kept and stored once", async ({ page }) => {
  await signIn(page);
  const { crews } = (await (await page.request.get("/api/today")).json()) as { crews: { id: string; name: string }[] };
  const crewId = crews.find((crew) => crew.name.startsWith("Saltmarsh"))!.id;
  const total = async () => ((await (await page.request.get(`/api/crews/${crewId}/runs`)).json()) as { total: number }).total;
  const before = await total();
  await page.goto("/today");
  await page.getByRole("link", { name: "Lead Quay warm-up, Saltmarsh oyster line" }).click();
  await page.getByRole("button", { name: "Start" }).click();
  // The server stores it, but its answer is lost on the way.
  let sent = 0;
  await page.route("**/api/runs/**", async (route) => {
    sent += 1;
    if (sent === 1) return route.abort();
    if (sent === 2) {
      await route.fetch();
      return route.abort();
    }
    return route.continue();
  });
  await page.keyboard.press("s");
  await page.getByRole("button", { name: "Keep this run" }).click();
  await expect.poll(() => sent, { timeout: 25_000 }).toBeGreaterThanOrEqual(3);
  await expect.poll(total).toBe(before + 1);
  await expect.poll(() => page.evaluate(() => localStorage.getItem("kind-grip.outbox"))).toBe("[]");
});

test("the run keeps time by the clock, not by its pictures", async ({ page }) => {
  await signIn(page);
  await page.getByRole("link", { name: "Lead it" }).click();
  await page.getByRole("button", { name: "Start" }).click();
  const left = async () => {
    const text = (await page.getByLabel("Time left").textContent())!;
    const [minutes, seconds] = text
      .slice(1)
      .split("'")
      .map((part) => parseInt(part, 10));
    return minutes! * 60 + seconds!;
  };
  const [from, start] = [await left(), await page.evaluate(() => performance.now())];
  // The page is blocked for whole seconds, as a sleeping tab is.
  await page.evaluate(() => {
    const until = performance.now() + 3500;
    while (performance.now() < until);
  });
  // The first picture after it may be a moment away; time that was lost would stay lost.
  await expect
    .poll(async () => {
      const [to, now] = [await left(), await page.evaluate(() => performance.now())];
      return Math.abs(from - to - (now - start) / 1000);
    })
    .toBeLessThanOrEqual(1.1);
});

test("a database that dies is said calmly and comes back by itself", async ({ page }) => {
  await signIn(page);
  process.kill(Number(readFileSync(path.join(process.env.JOURNEY_DATA!, "mariadb/pid"), "utf8")), "SIGKILL");
  await page.goto("/crews");
  await expect(page.getByText("The records cannot be reached at the moment.")).toBeVisible();
  await expect(page.getByRole("heading", { name: "Crews" })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole("link", { name: /Ridgeline slate crew/ })).toBeVisible();
  await expect(page.getByText("The records cannot be reached at the moment.")).toBeHidden();
});
