/**
 * A week of bookings: brought in from a file, resets laid, one late, one cancelled, one moved in the calendar it is kept in; and what the
 * therapist's phone makes of it within two seconds.
 */
import { expect, test, type Page } from "@playwright/test";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { signIn } from "./browser";

/** Of the calendar that ships with the application: three ports above the server's own. */
const CALENDAR = "http://127.0.0.1:4202";

const WEEK = ["2026-04-14", "2026-04-15", "2026-04-16", "2026-04-17", "2026-04-18"];
const TIMES = ["10:00", "11:10", "12:15", "14:00", "15:10"];
const csv = [
  "Week 16;;;;",
  "Therapeutin;Datum;Von;Minuten;Behandlung",
  ...WEEK.flatMap((date) =>
    TIMES.map(
      (time, i) => `Orla Pemberley;${date.split("-").reverse().join(".")};${time};60;${i % 2 === 0 ? "Deep tissue" : "Classic massage"}`,
    ),
  ),
  `Nobody Known;14.04.2026;10:00;60;Deep tissue`,
].join("\r\n");

const row = (page: Page, name: string) => page.getByRole("region", { name, exact: true });
const treatments = (page: Page, name: string) => row(page, name).getByRole("button", { name: /Arrow keys move it/ });
const laid = (page: Page, name: string) => row(page, name).getByRole("img");
const laidTimes = async (page: Page, name: string) =>
  (await laid(page, name).evaluateAll((tabs) => tabs.map((tab) => tab.getAttribute("aria-label")!))).map((label) =>
    label.replace(/, \d+ min$/, ""),
  );
const chosen = (page: Page) => page.getByRole("region", { name: "Chosen booking" });

