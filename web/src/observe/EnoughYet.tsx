/** Whether more watching could still change what is done about the task. */
import { Typography } from "@mui/material";
import { Check } from "lucide-react";
import { useMemo } from "react";
import { ENOUGH_EVERY_SEC, enoughSeen, isEnough, type Enough } from "@kind-grip/core/observe";
import type { Task } from "@kind-grip/core/strain";
import { t } from "../base/words";
import type { Watch } from "./watch";

const ENOUGH_TEXT: Readonly<Record<Enough, string>> = {
  tooShort: t("Three minutes and twenty efforts a hand at least."),
  stillOpen: t("Go on: the error could still change the verdict."),
  verdictIsSettled: t("Enough: wherever in its error it lies, the verdict stays."),
  fineEnough: t("Enough: the figure is known within 5 %; it lies at the threshold."),
};

/** Judged at whole quarters of a minute, by what was seen until then: whoever looks all the time stops at the luckiest moment. */
export function EnoughYet({ watch, task, hours, clockMs }: { watch: Watch; task: Task; hours: number; clockMs: number }) {
  const lookMs = Math.floor(clockMs / 1000 / ENOUGH_EVERY_SEC) * ENOUGH_EVERY_SEC * 1000;
  const { now, enough } = useMemo(() => {
    const at = (ms: number) => enoughSeen(task, hours, watch.seenUntil(Math.max(0, ms)));
    const said = at(lookMs);
    return { now: said, enough: isEnough(at(lookMs - ENOUGH_EVERY_SEC * 1000), said) };
  }, [watch, task, hours, lookMs]);
  const told = enough || now === "tooShort" ? now : "stillOpen";
  return (
    <Typography
      role="status"
      sx={{
        flex: 1,
        minWidth: 200,
        fontWeight: 650,
        color: enough ? "primary.main" : "text.primary",
        display: "flex",
        gap: 1,
        alignItems: "center",
      }}
    >
      {enough && <Check size={22} aria-hidden />}
      {ENOUGH_TEXT[told]}
    </Typography>
  );
}
