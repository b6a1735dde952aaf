/**
 * A first answer without a solver: built greedily in the shape people know, then again and again partly taken down and built anew
 * ("ruin and recreate", Schrimpf, Schneider, Stamm-Wilbrandt and Dueck, Journal of Computational Physics 2000; 159: 139–171). Pure: a fixed
 * number of rounds and a fixed row of random numbers, so that the same question has the same answer.
 */
import { SPACING } from "../dayplan";
import { SLOT_KINDS, type SlotKind } from "../session";
import { chanceFrom } from "../solver";
import type { Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { oppositeWeight, targetsOf, type Wanted } from "./targets";
import { getsReady, LEAST_READY_SEC, mustsOf, READY_FROM_SEC } from "./shape";

/** Rounds of taking down and building anew. */
const ROUNDS = 400;
/** Most of a program that is taken down at once. */
const MOST_RUINED = 0.45;
/** A worth is taken at most this much too high or too low at random, so that two builds differ: some rounds little, some much. */
const MOST_NOISE = 1;

/** What a candidate is for the search: plain numbers. */
interface Piece {
  slot: number;
  movement: number;
  sec: number;
  targets: readonly number[];
  points: readonly number[];
  postures: readonly number[];
  ready: boolean;
  /** Which of the musts of its session it fulfils. */
  musts: readonly number[];
  gliding: boolean;
  moving: boolean;
}

interface Build {
  chosen: number[];
  value: number;
}

/**
 * @param locked places in the list that must be in
 * @param from places of a program already known: built upon where that is worth more
 * @returns undefined when the locked ones do not fit together
 */
export function searched(
  candidates: readonly Candidate[],
  wanted: Wanted,
  limits: ComposeLimits,
  locked: ReadonlySet<number>,
  from: readonly number[] = [],
  rounds = ROUNDS,
): Candidate[] | undefined {
  const builder = new Builder(candidates, wanted, limits, locked);
  let best = builder.build([], 0);
  if (!best) return undefined;
  const known = from.length > 0 ? builder.build(from, 0) : undefined;
  if (known && known.value > best.value) best = known;
  for (let round = 0; round < rounds; round++) {
    const next = builder.build(builder.ruined(best.chosen), builder.noise());
    if (next && next.value > best.value + 1e-9) best = next;
  }
  return best.chosen.map((i) => candidates[i]!);
}

class Builder {
  private readonly pieces: readonly Piece[];
  private readonly needs: readonly number[];
  private readonly most: readonly number[];
  private readonly postureWorth: readonly number[];
  private readonly slotSec: readonly number[];
  private readonly times: readonly number[];
  private readonly leastReady: readonly number[];
  /** The musts of each session: getting ready always, the others where anything can fulfil them. */
  private readonly musts: readonly (readonly number[])[];
  private readonly random = chanceFrom(20261126);

  constructor(
    candidates: readonly Candidate[],
    wanted: Wanted,
    private readonly limits: ComposeLimits,
    private readonly locked: ReadonlySet<number>,
  ) {
    const targets = targetsOf(wanted, limits);
    this.needs = targets.map(({ need }) => need / 100);
    this.most = targets.map(({ target }) => target);
    this.postureWorth = wanted.opposites.map(oppositeWeight);
    this.slotSec = SLOT_KINDS.map((slot) => limits.slotSec[slot]);
    this.times = SLOT_KINDS.map((slot) => (slot === "break" ? limits.breaksADay : 1));
    const movements = [...new Set(candidates.map(({ movement }) => movement.id))];
    this.pieces = candidates.map(({ slot, movement, sec, gives, points }) => {
      const of = targets.flatMap(({ region, kind }, i) => (kind === gives && points.has(region) ? [i] : []));
      return {
        slot: SLOT_KINDS.indexOf(slot),
        movement: movements.indexOf(movement.id),
        sec,
        targets: of,
        points: of.map((i) => points.get(targets[i]!.region)!),
        postures: wanted.opposites.flatMap(({ posture }, i) => ((movement.reverses as readonly string[]).includes(posture) ? [i] : [])),
        ready: getsReady(movement),
        musts: mustsOf(slot, limits.slotSec[slot]).flatMap(({ is }, i) => (is(movement) ? [i] : [])),
        gliding: movement.phase === "glide",
        moving: movement.phase === "mobility" || movement.phase === "stretch",
      };
    });
    const possible = (slot: SlotKind) => this.pieces.filter((piece) => SLOT_KINDS[piece.slot] === slot);
    this.leastReady = SLOT_KINDS.map((slot) => {
      if (slot === "break") return 0;
      const all = possible(slot).reduce((sum, { ready, sec }) => sum + (ready ? sec : 0), 0);
      return limits.slotSec[slot] >= READY_FROM_SEC ? Math.min(LEAST_READY_SEC, all) : 0;
    });
    this.musts = SLOT_KINDS.map((slot) =>
      mustsOf(slot, limits.slotSec[slot]).flatMap(({ must }, i) =>
        must === "ready" || possible(slot).some(({ musts }) => musts.includes(i)) ? [i] : [],
      ),
    );
  }

  noise(): number {
    return MOST_NOISE * this.random() ** 2;
  }

  /** What is left of a program when some of it is taken down; at times a whole session. */
  ruined(chosen: readonly number[]): number[] {
    if (this.random() < 0.25) {
      const slot = Math.floor(this.random() * SLOT_KINDS.length);
      return chosen.filter((i) => this.pieces[i]!.slot !== slot);
    }
    const share = 0.1 + this.random() * (MOST_RUINED - 0.1);
    return chosen.filter(() => this.random() > share);
  }

  /** A program round what is kept: first what a session must have, then what covers most a second. */
  build(kept: readonly number[], noise: number): Build | undefined {
    const { pieces, slotSec, limits } = this;
    const now = new Standing(this.most.length, this.postureWorth.length);
    for (const i of this.locked) if (!this.add(now, i)) return undefined;
    for (const i of kept) if (!this.locked.has(i)) this.add(now, i);
    const worth = pieces.map(() => 1 + noise * (2 * this.random() - 1));
    const bestOf = (takes: (piece: Piece) => boolean, idle: boolean): number => {
      let [best, most] = [-1, idle ? -1 : 1e-9];
      for (let i = 0; i < pieces.length; i++) {
        const piece = pieces[i]!;
        if (!takes(piece) || !this.fits(now, piece)) continue;
        const gain = ((this.gain(now, piece) + (idle ? 0.01 : 0)) / piece.sec) * worth[i]!;
        if (gain > most) [best, most] = [i, gain];
      }
      return best;
    };
    /** What a session must have: what is worth most a second, or now and then anything, because the least item leaves most room. */
    const needed = (takes: (piece: Piece) => boolean): number => {
      if (noise === 0 || this.random() < 0.5) return bestOf(takes, true);
      const possible = pieces.flatMap((piece, i) => (takes(piece) && this.fits(now, piece) ? [i] : []));
      return possible.length === 0 ? -1 : possible[Math.floor(this.random() * possible.length)]!;
    };
    for (let slot = 0; slot < slotSec.length; slot++) {
      if (slotSec[slot] === 0) continue;
      const here = () => now.chosen.filter((i) => pieces[i]!.slot === slot);
      const lacking = () => this.musts[slot]!.filter((must) => !here().some((i) => pieces[i]!.musts.includes(must)));
      for (const must of lacking()) {
        if (!lacking().includes(must)) continue;
        const i = needed((piece) => piece.slot === slot && piece.musts.includes(must));
        if (i >= 0) this.add(now, i);
      }
      while (now.readySec[slot]! < this.leastReady[slot]!) {
        const i = needed((piece) => piece.slot === slot && piece.ready);
        if (i < 0 || !this.add(now, i)) break;
      }
      // A session that cannot have what it must have is none.
      if (now.readySec[slot]! < this.leastReady[slot]! || lacking().length > 0) {
        if (now.chosen.some((i) => pieces[i]!.slot === slot && this.locked.has(i))) return undefined;
        return this.without(now, slot, noise);
      }
    }
    while (now.chosen.length < limits.mostItems * slotSec.length) {
      const i = bestOf(() => true, false);
      if (i < 0) break;
      this.add(now, i);
    }
    return { chosen: now.chosen, value: now.value };
  }

  /** Built again with one session left empty, where its shape cannot be had. */
  private without(now: Standing, slot: number, noise: number): Build | undefined {
    const kept = now.chosen.filter((i) => this.pieces[i]!.slot !== slot);
    const smaller = Object.create(this) as Builder;
    const changed = (list: readonly (number | boolean)[], value: number | boolean) => list.map((each, i) => (i === slot ? value : each));
    Object.assign(smaller, {
      leastReady: changed(this.leastReady, 0),
      musts: this.musts.map((each, i) => (i === slot ? [] : each)),
      slotSec: changed(this.slotSec, 0),
    });
    return smaller.build(kept, noise);
  }

  private fits(now: Standing, piece: Piece): boolean {
    const { slot, movement, sec, gliding, moving } = piece;
    const { mostItems, mostMovements } = this.limits;
    if (now.sec[slot]! + sec > this.slotSec[slot]! || now.items[slot]! >= mostItems) return false;
    if (now.standing.has(slot * 1000 + movement)) return false;
    if (!now.movements.has(movement) && now.movements.size >= mostMovements) return false;
    if (gliding && (now.glides[slot]! > 0 || now.gliding + this.times[slot]! > SPACING.glidesPerDay)) return false;
    return !(moving && now.moves[slot] === 0 && now.moving + this.times[slot]! > SPACING.mobilityPerDay);
  }

  private gain(now: Standing, { targets, points, postures }: Piece): number {
    let sum = 0;
    for (let k = 0; k < targets.length; k++) {
      const target = targets[k]!;
      sum += this.needs[target]! * Math.min(points[k]!, Math.max(0, this.most[target]! - now.points[target]!));
    }
    for (const posture of postures) if (!now.reversed[posture]) sum += this.postureWorth[posture]!;
    return sum;
  }

  private add(now: Standing, i: number): boolean {
    const piece = this.pieces[i]!;
    if (!this.fits(now, piece)) return false;
    const { slot } = piece;
    now.value += this.gain(now, piece);
    piece.targets.forEach((target, k) => (now.points[target]! += piece.points[k]!));
    for (const posture of piece.postures) now.reversed[posture] = true;
    now.chosen.push(i);
    now.sec[slot]! += piece.sec;
    now.items[slot]!++;
    now.standing.add(slot * 1000 + piece.movement);
    now.movements.add(piece.movement);
    if (piece.ready) now.readySec[slot]! += piece.sec;
    if (piece.gliding) {
      now.glides[slot]!++;
      now.gliding += this.times[slot]!;
    }
    if (piece.moving && now.moves[slot]!++ === 0) now.moving += this.times[slot]!;
    return true;
  }
}

/** What a program under construction has so far. */
class Standing {
  readonly chosen: number[] = [];
  value = 0;
  readonly points: number[];
  readonly reversed: boolean[];
  readonly sec = SLOT_KINDS.map(() => 0);
  readonly items = SLOT_KINDS.map(() => 0);
  readonly readySec = SLOT_KINDS.map(() => 0);
  readonly glides = SLOT_KINDS.map(() => 0);
  readonly moves = SLOT_KINDS.map(() => 0);
  gliding = 0;
  moving = 0;
  readonly standing = new Set<number>();
  readonly movements = new Set<number>();

  constructor(targets: number, postures: number) {
    this.points = Array<number>(targets).fill(0);
    this.reversed = Array<boolean>(postures).fill(false);
  }
}
