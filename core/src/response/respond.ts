/**
 * One person's answers to one item, turned into a proposal: progress, hold, ease, or pause and refer. Pure: same facts, same answer.
 * Rules 4 to 7 of docs/safety.md. What protects comes first: a rule further down is not looked at when one above it applies.
 */
import { easierForm, findMovement, FORM_TIMINGS, type Movement } from "../library";
import { nextRaise } from "../program";
import { capFor, refusalOf } from "../safety";
import { doseInForm } from "../session";
import { doseLadder } from "../slot";
import type { Fired, ItemFacts, Morning, Present, Response } from "./facts";
import { GAIN_POINTS, NO_GAIN_ANSWERS, USUAL_THRESHOLDS, type ResponseThresholds } from "./thresholds";

/** Two runs in a row over the cap, or two "too much" in the last three runs, ease an item. Practice rule. */
const OVER_CAP_RUNS = 2;
const MARK_WINDOW = 3;
/** Mornings in a row that are a little up before that counts as raised. Practice rule. */
const RAISED_MORNINGS = 2;
/** Without an easier form the dose is lowered to about this share. Practice rule. */
const EASED_SHARE = 0.6;

/** @returns undefined for an item the library does not know, or that the person is held out of: there is nothing to decide */
export function respond(facts: ItemFacts, thresholds: ResponseThresholds = USUAL_THRESHOLDS): Response | undefined {
  const movement = findMovement(facts.item.movementId);
  if (!movement || refusalOf(facts.participation, movement.id) !== null) return undefined;
  const cap = capFor(facts.participation, movement);
  const mornings = facts.mornings.filter((morning) => isAbout(morning, movement));

  const alarm = tingling(facts, mornings) ?? stoppedEarly(facts);
  if (alarm) return alarm.afterEasing ? paused([alarm]) : eased(facts, movement, [alarm]);

  const raised = morningRule(facts, mornings, thresholds);
  if (raised?.rule === "morningRaised") return raised.afterEasing ? paused([raised]) : eased(facts, movement, [raised]);

  const stuck = noGain(facts, mornings, thresholds);
  if (stuck) return paused([stuck]);

  const much = tooMuch(facts, cap);
  if (much) return eased(facts, movement, [much]);
  if (raised) return held([raised]);

  return raiseOrHold(facts, mornings, thresholds);
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

/** Looks at the latest mornings: what settled is settled. One morning a little up is noise, two in a row are not. */
function morningRule({ since, usualLevel, eased: afterEasing }: ItemFacts, mornings: readonly Morning[], thresholds: ResponseThresholds) {
  const latest = mornings.at(-1);
  if (!latest) return undefined;
  const rise = latest.level - usualLevel;
  const day = daysBetween(since, latest.day);
  const figures = { day, rise, allowed: thresholds.settlingRise, days: thresholds.settlingDays };
  if (rise <= 0) return undefined;
  const again = mornings.slice(-RAISED_MORNINGS).filter(({ level }) => level > usualLevel).length === RAISED_MORNINGS;
  if (rise > thresholds.settlingRise || (again && (day > thresholds.settlingDays || afterEasing)))
    return { rule: "morningRaised" as const, ...figures, afterEasing };
  return day > thresholds.settlingDays ? undefined : { rule: "settling" as const, ...figures };
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
  const overCap = answered.filter(({ effort, sessionCap }) => cap >= sessionCap && effort! > cap).length;
  return marks >= OVER_CAP_RUNS || overCap >= OVER_CAP_RUNS ? { rule: "tooMuch" as const, marks, overCap, cap } : undefined;
}

function raiseOrHold(facts: ItemFacts, mornings: readonly Morning[], { progressRuns, progressMargin }: ResponseThresholds): Response {
  const clean = cleanRunsAtTheEnd(facts, progressMargin);
  const last = clean.slice(-progressRuns);
  const [first] = last;
  const quiet = mornings.every(({ day, level }) => (first && day < first.day) || level <= facts.usualLevel);
  if (last.length < progressRuns || !quiet) return held([{ rule: "notYet", cleanRuns: quiet ? last.length : 0, wanted: progressRuns }]);
  const { next, change, stop, large } = nextRaise(facts.item, facts.present, facts.place);
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

/** One form easier; without an easier form a smaller dose; without either a pause. */
function eased(facts: ItemFacts, movement: Movement, fired: Fired[]): Response {
  const next = easierThan(facts, movement);
  return next ? { kind: "ease", fired, next, raised: null, largeStep: false } : paused(fired);
}

function easierThan({ present, item, place }: ItemFacts, movement: Movement): Present | undefined {
  const form = easierForm(movement, present.formId);
  if (form) {
    const timing = FORM_TIMINGS.get(movement.id)?.get(form.id);
    // A band has no mass: what was in the hand before is put down.
    const kinds = [...form.kit, ...movement.kit];
    const loaded = place.kit.some(({ kind, massKg }) => massKg !== null && kinds.includes(kind));
    return { formId: form.id, dose: doseInForm(item.dose, timing), loadKg: loaded ? present.loadKg : null };
  }
  const smaller = doseLadder(item.dose)
    .filter(({ share }) => share <= EASED_SHARE + 1e-9)
    .at(0)?.dose;
  return smaller && JSON.stringify(smaller) !== JSON.stringify(present.dose) && JSON.stringify(present.dose) === JSON.stringify(item.dose)
    ? { ...present, dose: smaller }
    : undefined;
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

function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

function mean(list: readonly number[]): number {
  return list.reduce((sum, each) => sum + each, 0) / list.length;
}
