/**
 * One person's answers to one item, turned into a proposal: progress, hold, ease, or pause and refer. Pure: same facts, same answer.
 * Rules 4 to 7 of docs/safety.md. What protects comes first: a rule further down is not looked at when one above it applies.
 */
import { daysBetween } from "../calendar";
import type { Library, Movement } from "../library";
import { nextRaise } from "../program";
import { capFor, refusalOf } from "../safety";
import { easierThan } from "./easing";
import type { Fired, ItemFacts, Morning, MorningPattern, Response } from "./facts";
import { GAIN_POINTS, NO_GAIN_ANSWERS, USUAL_THRESHOLDS, type ResponseThresholds } from "./thresholds";

/** Two runs in a row over the cap, or two "too much" in the last three runs, ease an item. Practice rule. */
const OVER_CAP_RUNS = 2;
const MARK_WINDOW = 3;
/** Mornings in a row that are a little up before that counts as raised. Practice rule. */
const RAISED_MORNINGS = 2;
/** Three of the last five mornings count like two in a row. Design rule of docs/arithmetic.md. */
const OFTEN = { raised: 3, of: 5 };
/** One rise of more points than this is not forgotten the next day. */
const HIGH_RISE = 4;
/** One session this far above its cap eases. */
const FAR_OVER_CAP = 3;

/** The proposal for one person and one item. A proposal the trainer chose against rests until there is something new. */
export function respond(library: Library, facts: ItemFacts, thresholds: ResponseThresholds = USUAL_THRESHOLDS): Response | undefined {
  const response = proposal(library, facts, thresholds);
  return response && response.kind !== "hold" && response.kind === facts.overruled
    ? held([...response.fired, { rule: "overruled", proposed: response.kind }])
    : response;
}

/** @returns undefined for an item the library does not know, or that the person is held out of: there is nothing to decide */
function proposal(library: Library, facts: ItemFacts, thresholds: ResponseThresholds): Response | undefined {
  const movement = library.find(facts.item.movementId);
  if (!movement || refusalOf(library, facts.participation, movement.id) !== null) return undefined;
  const cap = capFor(facts.participation, movement);
  const mornings = facts.mornings.filter((morning) => isAbout(morning, movement));

  const alarm = tingling(facts, mornings) ?? stoppedEarly(facts);
  if (alarm) return alarm.afterEasing ? paused([alarm]) : eased(library, facts, movement, [alarm]);

  const raised = morningRule(facts, mornings, thresholds);
  if (raised?.rule === "morningRaised") return raised.afterEasing ? paused([raised]) : eased(library, facts, movement, [raised]);

  const stuck = noGain(facts, mornings, thresholds);
  if (stuck) return paused([stuck]);

  const much = tooMuch(facts, cap);
  if (much) return eased(library, facts, movement, [much]);
  if (raised) return held([raised]);

  return raiseOrHold(library, facts, mornings, thresholds);
}

/** A morning counts for an item when it names a place the item touches, or none. */
function isAbout(morning: Morning, { regions }: Movement): boolean {
  const touched: readonly string[] = [...regions.worked, ...regions.stretched, ...regions.released];
  return morning.regions.length === 0 || morning.regions.some((region) => touched.includes(region));
}

function tingling({ runs, eased: afterEasing }: ItemFacts, mornings: readonly Morning[]) {
  const marks = countMarks(runs, "tingling");
  const woke = mornings.filter((morning) => morning.tingling).length;
  return marks + woke > 0 ? { rule: "tingling" as const, marks, mornings: woke, afterEasing } : undefined;
}

function stoppedEarly({ runs, eased: afterEasing }: ItemFacts) {
  const marks = countMarks(runs, "stopped");
  return marks > 0 ? { rule: "stoppedEarly" as const, marks, afterEasing } : undefined;
}

/**
 * Looks at the latest mornings: what settled is settled. One morning a little up is noise; two in a row are not, nor three of the last
 * five, nor one that rose by very much. Each morning is compared with what was usual on that day.
 */
function morningRule({ since, eased: afterEasing }: ItemFacts, mornings: readonly Morning[], thresholds: ResponseThresholds) {
  const latest = mornings.at(-1);
  if (!latest) return undefined;
  const recent = mornings.slice(-OFTEN.of);
  const isPast = (morning: Morning) => daysBetween(since, morning.day) > thresholds.settlingDays || afterEasing;
  const allowed = thresholds.settlingRise;
  const told = (morning: Morning, pattern: MorningPattern) => ({
    rule: "morningRaised" as const,
    day: daysBetween(since, morning.day),
    rise: riseOf(morning),
    allowed,
    days: thresholds.settlingDays,
    afterEasing,
    pattern,
  });
  const rise = riseOf(latest);
  if (rise > allowed) return told(latest, "last");
  const high = recent.findLast((morning) => riseOf(morning) > HIGH_RISE);
  if (high) return told(high, "high");
  const raised = recent.filter((morning) => riseOf(morning) > 0);
  const worst = raised.reduce<Morning | undefined>((most, each) => (most && riseOf(most) >= riseOf(each) ? most : each), undefined);
  const inARow = mornings.slice(-RAISED_MORNINGS).filter((morning) => riseOf(morning) > 0).length === RAISED_MORNINGS;
  if (inARow && isPast(latest)) return told(latest, "inARow");
  if (raised.filter(isPast).length >= OFTEN.raised) return told(worst!, "often");
  if (rise <= 0 || daysBetween(since, latest.day) > thresholds.settlingDays) return undefined;
  return { rule: "settling" as const, day: daysBetween(since, latest.day), rise, allowed, days: thresholds.settlingDays };
}

