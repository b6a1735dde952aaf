/** One movement of a practice's own, all the way: made in the studio, put into a session, led, followed on a phone, subscribed to, printed. */
import { execFileSync } from "node:child_process";
import { writeFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { signIn, skipUntil } from "./browser";

// What moves here has to move.
test.use({ contextOptions: { reducedMotion: "no-preference" } });

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, timezoneId: "Europe/Dublin" };
const NAME = "Hook and unroll";

test("a custom movement is made, led, followed on a phone, subscribed to and printed", async ({ page, browser }) => {
  await signIn(page);
  const get = async <Body>(path: string) => (await (await page.request.get(path)).json()) as Body;
  const crewId = (await get<{ id: string; name: string }[]>("/api/crews")).find(({ name }) => name.startsWith("Tansy"))!.id;
  const [program] = await get<{ id: string; program: { sessions: { id: string; name: string; slot: string }[] } }[]>(
    `/api/crews/${crewId}/programs`,
  );
  const session = program!.program.sessions.find(({ slot }) => slot === "break")!;
  let movementId = "";

  await test.step("made in the studio, with an easier form; a draft that is given up leaves no trace", async () => {
    await page.goto("/library/studio");
    await page.getByLabel("Name", { exact: true }).fill(NAME);
    await page.getByLabel("Steps").fill("Make a hook.\nUnroll it.");
    await page.getByLabel("Where it is felt").fill("The palm.");
    await page.getByRole("button", { name: "Add an easier form" }).click();
    await page.getByRole("textbox", { name: "Form 1" }).fill("Half a hook");
    await page.getByRole("textbox", { name: "Form 2" }).fill("A whole hook");
    await page.getByRole("button", { name: "Getting ready: more" }).click();
    await page.getByRole("button", { name: "Save to the library" }).click();
    await expect(page.getByRole("heading", { level: 1, name: NAME })).toBeVisible();
    movementId = new URL(page.url()).pathname.split("/").at(-1)!;
    await expect(page.getByRole("button", { name: /Half a hook/ })).toBeVisible();
    await page.goto("/library/studio");
    await expect(page.getByLabel("Name", { exact: true })).toHaveValue("");
  });

  await test.step("an edit is seen at once: the old drawing does not stay", async () => {
    await page.goto(`/library/${movementId}`);
    const picture = page.getByRole("list", { name: "Start and end" }).locator("svg").last();
    await page.getByRole("button", { name: "Freeze" }).click();
    const before = await picture.innerHTML();
    await page.getByRole("link", { name: "Change it in the studio" }).click();
    await page.getByRole("textbox", { name: "Wrist, degrees" }).fill("55");
    await page.getByRole("button", { name: "Save", exact: true }).click();
    await expect(page.getByRole("heading", { level: 1, name: NAME })).toBeVisible();
    await page.getByRole("button", { name: "Freeze" }).click();
    await expect.poll(() => picture.innerHTML()).not.toBe(before);
  });

  await test.step("into a session, and on the hand-out", async () => {
    await page.goto(`/crews/${crewId}/program/${program!.id}`);
    await page.getByRole("button", { name: new RegExp(session.name) }).click();
    await page.getByPlaceholder("Find a movement").fill(NAME);
    await page.getByRole("button", { name: `Add ${NAME}` }).click();
    await expect(page.getByText("Saved", { exact: true }).first()).toBeVisible();
    const paper = await page.request.get(`/api/programs/${program!.id}/hand-out.pdf`);
    const file = test.info().outputPath("hand-out.pdf");
    writeFileSync(file, await paper.body());
    expect((await paper.body()).subarray(0, 5).toString()).toBe("%PDF-");
    expect(execFileSync("pdftotext", [file, "-"]).toString()).toContain(NAME);
  });

  await test.step("led: its name, its figure, easier for everybody", async () => {
    await page.goto(`/crews/${crewId}/run/${program!.id}/${session.id}`);
    await page.getByRole("button", { name: "Start", exact: true }).click();
    const next = page.getByRole("button", { name: /^Skip/ });
    await skipUntil(next, page.getByRole("heading", { name: NAME }));
    await expect(page.locator("[data-place] svg").first()).toBeVisible();
    await page
      .getByRole("button", { name: /Easier/ })
      .first()
      .click();
    await expect(page.getByText("Half a hook").first()).toBeVisible();
  });

  await test.step("followed on a phone: name, figure, time, and Easier", async () => {
    const people = await get<{ id: string }[]>(`/api/crews/${crewId}/people`);
    const out = new Set((await get<{ personId: string }[]>(`/api/crews/${crewId}/participation`)).map(({ personId }) => personId));
    const { csrfToken } = await get<{ csrfToken: string }>("/api/me");
    const person = people.find(({ id }) => !out.has(id))!;
    const issued = await page.request.post(`/api/crews/${crewId}/access`, {
      data: { personIds: [person.id] },
      headers: { "x-csrf-token": csrfToken },
    });
    const { cards } = (await issued.json()) as { cards: { token: string }[] };
    const phone = await (await browser.newContext(PHONE)).newPage();
    await phone.goto(`/me/sign-in#card=${cards[0]!.token}`);
    await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();
    await phone.goto(`/me/session/${session.id}`);
    await expect(phone.getByText(NAME)).toBeVisible();
    await phone.getByRole("button", { name: "Start" }).click();
    await skipUntil(phone.getByRole("button", { name: "Skip" }), phone.getByRole("heading", { name: NAME }));
    await expect(phone.locator("[data-place] svg").first()).toBeVisible();
    await phone.getByRole("button", { name: "Easier" }).click();
    await expect(phone.getByRole("heading", { name: NAME })).toBeVisible();
    await expect(phone.getByText("This page stopped working")).toHaveCount(0);
    await phone.context().close();
  });

  await test.step("subscribed to: the calendar names it and gives the session its whole length", async () => {
    const { csrfToken, account } = await get<{ csrfToken: string; account: { now: string } }>("/api/me");
    const made = await page.request.post(`/api/crews/${crewId}/calendar-links`, {
      data: { id: crypto.randomUUID(), name: "Journey", personId: null },
      headers: { "x-csrf-token": csrfToken },
    });
    const { path } = (await made.json()) as { path: string };
    const stranger = await browser.newContext();
    const text = (await (await stranger.request.get(path)).text()).replace(/\r\n /g, "");
    expect(text).toContain(NAME);
    expect(account.now).not.toBe("");
    await stranger.close();
  });
});
