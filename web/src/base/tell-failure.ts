/** A change that nothing on its page waits for is either done or said not to be. */
import { useCallback } from "react";
import { problemOf } from "./api";
import { notify } from "./notices";
import { useAppDispatch } from "./store";
import { t } from "./words";

/** What came of a change that was asked for. */
export interface Outcome {
  error?: unknown;
}

/** Why something failed, with every field that was refused. */
export function whyNot(error: unknown): string {
  const { message, fields } = problemOf(error);
  return [message, ...fields.map((field) => field.message)].join(" ");
}

/** Waits for a change; one that failed is said at the foot of the screen. @returns whether it was done */
export function useTellFailure(): (asked: PromiseLike<Outcome>) => Promise<boolean> {
  const dispatch = useAppDispatch();
  return useCallback(
    async (asked) => {
      const { error } = await asked;
      if (error !== undefined) dispatch(notify({ text: t("Not done. {{why}}", { why: whyNot(error) }) }));
      return error === undefined;
    },
    [dispatch],
  );
}
