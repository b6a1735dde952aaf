import { chromium } from "@playwright/test";
import { BROWSER, signIn } from "./browser";
const browser = await chromium.launch(BROWSER);
const page = await (await browser.newContext({ baseURL: "http://127.0.0.1:4401", viewport: { width: 390, height: 844 } })).newPage();
await page.emulateMedia({ reducedMotion: "reduce" });
await signIn(page);
const crews = await (await page.request.get("/api/crews")).json();
const roof = crews.find((c: any) => c.name.startsWith("Ridgeline")).id;
const [program] = await (await page.request.get(`/api/crews/${roof}/programs`)).json();
const list = process.argv[2] === "2" ? [`/crews/${roof}/settings`, `/crews/${roof}/progress?view=figures`, `/library`, `/bench/dose`, `/practice`, `/crews/${roof}/baseline`, `/crews/${roof}/run/${program.id}/${program.program.sessions[1].id}`] : ["/today", `/crews/${roof}/people`, `/crews/${roof}/work`, `/crews/${roof}/program/${program.id}`, `/crews/${roof}/day-plan`, `/crews/${roof}/runs`, `/crews/${roof}/program/compose`];
for (const [i, v] of list.entries()) { await page.goto(v); await page.waitForLoadState("networkidle"); await page.waitForTimeout(1500); await page.screenshot({ path: `/tmp/n-${i}.png` }); }
await browser.close();
