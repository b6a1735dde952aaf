/** Every main view, and the phone: a title of its own, no error on the console, nothing serious for axe, in bright and dim light. */
import { expect, test, type Page } from "@playwright/test";
import type { RunOnly } from "axe-core";
import { signIn } from "./browser";
import { axeViolationsOn, WCAG } from "./axe-violations";

const crewId = async (page: Page, name: string) =>
  ((await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[]).find((crew) => crew.name.startsWith(name))!.id;

async function views(page: Page): Promise<[string, (() => Promise<void>)?][]> {
  const roof = await crewId(page, "Ridgeline");
  const spa = await crewId(page, "Stillwater");
  const [program] = (await (await page.request.get(`/api/crews/${roof}/programs`)).json()) as {
    id: string;
    program: { sessions: { id: string }[] };
  }[];
  const { runs } = (await (await page.request.get(`/api/crews/${roof}/runs`)).json()) as { runs: { id: string }[] };
  const [round] = (await (await page.request.get(`/api/crews/${roof}/rounds`)).json()) as { id: string }[];
  const people = (await (await page.request.get(`/api/crews/${roof}/people`)).json()) as { id: string; name: string }[];
  const dessa = people.find(({ name }) => name === "Dessa Quill")!.id;
  const run = `/crews/${roof}/run/${program!.id}/${program!.program.sessions[1]!.id}`;
  return [
    ["/today"],
    ["/crews"],
    ["/crews/new"],
    [`/crews/${roof}/people`],
    [`/crews/${roof}/people`, async () => page.getByRole("button", { name: /^Choose all/ }).click()],
    [`/crews/${roof}/people/${dessa}`],
    [`/crews/${roof}/people/${dessa}`, async () => page.getByRole("button", { name: "Change" }).click()],
    [`/crews/${spa}/people/import`],
    [`/crews/${roof}/people/held-out`],
    [`/crews/${roof}/people/held-out`, async () => page.getByRole("button", { name: "Enter a clearance for Edda Marrow" }).click()],
    [`/crews/${roof}/work`],
    [`/crews/${roof}/work?view=shift`],
    [`/crews/${roof}/work?view=need`],
    [`/crews/${roof}/work/briefing`],
    [`/crews/${roof}/baseline`],
    [`/crews/${roof}/baseline/${round!.id}`],
    [`/crews/${roof}/baseline/${round!.id}`, async () => page.getByRole("radio", { name: /Symptoms/ }).click()],
    [`/crews/${roof}/baseline/${round!.id}`, async () => page.getByRole("radio", { name: /Range/ }).click()],
    [`/crews/${roof}/baseline/${round!.id}`, async () => page.getByRole("radio", { name: /Grip/ }).click()],
    [`/crews/${roof}/baseline/${round!.id}/findings`],
    [`/crews/${roof}/baseline/${round!.id}/crew`],
    ["/practice/measuring"],
    [run, async () => page.getByRole("button", { name: /^Before and after/ }).click()],
    [
      run,
      async () =>
        page
          .getByRole("button", { name: /, large$/ })
          .first()
          .click(),
    ],
    [`/crews/${spa}/program`],
    [`/crews/${roof}/settings`],
    [`/crews/${roof}/program`],
    [`/crews/${roof}/program/${program!.id}`, async () => page.getByRole("option", { name: /Palm-away/ }).click()],
    [`/crews/${roof}/program/${program!.id}`, async () => page.getByRole("button", { name: /Active-assisted/ }).click()],
    [`/crews/${roof}/program/${program!.id}/block`],
    [`/crews/${roof}/program/${program!.id}/hand-out?language=ar`, async () => page.getByRole("heading", { level: 3 }).first().waitFor()],
    [
      `/crews/${roof}/day-plan`,
      async () =>
        page
          .getByRole("button", { name: /^Ridge break at/ })
          .first()
          .click(),
    ],
    [
      `/crews/${spa}/bookings`,
      async () =>
        page
          .getByRole("button", { name: /^Deep tissue, .*Arrow keys/ })
          .first()
          .press("Enter"),
    ],
    [`/crews/${spa}/bookings`, async () => page.getByRole("button", { name: "Calendars" }).click()],
    [`/crews/${spa}/bookings`, async () => page.getByRole("button", { name: /^Choose date/ }).click()],
    [`/crews/${spa}/work?view=shift`],
    [`/crews/${roof}/work?view=opinions`],
    [`/crews/${roof}/runs`],
    [`/crews/${roof}/runs/${runs[0]!.id}`],
    [`/crews/${roof}/progress`, async () => page.getByRole("article").first().waitFor()],
    [`/crews/${roof}/progress?view=figures`, async () => page.locator(".main-svg").first().waitFor()],
    [`/crews/${roof}/progress?view=review`, async () => page.locator(".main-svg").first().waitFor()],
    [`/crews/${roof}/progress?view=history`, async () => page.getByRole("article").first().waitFor()],
    [`/crews/${roof}/report`, async () => page.getByText("people these figures are of").first().waitFor()],
    [`/crews/${roof}/people/cards`],
    [`/crews/${roof}/day-plan`, async () => page.getByRole("button", { name: "Plan a day" }).click()],
    [`/crews/${roof}/day-plan`, async () => page.getByRole("button", { name: "Reminders" }).click()],
    [`/crews/${roof}/day-plan`, async () => page.getByRole("button", { name: "Groups" }).click()],
    ["/week?leader=everybody"],
    [
      "/week?leader=everybody",
      async () =>
        page
          .getByRole("button", { name: /Webbing break/ })
          .last()
          .click(),
    ],
    ["/library"],
    ["/library?region=thumbBase&phase=stretch"],
    ["/library/median-glide"],
    ["/library/studio"],
    ["/library/studio", async () => page.getByRole("radio", { name: "Picture" }).click()],
    ["/bench/lever"],
    ["/bench/kit"],
    ["/bench/tape"],
    ["/bench/dose"],
    [`/crews/${roof}/program/compose`, async () => page.getByRole("heading", { name: "Warm-up" }).waitFor()],
    ["/practice"],
    ["/practice/tokens", async () => page.getByRole("button", { name: "Make a token" }).click()],
    [
      "/practice/api",
      async () =>
        page
          .getByRole("button", { name: /^PUT .*\/plan\// })
          .first()
          .click(),
    ],
    ["/nothing-here"],
    [run],
    [run, async () => page.getByRole("button", { name: "Start", exact: true }).click()],
    [
      run,
      async () => {
        await page.getByRole("button", { name: "Go on from there" }).click();
        await page.keyboard.press("s");
        await page.getByRole("heading", { name: "How hard was it?" }).waitFor();
      },
    ],
  ];
}

/** The long form looks at every view in every width and light: `LONG_TESTS=1 npm run test:e2e -- views`. */
const LONG = process.env.LONG_TESTS === "1";
const errors: string[] = [];

test.beforeEach(async ({ page }) => {
  errors.length = 0;
  page.on("pageerror", (error) => errors.push(error.message));
  page.on("console", (message) => message.type() === "error" && !message.text().includes("404") && errors.push(message.text()));
  // A hand that moves is a picture that is never done; it is looked at standing still.
  await page.emulateMedia({ reducedMotion: "reduce" });
  // What fades has no contrast yet.
  await page.addInitScript(() =>
    addEventListener("DOMContentLoaded", () => {
      const still = document.createElement("style");
      still.textContent = "*, *::before, *::after { transition: none !important; animation: none !important }";
      document.head.append(still);
    }),
  );
});

/** What axe finds serious on the page as it is: everything, or the contrast of the dim floor only, which changes colours and nothing else. */
async function look(page: Page, address: string, dim: boolean): Promise<void> {
  // Not by role: behind an open dialog the page's title is there, but hidden from it.
  await page.locator("h1, h2").first().waitFor({ state: "attached", timeout: 60_000 });
  await expect(page.getByRole("status", { name: "Loading" })).toHaveCount(0);
  const check = async (floor: string, runOnly: RunOnly) =>
    expect.soft((await axeViolationsOn(page, runOnly)).map((problem) => `${address}, ${floor}: ${problem}`)).toEqual([]);
  await check("bright", WCAG);
  if (!dim) return;
  await narrow(page, address);
  const floor = (name: string) => page.evaluate((value) => document.documentElement.setAttribute("data-floor", value), name);
  await floor("dark");
  await check("dim", { type: "rule", values: ["color-contrast"] });
  await floor("light");
}

/** A large screen, a small one, one at twice the size, and two telephones. */
const WIDTHS = [1920, 1024, 640, 390, 320] as const;
const TELEPHONE = 390;
const TALL = 7000;
/** What a width can change: everything else was looked at in the wide window. */
const NARROW_RULES: RunOnly = { type: "rule", values: ["target-size", "color-contrast", "scrollable-region-focusable"] };

/** A window that is resized while a style sheet grows is now and then left by Chromium with the styles of its old width. */
const matchWidthAnew = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const sheet = document.createElement("style");
    sheet.textContent = "* { --match: anew }";
    document.head.append(sheet);
    void document.body.offsetWidth;
    sheet.remove();
  });

/** What makes the page wider than its window, if it is. */
const stickingOut = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth <= clientWidth) return [];
    const parts = [...document.body.querySelectorAll("*")].filter((part) => part.getBoundingClientRect().right > clientWidth + 1);
    return parts.slice(0, 8).map((part) => `${part.outerHTML.slice(0, 90)} to ${Math.round(part.getBoundingClientRect().right)} px`);
  });

