/** A shift pattern to fill in: kinds of shift with their breaks, and the cycle of days as cells to tap. */
import { Box, Button, ButtonBase, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import {
  addDays,
  dateAt,
  LONGEST_BREAK_MIN,
  patternPreset,
  type PatternPreset,
  type ShiftKind,
  type ShiftPattern,
} from "@kind-grip/core/calendar";
import { timeOfDayText } from "@kind-grip/core/units";
import { MEASURES } from "../base/measures";
import { t } from "../base/words";
import { useNow } from "../base/now";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Stepper } from "../parts/Stepper";
import { TimeField } from "../parts/TimeField";

const PRESETS: readonly { value: PatternPreset; label: string }[] = [
  { value: "weekdays", label: t("Monday to Friday") },
  { value: "fourOnFourOff", label: "4 on, 4 off" },
  { value: "splitShift", label: t("Split shift") },
  { value: "daysThenNights", label: t("Two weeks days, one week nights") },
];
const SHIFT_TONES = ["primary.main", "hand.left", "warm.dark", "text.secondary", "hand.right", "text.primary"];
const WEEKDAYS = [t("Mon"), t("Tue"), t("Wed"), t("Thu"), t("Fri"), t("Sat"), t("Sun")];

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
  const setShift = (index: number, change: Partial<ShiftKind>) =>
    onChange({ ...value, shifts: value.shifts.map((shift, i) => (i === index ? { ...shift, ...change } : shift)) });
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
  const nextInCell = (id: string | null) => {
    const ids = [null, ...value.shifts.map((shift) => shift.id)];
    return ids[(ids.indexOf(id) + 1) % ids.length] ?? null;
  };
  const setLength = (days: number) => onChange({ ...value, cycle: Array.from({ length: days }, (_, i) => value.cycle[i] ?? null) });
  const firstWeekday = (new Date(`${value.anchorDate}T00:00:00Z`).getUTCDay() + 6) % 7;

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
        <Box
          key={shift.id}
          sx={{
            borderLeft: "6px solid",
            borderColor: SHIFT_TONES[i],
            pl: { xs: 1, sm: 2 },
            display: "grid",
            gridTemplateColumns: "minmax(0, 1fr)",
            gap: 1.5,
          }}
        >
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "end" }}>
            <TextField
              label={t("Shift")}
              value={shift.name}
              onChange={(event) => setShift(i, { name: event.target.value })}
              sx={{ maxWidth: 180 }}
            />
            <TimeField label={t("Starts")} value={shift.start} onChange={(start) => setShift(i, { start })} />
            <Stepper
              label={t("Hours")}
              value={shift.lengthMin / 60}
              min={1}
              max={16}
              step={0.25}
              onChange={(hours) => setShift(i, { lengthMin: Math.round(hours * 60) })}
            />
            <Typography sx={{ color: "text.secondary", pb: 1 }}>
              {t("ends {{shift}}", { shift: timeOfDayText(endOf(shift), MEASURES) })}
            </Typography>
            {value.shifts.length > 1 && (
              <IconButton aria-label={t("Remove shift {{name}}", { name: shift.name })} onClick={() => removeShift(i)}>
                <Trash2 size={20} />
              </IconButton>
            )}
          </Box>
          <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "end" }}>
            {shift.breaks.map((pause, b) => (
              <Box key={b} sx={{ display: "flex", flexWrap: "wrap", alignItems: "end", gap: 0.5 }}>
                <TimeField
                  label={t("Break {{b}}", { b: b + 1 })}
                  value={timeAfter(shift.start, pause.afterMin)}
                  onChange={(time) =>
                    setShift(i, {
                      breaks: sorted(
                        shift.breaks.map((each, j) => (j === b ? { ...each, afterMin: minutesAfter(shift.start, time) } : each)),
                      ),
                    })
                  }
                />
                <Stepper
                  label={t("Minutes")}
                  value={pause.lengthMin}
                  min={5}
                  max={600}
                  step={5}
                  onChange={(lengthMin) =>
                    setShift(i, { breaks: shift.breaks.map((each, j) => (j === b ? { ...each, lengthMin } : each)) })
                  }
                />
                {pause.lengthMin > LONGEST_BREAK_MIN && (
                  <Typography sx={{ color: "text.secondary", pb: 1 }}>{t("away: the shift is split")}</Typography>
                )}
                <IconButton
                  aria-label={t("Remove break {{b}} of {{name}}", { b: b + 1, name: shift.name })}
                  onClick={() => setShift(i, { breaks: shift.breaks.filter((_, j) => j !== b) })}
                >
                  <Trash2 size={18} />
                </IconButton>
              </Box>
            ))}
            {shift.breaks.length < 6 && (
              <Button
                startIcon={<Plus size={18} />}
                onClick={() =>
                  setShift(i, {
                    breaks: sorted([
                      ...shift.breaks,
                      { afterMin: Math.min(shift.lengthMin - 15, (shift.breaks.at(-1)?.afterMin ?? 0) + 120), lengthMin: 15 },
                    ]),
                  })
                }
              >
                {t("Add a break")}
              </Button>
            )}
          </Box>
        </Box>
      ))}
      {value.shifts.length < 6 && (
        <Button startIcon={<Plus size={18} />} onClick={addShift} sx={{ justifySelf: "start" }}>
          {t("Add a kind of shift")}
        </Button>
      )}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", alignItems: "end" }}>
        <TextField
          label={t("Cycle starts on")}
          type="date"
          value={value.anchorDate}
          onChange={(event) => event.target.value && onChange({ ...value, anchorDate: event.target.value })}
          sx={{ maxWidth: 190 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Stepper label={t("Days in the cycle")} value={value.cycle.length} min={1} max={56} onChange={setLength} />
      </Box>
      <Box
        role="group"
        aria-label={t("Days of the cycle")}
        sx={{ display: "grid", gridTemplateColumns: "repeat(7, minmax(0, 1fr))", gap: 0.75, maxWidth: 620 }}
      >
        {Array.from({ length: firstWeekday }, (_, i) => (
          <Box key={`pad-${i}`} />
        ))}
        {value.cycle.map((id, day) => {
          const index = value.shifts.findIndex((shift) => shift.id === id);
          const name = value.shifts[index]?.name ?? t("Off");
          return (
            <ButtonBase
              key={day}
              aria-label={t("Day {{day}}, {{weekday}}: {{name}}. Press to change.", {
                day: day + 1,
                weekday: WEEKDAYS[(firstWeekday + day) % 7]!,
                name,
              })}
              onClick={() => onChange({ ...value, cycle: value.cycle.map((each, i) => (i === day ? nextInCell(each) : each)) })}
              sx={{
                flexDirection: "column",
                py: 0.75,
                minHeight: 52,
                borderRadius: 1.5,
                border: "2px solid",
                borderColor: index < 0 ? "line" : SHIFT_TONES[index],
                bgcolor: index < 0 ? "transparent" : "background.paper",
                fontSize: "0.95rem",
              }}
            >
              <Box component="span" sx={{ color: "text.secondary", fontSize: "0.8rem" }}>
                {WEEKDAYS[(firstWeekday + day) % 7]}
              </Box>
              <Box component="span" sx={{ fontWeight: 650, color: index < 0 ? "text.secondary" : "text.primary" }}>
                {name}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      <OtherDays value={value} onChange={onChange} />
      {problem && (
        <Typography color="error" role="alert">
          {t("Shifts: {{problem}}.", { problem })}
        </Typography>
      )}
    </Box>
  );
}

/** Public holidays and swapped shifts: days the cycle does not know of. */
function OtherDays({ value, onChange }: { value: ShiftPattern; onChange(value: ShiftPattern): void }) {
  const days = value.otherDays ?? [];
  const now = useNow(60_000);
  const set = (otherDays: NonNullable<ShiftPattern["otherDays"]>) =>
    onChange({ ...value, otherDays: otherDays.length > 0 ? otherDays : undefined });
  const add = () => {
    const last =
      days
        .map(({ date }) => date)
        .sort()
        .at(-1) ?? dateAt(now, "UTC");
    set([...days, { date: addDays(last, 1), shift: null }]);
  };
  return (
    <Box role="group" aria-label={t("Days that differ")} sx={{ display: "grid", gap: 1 }}>
      <Typography sx={{ color: "text.secondary" }}>{t("Days that differ: public holidays, swapped shifts")}</Typography>
      {days.map((day, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "start" }}>
          <TextField
            label={t("Day {{i}} that differs", { i: i + 1 })}
            type="date"
            value={day.date}
            onChange={(event) => event.target.value && set(days.map((each, j) => (j === i ? { ...each, date: event.target.value } : each)))}
            error={days.some((each, j) => j < i && each.date === day.date)}
            helperText={days.some((each, j) => j < i && each.date === day.date) ? t("is named above already") : weekdayOf(day.date)}
            sx={{ width: 190 }}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <TextField
            select
            label={t("Then")}
            value={day.shift ?? ""}
            onChange={(event) => set(days.map((each, j) => (j === i ? { ...each, shift: event.target.value || null } : each)))}
            helperText=" "
            sx={{ width: 190 }}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="">{t("Off")}</MenuItem>
            {value.shifts.map((shift) => (
              <MenuItem key={shift.id} value={shift.id}>
                {shift.name}
              </MenuItem>
            ))}
          </TextField>
          <IconButton aria-label={t("Remove day {{i}} that differs", { i: i + 1 })} onClick={() => set(days.filter((_, j) => j !== i))}>
            <Trash2 size={18} />
          </IconButton>
        </Box>
      ))}
      {days.length < 120 && (
        <Button startIcon={<Plus size={18} />} onClick={add} sx={{ justifySelf: "start" }}>
          {t("Add a day that differs")}
        </Button>
      )}
    </Box>
  );
}

function weekdayOf(date: string): string {
  return WEEKDAYS[(new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7]!;
}

function timeAfter(start: string, afterMin: number): string {
  const [hours = 0, minutes = 0] = start.split(":").map(Number);
  const total = (hours * 60 + minutes + afterMin) % 1440;
  return `${String(Math.floor(total / 60)).padStart(2, "0")}:${String(total % 60).padStart(2, "0")}`;
}

function minutesAfter(start: string, time: string): number {
  const of = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5));
  return (of(time) - of(start) + 1440) % 1440;
}

function sorted(breaks: ShiftKind["breaks"]): ShiftKind["breaks"] {
  return [...breaks].sort((a, b) => a.afterMin - b.afterMin);
}

function endOf(shift: ShiftKind): string {
  const over = Number(shift.start.slice(0, 2)) * 60 + Number(shift.start.slice(3, 5)) + shift.lengthMin >= 1440;
  return `${timeAfter(shift.start, shift.lengthMin)}${over ? ` ${t("the next day")}` : ""}`;
}
