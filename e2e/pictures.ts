/**
 * Takes the pictures of docs/screenshots and docs/composed from a running demo: `npm run pictures -- [--base URL] [--out DIR] [--only name,name]`.
 * Start the demo freshly (`bin/start --reset`) so that they come out the same each time.
 */
import path from "node:path";
import { parseArgs } from "node:util";
import { chromium, type Page } from "@playwright/test";
import { BROWSER, signIn } from "./browser";

const { values } = parseArgs({
  options: {
    base: { type: "string", default: "http://127.0.0.1:4100" },
    out: { type: "string" },
    only: { type: "string", default: "" },
  },
});

const docs = path.resolve(import.meta.dirname, "../docs");
const folderOf = (name: string) => values.out ?? path.join(docs, name.startsWith("compose-") ? "composed" : "screenshots");

type Picture = (page: Page, crew: (name: string) => Promise<string>) => Promise<void>;

const PICTURES: Record<string, Picture> = {
  today: (page) => goTo(page, "/today"),
  work: async (page, crew) => goTo(page, `/crews/${await crew("Ridgeline")}/work?view=opinions`),
  baseline: async (page, crew) => {
    await openRound(page, await crew("Ridgeline"), 0, "");
    await page.getByRole("radio", { name: /Symptoms/ }).click();
    await page.getByRole("button", { name: "Right thumb base" }).first().click();
    if (await page.getByText("not recorded until it is answered").isVisible()) {
      await page.getByRole("group", { name: "How much" }).getByRole("button", { name: "4 of 10" }).click();
      await page.getByRole("button", { name: "Ache" }).click();
      await page.getByRole("radio", { name: "Never at night" }).click();
    }
    await page.evaluate(() => scrollTo(0, 0));
    await page.waitForTimeout(1500);
  },
  bookings: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Stillwater")}/bookings`);
    await page
      .getByRole("button", { name: /Arrow keys move it/ })
      .first()
      .waitFor();
    await page.waitForTimeout(800);
  },
  library: (page) => goTo(page, "/library"),
  movement: (page) => goTo(page, "/library/median-glide"),
  person: async (page, crew) => {
    const crewId = await crew("Saltmarsh");
    await goTo(page, `/crews/${crewId}/people`);
    await page.getByRole("link", { name: "Emlyn Garrod" }).click();
    await page.getByRole("region", { name: "Everything on record" }).waitFor();
  },
  program: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Ridgeline")}/program`);
    await page.getByRole("link", { name: /block 1/ }).click();
    await page.getByRole("option", { name: /Palm-away/ }).click();
  },
  run: async (page, crew) => {
    const crewId = await crew("Saltmarsh");
    const [program] = (await (await page.request.get(`/api/crews/${crewId}/programs`)).json()) as [
      { id: string; program: { sessions: { id: string; slot: string }[] } },
    ];
    const session = program.program.sessions.find(({ slot }) => slot === "preShift")!;
    await goTo(page, `/crews/${crewId}/run/${program.id}/${session.id}`);
    const choose = async (group: string, language: string) =>
      page.getByRole("radiogroup", { name: group }).getByRole("radio", { name: language }).click();
    await choose("Language of the screen and the voice", "Español");
    await choose("Beside it", "Polski");
    await page.getByRole("button", { name: "Start", exact: true }).click();
    const now = page.getByRole("button", { name: "Start now" });
    if (await now.isVisible()) await now.click();
    for (let i = 0; i < 4; i++) await page.keyboard.press("ArrowRight");
    await page.keyboard.press("l");
    await page.waitForTimeout(2600);
    await page.keyboard.press(" ");
  },
  compose: async (page, crew) => composed(page, await crew("Ridgeline")),
  "compose-oyster": async (page, crew) => composed(page, await crew("Saltmarsh")),
  "compose-massage": async (page, crew) => composed(page, await crew("Stillwater")),
  "compose-upholstery": async (page, crew) => {
    const crewId = await crew("Tansy");
    // The demo leaves its work to be described: three tasks from the menu, as a trainer would begin.
    await goTo(page, `/crews/${crewId}/work`);
    for (const task of ["Stapling", "Stretching webbing", "Hand sewing"]) {
      if (
        await page
          .getByRole("list", { name: "Tasks" })
          .getByRole("button", { name: new RegExp(task) })
          .count()
      )
        continue;
      await page.getByRole("button", { name: "Add a task" }).click();
      await page.getByRole("menuitem", { name: new RegExp(`^${task}`) }).click();
    }
    // Nothing is saved where the tasks were there already.
    await page
      .getByText("Saved", { exact: true })
      .waitFor({ timeout: 10_000 })
      .catch(() => undefined);
    await composed(page, crewId);
  },
  decisions: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Ridgeline")}/progress`);
    await page.getByRole("article").first().waitFor();
    await page.waitForTimeout(1500);
  },
  review: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Ridgeline")}/progress?view=review`);
    await page.locator(".main-svg").first().waitFor();
  },
  report: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Saltmarsh")}/report`);
    await page.getByText("people these figures are of").first().waitFor();
    await page.getByRole("heading", { name: "What the program did" }).evaluate((heading) => heading.scrollIntoView());
  },
  week: async (page) => {
    await goTo(page, "/week?leader=everybody");
    await page
      .getByRole("button", { name: /Webbing break/ })
      .last()
      .click();
    await page.waitForTimeout(400);
    await page.keyboard.press("Escape");
  },
  phone: async (page, crew) => {
    const phone = await phoneOf(page, await crew("Tansy"), (names) => names.at(-1)!);
    await phone.getByRole("heading", { name: /^Hello/ }).waitFor();
    await phone.waitForTimeout(2500);
    await phone.screenshot({ path: path.join(folderOf("phone"), "phone.png") });
    await phone.close();
  },
  "hand-out": async (page, crew) => {
    const crewId = await crew("Ridgeline");
    const [program] = (await (await page.request.get(`/api/crews/${crewId}/programs`)).json()) as { id: string }[];
    await goTo(page, `/crews/${crewId}/program/${program!.id}/hand-out`);
    await page.getByRole("heading", { level: 3 }).first().waitFor();
    await page.waitForTimeout(1500);
  },
  rotation: async (page, crew) => {
    await goTo(page, `/crews/${await crew("Ridgeline")}/work?view=shift`);
    await page.getByRole("button", { name: "Level the hardest hand" }).click();
    await page.getByRole("combobox", { name: "Turns in a shift" }).click();
    await page.getByRole("option", { name: /^12 of/ }).click();
    await page.getByRole("button", { name: "Find the rotation" }).click();
    await page.getByText(/^No rotation leaves/).waitFor();
    await page.getByRole("region", { name: "What the day plan says to it" }).getByRole("listitem").first().waitFor();
    await page.getByRole("button", { name: "Find the rotation" }).evaluate((button) => button.scrollIntoView());
  },
  "phone-follow": async (page, crew) => {
    const phone = await phoneOf(page, await crew("Saltmarsh"), () => "Idris Kettle");
    await phone.getByRole("link", { name: /^ابدأ/ }).first().click();
    await phone.getByRole("button", { name: "ابدأ", exact: true }).click();
    const now = phone.getByRole("button", { name: "ابدأ الآن" });
    if (await now.isVisible()) await now.click();
    await phone.getByRole("button", { name: "تخطَّ" }).click();
    await phone.waitForTimeout(9000);
    await phone.getByRole("button", { name: "توقف" }).click();
    await phone.waitForTimeout(400);
    await phone.screenshot({ path: path.join(folderOf("phone-follow"), "phone-follow.png") });
    await phone.close();
  },
  /** Last: it leaves the oyster line with groups. */
  "day-plan": async (page, crew) => {
    await goTo(page, `/crews/${await crew("Saltmarsh")}/day-plan`);
    await page.getByRole("button", { name: "Groups" }).click();
    await page.getByRole("button", { name: /^Form them/ }).click();
    await page.getByRole("button", { name: "Done" }).click();
    await page.getByRole("button", { name: "Plan a day" }).click();
    await page.getByText(/^(Proven best|Within [\d.]+ %)/).waitFor();
    await page.getByRole("button", { name: /^Use it for every/ }).click();
    await page
      .getByRole("region", { name: "Thursday 26 March" })
      .getByRole("button", { name: /^Line break at/ })
      .first()
      .click();
    await page.evaluate(() => scrollTo(0, 230));
    await page.waitForTimeout(2500);
  },
};

