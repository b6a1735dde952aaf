/** One effort of a task: how hard, how often, how long, and the posture as pictures. */
import { Box, IconButton, Slider, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import type { Effort } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { ObservedFigures } from "./ObservedOf";
import { GRIP_PICTURES, nearest, TILT_PICTURES, TURN_PICTURES, WRIST_PICTURES } from "./pictures";
import { PicturePick } from "./PicturePick";

const WATCHED_FIGURES: readonly (keyof Effort)[] = ["perMin", "secEach", "flexionDeg"];

interface EffortFieldsProps {
  effort: Effort;
  problem?: string;
  onChange(effort: Effort, gesture?: string): void;
  onRemove?(): void;
}

export function EffortFields({ effort, problem, onChange, onRemove }: EffortFieldsProps) {
  const set = <K extends keyof Effort>(key: K, value: Effort[K]) => {
    const { observed, ...rest } = effort;
    // A figure that is said again is no longer the one that was watched.
    const kept = observed && !WATCHED_FIGURES.includes(key) ? effort : rest;
    onChange({ ...kept, [key]: value }, `${effort.id} ${key}`);
  };
  return (
    <Box role="group" aria-label={effort.name} sx={{ display: "grid", gap: 2 }}>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "flex-end" }}>
        <TextField
          label={t("What the hand does")}
          value={effort.name}
          onChange={(event) => set("name", event.target.value)}
          sx={{ flex: 1, minWidth: 200 }}
        />
        <Choice
          label={t("Which hand: {{name}}", { name: effort.name })}
          value={effort.hands}
          onChange={(hands) => set("hands", hands)}
          options={[
            { value: "left", label: "L" },
            { value: "right", label: "R" },
            { value: "both", label: t("Each hand") },
          ]}
        />
        {onRemove && (
          <IconButton aria-label={t("Take out: {{name}}", { name: effort.name })} onClick={onRemove}>
            <Trash2 size={20} />
          </IconButton>
        )}
      </Box>
      <Box
        sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "repeat(3, minmax(0, 1fr))" }, columnGap: 4, rowGap: 1 }}
      >
        <Slide
          label={t("How hard")}
          told={t("{{effort}} of 10", { effort: effort.effort })}
          value={effort.effort}
          min={0.5}
          max={10}
          step={0.5}
          onChange={(value) => set("effort", value)}
        />
        <Slide
          label={t("How often")}
          told={t("{{perMin}} a minute", { perMin: effort.perMin })}
          value={effort.perMin}
          min={0.5}
          max={60}
          step={0.5}
          onChange={(value) => set("perMin", value)}
        />
        <Slide
          label={t("How long each")}
          told={`${effort.secEach} s`}
          value={effort.secEach}
          min={0.1}
          max={30}
          step={0.1}
          onChange={(value) => set("secEach", value)}
        />
      </Box>
      <ObservedFigures effort={effort} />
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontWeight: 650, mt: -1 }}>
          {t("These cannot all be true: {{problem}}.", { problem })}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", rowGap: 2 }}>
        <PicturePick label={t("Grip")} options={GRIP_PICTURES} value={effort.grip} onChange={(value) => set("grip", value)} />
        <PicturePick label={t("Forearm")} options={TURN_PICTURES} value={effort.turn} onChange={(value) => set("turn", value)} />
        <Box>
          <PicturePick
            label={t("Wrist")}
            options={WRIST_PICTURES}
            value={nearest(WRIST_PICTURES, effort.flexionDeg).value}
            onChange={(value) => set("flexionDeg", value)}
          />
        </Box>
        <PicturePick
          label={t("Tilt")}
          options={TILT_PICTURES}
          value={nearest(TILT_PICTURES, effort.tiltDeg).value}
          onChange={(value) => set("tiltDeg", value)}
        />
        <Stepper
          label={t("Wrist, exactly (− is back)")}
          unit="°"
          value={effort.flexionDeg}
          min={-70}
          max={80}
          step={5}
          onChange={(value) => set("flexionDeg", value)}
        />
      </Box>
    </Box>
  );
}

interface SlideProps {
  label: string;
  told: string;
  value: number;
  min: number;
  max: number;
  step: number;
  onChange(value: number): void;
}

export function Slide({ label, told, value, min, max, step, onChange }: SlideProps) {
  return (
    <Box>
      <Box sx={{ display: "flex", justifyContent: "space-between", gap: 1 }}>
        <Typography component="span" sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
          {label}
        </Typography>
        <Typography component="span" sx={{ fontWeight: 750 }}>
          {told}
        </Typography>
      </Box>
      <Slider
        value={value}
        min={min}
        max={max}
        step={step}
        onChange={(_, next) => onChange(Math.round((next as number) * 10) / 10)}
        slotProps={{ input: { "aria-label": label, "aria-valuetext": told } }}
        sx={{ height: 8, py: "14px", "& .MuiSlider-thumb": { width: 26, height: 26 } }}
      />
    </Box>
  );
}
