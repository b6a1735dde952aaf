/** What has the keyboard is seen, on every main view, on both floors and in forced colours; and what is told by colour keeps it there. */
import { expect, test, type Page } from "@playwright/test";
import { signIn } from "./browser";

const STOPS_A_VIEW = 14;

/** Where the keyboard is after each press of Tab, and how it is marked: by its own outline, or by that of the field it is in. */
async function marksOn(page: Page): Promise<{ what: string; width: number; style: string; colour: string; ground: string }[]> {
  const marks = [];
  for (let i = 0; i < STOPS_A_VIEW; i++) {
    await page.keyboard.press("Tab");
    const mark = await page.evaluate(() => {
      const focused = document.activeElement;
      if (!focused || focused === document.body) return null;
      // A picture's own rectangle, a field's frame, or the element itself.
      const places = [focused, focused.closest(".MuiInputBase-root"), ...focused.querySelectorAll("rect, [data-focus-ring]")].filter(
        (each): each is Element => each !== null,
      );
      const styles = places.map((each) => getComputedStyle(each));
      const marked =
        styles.find(({ outlineStyle, outlineWidth }) => outlineStyle !== "none" && parseFloat(outlineWidth) >= 2) ?? styles[0]!;
      return {
        what: `${focused.tagName.toLowerCase()} "${focused.getAttribute("aria-label") ?? focused.textContent?.trim().slice(0, 40) ?? ""}"`,
        width: parseFloat(marked.outlineWidth),
        style: marked.outlineStyle,
        colour: marked.outlineColor,
        ground: getComputedStyle(document.body).backgroundColor,
      };
    });
    if (mark) marks.push(mark);
  }
  return marks;
}

/** Relative luminance and contrast: Web Content Accessibility Guidelines 2.2. */
function contrast(one: string, other: string): number {
  const luminance = (colour: string) => {
    const [r, g, b] = (colour.match(/[\d.]+/g) ?? []).map((each) => {
      const share = Number(each) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
  };
  const [light, dark] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light! + 0.05) / (dark! + 0.05);
}

async function addresses(page: Page): Promise<string[]> {
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const { id } = crews.find(({ name }) => name.startsWith("Ridgeline"))!;
  const [program] = (await (await page.request.get(`/api/crews/${id}/programs`)).json()) as { id: string }[];
  return [
    "/today",
    `/crews/${id}/people`,
    `/crews/${id}/program/${program!.id}`,
    `/crews/${id}/day-plan`,
    `/crews/${id}/work`,
    `/crews/${id}/progress`,
    "/library",
    "/library/studio",
    "/practice",
  ];
}

/** Its title is there, not always to be seen: some say it to screen readers only. */
async function opened(page: Page): Promise<void> {
  await page.locator("h1, h2").first().waitFor({ state: "attached", timeout: 30_000 });
  await expect(page.getByRole("status", { name: "Loading" })).toHaveCount(0);
  // A ring that is still growing is not yet to be measured.
  await page.addStyleTag({ content: "*, *::before, *::after { transition: none !important }" });
}

test.beforeEach(async ({ page }) => {
  test.setTimeout(180_000);
  await page.emulateMedia({ reducedMotion: "reduce" });
  await signIn(page);
});

test("the keyboard's place is seen on both floors and in forced colours, and bars that speak by colour keep it there", async ({ page }) => {
  for (const address of await addresses(page)) {
    await page.goto(address);
    await opened(page);
    for (const floor of ["light", "dark", "forced"] as const) {
      if (floor === "forced") await page.emulateMedia({ reducedMotion: "reduce", forcedColors: "active" });
      else await page.evaluate((value) => document.documentElement.setAttribute("data-floor", value), floor);
      for (const { what, width, style, colour, ground } of await marksOn(page)) {
        const where = `${address}, ${floor}: ${what}`;
        expect.soft([where, style !== "none" && width >= 2], where).toEqual([where, true]);
        if (floor !== "forced") expect.soft(contrast(colour, ground), `${where}, ${colour} on ${ground}`).toBeGreaterThanOrEqual(3);
      }
    }
    const bars = page.locator(".keeps-colour");
    if (address.endsWith("day-plan")) {
      await bars.first().waitFor();
      const grounds = await bars.evaluateAll((pieces) => pieces.map((each) => getComputedStyle(each).backgroundColor));
      expect(new Set(grounds).size).toBeGreaterThan(1);
    }
    await page.emulateMedia({ reducedMotion: "reduce", forcedColors: "none" });
  }
});
