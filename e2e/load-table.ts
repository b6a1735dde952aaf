/**
 * What the first page of each kind of user weighs: `npm run bench:load -- [--base URL]` against a running demo. Bytes over the wire from an
 * empty cache, how many files, and the work of the page's thread at a quarter of this machine's speed, with its longest stretch.
 */
import { parseArgs } from "node:util";
import { chromium, type Browser, type Page } from "@playwright/test";
import { BROWSER, signIn } from "./browser";

const { values } = parseArgs({ options: { base: { type: "string", default: "http://127.0.0.1:4100" } } });
const SLOWER = 4;

interface Load {
  kB: number;
  files: number;
  /** Work of the page's thread, s, at the slower speed. */
  workSec: number;
  longestSec: number;
}

const browser = await chromium.launch(BROWSER);
const rows: [string, Load][] = [];

/** @param seen what has to be there before it counts as loaded */
async function measured(name: string, page: Page, address: string, seen: (page: Page) => Promise<void>): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send("Network.enable");
  await cdp.send("Performance.enable");
  await cdp.send("Emulation.setCPUThrottlingRate", { rate: SLOWER });
  let [bytes, files] = [0, 0];
  cdp.on("Network.loadingFinished", ({ encodedDataLength }) => {
    bytes += encodedDataLength;
    files++;
  });
  await page.addInitScript(() => {
    (window as unknown as { longTasks: number[] }).longTasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) (window as unknown as { longTasks: number[] }).longTasks.push(duration);
    }).observe({ type: "longtask", buffered: true });
  });
  await page.goto(address);
  await seen(page);
  await page.waitForLoadState("networkidle");
  const { metrics } = await cdp.send("Performance.getMetrics");
  const longest = await page.evaluate(() => Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks));
  rows.push([
    name,
    {
      kB: bytes / 1000,
      files,
      workSec: metrics.find((metric) => metric.name === "TaskDuration")!.value,
      longestSec: longest / 1000,
    },
  ]);
}

/** A page of a browser with an empty cache, signed in where asked. */
async function fresh(of: Browser, account?: "trainer" | "member"): Promise<Page> {
  const context = await of.newContext({
    baseURL: values.base,
    viewport: account === "member" ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  });
  if (account === "trainer") {
    const first = await context.newPage();
    await signIn(first);
    await first.close();
  } else if (account === "member") {
    const first = await context.newPage();
    await first.goto("/me");
    await first.getByLabel("Crew code").fill("RDGE24");
    await first.getByLabel("PIN").fill("001-24680");
    await first.getByRole("button", { name: "Sign in" }).click();
    await first.getByRole("heading", { name: /Hello/ }).waitFor();
    await first.close();
  }
  const page = await context.newPage();
  const cdp = await context.newCDPSession(page);
  await cdp.send("Network.clearBrowserCache");
  return page;
}

await measured("sign-in", await fresh(browser), "/sign-in", (page) => page.getByRole("button", { name: "Sign in", exact: true }).waitFor());
await measured("Today", await fresh(browser, "trainer"), "/today", (page) => page.getByRole("link", { name: "Lead it" }).first().waitFor());
await measured("My day on a phone, signed out", await fresh(browser), "/me", (page) => page.getByLabel("Crew code").waitFor());
const phone = await fresh(browser, "member");
await measured("My day on a phone", phone, "/me", (page) => page.getByRole("heading", { name: /Hello/ }).waitFor());
const programs = await fresh(browser, "trainer");
const crews = (await (await programs.request.get("/api/crews")).json()) as { id: string }[];
const [program] = (await (await programs.request.get(`/api/crews/${crews[0]!.id}/programs`)).json()) as { id: string }[];
await measured("Program", programs, `/crews/${crews[0]!.id}/program/${program!.id}`, (page) =>
  page.getByRole("listbox", { name: /^Items of/ }).waitFor(),
);
await browser.close();

const columns = ["", "kB over the wire", "files", `work, s (a ${SLOWER}th of the speed)`, "longest stretch, s"];
const lines = rows.map(([name, { kB, files, workSec, longestSec }]) => [
  name,
  kB.toFixed(0),
  String(files),
  workSec.toFixed(2),
  longestSec.toFixed(2),
]);
const widths = columns.map((column, i) => Math.max(column.length, ...lines.map((line) => line[i]!.length)));
for (const line of [columns, ...lines]) process.stdout.write(`${line.map((cell, i) => cell.padEnd(widths[i]!)).join("  ")}\n`);
