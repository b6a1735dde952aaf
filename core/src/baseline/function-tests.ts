/** Function tests: something of the trade, done once with each hand, its effort told 0–10; lower is better. */
export const FUNCTION_TESTS = ["twistLid", "holdTool", "stapleLever", "wringTowel", "pressThumb", "turnKey"] as const;
export type FunctionTest = (typeof FUNCTION_TESTS)[number];
