import { chromium } from "@playwright/test";
import { BROWSER, signIn } from "./browser";
const base = "http://127.0.0.1:4401";
const widths = (process.argv[2] ?? "320,390").split(",").map(Number);
const only = process.argv[3];
const browser = await chromium.launch(BROWSER);
const desk = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } });
const page = await desk.newPage();
await page.emulateMedia({ reducedMotion: "reduce" });
await signIn(page);
const crews = await (await desk.request.get("/api/crews")).json();
const id = (n: string) => crews.find((c: any) => c.name.startsWith(n)).id;
const roof = id("Ridgeline"), spa = id("Stillwater");
const [program] = await (await desk.request.get(`/api/crews/${roof}/programs`)).json();
const { runs } = await (await desk.request.get(`/api/crews/${roof}/runs`)).json();
const [round] = await (await desk.request.get(`/api/crews/${roof}/rounds`)).json();
const views = ["/today","/crews","/crews/new",`/crews/${roof}/people`,`/crews/${spa}/people/import`,`/crews/${roof}/people/held-out`,`/crews/${roof}/work`,`/crews/${roof}/work?view=shift`,`/crews/${roof}/work?view=need`,`/crews/${roof}/work/briefing`,`/crews/${roof}/baseline`,`/crews/${roof}/baseline/${round.id}`,`/crews/${roof}/baseline/${round.id}/findings`,`/crews/${spa}/program`,`/crews/${roof}/settings`,`/crews/${roof}/program`,`/crews/${roof}/program/${program.id}`,`/crews/${roof}/program/${program.id}/block`,`/crews/${roof}/day-plan`,`/crews/${roof}/runs`,`/crews/${roof}/runs/${runs[0].id}`,`/crews/${roof}/progress`,`/crews/${roof}/progress?view=figures`,`/crews/${roof}/progress?view=review`,`/crews/${roof}/progress?view=history`,`/crews/${roof}/report`,`/crews/${roof}/people/cards`,"/library","/library/median-glide","/library/studio","/bench/lever","/bench/kit","/bench/tape","/bench/dose",`/crews/${roof}/program/compose`,`/crews/${roof}/program/templates`,"/practice","/practice/texts/pl","/nothing-here",`/crews/${roof}/run/${program.id}/${program.program.sessions[1].id}`];
let bad = 0;
for (const view of views) {
  if (only && !view.includes(only)) continue;
  await page.setViewportSize({ width: widths[0]!, height: 844 });
  await page.goto(view); await page.waitForLoadState("networkidle"); await page.waitForTimeout(900);
  for (const width of widths) {
    await page.setViewportSize({ width, height: 844 }); await page.waitForTimeout(250);
    const found = await page.evaluate(() => {
      const w = document.documentElement.clientWidth;
      const over = document.documentElement.scrollWidth - w;
      if (over <= 0) return null;
      const out: string[] = [];
      for (const e of document.querySelectorAll("#root *")) {
        const r = e.getBoundingClientRect();
        if (r.right > w + 1 && r.width > 0) {
          // innermost culprits: no child that overflows
          if ([...e.children].some((c) => c.getBoundingClientRect().right > w + 1)) continue;
          let hidden = false; for (let p = e.parentElement; p; p = p.parentElement) { const o = getComputedStyle(p).overflowX; if (o !== "visible" && p.getBoundingClientRect().right <= w + 1) { hidden = true; break; } }
          if (!hidden) out.push(`${e.tagName.toLowerCase()}${e.getAttribute("aria-label") ? `[${e.getAttribute("aria-label")}]` : ""} "${(e.textContent ?? "").slice(0, 30)}" right=${Math.round(r.right)} w=${Math.round(r.width)}`);
        }
      }
      return { over, out: out.slice(0, 4) };
    });
    if (found) { bad++; console.log(width, view.replace(/[0-9a-f-]{36}/g, "~"), "over", found.over, found.out.join(" ; ")); }
  }
  if (only) await page.screenshot({ path: `/tmp/reflow.png`, fullPage: true });
}
console.log("bad", bad);
await browser.close();
