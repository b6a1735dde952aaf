/**
 * Contact sheets of every figure, to be looked at: `npm run figures [-- id …]` writes PNGs to .sheets/. Each cell is one form of one
 * movement: its still picture, and its wrong-against-right pair after it. Problems of a pose are printed, and what enters what.
 * `--grey` shows them as a printer does, `--phone` as wide as a telephone, `--small` as a thumbnail.
 */
import { mkdirSync } from "node:fs";
import path from "node:path";
import { chromium } from "@playwright/test";
import { overlapsOf, poseAlong, sceneOf, StagedFigure, type Figure } from "@kind-grip/core/figure";
import { SHIPPED_LIBRARY, COACHING_CARDS, figuresOf, lookOf, poseProblems, stage } from "@kind-grip/core/library";
import { BROWSER } from "./browser";

const args = process.argv.slice(2);
const wanted = args.filter((arg) => !arg.startsWith("--"));
const folder = path.resolve(".sheets");
const shownAt = args.includes("--small") ? 90 : args.includes("--phone") ? 358 : 390;
const COLUMNS = Math.floor(1560 / Math.max(150, shownAt));
const ROWS = 4;
const [WIDTH, HEIGHT] = [Math.floor(1560 / COLUMNS), Math.round(shownAt * 0.75) + 28];

/** What stands inside what, on the whole way: each pair once, as deep as it gets. */
function entering(id: string, figure: Figure): string[] {
  const deepest = new Map<string, number>();
  const spans = figure.way === "thereAndBack" ? figure.poses.length - 1 : figure.poses.length;
  for (let i = 0; i <= spans * 3; i++) {
    const { parts } = sceneOf(poseAlong(figure.poses, i / 3, figure.way), { figure, side: "right", view: figure.view, look: lookOf(id) });
    for (const { one, other, mm } of overlapsOf(parts)) {
      const pair = `${one} in ${other}`;
      deepest.set(pair, Math.max(deepest.get(pair) ?? 0, mm));
    }
  }
  return [...deepest].map(([pair, mm]) => `${pair}, ${Math.round(mm)} mm`);
}

const cells: { name: string; svg: string }[] = [];
for (const movement of SHIPPED_LIBRARY.movements) {
  if (wanted.length > 0 && !wanted.some((part) => movement.id === part || movement.phase === part)) continue;
  const figures = figuresOf(movement.id);
  if (!figures) {
    process.stdout.write(`${movement.id}: no figure\n`);
    continue;
  }
  for (const form of movement.forms) {
    if (!figures.forms[form.id] && form.id !== movement.startForm) continue;
    const shown = figures.forms[form.id] ?? figures.figure;
    const { poses, slide = [] } = shown;
    for (const line of entering(movement.id, shown)) process.stdout.write(`${movement.id} · ${form.id}: ${line}\n`);
    for (const [i, pose] of [...poses, ...slide].entries())
      for (const problem of poseProblems(pose)) process.stdout.write(`${movement.id} · ${form.id} · pose ${i + 1}: ${problem}\n`);
    cells.push({ name: `${movement.id} · ${form.id}`, svg: stage(SHIPPED_LIBRARY, movement.id, form.id).still() });
  }
  if (figures.wrong)
    cells.push({
      name: `${movement.id} · WRONG`,
      svg: stage(SHIPPED_LIBRARY, movement.id, undefined, { alsoShown: [figures.wrong.pose] }).at(figures.wrong.pose),
    });
}

if (wanted.length === 0 || wanted.includes("coaching"))
  for (const { id, figure } of COACHING_CARDS) {
    for (const [i, pose] of figure.poses.entries()) {
      for (const problem of poseProblems(pose)) process.stdout.write(`${id} · pose ${i + 1}: ${problem}\n`);
      cells.push({ name: `${id} · ${i === 0 ? "awkward" : "better"}`, svg: new StagedFigure(figure, { look: lookOf(id) }).at(pose) });
    }
  }

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(BROWSER);
const page = await browser.newPage({ viewport: { width: COLUMNS * WIDTH, height: ROWS * HEIGHT } });
for (let sheet = 0; sheet * COLUMNS * ROWS < cells.length; sheet++) {
  const here = cells.slice(sheet * COLUMNS * ROWS, (sheet + 1) * COLUMNS * ROWS);
  await page.setContent(
    `<body style="margin:0;background:#F6F2E9;font:15px sans-serif;display:grid;grid-template-columns:repeat(${COLUMNS},${WIDTH}px)">${here
      .map(
        ({ name, svg }) =>
          `<div style="height:${HEIGHT}px;border:1px solid #D9D2C3;box-sizing:border-box;overflow:hidden;${args.includes("--grey") ? "filter:grayscale(1);" : ""}">${name}<div style="width:${shownAt}px">${svg}</div></div>`,
      )
      .join("")}</body>`,
  );
  await page.screenshot({ path: path.join(folder, `sheet-${sheet + 1}.png`), fullPage: true });
}
await browser.close();
process.stdout.write(`${cells.length} pictures in ${folder}\n`);
