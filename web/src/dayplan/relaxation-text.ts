/** What would give every session a place, in words. */
import type { Relaxation } from "@kind-grip/core/dayplan";
import { t } from "../base/words";

/** @param jobs names of the crews, when there is more than one */
export function relaxationText(relaxation: Relaxation, jobs: readonly string[] = []): string {
  switch (relaxation.change) {
    case "leaders":
      return t("With {{to}} leaders everything finds a place.", { to: relaxation.to });
    case "mostOffJob":
      return t("With {{to}} people{{what}} off the job at once everything finds a place.", {
        to: relaxation.to,
        what: jobs.length > 1 ? ` ${t("of {{jobs}}", { jobs: jobs[relaxation.job]! })}` : "",
      });
    case "reach":
      return t("Up to {{addMin}} min further from the ideal times everything finds a place.", { addMin: relaxation.addMin });
  }
}
