/** Every main view: a title of its own, no error on the console, nothing serious for axe, in bright and dim light. */
import AxeBuilder from "@axe-core/playwright";
import { expect, test, type Page } from "@playwright/test";
import { signIn } from "./browser";

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
  const run = `/crews/${roof}/run/${program!.id}/${program!.program.sessions[1]!.id}`;
  return [
    ["/today"],
    ["/crews"],
    ["/crews/new"],
    [`/crews/${roof}/people`],
    [`/crews/${roof}/people`, async () => page.getByRole("button", { name: "Dessa Quill" }).click()],
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
    [`/crews/${spa}/program`],
    [`/crews/${roof}/settings`],
    [`/crews/${roof}/program`],
    [`/crews/${roof}/program/${program!.id}`, async () => page.getByRole("option", { name: /Palm-away/ }).click()],
    [`/crews/${roof}/program/${program!.id}`, async () => page.getByRole("button", { name: /Active-assisted/ }).click()],
    [
      `/crews/${roof}/day-plan`,
      async () =>
        page
          .getByRole("button", { name: /^Ridge break at/ })
          .first()
          .click(),
    ],
    [`/crews/${spa}/day-plan`],
    [`/crews/${roof}/runs`],
    [`/crews/${roof}/runs/${runs[0]!.id}`],
    [`/crews/${roof}/progress`, async () => page.getByRole("article").first().waitFor()],
    [`/crews/${roof}/progress?view=figures`, async () => page.locator(".main-svg").first().waitFor()],
    [`/crews/${roof}/progress?view=review`, async () => page.locator(".main-svg").first().waitFor()],
    [`/crews/${roof}/progress?view=history`, async () => page.getByRole("article").first().waitFor()],
    [`/crews/${roof}/report`, async () => page.getByText("people took part").waitFor()],
    [`/crews/${roof}/people/cards`],
    [`/crews/${roof}/day-plan`, async () => page.getByRole("button", { name: "Plan a day" }).click()],
    [`/crews/${roof}/day-plan`, async () => page.getByRole("button", { name: "Reminders" }).click()],
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

for (const floor of ["light", "dark"] as const) {
  test(`axe finds nothing serious on any main view, ${floor} floor`, async ({ page }) => {
    // A busy machine takes several times as long; what matters is that it ends.
    test.setTimeout(420_000);
    const errors: string[] = [];
    page.on("pageerror", (error) => errors.push(error.message));
    page.on("console", (message) => message.type() === "error" && !message.text().includes("404") && errors.push(message.text()));
    // A hand that moves is a picture that is never done; it is looked at standing still.
    await page.emulateMedia({ reducedMotion: "reduce" });
    await page.addInitScript((mode) => localStorage.setItem("mui-mode", mode), floor);
    await page.goto("/sign-in");
    const check = async (address: string) => {
      // Not by role: behind an open dialog the page's title is there, but hidden from it.
      await page.locator("h1, h2").first().waitFor({ state: "attached", timeout: 60_000 });
      await expect(page.getByRole("status", { name: "Loading" })).toHaveCount(0);
      const all = new AxeBuilder({ page });
      // The dim floor changes colours and nothing else: their contrast is what is looked at there.
      const { violations } = await (
        floor === "dark" ? all.withRules(["color-contrast"]) : all.withTags(["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"])
      )
        .exclude(".js-plotly-plot")
        // A drawing is one picture with one text; its hundreds of strokes are nothing to look into.
        .exclude(".figure svg")
        .analyze();
      const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
      expect
        .soft(serious.map(({ id, nodes }) => `${address}: ${id} ${nodes.map((node) => node.html.slice(0, 160)).join(" | ")}`))
        .toEqual([]);
    };
    await check("/sign-in");
    await signIn(page);
    const titles = new Set<string>();
    for (const [i, [address, then]] of (await views(page)).entries()) {
      // All pages share their colours: every third view is enough there; those of a run build on one another.
      if (floor === "dark" && i % 3 !== 0 && !address.includes("/run/")) continue;
      await page.goto(address);
      await page.waitForLoadState("networkidle");
      await then?.();
      // Dialogs and menus fade in; what fades has no contrast yet.
      if (then) await page.waitForTimeout(350);
      await check(address);
      titles.add(await page.title());
    }
    expect(titles.size).toBeGreaterThanOrEqual(floor === "light" ? 27 : 9);
    expect(errors).toEqual([]);
  });
}
