/** Sends finished runs until the server confirms each; a run it refuses for good is said, not dropped in silence. */
import { useEffect } from "react";
import { t } from "../base/words";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { REFUSAL_NOTED } from "./HeldOutRuns";
import { dropReport, REPORT_PUT, reportsWaiting } from "./report-outbox";
import { dropFromOutbox, noteRefusal, outbox, refusals, type HeldOutRefusal } from "./run-store";
import { runApi } from "./api";
import { safetyApi } from "../safety/api";

const EVERY_MS = 5000;

export function RunOutboxSender() {
  const [store] = runApi.useStoreRunMutation();
  const [report] = safetyApi.useReportInRunMutation();
  const dispatch = useAppDispatch();
  useEffect(() => {
    let sending = false;
    const send = async () => {
      if (sending) return;
      sending = true;
      for (const waiting of reportsWaiting()) {
        const answer = await report(waiting);
        const { code } = problemOf(answer.error);
        // Kept until the server has it; what it will never take is said.
        if (answer.data) dropReport(waiting.report.id);
        else if (["invalid", "notFound", "taken"].includes(code)) {
          dropReport(waiting.report.id);
          dispatch(notify({ text: t("A mark in a run could not be stored: {{message}}", { message: problemOf(answer.error).message }) }));
        } else break;
      }
      for (const run of outbox()) {
        // Waits for the trainer's word: see HeldOutRuns.
        if (refusals()[run.id]) continue;
        const answer = await store(run);
        if (answer.data) {
          dropFromOutbox(run.id);
          continue;
        }
        const { code, message, detail } = problemOf(answer.error);
        if (code === "heldOut") {
          noteRefusal(run.id, detail as HeldOutRefusal);
          dispatchEvent(new Event(REFUSAL_NOTED));
          continue;
        }
        if (code === "invalid" || code === "notFound" || code === "taken") {
          dropFromOutbox(run.id);
          dispatch(notify({ text: t("The run of {{name}} could not be stored: {{message}}", { name: run.session.name, message }) }));
        } else break;
      }
      sending = false;
    };
    void send();
    const timer = setInterval(() => outbox().length + reportsWaiting().length > 0 && void send(), EVERY_MS);
    addEventListener("kind-grip-run-finished", send);
    addEventListener(REPORT_PUT, send);
    return () => {
      removeEventListener(REPORT_PUT, send);
      clearInterval(timer);
      removeEventListener("kind-grip-run-finished", send);
    };
  }, [store, report, dispatch]);
  return null;
}
