/** Why the next block is as it is. */
import { ENOUGH_DONE, MANY_RAISED, type BlockReason } from "@kind-grip/core/followup";
import { t } from "../base/words";

/** One sentence a reason. */
export function blockReasonText(found: BlockReason): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  switch (found.reason) {
    case "tooLittleDone":
      return t("{{adherence}} of what was due was done, under {{enoughDone}}: make the sessions shorter first.", {
        adherence: percent(found.adherence),
        enoughDone: percent(ENOUGH_DONE),
      });
    case "morningsRaised":
      return t("{{raised}} of the mornings were above the usual level, over {{manyRaised}}: relief first.", {
        raised: percent(found.raised),
        manyRaised: percent(MANY_RAISED),
      });
    case "moreWorse":
      return t("More people measured worse ({{worse}}) than better ({{better}}) beyond noise: relief first, and look at the work.", {
        worse: found.worse,
        better: found.better,
      });
    case "goesWell":
      return t("{{better}} of {{measured}} people measured better beyond noise: go on with load.", {
        better: found.better,
        measured: found.measured,
      });
    case "notMeasured":
      return t("Nobody was measured twice: measure again before a long block.");
  }
}