/** The phone of somebody in a crew, opened by a new card. */
async function phoneOf(page: Page, crewId: string, choose: (names: string[]) => string): Promise<Page> {
  const people = (await (await page.request.get(`/api/crews/${crewId}/people`)).json()) as { id: string; name: string }[];
  await goTo(page, `/crews/${crewId}/people/cards`);
  await page.getByRole("button", { name: new RegExp(choose(people.map(({ name }) => name))) }).click();
  const made = page.waitForResponse((answer) => answer.url().endsWith("/access") && answer.request().method() === "POST");
  await page.getByRole("button", { name: "Make 1 card" }).click();
  const { cards } = (await (await made).json()) as { cards: { token: string }[] };
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: values.base, serviceWorkers: "block" });
  await phone.goto(`/me/sign-in#card=${cards[0]!.token}`);
  return phone;
}

async function composed(page: Page, crewId: string): Promise<void> {
  await goTo(page, `/crews/${crewId}/program/compose`);
  await page.getByText(/of the best there is|Proven best/).waitFor();
  // What comes after the best: notches, then others beside it.
  await page
    .getByRole("region", { name: "Side by side" })
    .waitFor({ timeout: 20_000 })
    .catch(() => undefined);
  await page.waitForTimeout(1500);
}

/** @param index 0 is the newest */
async function openRound(page: Page, crewId: string, index: number, rest: string): Promise<void> {
  const rounds = (await (await page.request.get(`/api/crews/${crewId}/rounds`)).json()) as { id: string }[];
  await goTo(page, `/crews/${crewId}/baseline/${rounds[index]!.id}${rest}`);
}

async function goTo(page: Page, address: string): Promise<void> {
  await page.goto(values.base + address);
  await page.waitForLoadState("networkidle");
}

const browser = await chromium.launch(BROWSER);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: values.base });
page.on("console", (message) => message.type() === "error" && process.stderr.write(`${message.text()}\n`));
page.on("pageerror", (error) => process.stderr.write(`${error.stack}\n`));
await signIn(page);
const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
const crew = async (name: string) => crews.find((each) => each.name.startsWith(name))!.id;
const wanted = values.only ? values.only.split(",") : Object.keys(PICTURES);
for (const name of wanted) {
  // A composed program is shown whole.
  await page.setViewportSize({ width: 1280, height: name.startsWith("compose-") ? 1900 : 800 });
  await PICTURES[name]!(page, crew);
  await page.waitForTimeout(350);
  await page.waitForFunction(() =>
    [...document.querySelectorAll(".figure")].every((sheet) => {
      const { top, bottom } = sheet.getBoundingClientRect();
      return bottom < 0 || top > innerHeight || sheet.firstElementChild !== null;
    }),
  );
  if (!name.startsWith("phone")) await page.screenshot({ path: path.join(folderOf(name), `${name}.png`) });
  process.stdout.write(`${name}\n`);
}
await browser.close();
