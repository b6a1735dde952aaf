/**
 * A plan that keeps itself: a rotation of 21 days with split shifts and nights, over a holiday and a change of the clocks, planned once for
 * eight weeks; one day changed, one shift swapped, groups edited, and the calendar read by a foreign reader. What it costs is counted.
 */
import { expect, test, type Page } from "@playwright/test";
import { addDays, dateAt, shiftsFrom, wallTime, type ShiftPattern } from "@kind-grip/core/calendar";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import ICAL from "ical.js";
import { v7 as uuid } from "uuid";
import { Acts } from "./acts";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { signIn } from "./browser";

const ZONE = "Europe/Dublin";
/** The demo's today is the Thursday of this week; the clocks change on its Sunday. */
const MONDAY = "2026-03-23";
const WEEKS = 8;
/** Presses and typed fields eight weeks may cost. */
const MOST_ACTS = 24;

const days = (id: string | null, count: number) => Array.from({ length: count }, () => id);
const pattern: ShiftPattern = {
  anchorDate: "2026-03-23",
  shifts: [
    { id: "night", name: "Night", start: "22:00", lengthMin: 480, breaks: [{ afterMin: 240, lengthMin: 30 }] },
    { id: "early", name: "Early", start: "06:00", lengthMin: 480, breaks: [{ afterMin: 240, lengthMin: 30 }] },
    {
      id: "split",
      name: "Split",
      start: "07:00",
      lengthMin: 720,
      breaks: [
        { afterMin: 120, lengthMin: 15 },
        { afterMin: 240, lengthMin: 240 },
      ],
    },
  ],
  cycle: [...days("night", 7), ...days(null, 2), ...days("early", 5), ...days("split", 5), ...days(null, 2)],
};

const item = (id: string) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, uuid());
const sessions = [
  { id: uuid(), name: "Warm-up", slot: "preShift" as const, items: [item("fist-and-star")] },
  { id: uuid(), name: "Break", slot: "break" as const, items: [item("shake-out")] },
  { id: uuid(), name: "Close", slot: "postShift" as const, items: [item("forearm-roll")] },
];

/** A crew of eight on the rotation, with a program, made without the interface: they are not what is looked at. */
async function crewOnRotation(
  page: Page,
): Promise<{ crewId: string; remove(): Promise<void>; change(otherDays: ShiftPattern["otherDays"]): Promise<void> }> {
  const crewId = uuid();
  const send = async (method: "POST" | "PUT" | "DELETE", address: string, data?: object) => {
    const { csrfToken } = (await (await page.request.get("/api/me")).json()) as { csrfToken: string };
    const answer = await page.request.fetch(address, { method, headers: { "x-csrf-token": csrfToken }, data });
    expect(answer.ok(), `${address}: ${await answer.text()}`).toBe(true);
  };
  const crew = {
    name: "Harbour rotation",
    trade: "Cold store",
    place: "Quay 3",
    timeZone: ZONE,
    settings: ["any", "table"],
    conditions: [],
    slots: { preShift: 480, break: 180, postShift: 600 },
    kit: [],
    mostOffJob: 2,
    language: null,
    shiftPattern: pattern,
  };
  await send("POST", "/api/crews", { id: crewId, crew });
  const people = Array.from({ length: 8 }, (_, i) => ({
    id: uuid(),
    name: `Hand ${i + 1}, Rota`,
    badge: `R-${i}`,
    handedness: "right",
    startedOn: "2024-01-01",
    leftOn: null,
    language: null,
  }));
  await send("POST", `/api/crews/${crewId}/people`, { people });
  await send("POST", `/api/crews/${crewId}/programs`, {
    id: uuid(),
    program: { name: "Rota hands", style: DEFAULT_STYLE, weeks: 8, sessions },
  });
  let version = 1;
  return {
    crewId,
    remove: () => send("DELETE", `/api/crews/${crewId}`),
    change: (otherDays) =>
      send("PUT", `/api/crews/${crewId}`, { version: version++, crew: { ...crew, shiftPattern: { ...pattern, otherDays } } }),
  };
}

interface CalendarEvent {
  name: string;
  date: string;
  time: string;
}