/** In every width, down to the telephone of a trainer on the floor: nothing runs out of the page sideways, and what is pressed is large enough. */
async function narrow(page: Page, address: string): Promise<void> {
  const wide = page.viewportSize()!;
  if (wide.width <= TELEPHONE) return;
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: wide.height });
    await matchWidthAnew(page);
    await expect
      .soft(async () => expect([address, width, ...(await stickingOut(page))]).toEqual([address, width]))
      .toPass({ timeout: 3000 });
    if (width !== TELEPHONE) continue;
    // So tall that nothing lies under the bar at its foot; a run fills whatever window there is.
    if (!address.includes("/run/")) await page.setViewportSize({ width, height: TALL });
    const problems = await axeViolationsOn(page, NARROW_RULES, true);
    expect.soft(problems.map((problem) => `${address}, ${width} px: ${problem}`)).toEqual([]);
  }
  await page.setViewportSize(wide);
}

/** Moves within the application as a link does. */
async function go(page: Page, address: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, "", to);
    dispatchEvent(new PopStateEvent("popstate", { state: null }));
  }, address);
  // The old page stands until the new one is loaded; a frame or two, then its data.
  await page.waitForTimeout(150);
  await page.waitForLoadState("networkidle");
}

test("axe finds nothing serious on any main view, on the bright floor and the dim one", async ({ page }) => {
  // A busy machine takes several times as long; what matters is that it ends.
  test.setTimeout(LONG ? 1_200_000 : 420_000);
  await page.goto("/sign-in");
  await look(page, "/sign-in", true);
  await signIn(page);
  const titles = new Set<string>();
  for (const [i, [address, then]] of (await views(page)).entries()) {
    // A run begins on a page of its own; the others are gone to.
    if (address.includes("/run/") || page.url().endsWith(address)) await page.goto(address);
    else await go(page, address);
    await then?.();
    if (then) await page.waitForTimeout(350);
    // All pages share their colours and parts: every fifth view is enough narrow and on the dim floor, and those of a run, made for it.
    await look(page, address, LONG || i % 5 === 0 || address.includes("/run/"));
    titles.add(await page.title());
    if (then) await page.keyboard.press("Escape");
  }
  expect(titles.size).toBeGreaterThanOrEqual(27);
  expect(errors).toEqual([]);
});

test("axe finds nothing serious on a crew member's phone", async ({ page }) => {
  // Tall enough that nothing lies under the bar at the foot.
  await page.setViewportSize({ width: 390, height: 1800 });
  await page.goto("/me/sign-in");
  await look(page, "/me/sign-in", true);
  await page.getByLabel("Crew code").fill("RDGE24");
  await page.getByLabel("PIN").fill("001-24680");
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.getByRole("heading", { name: /^Hello/ }).waitFor();
  await look(page, "/me", true);
  for (const address of ["/me/check-in", "/me/tell", "/me/progress", "/me/everything"]) {
    await go(page, address);
    await look(page, address, true);
  }
  await go(page, "/me");
  await page
    .getByRole("link", { name: /^Start: / })
    .first()
    .click();
  await page.getByRole("button", { name: "Start" }).waitFor();
  await look(page, "before following", true);
  await page.getByRole("button", { name: "Start" }).click();
  await page.getByRole("button", { name: "Skip" }).waitFor();
  await look(page, "following", true);
  expect(errors).toEqual([]);
});
