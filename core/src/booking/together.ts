/**
 * Days of bookings of several people who share kit. Each minute with kit in the hand is given a price, which rises where too many want
 * it (Lagrangian relaxation; Fisher, Management Science 1981, 27: 1–18). What all of it costs at those prices is a bound below which
 * nothing can be; days laid one by one around each other are what there is. It stops when they meet, and says how near they are.
 */
import { layDay, type BookedDay, type KitPrices, type LaidDay, type LaidSession, type LayRules } from "./lay";

export interface LaidTogether {
  /** By person. */
  days: Map<string, LaidDay>;
  cost: number;
  /** By how much of its cost the best there could be is cheaper; 0 is proven best. */
  gap: number;
}

const MOST_ROUNDS = 60;
/** Ways that are looked at where prices alone leave more open. */
const MOST_WAYS = 400;
/** Nearer than this to the best there could be is near enough. */
export const ENOUGH = 0.005;
/** The steps of the prices are halved when the bound did not rise for so many rounds. */
const PATIENCE = 6;
/** Costs are whole: a bound a hair below a whole number is that number. */
const HAIR = 1e-6;
const minute = 60_000;

/** @param mostRounds for stopping early */
export function layTogether(days: readonly BookedDay[], rules: LayRules, mostRounds = MOST_ROUNDS): LaidTogether {
  const room = new Room(days, rules, kitFor(rules));
  let laid = all(days, rules, new Map());
  let bound = costOf(laid);
  if (room.crowded(laid).size === 0) return { days: laid, cost: bound, gap: 0 };
  let best = oneByOne(days, rules, room, laid);
  let prices: KitPrices = new Map();
  let [step, waited] = [1, 0];
  for (let round = 0; round < mostRounds && gapOf(costOf(best), bound) > ENOUGH; round++) {
    prices = room.dearer(prices, laid, step * (costOf(best) - bound));
    laid = all(days, rules, prices);
    const low = Math.ceil(costOf(laid) - room.worth(prices) - HAIR);
    waited = low > bound ? 0 : waited + 1;
    if (waited > PATIENCE) [step, waited] = [step / 2, 0];
    bound = Math.max(bound, low);
    const next = oneByOne(days, rules, room, laid);
    if (costOf(next) < costOf(best)) best = next;
  }
  const ways = mostRounds > 0 && gapOf(costOf(best), bound) > ENOUGH ? branched(days, rules, room, best, bound) : { best, bound };
  return { days: ways.best, cost: costOf(ways.best), gap: gapOf(costOf(ways.best), ways.bound) };
}

/**
 * Where too many want kit at a moment, one of them does not have it then: each of them in turn, the cheapest way first.
 * @param known the best so far @param least what is known to be the least it can cost
 */
function branched(all: readonly BookedDay[], rules: LayRules, room: Room, known: Map<string, LaidDay>, least: number) {
  let bound = least;
  const start = new Map(all.map((day) => [day.personId, { barred: new Map() as KitPrices, laid: layDay(day, rules) }]));
  const daysOf = (ways: typeof start) => new Map([...ways].map(([personId, { laid }]) => [personId, laid]));
  let open = [{ ways: start, cost: costOf(daysOf(start)) }];
  for (let looked = 0; looked < MOST_WAYS && open.length > 0 && gapOf(costOf(known), bound) > ENOUGH; looked++) {
    const cheapest = open.reduce((found, each) => (each.cost < found.cost ? each : found));
    bound = Math.max(bound, cheapest.cost);
    const days = daysOf(cheapest.ways);
    const [crowdedAt] = [...room.crowded(days)].sort((a, b) => a - b);
    if (crowdedAt === undefined) return { best: days, bound: cheapest.cost };
    const there = all.filter(({ personId }) => (room.used(room.free(days.get(personId)!)).get(crowdedAt) ?? 0) > 0);
    open = open.filter((each) => each !== cheapest && each.cost < costOf(known));
    for (const day of there) {
      const barred = new Map(cheapest.ways.get(day.personId)!.barred).set(crowdedAt, Infinity);
      const ways = new Map(cheapest.ways).set(day.personId, { barred, laid: layDay(day, rules, barred) });
      open.push({ ways, cost: costOf(daysOf(ways)) });
    }
  }
  return { best: known, bound: open.length === 0 ? costOf(known) : bound };
}

