/** The whole job once: from a crew list to a led session and its log. */
import { readFileSync } from "node:fs";
import path from "node:path";
import { expect, test, type Page } from "@playwright/test";
import { signIn, toStep } from "./browser";

test.use({ contextOptions: { reducedMotion: "no-preference" } });

const downloaded = async (page: Page, press: () => Promise<void>): Promise<Buffer> => {
  const [download] = await Promise.all([page.waitForEvent("download"), press()]);
  return readFileSync(await download.path());
};
const saved = (page: Page) => expect(page.getByText("Saved", { exact: true }).first()).toBeVisible();

test("from a crew list to a led session and its log", async ({ page }) => {
  await signIn(page);
  await expect(page.getByRole("region", { name: "Next run" })).toContainText("Yard warm-up");

  await test.step("make a crew", async () => {
    await page.getByRole("link", { name: "Crews" }).click();
    await page.getByRole("link", { name: "Make a crew" }).click();
    await page.getByRole("button", { name: "Make the crew" }).click();
    await expect(page.getByText("Some fields need another look.")).toBeVisible();
    await page.getByLabel("Name of the crew").fill("Harrow stone yard");
    await page.getByLabel("Trade").fill("Masonry");
    await page.getByRole("textbox", { name: "Place" }).fill("Yard 3");
    await page.getByRole("button", { name: "Table" }).click();
    await page.getByRole("button", { name: "4 on, 4 off" }).click();
    await page.getByRole("button", { name: "Make the crew" }).click();
    await expect(page.getByRole("heading", { name: "0 people" })).toBeVisible();
  });

  await test.step("bring in the messy list; only the good rows, only when told to", async () => {
    await page.getByRole("link", { name: "Bring in a list" }).click();
    await page.getByLabel("Roster file").setInputFiles(path.resolve(import.meta.dirname, "../web/public/sample-roster.csv"));
    await expect(page.getByText("10 rows, semicolons")).toBeVisible();
    await page.getByRole("radio", { name: "4 to look at" }).click();
    await expect(page.getByText("also on line 2")).toBeVisible();
    await expect(page.getByText("is not a day of the calendar")).toBeVisible();
    await page.getByRole("button", { name: "Keep 6 new, leave out 4" }).click();
    await expect(page.getByRole("heading", { name: "6 people" })).toBeVisible();
    await page.getByRole("link", { name: "Bertil Østrand" }).click();
    await page.getByRole("button", { name: "Change" }).click();
    await page.getByRole("button", { name: "Leaves today" }).click();
    await expect(page.getByText("Bertil Østrand leaves today.")).toBeVisible();
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(page.getByText(/here since/)).not.toContainText("until");
    await page.getByRole("button", { name: "Change" }).click();
    await expect(page.getByRole("group", { name: "Last day" }).getByRole("spinbutton").first()).not.toHaveAttribute("aria-valuenow");
    await page.getByRole("button", { name: "Cancel" }).click();
    await page.getByRole("link", { name: "People" }).last().click();
    const csv = await downloaded(page, () => page.getByRole("link", { name: "CSV" }).click());
    expect(csv.toString("utf8")).toContain("Bertil Østrand,KM-202,right,2021-11-17,");
  });

  await test.step("put a program together on the score", async () => {
    await toStep(page, "Program");
    await page.getByRole("button", { name: "Start a program" }).click();
    await page.getByRole("button", { name: "Session", exact: true }).click();
    await page.getByRole("menuitem", { name: "Pre-shift" }).click();
    for (const name of ["Fist and star", "Wrist circle", "Palm-away stretch"])
      await page.getByRole("button", { name: `Add ${name}` }).click();
    const tabs = page.getByRole("option");
    await expect(tabs).toHaveCount(3);
    await expect(page.getByRole("status").filter({ hasText: "spare" })).toContainText("4 min 3 s spare");

    // By keyboard: move the stretch to the front, double it, take it out again.
    const score = page.getByRole("listbox");
    await score.focus();
    await page.keyboard.press("Alt+ArrowLeft");
    await page.keyboard.press("Alt+ArrowLeft");
    await expect(tabs.first()).toHaveAccessibleName(/^1\. Palm-away/);
    await page.keyboard.press("d");
    await expect(tabs).toHaveCount(4);
    await page.keyboard.press("Delete");
    await expect(tabs).toHaveCount(3);
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(tabs).toHaveCount(4);
    await page.getByRole("button", { name: "Redo" }).click();
    await expect(tabs).toHaveCount(3);
  });

  await test.step("pull an edge; what alternating saves; who does the easier form", async () => {
    await page.getByRole("option", { name: /Palm-away/ }).click();
    const count = page.getByRole("slider", { name: "Sets" });
    const box = (await count.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 190, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
    await expect(count).toHaveAttribute("aria-valuenow", "2");
    await page.getByRole("button", { name: "Rest: more" }).click({ clickCount: 1 });
    await page.getByRole("textbox", { name: "Rest" }).fill("20");
    await page.keyboard.press("Enter");
    await expect(page.getByRole("radio", { name: /Alternating/ })).toContainText("saves 34 s");
    await page.getByRole("radio", { name: /Alternating/ }).click();
    await page.getByRole("button", { name: "Somebody does an easier form" }).click();
    await page.getByRole("option", { name: "Alva Brightwater" }).click();
    await expect(page.getByLabel("Easier form")).toHaveText("Elbow bent square");
    await saved(page);
  });

  await test.step("drag to reorder", async () => {
    await page.getByRole("listbox", { name: /^Items of/ }).scrollIntoViewIfNeeded();
    const first = (await page.getByRole("option").first().boundingBox())!;
    const last = (await page.getByRole("option").last().boundingBox())!;
    await page.mouse.move(first.x + 30, first.y + 30);
    await page.mouse.down();
    await page.mouse.move(last.x + last.width - 8, last.y + 30, { steps: 12 });
    await page.mouse.up();
    await expect(page.getByRole("option").last()).toHaveAccessibleName(/Palm-away/);
    await saved(page);
  });

  await test.step("switch the style, the difference first", async () => {
    await page.getByRole("button", { name: /Active-assisted/ }).click();
    await page.getByRole("radio", { name: "Minute block" }).click();
    await expect(page.getByRole("dialog").getByRole("status")).toContainText("Fist and star: 8 times, 1 s out, stay 3 s, 1 s back → 60 s");
    await page.getByRole("dialog").getByRole("button", { name: "Keep doses I set by hand" }).click();
    await expect(page.getByRole("dialog").getByRole("status")).toContainText("(set by hand)");
    await page.getByRole("button", { name: "Switch the style" }).click();
    await saved(page);
    await page.getByRole("button", { name: "Undo" }).click();
    await saved(page);
  });

  await test.step("hand it out on paper and as a file, and bring the file in again", async () => {
    const pdf = await downloaded(page, () => page.getByRole("button", { name: "Hand-out", exact: true }).click());
    expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
    await page.getByRole("button", { name: "More", exact: true }).click();
    const file = await downloaded(page, () => page.getByRole("menuitem", { name: /Save as a file/ }).click());
    await toStep(page, "Program");
    await page.getByLabel("Program file").setInputFiles({
      name: "broken.json",
      mimeType: "application/json",
      buffer: Buffer.from(file.toString().replace('"palm-away"', '"moon-walk"')),
    });
    await expect(page.getByText('the library has no movement "moon-walk"')).toBeVisible();
    await page.getByLabel("Program file").setInputFiles({ name: "good.json", mimeType: "application/json", buffer: file });
    await expect(page.getByRole("option")).toHaveCount(3);
    await toStep(page, "Program");
    await expect(page.getByRole("link", { name: "Masonry hands" })).toHaveCount(2);
  });

  await test.step("place it on the shifts of the week", async () => {
    await toStep(page, "Day plan");
    await page.getByRole("button", { name: /^Place a session on Monday/ }).click();
    await page.getByRole("menuitem").first().click();
    // On every shift of its kind, from that day on.
    await expect(page.getByRole("button", { name: /^Warm-up at 07:00/ })).toHaveCount(4);
    await page
      .getByRole("button", { name: /^Warm-up at 07:00/ })
      .last()
      .focus();
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("button", { name: /^Warm-up at 07:05/ })).toHaveCount(1);
    await page.getByRole("button", { name: /^Place a session on Thursday/ }).click();
    await page.getByRole("menuitem").first().click();
    await expect(page.getByText(/run at the same time/).first()).toBeVisible();
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(page.getByText("No clashes")).toBeVisible();
    await saved(page);
    const ics = await downloaded(page, () => page.getByRole("link", { name: "Calendar" }).click());
    expect(ics.toString().match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(40);
  });

  await test.step("lead it; a reload in the middle goes on where it was", async () => {
    await page
      .getByRole("navigation", { name: "Places" })
      .getByRole("link", { name: /Today$/ })
      .click();
    await page.getByRole("link", { name: "Lead Warm-up, Harrow stone yard" }).click();
    await page.getByRole("button", { name: "Start" }).click();
    await expect(page.getByRole("heading", { name: "Fist and star" })).toBeVisible();
    await page.keyboard.press("ArrowRight");
    await expect(page.getByRole("heading", { name: "Wrist circle" })).toBeVisible();
    await page.keyboard.press(" ");
    await expect(page.getByText("Paused")).toBeVisible();
    const before = await page.getByLabel("Time left").textContent();
    await page.waitForTimeout(1200);
    expect(await page.getByLabel("Time left").textContent()).toBe(before);
    await page.reload();
    await page.getByRole("button", { name: "Go on from there" }).click();
    await expect(page.getByRole("heading", { name: "Wrist circle" })).toBeVisible();
    expect(await page.getByLabel("Time left").textContent()).toBe(before);
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("r");
    await page.getByRole("button", { name: "Corin Fallowes" }).isVisible();
    await page.getByRole("button", { name: /^Fenja Ironside/ }).click();
    await page.getByRole("menuitem", { name: "Easier: elbow bent square" }).click();
    await expect(page.getByRole("button", { name: "Fenja Ironside elbow bent square" })).toBeVisible();
    await page.getByRole("button", { name: /^Imre Larkspur/ }).click();
    await page.getByRole("menuitem", { name: "Tingling" }).click();
    await expect(page.getByText(/ease one step/)).toBeVisible();
    await expect(page.getByRole("menu")).toBeHidden();
    await page.keyboard.press("s");
  });

  await test.step("who was there, how hard, and the record of it", async () => {
    await page.getByRole("button", { name: "Gisla Jessamy was here" }).click();
    await page.getByRole("button", { name: "Alva Brightwater: 3" }).click();
    await page.getByRole("button", { name: "Fenja Ironside: 5" }).click();
    await page.getByRole("button", { name: "Keep this run" }).click();
    await expect(page.getByText("Warm-up is kept: 5 people, efforts of 2.")).toBeVisible();
    await page.getByRole("region", { name: "Harrow stone yard" }).getByRole("link", { name: "Harrow stone yard", exact: true }).click();
    await toStep(page, "Runs");
    await expect(page.getByRole("heading", { name: "1 run" })).toBeVisible();
    await expect(page.getByRole("row", { name: /Warm-up/ })).toContainText("5 of 6");
    await page.getByRole("link", { name: "Warm-up" }).click();
    await expect(page.getByText("Tingling (palm-away stretch)")).toBeVisible();
    await expect(page.getByText("Away: Gisla Jessamy")).toBeVisible();
    await toStep(page, "Progress");
    await page.getByRole("radio", { name: "Figures" }).click();
    await expect(page.getByRole("row", { name: /Fenja Ironside/ })).toContainText("1 of 1");
    await expect(page.getByRole("row", { name: /Fenja Ironside/ })).toContainText("5.0");
    await expect(page.locator(".main-svg").first()).toBeVisible();
  });

  await test.step("sign out", async () => {
    await page.getByRole("link", { name: "Practice" }).click();
    await page.getByRole("button", { name: "Sign out" }).click();
    await expect(page).toHaveURL(/sign-in/);
    await page.goto("/crews");
    await expect(page).toHaveURL(/sign-in\?next=%2Fcrews/);
  });
});
