/** Repeatable chance: the same seed gives the same demo, ids included. */

export interface SeededRandom {
  /** 0 ≤ x < 1. */
  next(): number;
  chance(share: number): boolean;
  whole(min: number, max: number): number;
  id(): string;
}

/** Mulberry32. */
export function seededRandom(seed: number): SeededRandom {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const hex = (length: number) => Array.from({ length }, () => Math.floor(next() * 16).toString(16)).join("");
  return {
    next,
    chance: (share) => next() < share,
    whole: (min, max) => min + Math.floor(next() * (max - min + 1)),
    id: () => `019d0000-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`,
  };
}
