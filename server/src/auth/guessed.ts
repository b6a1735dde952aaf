/** Passwords that are guessed too soon are not taken: an estimate of how many guesses one needs (Wheeler D. L., USENIX Security 2016). */
import { ZxcvbnFactory } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";
import { invalid } from "../http/problem";

/** Of 4: at least a hundred million guesses, more than whoever has a stolen hash makes of Argon2 in weeks. */
export const LEAST_SCORE = 3;

const estimate = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/** @param known what an attacker would try first: the person's own name, address, practice */
export function isGuessedSoon(password: string, known: readonly string[]): boolean {
  const words = known
    .map((each) => each.toLowerCase())
    .flatMap((each) => [each, ...each.split(/[\s@.]+/)])
    .filter((word) => word.length > 2);
  return estimate.check(password, words).score < LEAST_SCORE;
}

/** @throws Problem 400 at the field it was typed in */
export function refuseGuessed(password: string, known: readonly string[], path: string): void {
  if (isGuessedSoon(password, known))
    throw invalid([{ path, message: "would be guessed too soon: three or four words that do not belong together are better" }]);
}
