/** A shift pattern to fill in: kinds of shift with their breaks, and the cycle of days as cells to tap. */
import { Box, Button, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { useState } from "react";
import { patternPreset, type PatternPreset, type ShiftPattern } from "@kind-grip/core/calendar";
import { t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Stepper } from "../parts/Stepper";
import { CycleDays } from "./CycleDays";
import { OtherDays } from "./OtherDays";
import { ShortRests } from "./ShortRests";
import { ShiftFields } from "./ShiftFields";
import { SHIFT_TONES } from "./shift-tones";
import { DateField } from "../parts/DateField";

const PRESETS: readonly { value: PatternPreset; label: string }[] = [
  { value: "weekdays", label: t("Monday to Friday") },
  { value: "fourOnFourOff", label: "4 on, 4 off" },
  { value: "splitShift", label: t("Split shift") },
  { value: "daysThenNights", label: t("Two weeks days, one week nights") },
];

/** Whether it is as one of them made it, and nothing more. */
const isPreset = (value: ShiftPattern): boolean =>
  PRESETS.some((preset) => JSON.stringify(patternPreset(preset.value, value.anchorDate)) === JSON.stringify(value));

export function ShiftPatternFields({
  value,
  onChange,
  problem,
}: {
  value: ShiftPattern;
  onChange(value: ShiftPattern): void;
  problem?: string;
}) {
  const [asking, setAsking] = useState<PatternPreset | null>(null);
  const take = (preset: PatternPreset) => onChange(patternPreset(preset, value.anchorDate));
  /** What was filled in by hand is not overwritten without a word. */
  const begin = (preset: PatternPreset) => (isPreset(value) ? take(preset) : setAsking(preset));
  const removeShift = (index: number) => {
    const gone = value.shifts[index]!.id;
    onChange({
      ...value,
      shifts: value.shifts.filter((_, i) => i !== index),
      cycle: value.cycle.map((id) => (id === gone ? null : id)),
      ...(value.otherDays && { otherDays: value.otherDays.map((day) => (day.shift === gone ? { ...day, shift: null } : day)) }),
    });
  };
  const addShift = () => {
    const id = ["a", "b", "c", "d", "e", "f"]
      .map((letter) => `shift-${letter}`)
      .find((each) => !value.shifts.some((shift) => shift.id === each))!;
    onChange({
      ...value,
      shifts: [...value.shifts, { id, name: t("Late"), start: "14:00", lengthMin: 480, breaks: [{ afterMin: 240, lengthMin: 30 }] }],
    });
  };
  const setLength = (days: number) => onChange({ ...value, cycle: Array.from({ length: days }, (_, i) => value.cycle[i] ?? null) });

  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 2 }}>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        <Typography sx={{ color: "text.secondary" }}>{t("Start from")}</Typography>
        {PRESETS.map((preset) => (
          <Button key={preset.value} variant="outlined" onClick={() => begin(preset.value)}>
            {preset.label}
          </Button>
        ))}
      </Box>
      <ConfirmDialog
        open={asking !== null}
        title={t("Write over what is filled in?")}
        confirm={t("Write over it")}
        onClose={() => setAsking(null)}
        onConfirm={() => {
          take(asking!);
          setAsking(null);
        }}
      >
        <Typography>{t("Shifts, breaks, the cycle and days that differ are replaced. Nothing is kept before you save.")}</Typography>
      </ConfirmDialog>
      {value.shifts.map((shift, i) => (
        <ShiftFields
          key={shift.id}
          shift={shift}
          tone={SHIFT_TONES[i]!}
          onChange={(next) => onChange({ ...value, shifts: value.shifts.map((each, j) => (j === i ? next : each)) })}
          onRemove={value.shifts.length > 1 ? () => removeShift(i) : undefined}
        />
      ))}
      {value.shifts.length < 6 && (
        <Button startIcon={<Plus size={18} />} onClick={addShift} sx={{ justifySelf: "start" }}>
          {t("Add a kind of shift")}
        </Button>
      )}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", alignItems: "end" }}>
        <DateField
          label={t("Cycle starts on")}
          value={value.anchorDate}
          onChange={(date) => date && onChange({ ...value, anchorDate: date })}
          required
          sx={{ width: 190 }}
        />
        <Stepper label={t("Days in the cycle")} value={value.cycle.length} min={1} max={56} onChange={setLength} />
      </Box>
      <CycleDays value={value} onChange={onChange} />
      <OtherDays value={value} onChange={onChange} />
      <ShortRests pattern={value} />
      {problem && (
        <Typography color="error" role="alert">
          {t("Shifts: {{problem}}.", { problem })}
        </Typography>
      )}
    </Box>
  );
}