function riseOf({ level, usualLevel }: Morning): number {
  return level - usualLevel;
}

function noGain({ today, since, startLevel, due, done }: ItemFacts, mornings: readonly Morning[], thresholds: ResponseThresholds) {
  if (startLevel === null || startLevel < 1 || due === 0 || mornings.length < NO_GAIN_ANSWERS) return undefined;
  const days = daysBetween(since, today);
  const donePercent = (100 * Math.min(done, due)) / due;
  const now = mean(mornings.slice(-NO_GAIN_ANSWERS).map(({ level }) => level));
  return days >= thresholds.noGainDays && donePercent >= thresholds.noGainPercent && startLevel - now < GAIN_POINTS
    ? { rule: "noGain" as const, days, before: startLevel, now, donePercent }
    : undefined;
}

function tooMuch({ runs }: ItemFacts, cap: number) {
  const recent = runs.slice(-MARK_WINDOW);
  const marks = countMarks(recent, "tooMuch");
  // A session's effort says something of its hardest items; of an easier one beside them it says nothing.
  const answered = runs.filter(({ effort }) => effort !== null).slice(-OVER_CAP_RUNS);
  const over = answered.filter(({ effort, sessionCap }) => cap >= sessionCap && effort! > cap);
  const farOver = Math.max(0, ...over.map(({ effort }) => effort!).filter((effort) => effort - cap >= FAR_OVER_CAP));
  return marks >= OVER_CAP_RUNS || over.length >= OVER_CAP_RUNS || farOver > 0
    ? { rule: "tooMuch" as const, marks, overCap: over.length, cap, ...(farOver > 0 && { farOver }) }
    : undefined;
}

function raiseOrHold(
  library: Library,
  facts: ItemFacts,
  mornings: readonly Morning[],
  { progressRuns, progressMargin }: ResponseThresholds,
): Response {
  const clean = cleanRunsAtTheEnd(facts, progressMargin);
  const last = clean.slice(-progressRuns);
  const [first] = last;
  const quiet = mornings.every((morning) => (first && morning.day < first.day) || riseOf(morning) <= 0);
  if (last.length < progressRuns || !quiet) return held([{ rule: "notYet", cleanRuns: quiet ? last.length : 0, wanted: progressRuns }]);
  const { next, change, stop, large } = nextRaise(library, facts.item, facts.present, facts.place, facts.putDown);
  if (stop || change === "none") return held([{ rule: "atTheTop", stop: stop?.kind ?? "top" }]);
  return {
    kind: "progress",
    fired: [
      {
        rule: "readyForMore",
        runs: last.length,
        highestEffort: Math.max(...last.map(({ effort }) => effort!)),
        cap: Math.min(...last.map(({ sessionCap }) => sessionCap)),
        margin: progressMargin,
      },
    ],
    next,
    raised: change,
    largeStep: large,
  };
}

/** The latest runs in a row that were done to the top, without a mark, the session's effort within its cap by a margin. */
function cleanRunsAtTheEnd({ runs }: ItemFacts, margin: number) {
  let from = runs.length;
  while (from > 0) {
    const { status, effort, sessionCap, marks } = runs[from - 1]!;
    if (status !== "done" || effort === null || effort > sessionCap - margin || marks.length > 0) break;
    from -= 1;
  }
  return runs.slice(from);
}

/** One step easier; a pause where there is none. */
function eased(library: Library, { present, place, beforeRaise, eased: already }: ItemFacts, movement: Movement, fired: Fired[]): Response {
  const next = easierThan(library, { present, place, before: beforeRaise, eased: already }, movement);
  return next ? { kind: "ease", fired, next, raised: null, largeStep: false } : paused(fired);
}

function paused(fired: Fired[]): Response {
  return { kind: "pauseAndRefer", fired, next: null, raised: null, largeStep: false };
}

function held(fired: Fired[]): Response {
  return { kind: "hold", fired, next: null, raised: null, largeStep: false };
}

function countMarks(runs: ItemFacts["runs"], kind: string): number {
  return runs.reduce((sum, { marks }) => sum + marks.filter((mark) => mark === kind).length, 0);
}

function mean(list: readonly number[]): number {
  return list.reduce((sum, each) => sum + each, 0) / list.length;
}
