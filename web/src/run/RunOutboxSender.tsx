/** Sends what waits of whoever is signed in until the server confirms each; what it refuses for good stays to be read, nothing is dropped. */
import { useEffect } from "react";
import { problemOf, useOwner } from "../base/api";
import { isFinal } from "../base/final";
import { useAppDispatch } from "../base/store";
import { everythingWaiting, drop, holdBack, isOf, onOutboxChange, refuse, type HeldOutRefusal, type Waiting } from "./outbox";
import { observeApi } from "../observe/api";
import { runApi } from "./api";
import { safetyApi } from "../safety/api";

const EVERY_MS = 5000;
/** Answers after which sending the same again is in vain. */
const FINAL = ["invalid", "notFound", "taken"];

export function RunOutboxSender() {
  const owner = useOwner();
  const dispatch = useAppDispatch();
  const [store] = runApi.useStoreRunMutation();
  const [observe] = observeApi.useStoreObservationMutation();
  const [report] = safetyApi.useReportInRunMutation();
  useEffect(() => {
    if (!owner) return;
    let [sending, gone] = [false, false];
    const due = () => everythingWaiting().filter((each) => isOf(each, owner) && !each.refused && !(each.kind === "run" && each.heldOut));
    const sent = (waiting: Waiting) => {
      switch (waiting.kind) {
        case "run":
          return store({ run: waiting.run, owner });
        case "report":
          return report({ ...waiting, owner });
        case "observation":
          return observe({ observation: waiting.observation, owner });
      }
    };
    const askedAnew = async (crewId: string) => {
      const { error } = await dispatch(safetyApi.endpoints.participation.initiate(crewId, { forceRefetch: true, subscribe: false }));
      const status = (error as { status?: number | string } | undefined)?.status;
      return error === undefined || isFinal(status);
    };
    const sendOne = async (waiting: Waiting) => {
      const answer = await sent(waiting);
      // What somebody felt leaves when who may do what is here that knows of it: sent twice, it is stored once.
      if (answer.data && waiting.kind === "report" && !(await askedAnew(waiting.crewId))) return false;
      if (answer.data) {
        drop(waiting.id);
        return true;
      }
      const { code, message, detail } = problemOf(answer.error);
      if (code === "heldOut") holdBack(waiting.id, detail as HeldOutRefusal);
      else if (FINAL.includes(code)) refuse(waiting.id, message);
      else return false;
      return true;
    };
    const send = async () => {
      if (sending) return;
      sending = true;
      // What somebody felt comes before anything else: it pauses what they do.
      const inOrder = () => due().sort((a, b) => Number(a.kind !== "report") - Number(b.kind !== "report"));
      for (let next = inOrder()[0]; next && !gone; next = inOrder()[0]) if (!(await sendOne(next))) break;
      sending = false;
    };
    void send();
    const timer = setInterval(() => due().length > 0 && void send(), EVERY_MS);
    const stop = onOutboxChange(() => due().length > 0 && void send());
    return () => {
      gone = true;
      clearInterval(timer);
      stop();
    };
  }, [owner, dispatch, store, observe, report]);
  return null;
}