test("a week of bookings with a late and a cancelled one", async ({ page, browser }) => {
  await signIn(page);
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const spa = crews.find(({ name }) => name.startsWith("Stillwater"))!.id;

  await test.step("the file's rows are shown before anything is stored, and twice the same file is once", async () => {
    await page.goto(`/crews/${spa}/bookings/${WEEK[0]}`);
    await expect(row(page, "Orla Pemberley")).toContainText("Nothing booked");
    for (const [taken, there] of [
      [25, 0],
      [20, 5],
    ]) {
      await page.getByRole("button", { name: "From a file" }).click();
      await page.getByLabel("File with bookings").setInputFiles({ name: "week.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
      await expect(page.getByText(`${taken} to take, ${there} there already, 1 left out.`)).toBeVisible();
      await expect(page.getByText("nobody of this team by that name")).toBeVisible();
      await page.getByRole("button", { name: /^Take \d+ bookings/ }).click();
      await expect(treatments(page, "Orla Pemberley")).toHaveCount(5);
    }
    for (const date of WEEK.slice(1)) {
      await page.getByRole("link", { name: "Day after" }).click();
      await expect(page).toHaveURL(new RegExp(date));
      await expect(treatments(page, "Orla Pemberley")).toHaveCount(5);
    }
    await page.goto(`/crews/${spa}/bookings/${WEEK[0]}`);
  });

  await test.step("a warm-up before the first, a reset after each deep one, a longer one where there is room", async () => {
    await expect(laid(page, "Orla Pemberley").first()).toBeVisible();
    expect(await laidTimes(page, "Orla Pemberley")).toEqual([
      "Warm-up at 09:53",
      "Reset at 11:00",
      "Longer break at 13:15",
      "Reset at 16:10",
    ]);
  });

  await test.step("one begins late: it takes along what it runs into, and the resets go with it", async () => {
    await treatments(page, "Orla Pemberley").first().press("Enter");
    await chosen(page).getByRole("button", { name: "15 min late" }).click();
    await expect(page.getByText(/3 bookings begin later/)).toBeVisible();
    await expect(laid(page, "Orla Pemberley").first()).toHaveAccessibleName(/Warm-up at 10:08/);
    expect(await laidTimes(page, "Orla Pemberley")).toEqual(["Warm-up at 10:08", "Longer break at 13:21", "Reset at 16:10"]);
    await expect(row(page, "Orla Pemberley")).toContainText("after the deep treatment that ends at 11:15");
  });

  await test.step("one is cancelled: its gap is used; and it is taken back by Ctrl+Z", async () => {
    await treatments(page, "Orla Pemberley").nth(1).press("Delete");
    await expect(treatments(page, "Orla Pemberley").nth(1)).toHaveAccessibleName(/cancelled/);
    await expect(laid(page, "Orla Pemberley").nth(1)).toHaveAccessibleName(/Longer break at 11:15/);
    await page.keyboard.press("Control+z");
    await expect(treatments(page, "Orla Pemberley").nth(1)).not.toHaveAccessibleName(/cancelled/);
    await expect(laid(page, "Orla Pemberley").nth(1)).toHaveAccessibleName(/Longer break at 13:21/);
    expect(await axeViolationsOn(page, WCAG)).toEqual([]);
  });

  await test.step("dragged with the pointer, in steps of five minutes", async () => {
    const last = treatments(page, "Orla Pemberley").last();
    const box = (await last.boundingBox())!;
    await page.mouse.move(box.x + 20, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 80, box.y + box.height / 2, { steps: 5 });
    await page.mouse.up();
    await expect(last).not.toHaveAccessibleName(/15:10/);
    await expect(last).toHaveAccessibleName(/, \d\d:[0-5][05]–/);
  });

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const today = phone.getByRole("region", { name: "Today" });
  /** Of the phone's list: times of what is laid. */
  const phoneResets = () => today.getByRole("link").evaluateAll((links) => links.map((link) => link.textContent!.slice(0, 5)));

  await test.step("the phone says when the next one is, and a cancelled booking moves it by itself", async () => {
    await phone.goto("/me");
    await phone.getByLabel("Crew code").fill("STONE9");
    await phone.getByLabel("PIN").fill("00124680");
    await phone.getByRole("button", { name: "Sign in" }).click();
    await expect(today.getByRole("link").first()).toBeVisible();
    await page.goto(`/crews/${spa}/bookings`);
    await expect(treatments(page, "Orla Pemberley").first()).toBeVisible();
    const before = await phoneResets();
    await treatments(page, "Orla Pemberley").first().press("Delete");
    await expect(treatments(page, "Orla Pemberley").first()).toHaveAccessibleName(/cancelled/);
    await expect.poll(phoneResets, { intervals: [100] }).not.toEqual(before);
    expect((await phoneResets())[0]! > before[0]!).toBe(true);
  });

  await test.step("running late is told on the phone, and the trainer's page follows by itself", async () => {
    const names = () =>
      treatments(page, "Orla Pemberley").evaluateAll((blocks) => blocks.map((block) => block.getAttribute("aria-label")!));
    const before = await names();
    await phone.getByRole("button", { name: "Running late?" }).click();
    await phone.getByRole("button", { name: "10 min later" }).click();
    await expect(phone.getByRole("button", { name: "Running late?" })).toBeVisible();
    await expect.poll(names).not.toEqual(before);
  });

  await test.step("moved and cancelled in the calendar they are kept in: read now, they are so here", async () => {
    const { bookings } = (await (await page.request.get(`${CALENDAR}/bookings`)).json()) as { bookings: { id: string; start: string }[] };
    const [first, second] = bookings.filter(({ start }) => start.startsWith("2026-03-26"));
    await page.request.post(`${CALENDAR}/bookings/${first!.id}`, { form: { start: "2026-03-26T18:30:00Z" } });
    await page.request.post(`${CALENDAR}/bookings/${second!.id}`, { form: { cancelled: "yes" } });
    await page.getByRole("button", { name: "Calendars" }).click();
    await page.getByRole("button", { name: "Read now" }).click();
    await page.getByRole("button", { name: "Close" }).click();
    await expect(treatments(page, "Wilma Yarrow").last()).toHaveAccessibleName(/18:30/);
    await expect(row(page, "Wilma Yarrow").getByRole("button", { name: /cancelled/ })).toHaveCount(1);
  });

  await test.step("Today tells the day in a line", async () => {
    await page.goto("/today");
    await expect(page.getByRole("region", { name: "Stillwater massage team" })).toContainText(
      /bookings of \d+ people, \d+ resets between them/,
    );
  });
});
