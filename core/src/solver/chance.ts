/** Chance that comes out the same every time: a search that is asked again finds the same. */

/** Park and Miller 1988: an even spread over 0 to 1. @param seed a whole number above 0 */
export function chanceFrom(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}
