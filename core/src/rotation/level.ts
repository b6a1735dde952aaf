/** The rotation of a crew whose hardest hand has it as easy as can be, with its proof. */
import { chanceFrom, type Solver } from "../solver";
import { exchanged, type Share } from "./exchange";
import { countPatterns, patternsOf, type Patterns } from "./patterns";
import {
  gapOfRotation,
  kindsOf,
  MOST_PATTERNS,
  MOST_TURNS,
  type Kind,
  type NoRotation,
  type Rotation,
  type RotationProblem,
} from "./problem";
import { sharesOf, type Column, type Shares } from "./shares";
import { fewestChanges, matching, turnByTurn } from "./turns";
import { columnsWithin, fullest, wholeIn } from "./whole";

/** With no more columns needed than this whole people are tried with all of them, which is a proof; with more, with those of use. */
const ALL_COLUMNS = 1100;
/** With no more than this the very best is looked for; with more, what is near enough will do. */
const FEW_COLUMNS = 300;
/** Near enough to the bound to stop, as a share of it; as much again in every later round. */
const NEAR = 0.003;
const ROUNDS = 3;
const SHAKES = 15;
const EXCHANGES = 8;

/**
 * Who may do the same is one kind; each kind's people are shared out among the patterns of turns, so that every task has its turns. The
 * bound is the least strain at which shares of people would do. Whole people are looked for from there up, among all patterns where those
 * are few, or else by exchanging turns, and then between the two among the patterns that were of use.
 * @throws RangeError for turns that are not 1 to 12
 */
export async function levelRotation(problem: RotationProblem, solve: Solver): Promise<Rotation | NoRotation> {
  const { tasks, turns, turnMin, needed, people } = problem;
  if (!Number.isInteger(turns) || turns < 1 || turns > MOST_TURNS) throw new RangeError(`a shift of ${turns} turns cannot be shared out`);
  const idle = people.length - needed.reduce((sum, each) => sum + each, 0);
  if (idle < 0) return "tooFewPeople";
  const places = [...needed, idle];
  const wanted = places.map((each) => each * turns);
  const kinds = kindsOf(problem);
  if (countPatterns(tasks.length, turns, idle > 0) > MOST_PATTERNS) return "tooManyWays";
  const patterns = patternsOf(tasks, turns, turnMin, idle > 0);
  const { list } = patterns;
  const start = oneTaskEach(kinds, places, turns, patterns);
  if (!start) return "notAllowed";
  const first = exchanged(start, patterns);
  const steps = [...new Set(list.map(({ strain }) => strain))];
  const fractions = sharesOf(kinds, list, wanted, solve);
  const bound = steps[await firstThat(steps, 0, steps.indexOf(hardestOf(first)), (most) => fractions.cover(most))]!;
  const question = { kinds, patterns, steps, wanted, solve, bound };
  const found = await nearestTo(question, first, fractions);
  return { ...rowsOf(problem, found.shares, places), bound: Math.min(found.bound, hardestOf(found.shares)) };
}

interface Question {
  kinds: readonly Kind[];
  patterns: Patterns;
  /** Strains that occur, ascending. */
  steps: readonly number[];
  wanted: readonly number[];
  solve: Solver;
  bound: number;
}

interface Found {
  shares: readonly Share[];
  bound: number;
}

/** Among the columns that were of use, until few enough are left below what was found to try them all. */
async function nearestTo(question: Question, first: readonly Share[], fractions: Shares): Promise<Found> {
  if (columnsBelow(question, first) <= FEW_COLUMNS) return bestOfAll(question, first, 0);
  const shares = await nearBound(question, first, fractions);
  return columnsBelow(question, shares) <= ALL_COLUMNS ? bestOfAll(question, shares, NEAR) : { shares, bound: question.bound };
}

const gapIn = ({ shares, bound }: Found) => gapOfRotation({ hardest: hardestOf(shares), bound });

/** How many columns an easier rotation could be of. */
function columnsBelow({ kinds, patterns, wanted, steps }: Question, shares: readonly Share[]): number {
  const below = steps[steps.indexOf(hardestOf(shares)) - 1];
  return below === undefined ? 0 : columnsWithin(kinds, patterns, wanted, below).length;
}

/**
 * Every pattern is tried: a strain at which it was proven that whole people do not raises the bound; one that was left open does not.
 * @param near ends as soon as the bound is within this share of the hardest
 */
async function bestOfAll(question: Question, first: readonly Share[], near: number): Promise<Found> {
  const { patterns, steps } = question;
  const from = steps.indexOf(question.bound);
  let found: Found = { shares: first, bound: question.bound };
  await firstThat(steps, from, steps.indexOf(hardestOf(first)), async (most) => {
    if (gapIn(found) <= near) return true;
    const taken = await wholeOfAll(question, most);
    if (taken === "none") found = { ...found, bound: Math.max(found.bound, steps[steps.indexOf(most) + 1]!) };
    if (typeof taken === "string") return false;
    const better = exchanged(taken, patterns);
    if (hardestOf(better) < hardestOf(found.shares)) found = { ...found, shares: better };
    return true;
  });
  return found;
}

