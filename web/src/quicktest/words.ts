/** The quick tests in words, for screens of a trainer. */
import type { PairedAnswer } from "@kind-grip/core/api";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { massText, numberText } from "../base/measures";
import { peopleText, runsText } from "../base/amounts";
import { t } from "../base/words";

export const QUICK_TEST_NAMES: Readonly<Record<QuickTest, string>> = {
  twistLid: t("Twist a tight lid"),
  bentBack: t("Wrist bent back on a wall"),
  grip: t("One squeeze of the meter"),
  tingling: t("Tingling now"),
};

/** How it is done, and what the ends of its scale are. */
export const QUICK_TEST_HOW: Readonly<Record<QuickTest, string>> = {
  twistLid: t("Main hand, a quarter turn. 0 is no effort, 10 the most one can do."),
  bentBack: t("Palm flat on a wall or a table's edge, fingers up, lean in until it pulls. 0 is no pull, 10 as tight as can be."),
  grip: t("Main hand, elbow bent at the side, as hard as is comfortable for three seconds."),
  tingling: t("On their own phone only. 0 is none, 10 the most one can think of."),
};

/** A reading with its unit. */
export function readingText(test: QuickTest, value: number): string {
  const written = test === "grip" ? massText(Math.abs(value), 1) : numberText(Math.abs(value), 1);
  return value < 0 && /[1-9]/.test(written) ? `−${written}` : written;
}

/** What the pairs tell, honestly also when it is nothing. @param who counts: runs of one person, or people of a crew */
export function pairedText(test: QuickTest, { verdict, gain, pairs }: PairedAnswer, who: "runs" | "people"): string {
  if (!gain)
    return who === "runs"
      ? t("{{count}} runs with both readings: too few to tell.", {
          count: pairs,
          defaultValue_one: "{{count}} run with both readings: too few to tell.",
        })
      : t("{{count}} people with enough runs: too few to tell.", {
          count: pairs,
          defaultValue_one: "{{count}} person with enough runs: too few to tell.",
        });
  // Written the way it went: the middle first, the ends in the same direction.
  const sign = verdict === "worse" ? -1 : 1;
  const [mean, low, high] = [gain.mean, sign === 1 ? gain.low : gain.high, sign === 1 ? gain.high : gain.low].map((value) =>
    readingText(test, sign * value),
  ) as [string, string, string];
  const counted = who === "runs" ? runsText(pairs) : peopleText(pairs);
  if (verdict === "same")
    return t("No difference that can be told: {{mean}} ({{low}} to {{high}}), {{counted}}.", { mean, low, high, counted });
  return verdict === "better"
    ? t("Better after by {{mean}} as a rule ({{low}} to {{high}}), {{counted}}.", { mean, low, high, counted })
    : t("Worse after by {{mean}} as a rule ({{low}} to {{high}}), {{counted}}.", { mean, low, high, counted });
}
