/** One task: its efforts, its index as a chain, and what-if: the same fields on a copy, with the difference shown before it is kept. */
import { isEqual } from "es-toolkit";
import { Box, Button, TextField, Typography } from "@mui/material";
import { FlaskConical, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { MAX_EFFORTS, singleChanges, taskStrain, VIBRATIONS, type Change, type Task } from "@kind-grip/core/strain";
import type { HandSide } from "@kind-grip/core/units";
import { fixedText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { Choice } from "../parts/Choice";
import { SideMark } from "../parts/SideMark";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { Why } from "../parts/Why";
import { EffortFields, Slide } from "./EffortFields";
import { newEffort } from "./new-task";
import { Observations } from "./ObservedOf";
import { TaskOpinions } from "./TaskOpinions";
import { givenText, StrainChain } from "./StrainChain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { strainText } from "./strain-text";

interface TaskEditorProps {
  task: Task;
  /** Hours of it in the shift that is looked at. */
  hours: number;
  problemAt(path: string): string | undefined;
  onChange(task: Task, gesture?: string): void;
  onRemove(): void;
}

interface Trial {
  task: Task;
  hours: number;
}

export function TaskEditor({ task, hours, problemAt, onChange, onRemove }: TaskEditorProps) {
  const [trial, setTrial] = useState<Trial | null>(null);
  const shown = trial ?? { task, hours };
  const change = (next: Task, gesture?: string) => (trial ? setTrial({ ...trial, task: next }) : onChange(next, gesture));
  return (
    <Box component="section" aria-label={t("Task {{name}}", { name: task.name })} sx={{ minWidth: 0 }}>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", mb: 2, alignItems: "center" }}>
        <TextField
          label={t("Task")}
          value={shown.task.name}
          error={shown.task.name.trim() === ""}
          helperText={shown.task.name.trim() === "" ? t("is missing") : undefined}
          onChange={(event) => change({ ...shown.task, name: event.target.value }, "name")}
          sx={{ flex: 2, minWidth: 180 }}
        />
        <TextField
          label={t("Tool")}
          value={shown.task.tool ?? ""}
          onChange={(event) => change({ ...shown.task, tool: event.target.value || null }, "tool")}
          sx={{ flex: 1.4, minWidth: 150 }}
        />
        <Button
          variant={trial ? "contained" : "outlined"}
          color={trial ? "warm" : "primary"}
          startIcon={<FlaskConical size={18} />}
          onClick={() => setTrial(trial ? null : { task, hours })}
        >
          {trial ? t("Back to how it is") : t("What if …")}
        </Button>
        <Button
          startIcon={<Trash2 size={18} />}
          onClick={onRemove}
          aria-label={t("Remove {{name}}", { name: task.name })}
          sx={{ minWidth: 44 }}
        />
      </Box>
      <Chains shown={shown} real={trial ? { task, hours } : null} />
      <TaskOpinions task={shown.task} hours={shown.hours} />
      {trial && (
        <Box
          sx={{
            bgcolor: "warm.light",
            borderRadius: 2,
            px: 2,
            py: 1.5,
            mb: 2,
            display: "flex",
            gap: 3,
            alignItems: "center",
            flexWrap: "wrap",
          }}
        >
          <Box sx={{ flex: 1, minWidth: 220 }}>
            <Slide
              label={t("Hours of it in a shift")}
              told={`${fixedText(trial.hours, 1)} h`}
              value={trial.hours}
              min={0.1}
              max={12}
              step={0.1}
              onChange={(value) => setTrial({ ...trial, hours: value })}
            />
          </Box>
          <Typography sx={{ flex: 1, minWidth: 200 }}>{t("Nothing here is kept until you say so.")}</Typography>
          <Button
            variant="contained"
            onClick={() => {
              onChange(trial.task);
              setTrial(null);
            }}
          >
            {t("Keep these answers")}
          </Button>
        </Box>
      )}
      <Box sx={{ display: "grid", gap: 3, borderTop: "2px solid", borderColor: "line", pt: 2 }}>
        {!trial && <Observations task={task} />}
        {shown.task.efforts.map((effort, e) => (
          <EffortFields
            key={effort.id}
            effort={effort}
            problem={trial ? undefined : problemAt(`efforts.${e}.secEach`)}
            onChange={(next, gesture) =>
              change({ ...shown.task, efforts: shown.task.efforts.map((each) => (each.id === next.id ? next : each)) }, gesture)
            }
            onRemove={
              shown.task.efforts.length > 1
                ? () => change({ ...shown.task, efforts: shown.task.efforts.filter(({ id }) => id !== effort.id) })
                : undefined
            }
          />
        ))}
        {!trial && problemAt("efforts") && (
          <Typography role="alert" sx={{ color: "error.main", fontWeight: 650 }}>
            {t("These cannot all be true: {{problem}}.", { problem: problemAt("efforts")! })}
          </Typography>
        )}
        <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
          <Button
            startIcon={<Plus size={18} />}
            disabled={shown.task.efforts.length >= MAX_EFFORTS}
            onClick={() => change({ ...shown.task, efforts: [...shown.task.efforts, newEffort()] })}
          >
            {t("Another effort in this task")}
          </Button>
          <Box sx={{ ml: "auto", display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "center" }}>
            <Toggle label={t("Cold")} pressed={shown.task.cold} onChange={(cold) => change({ ...shown.task, cold })} />
            <Toggle label={t("Arms held out")} pressed={shown.task.reach} onChange={(reach) => change({ ...shown.task, reach })} />
            <Choice
              label={t("Vibration")}
              value={shown.task.vibration}
              onChange={(vibration) => change(vibration === "none" ? withoutVibration(shown.task) : { ...shown.task, vibration })}
              options={VIBRATIONS.map((value) => ({
                value,
                label: { none: t("No vibration"), some: t("Some"), strong: t("Strong") }[value],
              }))}
            />
            {shown.task.vibration !== "none" && <VibrationFigures task={shown.task} onChange={change} />}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

function withoutVibration({ vibrationMs2: _, runsMinPerHour: __, ...task }: Task): Task {
  return { ...task, vibration: "none" };
}

/** What the papers of the tool say; some or strong is no measurement. */
function VibrationFigures({ task, onChange }: { task: Task; onChange(task: Task): void }) {
  const { vibrationMs2, ...unknown } = task;
  return vibrationMs2 === undefined ? (
    <Button onClick={() => onChange({ ...task, vibrationMs2: 2.5 })}>{t("The papers of the tool say …")}</Button>
  ) : (
    <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-end" }}>
      <Stepper
        label={t("Vibration by its papers")}
        unit="m/s²"
        value={vibrationMs2}
        min={0}
        max={60}
        step={0.5}
        onChange={(value) => onChange({ ...task, vibrationMs2: value })}
      />
      <Stepper
        label={t("Runs, of each hour")}
        unit="min"
        value={task.runsMinPerHour ?? 60}
        min={1}
        max={60}
        step={5}
        onChange={(value) => onChange({ ...task, runsMinPerHour: value })}
      />
      <Button onClick={() => onChange(unknown)}>{t("Not known")}</Button>
    </Box>
  );
}

/** The chain of each hand's hardest effort, the index of the whole task, and the change that helps most. */
function Chains({ shown, real }: { shown: Trial; real: Trial | null }) {
  const all = HAND_SIDES.map((side) => ({ side, strain: taskStrain(shown.task, side, shown.hours) })).filter(
    ({ strain }) => strain.composite.parts.length > 0,
  );
  // Hands that do the same are told once.
  const alike = all.length === 2 && isEqual(all[0]!.strain, all[1]!.strain);
  const hands = alike ? all.slice(0, 1) : all;
  return (
    <Box sx={{ display: "grid", gap: 2, mb: 2 }}>
      {hands.map(({ side, strain }) => {
        const [hardest, ...others] = strain.composite.parts;
        const changes = singleChanges(shown.task, side, shown.hours);
        const before = real && taskStrain(real.task, side, real.hours).index;
        return (
          <Box key={side}>
            <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
              <SideMark side={alike ? "both" : side} size={30} />
              <Typography sx={{ fontWeight: 650 }}>
                {hardest!.of.effort.name}
                {others.length > 0 &&
                  t(", with {{others}}: {{index}} in all", {
                    others: others.map((part) => `${part.of.effort.name} (+${fixedText(part.adds, 1)})`).join(", "),
                    index: strainText(strain.index),
                  })}
              </Typography>
              {before !== null && Math.abs(before - strain.index) > 0.05 && (
                <Typography sx={{ fontWeight: 750, color: strain.index < before ? "primary.main" : "warm.dark" }}>
                  {strainText(before)} → {strainText(strain.index)}
                </Typography>
              )}
            </Box>
            <StrainChain strain={hardest!.of.strain} weakest={changes[0]?.factor} side={alike ? "both" : side} />
            {changes[0] && <Advice changes={changes} side={alike ? "each" : side} task={shown.task} />}
          </Box>
        );
      })}
    </Box>
  );
}

const DO: Readonly<Record<Change["factor"], string>> = {
  effort: t("one point less effort"),
  rate: t("a quarter fewer efforts"),
  duration: t("a quarter shorter efforts"),
  posture: t("a straight wrist"),
  hours: t("a quarter fewer hours"),
};

function changeText(change: Change, task: Task): string {
  const effort = task.efforts.find(({ id }) => id === change.effortId);
  const of = effort && task.efforts.length > 1 ? ` (${effort.name})` : "";
  return t("{{do}}{{of}}: {{factor}} → {{factor2}}, index {{before}} → {{after}}", {
    do: DO[change.factor],
    of,
    factor: givenText(change.factor, change.from),
    factor2: givenText(change.factor, change.to),
    before: strainText(change.before),
    after: strainText(change.after),
  });
}

function Advice({ changes, side, task }: { changes: Change[]; side: HandSide | "each"; task: Task }) {
  return (
    <Why
      label={side === "each" ? t("Changes by the index, each hand") : t("Changes by the index, {{side}} hand", { side: sideWord(side) })}
    >
      <Box component="ol" sx={{ m: 0, pl: 3 }}>
        {changes.map((change, i) => (
          <li key={i}>{changeText(change, task)}</li>
        ))}
      </Box>
    </Why>
  );
}