function gapOf(cost: number, bound: number): number {
  return cost > bound ? (cost - bound) / cost : 0;
}

function all(days: readonly BookedDay[], rules: LayRules, prices: KitPrices): Map<string, LaidDay> {
  return new Map(days.map((day) => [day.personId, layDay(day, rules, prices)]));
}

function costOf(days: ReadonlyMap<string, LaidDay>): number {
  return [...days.values()].reduce((sum, { cost }) => sum + cost, 0);
}

/** How many people there is kit for. */
function kitFor({ sessions }: LayRules): number {
  return Math.min(...Object.values(sessions).map((shape) => shape?.shares?.people ?? Infinity));
}

/** Minute by minute, for how many more there is kit beside those who began already. */
class Room {
  private readonly begun: Map<number, number>;
  constructor(
    days: readonly BookedDay[],
    private readonly rules: LayRules,
    private readonly people: number,
  ) {
    this.begun = this.used(days.flatMap((day) => day.begun));
  }

  /** How many hold kit, minute by minute. */
  used(sessions: readonly LaidSession[]): Map<number, number> {
    const used = new Map<number, number>();
    for (const { kind, startMs, endMs } of sessions) {
      if (!this.rules.sessions[kind]?.shares) continue;
      for (let at = startMs / minute; at < endMs / minute; at++) used.set(at, (used.get(at) ?? 0) + 1);
    }
    return used;
  }

  at(at: number): number {
    return Math.max(0, this.people - (this.begun.get(at) ?? 0));
  }

  /** What may still be put elsewhere. */
  free({ sessions }: LaidDay): LaidSession[] {
    return sessions.filter(({ startMs }) => startMs >= this.rules.nowMs);
  }

  private usedIn(days: ReadonlyMap<string, LaidDay>): Map<number, number> {
    return this.used([...days.values()].flatMap((day) => this.free(day)));
  }

  /** Minutes at which more want kit than there is. */
  crowded(days: ReadonlyMap<string, LaidDay>): Set<number> {
    return new Set([...this.usedIn(days)].filter(([at, used]) => used > this.at(at)).map(([at]) => at));
  }

  /** Prices that rise where too many want it, and fall where there is some left. @param by how much there is to gain */
  dearer(prices: KitPrices, days: ReadonlyMap<string, LaidDay>, by: number): KitPrices {
    const used = this.usedIn(days);
    const over = [...new Set([...used.keys(), ...prices.keys()])]
      .map((at) => [at, (used.get(at) ?? 0) - this.at(at)] as const)
      .filter(([at, more]) => more > 0 || (prices.get(at) ?? 0) > 0);
    const square = over.reduce((sum, [, more]) => sum + more * more, 0);
    if (square === 0) return prices;
    return new Map(
      over.map(([at, more]) => [at, Math.max(0, (prices.get(at) ?? 0) + (by * more) / square)] as const).filter(([, price]) => price > 0),
    );
  }

  /** What the kit there is would bring in at these prices. */
  worth(prices: KitPrices): number {
    return [...prices].reduce((sum, [at, price]) => sum + price * this.at(at), 0);
  }

  /** Minutes nothing is left of. */
  closed(used: ReadonlyMap<number, number>): KitPrices {
    const minutes = new Set([...used.keys(), ...this.begun.keys()]);
    return new Map([...minutes].filter((at) => (used.get(at) ?? 0) >= this.at(at)).map((at) => [at, Infinity]));
  }
}

/** Each in turn around what those before hold, in the order they would like it. */
function oneByOne(days: readonly BookedDay[], rules: LayRules, room: Room, liked: ReadonlyMap<string, LaidDay>): Map<string, LaidDay> {
  const likes = ({ personId }: BookedDay) =>
    Math.min(
      ...liked
        .get(personId)!
        .sessions.filter(({ kind }) => rules.sessions[kind]?.shares)
        .map(({ startMs }) => startMs),
    );
  const order = [...days].sort((a, b) => likes(a) - likes(b) || a.personId.localeCompare(b.personId));
  const laid = new Map<string, LaidDay>();
  const held: LaidSession[] = [];
  for (const day of order) {
    const own = layDay(day, rules, room.closed(room.used(held)));
    laid.set(day.personId, own);
    held.push(...room.free(own));
  }
  return new Map(days.map(({ personId }) => [personId, laid.get(personId)!]));
}
