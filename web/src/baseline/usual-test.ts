/** The function test a trade would choose, until the trainer chooses another. */
import type { BaselineRecord, FunctionTest } from "@kind-grip/core/baseline";

const BY_TRADE: readonly (readonly [word: RegExp, test: FunctionTest])[] = [
  [/uphols|staple|carton|pack/i, "stapleLever"],
  [/massage|therap|body/i, "pressThumb"],
  [/oyster|shell|fish|clean/i, "wringTowel"],
  [/roof|mason|carpent|weld|smith/i, "holdTool"],
];

/** What this round has used already comes first: one round, one test. */
export function usualTest(trade: string, records: readonly { record: BaselineRecord }[]): FunctionTest {
  const used = records.find(({ record }) => record.functionTest.test !== null)?.record.functionTest.test;
  return used ?? BY_TRADE.find(([word]) => word.test(trade))?.[1] ?? "twistLid";
}
