import { chromium } from "@playwright/test";
import { BROWSER, signIn } from "./browser";
const b = await chromium.launch(BROWSER);
const w = +(process.env.W ?? 1280), h = +(process.env.H ?? 800);
const p = await b.newPage({ baseURL: "http://127.0.0.1:4401", viewport: { width: w, height: h } });
p.on("pageerror", (e) => console.log("PAGEERROR", e.message));
await signIn(p);
const crews = (await (await p.request.get("/api/crews")).json()) as { id: string; name: string }[];
for (const name of (process.env.CREWS ?? "Ridgeline").split(",")) {
  const id = crews.find((c) => c.name.startsWith(name))!.id;
  await p.goto(`/crews/${id}/program/compose`);
  await p.getByText(/Within [\d.]+ %|Proven best|best found/).waitFor({ timeout: 30000 });
  await p.getByRole("region", { name: "Side by side" }).waitFor({ timeout: 30000 }).catch(() => console.log("no side by side"));
  await p.waitForTimeout(2500);
  console.log(name, await p.evaluate(() => [document.documentElement.scrollWidth, innerWidth]));
  await p.screenshot({ path: `/tmp/comp-${name}-${w}.png`, fullPage: true });
}
await b.close();
