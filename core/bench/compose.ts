/**
 * Composing against its yardstick: `npm run bench:compose -- [crews] [seconds]`. For random crews, what the programme covers beside what a
 * greedy chooser covers, how long the first answer and the last took, and every proposal held against an independent checker.
 */
import { performance } from "node:perf_hooks";
import { composer, USUAL_LIMITS, type ComposeLimits } from "../src/compose";
import { candidatesFor } from "../src/compose/candidates";
import { targetsOf } from "../src/compose/model";
import { brokenRules, greedyCovered, SAMPLE_NAMES, solveInNode } from "../src/compose/sample";
import { SHIPPED_LIBRARY, KIT_KINDS, LOAD_SCHOOLS, REGIONS, SETTINGS, STRETCH_SCHOOLS } from "../src/library";
import { sampleId } from "../src/session/sample";

const crews = Number(process.argv[2] ?? 50);
const seconds = Number(process.argv[3] ?? 4);
let state = 20260326;
const chance = () => (state = (state * 16807) % 2147483647) / 2147483647;
const whole = (from: number, to: number) => from + Math.floor(chance() * (to - from + 1));
const some = <T>(list: readonly T[], share: number) => list.filter(() => chance() < share);

/** As the interface gives it. */
const FIRST_SEC = 0.2;
const median = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
const gains: number[] = [];
const firstMs: number[] = [];
const gaps: number[] = [];
const firstShare: number[] = [];
const bestMs: number[] = [];
let below = 0;
let broken = 0;
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
  const needs = REGIONS.map((region) => {
    const need = whole(0, 90);
    return {
      side: "right" as const,
      region,
      need,
      strengthNeed: need,
      loadMin: 0,
      fromWork: 0,
      parts: [],
      added: [],
    };
  });
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
  const first = await ask.first(solveInNode, FIRST_SEC);
  firstMs.push(performance.now() - started);
  const again = performance.now();
  const best = await ask.best(solveInNode, { timeLimitSec: seconds, gap: 0.01, from: first });
  bestMs.push(performance.now() - again);
  gaps.push(best?.gap ?? Infinity);
  firstShare.push((first?.covered ?? 0) / Math.max(1e-9, best?.covered ?? 0));
  for (const proposal of [first, best]) if (proposal) broken += brokenRules(proposal, limits).length;
  // Both counted alike: Σ need share × points covered.
  const most = targetsOf(wanted, limits).reduce((sum, { need, target }) => sum + (need / 100) * target, 0);
  const greedy =
    greedyCovered(candidatesFor(SHIPPED_LIBRARY, SHIPPED_LIBRARY.movements, limits, sampleId).candidates, wanted, limits) / most;
  const covered = Math.max(first?.covered ?? 0, best?.covered ?? 0);
  if (covered < greedy - 1e-9) below++;
  gains.push(covered / greedy - 1);
}
const mean = gains.reduce((sum, gain) => sum + gain, 0) / gains.length;
process.stdout.write(
  [
    `${crews} random crews`,
    `covered need against greedy: ${(mean * 100).toFixed(1)} % more on average, below it ${below} times`,
    `first answer: median ${Math.round(median(firstMs))} ms, worst ${Math.round(Math.max(...firstMs))} ms`,
    `best (1 % gap, at most ${seconds} s): median ${Math.round(median(bestMs))} ms, worst ${Math.round(Math.max(...bestMs))} ms`,
    `first against best: ${(median(firstShare) * 100).toFixed(0)} % in the middle; none at once for ${firstShare.filter((share) => share === 0).length}`,
    `proven within 1 % for ${gaps.filter((gap) => gap <= 0.0101).length} of ${crews}; the furthest ${(Math.max(...gaps) * 100).toFixed(1)} %`,
    `hard rules broken: ${broken}`,
    "",
  ].join("\n"),
);
