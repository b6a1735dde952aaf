/** A trainer's whole day with nothing but a telephone: a crew made, a program, a day, a run by touch, what came of it. */
import { expect, test, type Page } from "@playwright/test";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { signIn } from "./browser";

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

const CREW = "Cellar vat crew";
const saved = (page: Page) => expect(page.getByText("Saved", { exact: true }).first()).toBeVisible();

/** Nothing runs out of the page sideways. */
async function fits(page: Page): Promise<void> {
  const { address, wide, window } = await page.evaluate(() => ({
    address: location.pathname,
    wide: document.documentElement.scrollWidth,
    window: document.documentElement.clientWidth,
  }));
  expect.soft([address, wide]).toEqual([address, window]);
}

async function toStep(page: Page, name: string): Promise<void> {
  await page.getByRole("navigation", { name: "Steps of this crew" }).getByRole("link", { name }).tap();
  await expect(page.getByRole("status", { name: "Loading" })).toHaveCount(0);
  await fits(page);
}

test("a trainer's whole day on a telephone", async ({ page }) => {
  test.setTimeout(180_000);
  const button = (name: string | RegExp) => page.getByRole("button", { name });

  await test.step("the morning: what is next, and who needs an answer", async () => {
    await signIn(page);
    await expect(page.getByRole("region", { name: "Next run" })).toBeVisible();
    await expect(page.getByRole("region", { name: "Needs you" })).toBeVisible();
    await fits(page);
  });

  await test.step("a crew and its people", async () => {
    await page.getByRole("link", { name: "Crews" }).tap();
    await page.getByRole("link", { name: "Make a crew" }).tap();
    await page.getByLabel("Name of the crew").fill(CREW);
    await page.getByLabel("Trade").fill("Cheese making");
    await page.getByRole("textbox", { name: "Place" }).fill("Cellar 2");
    await fits(page);
    await button("Make the crew").tap();
    await expect(page.getByRole("heading", { name: "0 people" })).toBeVisible();
    for (const name of ["Alder Finch", "Bryony Wick", "Corin Vale"]) {
      await button("Add a person").first().tap();
      await page.getByRole("dialog").getByLabel("Name").fill(name);
      await button("Save").tap();
      await expect(page.getByRole("dialog")).toHaveCount(0);
    }
    await expect(page.getByRole("heading", { name: "3 people" })).toBeVisible();
    await fits(page);
  });

  await test.step("a program from the library, by the finger", async () => {
    await toStep(page, "Program");
    await button("Start a program").tap();
    await page.getByRole("button", { name: "Session", exact: true }).tap();
    await page.getByRole("menuitem", { name: "Pre-shift" }).tap();
    for (const name of ["Fist and star", "Wrist circle", "Palm-away stretch"]) await button(`Add ${name}`).tap();
    await expect(page.getByRole("option")).toHaveCount(3);
    await button("Repetitions: more").tap();
    await expect(page.getByRole("textbox", { name: "Repetitions" })).toHaveValue("9");
    await saved(page);
    await fits(page);
  });

  await test.step("a finger that moves along the library scrolls, one that stays takes a movement along", async () => {
    const touch = await page.context().newCDPSession(page);
    const entry = page.getByRole("list", { name: "Movements" }).getByText("Shake-out", { exact: true });
    await entry.scrollIntoViewIfNeeded();
    const middleOf = async () => {
      const box = (await entry.boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const finger = (type: "touchStart" | "touchMove" | "touchEnd", at: { x: number; y: number }) =>
      touch.send("Input.dispatchTouchEvent", { type, touchPoints: type === "touchEnd" ? [] : [at] });
    /** Puts a finger on the entry and pulls it up after a time. */
    const pull = async (afterMs: number) => {
      const from = await middleOf();
      await finger("touchStart", from);
      await page.waitForTimeout(afterMs);
      for (let by = 10; by <= 120; by += 10) await finger("touchMove", { ...from, y: from.y - by });
      return from.y;
    };
    // Pictures that come in while it is looked at would move it too.
    await expect(async () => {
      const at = (await middleOf()).y;
      await page.waitForTimeout(300);
      expect((await middleOf()).y).toBe(at);
    }).toPass();
    const dragged = () => entry.evaluate((each) => each.closest<HTMLElement>("[style*=translate]")?.style.transform ?? null);
    const scrolledFrom = await pull(0);
    expect(await dragged()).toBeNull();
    await finger("touchEnd", { x: 0, y: 0 });
    await expect.poll(async () => scrolledFrom - (await middleOf()).y).toBeGreaterThan(60);

    await pull(400);
    await expect.poll(dragged).toMatch(/, -\d+px/);
    await finger("touchEnd", { x: 0, y: 0 });
    await expect.poll(dragged).toBeNull();
    // Let go over the session it is in it; a tap right after a drag is taken for its end.
    await expect(page.getByRole("option", { name: /Shake-out/ })).toBeVisible();
    await saved(page);
  });

  await test.step("on every shift, from top to bottom of the day", async () => {
    await toStep(page, "Day plan");
    await button("Place a session on Monday").tap();
    await page.getByRole("menuitem").first().tap();
    await expect(button(/^Warm-up at 07:00/)).toHaveCount(5);
    const thursday = page.getByRole("region", { name: /^Thursday/ });
    await thursday.getByRole("button", { name: /^Warm-up at/ }).tap();
    // What is chosen stands with its day, not at the end of the week.
    const panel = thursday.getByRole("region", { name: "Chosen session" });
    await panel.getByLabel("Starts").fill("07:20");
    await panel.getByLabel("Starts").press("Enter");
    await expect(thursday.getByRole("button", { name: /^Warm-up at 07:20/ })).toBeVisible();
    await thursday.getByRole("button", { name: /^Warm-up at 07:20/ }).focus();
    await page.keyboard.press("ArrowDown");
    await expect(thursday.getByRole("button", { name: /^Warm-up at 07:25/ })).toBeFocused();
    await page.keyboard.press("ArrowUp");
    await expect(button(/^Warm-up at 07:00/)).toHaveCount(4);
    await saved(page);
    await fits(page);
  });

  await test.step("led by touch, ended early", async () => {
    await page
      .getByRole("navigation", { name: "Places" })
      .getByRole("link", { name: /Today$/ })
      .tap();
    await page.getByRole("link", { name: `Lead Warm-up, ${CREW}` }).tap();
    await fits(page);
    await button("Start").tap();
    await expect(page.getByRole("heading", { name: "Fist and star" })).toBeVisible();
    await button(/^Skip/).tap();
    await expect(page.getByRole("heading", { name: "Wrist circle" })).toBeVisible();
    await button(/^Bryony Wick/).tap();
    await page.getByRole("menuitem", { name: "Too much" }).tap();
    await expect(page.getByRole("menu")).toBeHidden();
    await fits(page);
    await test.step("the steps are read in words where the figure was", async () => {
      await button("In words").tap();
      const inWords = page.getByRole("region", { name: "Wrist circle" });
      await expect(inWords.getByRole("listitem").first()).toBeInViewport();
      await fits(page);
      expect.soft(await axeViolationsOn(page, WCAG, true)).toEqual([]);
      await button("The picture").tap();
      await expect(inWords).toBeHidden();
    });
    await test.step("laid on its side, everything is beside each other", async () => {
      await page.setViewportSize({ width: 844, height: 390 });
      await fits(page);
      const parts = [page.getByRole("heading", { name: "Wrist circle" }), page.locator(".figure").first(), button("Pause"), button("Stop")];
      for (const part of parts) {
        const { x, y, width, height } = (await part.boundingBox())!;
        expect.soft([x >= 0, y >= 0, x + width <= 844, y + height <= 390, height > 20]).toEqual([true, true, true, true, true]);
      }
      await page.setViewportSize({ width: 390, height: 844 });
    });
    await button("Stop").tap();
  });

  await test.step("who was there, how hard, and the record of it", async () => {
    await button("Corin Vale was here").tap();
    await button("Alder Finch: 3").tap();
    await button("Keep this run").tap();
    await expect(page.getByText(/^Warm-up is kept: 2 people/)).toBeVisible();
    await page.getByRole("link", { name: "Crews" }).tap();
    await page.getByRole("link", { name: CREW }).first().tap();
    await toStep(page, "Runs");
    await expect(page.getByText("2 of 3")).toBeVisible();
    await toStep(page, "Progress");
    await toStep(page, "Report");
  });
});
