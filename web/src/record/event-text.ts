/** One thing on record in words: what it was, and what else is to be said of it. */
import type { RecordEvent } from "@kind-grip/core/api";
import type { Words } from "@kind-grip/core/language";
import { DateTime } from "luxon";
import { dateText, wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { changeText, DECISION_WORDS } from "../response/response-text";
import { MARK_NAMES } from "../run/mark-names";
import { ANSWER_NAMES } from "../safety/answer-names";
import { reportWords } from "../safety/report-words";

export interface EventWords {
  title: string;
  lines: string[];
}

const PROGRESS = { empty: t("nothing entered yet"), begun: t("begun"), finished: t("finished") } as const;

export function eventWords(event: RecordEvent, words: Words, timeZone: string): EventWords {
  const moment = (at: string) => dateText(DateTime.fromISO(at, { zone: timeZone }), "d LLL HH:mm");
  switch (event.kind) {
    case "run":
      return {
        title: event.sessionName,
        lines: said([
          event.present ? (event.alone ? t("followed alone") : t("led")) : t("was not there"),
          event.effort !== null && t("effort {{effort}} of 10", { effort: event.effort }),
          event.leftOut > 0 && t("kept out of {{count}} items", { count: event.leftOut, defaultValue_one: "kept out of {{count}} item" }),
          ...[...new Set(event.marks)].map((mark) => MARK_NAMES[mark].toLowerCase()),
        ]),
      };
    case "morning":
      return {
        title: t("Morning: {{level}} of 10", { level: event.level }),
        lines: said([event.raised && t("above what is usual for them"), event.tingling && t("tingling or numbness")]),
      };
    case "round":
      return { title: t("Measured: {{name}}", { name: event.name }), lines: said([event.progress && PROGRESS[event.progress]]) };
    case "decision": {
      const { decision } = event;
      return {
        title: `${DECISION_WORDS[decision.decided]}: ${words.movementName(decision.movementId)}`,
        lines: said([
          changeText({ ...decision.response, kind: decision.decided }, decision.movementId, words),
          decision.proposed !== decision.decided &&
            t("Instead of {{decisionWords}}: {{why}}", {
              decisionWords: DECISION_WORDS[decision.proposed].toLowerCase(),
              why: decision.why ?? "",
            }),
          decision.resumedAt &&
            t("Taken up again {{resumedAt}}: {{resumedWhy}}", {
              resumedAt: moment(decision.resumedAt),
              resumedWhy: decision.resumedWhy ?? "",
            }),
          t("By {{by}}", { by: decision.by }),
        ]),
      };
    }
    case "restriction": {
      const { restriction } = event;
      return {
        title: t("Held out: {{why}}", { why: restriction.words ?? words.safety(restriction.question).short }),
        lines: said([
          restriction.withdrawnAt &&
            t("Ended {{at}}: {{why}}", { at: moment(restriction.withdrawnAt), why: restriction.withdrawnWhy ?? "" }),
        ]),
      };
    }
    case "clearance": {
      const { clearance } = event;
      return {
        title: t("Cleared by {{givenBy}}, {{profession}}", { givenBy: clearance.givenBy, profession: clearance.profession }),
        lines: said([
          t("from {{from}} to {{until}}", { from: wholeDayText(clearance.fromDay), until: wholeDayText(clearance.untilDay) }),
          clearance.note && `“${clearance.note}”`,
          clearance.withdrawnAt && t("Ended {{at}}: {{why}}", { at: moment(clearance.withdrawnAt), why: clearance.withdrawnWhy ?? "" }),
        ]),
      };
    }
    case "report":
      return {
        title: t("Stopped and told"),
        lines: said([
          reportWords(event.report, words, timeZone),
          event.report.answer &&
            t("{{answer}}, {{by}} {{at}}", {
              answer: ANSWER_NAMES[event.report.answer],
              by: event.answeredBy ?? "",
              at: event.answeredAt ? moment(event.answeredAt) : "",
            }),
          event.reply && `“${event.reply}”`,
          !event.report.answer && t("Not answered yet"),
        ]),
      };
    case "absence":
      return {
        title: t("Excused"),
        lines: [event.from === event.until ? wholeDayText(event.from) : `${wholeDayText(event.from)} – ${wholeDayText(event.until)}`],
      };
    case "note":
      return { title: t("Note by {{by}}", { by: event.by }), lines: event.text.split("\n").filter(Boolean) };
  }
}

const said = (lines: readonly (string | false | null | undefined)[]): string[] => lines.filter((line): line is string => Boolean(line));

/** What can be looked at alone. */
export const EVENT_GROUPS = {
  runs: ["run"],
  mornings: ["morning"],
  health: ["report", "restriction", "clearance"],
  decisions: ["decision"],
  measured: ["round"],
  notes: ["note", "absence"],
} as const satisfies Record<string, readonly RecordEvent["kind"][]>;
export type EventGroup = keyof typeof EVENT_GROUPS;

export const GROUP_NAMES: Record<EventGroup, string> = {
  runs: t("Runs"),
  mornings: t("Mornings"),
  health: t("Reports and holds"),
  decisions: t("Decisions"),
  measured: t("Measured"),
  notes: t("Notes and absences"),
};