/** Whole people in all the columns up to a strain; that there are none is often seen sooner in the fullest. */
async function wholeOfAll({ kinds, patterns, wanted, solve }: Question, most: number) {
  const columns = columnsWithin(kinds, patterns, wanted, most);
  const noTurnsAtNothing = wanted.at(-1) === 0;
  const none = !noTurnsAtNothing && (await wholeIn(kinds, fullest(kinds, patterns, columns, most), wanted, "atLeast", solve)) === "none";
  return none ? "none" : wholeIn(kinds, columns, wanted, "just", solve);
}

/** Among the patterns that were of use or nearly so, and by beginning again from a rotation shaken a little, until it is near enough. */
async function nearBound(question: Question, first: readonly Share[], fractions: Shares): Promise<readonly Share[]> {
  const { kinds, patterns, wanted, bound, solve } = question;
  let shares = first;
  const seen: Column[] = [];
  const take = (made: readonly Share[]) => {
    const better = exchanged(made, patterns);
    seen.push(...better.map(({ kind, pattern }) => ({ kind: kinds.indexOf(kind), pattern })));
    if (hardestOf(better) < hardestOf(shares)) shares = better;
  };
  take(first);
  for (let round = 0; round < ROUNDS; round++) {
    // What cannot be had that near may be had a little farther off.
    const most = bound * (1 + NEAR * (1 + round));
    if (hardestOf(shares) <= most || columnsBelow(question, shares) <= ALL_COLUMNS) break;
    const columns = unique([...fractions.columns(), ...fractions.nearlyOfUse(most), ...seen]);
    const within = columns.filter(({ pattern }) => pattern.strain <= most);
    const taken = await wholeIn(kinds, within, wanted, "just", solve);
    if (typeof taken !== "string") take(taken);
    for (let shake = 0; shake < SHAKES && hardestOf(shares) > most; shake++) take(shaken(shares, patterns, round * SHAKES + shake));
  }
  return shares;
}

const hardestOf = (shares: readonly Share[]) => Math.max(...shares.map(({ pattern }) => pattern.strain));

function unique(columns: readonly Column[]): Column[] {
  return [...new Map(columns.map((column) => [`${column.kind} ${column.pattern.turns.join()}`, column])).values()];
}

/** Everybody at one task all through the shift: if that cannot be done, no exchange can be either. */
function oneTaskEach(kinds: readonly Kind[], places: readonly number[], turns: number, patterns: Patterns): Share[] | undefined {
  const people = kinds.flatMap((kind) => kind.members.map(() => kind));
  const at = matching(
    people.map(({ may }) => may),
    places,
  );
  return at?.map((task, i) => ({ kind: people[i]!, pattern: patterns.of(places.map((_, t) => (t === task ? turns : 0)))! }));
}

/** By halving: the first step that does, of steps of which the last is known to; what does at a step does at every later one. */
async function firstThat(steps: readonly number[], from: number, last: number, does: (step: number) => Promise<boolean>): Promise<number> {
  let [low, high] = [from - 1, last];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (await does(steps[middle]!)) high = middle;
    else low = middle;
  }
  return high;
}

/** Each kind's shares to its people, in the order they are in, and turn by turn. */
function rowsOf({ tasks, people }: RotationProblem, shares: readonly Share[], places: readonly number[]): Omit<Rotation, "bound"> {
  const at = fewestChanges(
    turnByTurn(
      shares.map(({ pattern }) => pattern.turns),
      places,
    ),
  );
  const byPerson = new Map<string, Rotation["rows"][number]>();
  for (const kind of new Set(shares.map((share) => share.kind))) {
    const own = shares.flatMap((share, i) => (share.kind === kind ? [i] : []));
    kind.members.forEach((personId, m) => {
      const i = own[m]!;
      byPerson.set(personId, {
        personId,
        taskIds: at[i]!.map((task) => tasks[task]?.id ?? null),
        strain: shares[i]!.pattern.strain,
      });
    });
  }
  return { rows: people.map(({ id }) => byPerson.get(id)!), hardest: hardestOf(shares) };
}

/** Some turns exchanged as it happens, the same for the same number. */
function shaken(shares: readonly Share[], patterns: Patterns, number: number): Share[] {
  const chance = chanceFrom(number + 1);
  const upTo = (most: number) => Math.floor(chance() * most);
  const made = [...shares];
  const tasks = made[0]!.pattern.turns.length;
  for (let done = 0, tried = 0; done < EXCHANGES && tried < 100 * EXCHANGES; tried++) {
    const [a, b, give, take] = [upTo(made.length), upTo(made.length), upTo(tasks), upTo(tasks)];
    const [one, other] = [made[a]!, made[b]!];
    if (a === b || give === take || !one.kind.may[take] || !other.kind.may[give]) continue;
    const mine = patterns.after(one.pattern, give, take, 1);
    const theirs = patterns.after(other.pattern, take, give, 1);
    if (!mine || !theirs) continue;
    made[a] = { ...one, pattern: mine };
    made[b] = { ...other, pattern: theirs };
    done++;
  }
  return made;
}
