/** One kind of shift to fill in: its hours, and its breaks by the clock. */
import { Box, Button, IconButton, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { endsNextDay, LONGEST_BREAK_MIN, minutesUntil, timeAfter, type ShiftKind } from "@kind-grip/core/calendar";
import { timeOfDayText } from "@kind-grip/core/units";
import { MEASURES } from "../base/measures";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";
import { TimeField } from "../parts/TimeField";

interface ShiftFieldsProps {
  shift: ShiftKind;
  /** The colour of its days in the cycle. */
  tone: string;
  onChange(shift: ShiftKind): void;
  /** None for the only one. */
  onRemove?: () => void;
}

export function ShiftFields({ shift, tone, onChange, onRemove }: ShiftFieldsProps) {
  const change = (part: Partial<ShiftKind>) => onChange({ ...shift, ...part });
  const end = timeOfDayText(timeAfter(shift.start, shift.lengthMin), MEASURES);
  return (
    <Box
      sx={{
        borderLeft: "6px solid",
        borderColor: tone,
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
          onChange={(event) => change({ name: event.target.value })}
          sx={{ maxWidth: 180 }}
        />
        <TimeField label={t("Starts")} value={shift.start} onChange={(start) => change({ start })} />
        <Stepper
          label={t("Hours")}
          value={shift.lengthMin / 60}
          min={1}
          max={16}
          step={0.25}
          onChange={(hours) => change({ lengthMin: Math.round(hours * 60) })}
        />
        <Typography sx={{ color: "text.secondary", pb: 1 }}>
          {endsNextDay(shift.start, shift.lengthMin) ? t("ends {{time}} the next day", { time: end }) : t("ends {{time}}", { time: end })}
        </Typography>
        {onRemove && (
          <IconButton aria-label={t("Remove shift {{name}}", { name: shift.name })} onClick={onRemove}>
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
                change({
                  breaks: sorted(shift.breaks.map((each, j) => (j === b ? { ...each, afterMin: minutesUntil(shift.start, time) } : each))),
                })
              }
            />
            <Stepper
              label={t("Minutes")}
              value={pause.lengthMin}
              min={5}
              max={600}
              step={5}
              onChange={(lengthMin) => change({ breaks: shift.breaks.map((each, j) => (j === b ? { ...each, lengthMin } : each)) })}
            />
            {pause.lengthMin > LONGEST_BREAK_MIN && (
              <Typography sx={{ color: "text.secondary", pb: 1 }}>{t("away: the shift is split")}</Typography>
            )}
            <IconButton
              aria-label={t("Remove break {{b}} of {{name}}", { b: b + 1, name: shift.name })}
              onClick={() => change({ breaks: shift.breaks.filter((_, j) => j !== b) })}
            >
              <Trash2 size={18} />
            </IconButton>
          </Box>
        ))}
        {shift.breaks.length < 6 && (
          <Button
            startIcon={<Plus size={18} />}
            onClick={() =>
              change({
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
  );
}

function sorted(breaks: ShiftKind["breaks"]): ShiftKind["breaks"] {
  return [...breaks].sort((a, b) => a.afterMin - b.afterMin);
}
