/**
 * Composing against its yardstick: `npm run bench:compose -- [crews] [seconds]`. For random crews, what the programme covers beside what a
 * greedy chooser covers, how long the first answer and the last took, and every proposal held against an independent checker.
 */
import { performance } from "node:perf_hooks";
import { composer, USUAL_LIMITS, type ComposeLimits } from "../src/compose";
import { LEAST_OF_SLOT } from "../src/compose/aims";
import { candidatesFor } from "../src/compose/candidates";
import { targetsOf } from "../src/compose/targets";
import { brokenRules, greedyCovered, pureCover, SAMPLE_NAMES, sampleNeed, solveInNode } from "../src/compose/sample";
import { getsReady, READY_FROM_SEC } from "../src/compose/shape";
import { SHIPPED_LIBRARY, KIT_KINDS, LOAD_SCHOOLS, REGIONS, SETTINGS, STRETCH_SCHOOLS } from "../src/library";
import { compilePerson, SLOT_KINDS } from "../src/session";
import { sampleId } from "../src/session/sample";

const crews = Number(process.argv[2] ?? 50);
const seconds = Number(process.argv[3] ?? 4);
let state = 20260326;
const chance = () => (state = (state * 16807) % 2147483647) / 2147483647;
const whole = (from: number, to: number) => from + Math.floor(chance() * (to - from + 1));
const some = <T>(list: readonly T[], share: number) => list.filter(() => chance() < share);

const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b);
const at = (list: readonly number[], share: number) => sorted(list)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;
const median = (list: readonly number[]) => at(list, 0.5);
const gains: number[] = [];
const firstMs: number[] = [];
const gaps: number[] = [];
const firstShare: number[] = [];
const bestMs: number[] = [];
/** Need covered as a share of what pure covering reaches, light doses and all. */
const ofPure: number[] = [];
/** The same from the doses that composing allows. */
const ofSame: number[] = [];
const slotUsed: number[] = [];
const firstUsed: number[] = [];
const readySec: number[] = [];
let below = 0;
let broken = 0;
let light = 0;
let items = 0;
let missed = 0;
let firstMissed = 0;
let emptier = 0;
for (let i = 0; i < crews; i++) {
  const limits: ComposeLimits = {
    ...USUAL_LIMITS,
    style: { stretch: STRETCH_SCHOOLS[whole(0, 3)]!, load: LOAD_SCHOOLS[whole(0, 4)]! },
    aim: chance() < 0.7 ? "loadLed" : "reliefLed",
    weeks: 4,
    slotSec: { preShift: whole(4, 9) * 60, break: whole(2, 4) * 60, postShift: whole(5, 14) * 60 },
    breaksADay: whole(1, 2),
    settings: ["any", ...some(SETTINGS.slice(1, 5), 0.5)],
    kit: some(KIT_KINDS, 0.4).map((kind) => ({ kind, massKg: 1, count: whole(2, 14) })),
    people: whole(4, 14),
  };
  const needs = REGIONS.map((region) => sampleNeed(region, whole(0, 90)));
  const opposites = [{ posture: "closedHand" as const, left: 60, right: 120 }];
  const asked = new Map(needs.map(({ region, need }) => [region, need]));
  const wanted = { needs: asked, strengthNeeds: asked, opposites };
  const input = {
    library: SHIPPED_LIBRARY,
    needs,
    opposites,
    limits,
    ...SAMPLE_NAMES,
  };
  const started = performance.now();
  const ask = composer(input, sampleId);
  const first = ask.first();
  firstMs.push(performance.now() - started);
  const again = performance.now();
  const best = await ask.best(solveInNode, { timeLimitSec: seconds, gap: 0.01 });
  bestMs.push(performance.now() - again);
  gaps.push(best?.gap ?? Infinity);
  firstShare.push((first?.covered ?? 0) / Math.max(1e-9, best?.covered ?? 0));
  for (const proposal of [first, best]) if (proposal) broken += brokenRules(proposal, limits).length;
  firstMissed += first?.missed.length ?? 0;
  missed += best?.missed.length ?? 0;
  const usedOf = (proposal: typeof best) => SLOT_KINDS.map((slot) => (proposal?.seconds.get(slot) ?? 0) / limits.slotSec[slot]);
  slotUsed.push(...usedOf(best));
  firstUsed.push(...usedOf(first));
  emptier += usedOf(best).filter((share) => share < LEAST_OF_SLOT).length;
  for (const session of best?.program.sessions ?? []) {
    items += session.items.length;
    light += session.items.filter(({ id }) => best!.places.get(id)!.share < 1).length;
    if (session.slot !== "break" && limits.slotSec[session.slot] >= READY_FROM_SEC)
      readySec.push(
        session.items
          .filter(({ movementId }) => getsReady(SHIPPED_LIBRARY.get(movementId)))
          .reduce((sum, item) => sum + compilePerson({ ...session, items: [item] }, SHIPPED_LIBRARY.timings).totalSec, 0),
      );
  }
  // Both counted alike: Σ need share × points covered.
  const most = targetsOf(wanted, limits).reduce((sum, { need, target }) => sum + (need / 100) * target, 0);
  const greedy =
    greedyCovered(candidatesFor(SHIPPED_LIBRARY, SHIPPED_LIBRARY.movements, limits, sampleId).candidates, wanted, limits) / most;
  const covered = best?.covered ?? 0;
  const pure = await pureCover(input, sampleId, solveInNode, { timeLimitSec: seconds, gap: 0.01 });
  ofPure.push(covered / Math.max(1e-9, pure));
  ofSame.push(covered / Math.max(1e-9, await pureCover(input, sampleId, solveInNode, { timeLimitSec: seconds, gap: 0.01 }, false)));
  if (covered < greedy - 1e-9) below++;
  gains.push(covered / greedy - 1);
}
const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
const rows: (readonly [string, string])[] = [
  ["covered need against greedy, mean", `${percent(mean(gains))} more, below it ${below} times`],
  ["covered need against pure covering, same doses", `${percent(median(ofSame))} in the middle, least ${percent(Math.min(...ofSame))}`],
  ["covered need against it with light doses", `${percent(median(ofPure))} in the middle, least ${percent(Math.min(...ofPure))}`],
  ["slot used, best", `${percent(median(slotUsed))} in the middle, a tenth under ${percent(at(slotUsed, 0.1))}, ${emptier} under 70 %`],
  ["slot used, first", `${percent(median(firstUsed))} in the middle`],
  ["light items", `${percent(light / items)} of ${items}`],
  ["getting ready, sessions of 4 min or more", `${median(readySec)} s in the middle, least ${Math.min(...readySec)} s`],
  ["aims missed", `first ${firstMissed}, best ${missed}`],
  [
    "first answer",
    `p50 ${Math.round(median(firstMs))} ms, p95 ${Math.round(at(firstMs, 0.95))} ms, most ${Math.round(Math.max(...firstMs))} ms`,
  ],
  [`best, at most ${seconds} s`, `p50 ${Math.round(median(bestMs))} ms, most ${Math.round(Math.max(...bestMs))} ms`],
  [
    "first against best",
    `${percent(median(firstShare))} in the middle, none at once for ${firstShare.filter((share) => share === 0).length}`,
  ],
  ["proven within 1 %", `${gaps.filter((gap) => gap <= 0.0101).length} of ${crews}, the furthest ${percent(Math.max(...gaps))}`],
  ["hard rules broken", String(broken)],
];
process.stdout.write(`${crews} random crews\n${rows.map(([name, text]) => `${name.padEnd(50)}${text}`).join("\n")}\n`);
