/** What a storm came to, as a table. */

export type ToldRow = readonly [name: string, figure: number | string, wrong?: readonly string[]];

/** Prints the table with the first of what is wrong. @returns whether nothing is */
export function tell(rows: readonly ToldRow[]): boolean {
  for (const [name, figure, wrong = []] of rows) {
    const first = wrong.slice(0, 5).map((each) => `\n    ${each}`);
    process.stdout.write(`${name.padEnd(42)} ${String(figure).padStart(8)}${first.join("")}\n`);
  }
  return rows.every(([, , wrong = []]) => wrong.length === 0);
}

interface Written {
  calls: number;
  turnedAway: number;
  confirmed: number;
  lost: string[];
  doubled: string[];
  halfSaved: string[];
  wrongSums: string[];
  failed: string[];
  burst: { calls: number; failed: string[] };
}

export const writtenRows = (result: Written): ToldRow[] => [
  ["turned away while something was broken", result.turnedAway],
  ["confirmed", result.confirmed],
  ["lost", result.lost.length, result.lost],
  ["doubled", result.doubled.length, result.doubled],
  ["half saved", result.halfSaved.length, result.halfSaved],
  ["roll-ups that are not their sum", result.wrongSums.length, result.wrongSums],
  ["other answers of 500 and above", result.failed.length, result.failed],
  ["calls in bursts of 50", result.burst.calls],
  ["of them turned away or failed", result.burst.failed.length, result.burst.failed],
];