/** The calendar behind a link as a program that knows nothing of ours reads it: names and wall times by the zone in the file. */
async function readCalendar(page: Page, path: string): Promise<CalendarEvent[]> {
  const root = new ICAL.Component(ICAL.parse(await (await page.request.get(path)).text()) as never);
  const zones = root.getAllSubcomponents("vtimezone").map((each) => new ICAL.Timezone(each));
  return root.getAllSubcomponents("vevent").map((component) => {
    const { startDate, summary } = new ICAL.Event(component);
    startDate.zone = zones.find(({ tzid }) => tzid === startDate.zone.tzid || tzid === ZONE) ?? startDate.zone;
    const atMs = startDate.toJSDate().getTime();
    return { name: summary.replace(/ \(.*/, ""), date: dateAt(atMs, ZONE), time: wallTime(atMs, ZONE) };
  });
}

const saved = (page: Page) => expect(page.getByText("Saved", { exact: true })).toBeVisible();
const day = (page: Page, name: string) => page.getByRole("region", { name, exact: true });
const tab = (page: Page, where: string, name: RegExp) => day(page, where).getByRole("button", { name });

/** Twice in a row with the same result in the long form: `JOURNEY_ROUNDS=2 npm run test:e2e`. */
const ROUNDS = Number(process.env.JOURNEY_ROUNDS ?? 1);
for (const round of Array.from({ length: ROUNDS }, (_, i) => i + 1))
  test(`a rotation planned once, ${round} of ${ROUNDS}`, async ({ page }) => {
    await signIn(page);
    const { crewId, remove, change } = await crewOnRotation(page);
    const acts = new Acts(page);
    const button = (name: string | RegExp) => page.getByRole("button", { name });
    const week = (start: string) => `/crews/${crewId}/day-plan/${start}`;
    let link = "";

    await test.step("eight weeks in a few presses: a day of each kind of shift, and the close on some days only", async () => {
      await page.goto(week(MONDAY));
      await saved(page);
      const patternOf = async (label: string, shift: string) => {
        await acts.press(button("Plan a day"));
        const dialog = page.getByRole("dialog", { name: "Plan a day for groups" });
        await acts.press(dialog.getByRole("radio", { name: label }));
        await expect(dialog.getByRole("status")).toHaveText(/Proven best|Within [\d.]+ %/);
        await acts.press(dialog.getByRole("button", { name: `Use it for every ${shift} shift` }));
        await saved(page);
      };
      await patternOf("Fri 27", "night");
      await acts.press(page.getByRole("link", { name: "Week after" }));
      await patternOf("Wed 1", "early");
      await acts.press(page.getByRole("link", { name: "Week after" }));
      await patternOf("Mon 6", "split");
      expect(acts.taken()).toBeLessThanOrEqual(MOST_ACTS);
    });

    await test.step("every shift of eight weeks has its sessions, by a foreign reader of the calendar, over the change of the clocks", async () => {
      await button("Reminders").click();
      const dialog = page.getByRole("dialog", { name: "Reminders and calendars" });
      await dialog.getByRole("button", { name: "Make a link" }).click();
      link = new URL(await dialog.getByLabel("Address of the calendar").inputValue()).pathname;
      await dialog.getByRole("button", { name: "Done" }).click();
      const events = await readCalendar(page, link);
      const shifts = shiftsFrom(pattern, ZONE, "2026-03-30", 7 * (WEEKS - 1));
      for (const kind of ["night", "early", "split"]) {
        const own = shifts.filter((shift) => shift.kind.id === kind);
        expect(own.length).toBeGreaterThan(9);
        const first = own.map(({ date }) =>
          events
            .filter((each) => each.name === "Warm-up" && each.date === date)
            .map(({ time }) => time)
            .join(),
        );
        // Groups one after the other, every day of the kind at the same times.
        expect([kind, new Set(first).size, first[0] !== ""]).toEqual([kind, 1, true]);
      }
      const night = events.filter(({ name, date }) => name === "Warm-up" && ["2026-03-27", "2026-03-28", "2026-03-29"].includes(date));
      expect(new Set(night.map(({ time }) => time)).size).toBe(night.length / 3);
    });

    await test.step("a holiday and a swapped shift are followed by themselves", async () => {
      await change([
        { date: "2026-04-06", shift: null },
        { date: "2026-04-08", shift: "early" },
      ]);
      await page.goto(week("2026-04-06"));
      await expect(day(page, "Monday 6 April")).toContainText("off");
      await expect(tab(page, "Monday 6 April", /Arrow keys/)).toHaveCount(0);
      await expect(day(page, "Wednesday 8 April")).toContainText("Early");
      await expect(tab(page, "Wednesday 8 April", /^Warm-up at 06:/).first()).toBeVisible();
      await expect(tab(page, "Tuesday 7 April", /^Warm-up at 07:/).first()).toBeVisible();
    });

    await test.step("one day is changed and the others stay; Ctrl+Z takes it back and Ctrl+Y does it again", async () => {
      const own = tab(page, "Thursday 9 April", /^Warm-up at 07:00/).first();
      await own.focus();
      await page.keyboard.press("Shift+ArrowRight");
      await expect(tab(page, "Thursday 9 April", /^Warm-up at 08:00/)).toHaveCount(1);
      await expect(tab(page, "Friday 10 April", /^Warm-up at 07:00/)).toHaveCount(1);
      await page.keyboard.press("Control+z");
      await expect(tab(page, "Thursday 9 April", /^Warm-up at 08:00/)).toHaveCount(0);
      await page.keyboard.press("Control+y");
      await saved(page);
      const events = await readCalendar(page, link);
      const at = (date: string) => events.filter((each) => each.name === "Warm-up" && each.date === date).map(({ time }) => time);
      expect(at("2026-04-09")).toContain("08:00");
      expect(at("2026-04-10")).toContain("07:00");
      expect(at("2026-04-06")).toEqual([]);
    });

    await test.step("groups are edited by drag and by keyboard, and the plan follows", async () => {
      await button("Groups").click();
      const dialog = page.getByRole("dialog", { name: "Groups of Harbour rotation" });
      const columns = dialog.getByRole("group");
      await expect(columns).toHaveCount(4);
      const second = dialog.getByRole("group", { name: "Group 2", exact: true });
      await expect(second.getByRole("button", { name: /Arrow keys/ })).toHaveCount(2);
      const chip = (await dialog.getByRole("button", { name: /^Hand 1/ }).boundingBox())!;
      const target = (await second.boundingBox())!;
      await page.mouse.move(chip.x + 40, chip.y + 15);
      await page.mouse.down();
      await page.mouse.move(target.x + 60, target.y + 80, { steps: 8 });
      await page.mouse.up();
      await expect(second.getByRole("button", { name: /^Hand 1/ })).toBeVisible();
      await dialog.getByRole("button", { name: /^Hand 2/ }).focus();
      await page.keyboard.press("ArrowRight");
      await expect(second.getByRole("button", { name: /Arrow keys/ })).toHaveCount(4);
      await expect(dialog.getByRole("button", { name: /^Hand 2/ })).toBeFocused();
      await dialog.getByRole("textbox", { name: "Name" }).nth(1).fill("Window side");
      await page.keyboard.press("Enter");
      expect(await axeViolationsOn(page, WCAG)).toEqual([]);
      await dialog.getByRole("button", { name: "Done" }).click();
      await saved(page);
      await expect(day(page, "Thursday 9 April").getByText("Window side", { exact: true }).first()).toBeVisible();
      // Nobody is left in the first: its rows are gone, and it is said.
      await expect(page.getByRole("region", { name: "Does not work out" })).toContainText("Nobody is in its group.");
    });

    await test.step("any week is two keys away, and a year on the plan is still there", async () => {
      await button("Go to a week").click();
      await button("Year after").click();
      await button(/^Week of 29 March 2027/).click();
      await expect(page).toHaveURL(new RegExp(`${addDays("2027-03-29", 0)}$`));
      await expect(page.getByRole("button", { name: /^Warm-up at/ }).first()).toBeVisible();
      await page.keyboard.press("PageUp");
      await expect(page).toHaveURL(/2027-03-22$/);
      expect(await axeViolationsOn(page, WCAG)).toEqual([]);
    });
    await remove();
  });

test("a public holiday takes what is planned with it; what was placed once on it is there to be taken out", async ({ page }) => {
  await signIn(page);
  const { crewId, remove, change } = await crewOnRotation(page);
  await page.goto(`/crews/${crewId}/day-plan/${MONDAY}`);
  await page.getByRole("button", { name: "Place a session on Friday" }).click();
  await page.getByRole("menuitem", { name: /^Warm-up/ }).click();
  await page.getByRole("button", { name: "Place a session on Friday" }).click();
  await page.getByRole("menuitemcheckbox", { name: /On every night shift/ }).click();
  await page.getByRole("menuitem", { name: /^Break/ }).click();
  await saved(page);
  await change([{ date: "2026-03-27", shift: null }]);
  await page.reload();
  await expect(day(page, "Friday 27 March")).toContainText("off");
  await expect(tab(page, "Friday 27 March", /Warm-up/)).toHaveCount(0);
  // In the middle of the night that is none any more: on the next day, near no shift of it.
  const saturday = day(page, "Saturday 28 March");
  await expect(saturday).toContainText("without a shift");
  await saturday.getByRole("button", { name: "Remove it" }).click();
  await expect(saturday.getByText("without a shift")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(saturday).toContainText("without a shift");
  await remove();
});
