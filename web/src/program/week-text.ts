/** A week of an item in words: what is raised, or why nothing is. */
import type { Week } from "@kind-grip/core/program";
import { doseText } from "@kind-grip/core/session";
import type { Words } from "@kind-grip/core/language";
import { listText, massText } from "../base/measures";
import { t } from "../base/words";

export function weekText(words: Words, week: Week, movementId: string): string {
  switch (week.change) {
    case "settling":
    case "asWritten":
    case "lighter":
    case "dose":
      return doseText(week.dose);
    case "form":
      return `${words.formName(movementId, week.formId)}${week.loadKg === null ? "" : `, ${words.load(week)}`}, ${doseText(week.dose)}`;
    case "load":
      return `${words.load(week)}, ${doseText(week.dose)}${week.large ? ` ${t("(step over 10 %)")}` : ""}`;
    case "none":
      return week.stop ? stopText(words, week.stop) : t("the same");
  }
}

function stopText(words: Words, stop: NonNullable<Week["stop"]>): string {
  switch (stop.kind) {
    case "top":
      return t("top of its ladder");
    case "kit":
      return t("stops: needs {{needs}}", {
        needs: listText(
          stop.needs.map((kind) => words.label("kit", kind).toLowerCase()),
          "or",
        ),
      });
    case "tooHeavy":
      return t("stops: needs lighter {{needs}}", {
        needs: listText(
          stop.needs.map((kind) => words.label("kit", kind).toLowerCase()),
          "or",
        ),
      });
    case "place":
      return t("stops: needs {{needs}}", {
        needs: listText(
          stop.needs.map((setting) => words.label("setting", setting).toLowerCase()),
          "or",
        ),
      });
    case "noHeavier":
      return t("stops: nothing heavier than {{load}}", { load: massText(stop.loadKg) });
  }
}
