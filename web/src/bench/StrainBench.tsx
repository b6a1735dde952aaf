/** The Strain Index of one effort, by itself. */
import { Box, Typography } from "@mui/material";
import { useState } from "react";
import { singleChanges, strainIndex, workProblems, type Task } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { EffortFields, Slide } from "../work/EffortFields";
import { newEffort } from "../work/new-task";
import { StrainChain } from "../work/StrainChain";
import { SendToWork } from "./SendToWork";

export function StrainBench() {
  const [effort, setEffort] = useState(() => newEffort(t("one effort")));
  const [hours, setHours] = useState(4);
  const task: Task = { id: effort.id, name: t("one task"), tool: null, vibration: "none", cold: false, reach: false, efforts: [effort] };
  const side = effort.hands === "left" ? "left" : "right";
  const problem = workProblems({ tasks: [{ ...task, id: "task" }], days: [] }, null).find(({ path }) => path.endsWith("secEach"))?.message;
  const [best] = singleChanges(task, side, hours);
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 1080 }}>
      <StrainChain strain={strainIndex({ ...effort, hours })} weakest={best?.factor} side={effort.hands === "both" ? "both" : side} />
      <Box sx={{ maxWidth: 420 }}>
        <Slide label={t("Hours in a shift")} told={`${hours} h`} value={hours} min={0.5} max={12} step={0.5} onChange={setHours} />
      </Box>
      <EffortFields effort={effort} problem={problem} onChange={setEffort} />
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        {!problem && <SendToWork task={task} minutes={hours * 60} />}
        <Typography sx={{ color: "text.secondary" }}>{t("A crew's own tasks, with the whole shift, are under Work.")}</Typography>
      </Box>
    </Box>
  );
}
