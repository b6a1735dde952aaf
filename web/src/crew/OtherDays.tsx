/** Public holidays and swapped shifts: days the cycle of a shift pattern does not know of. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { addDays, dateAt, type ShiftPattern } from "@kind-grip/core/calendar";
import { useNow } from "../base/now";
import { weekdayText } from "../base/weekdays";
import { t } from "../base/words";
import { DateField } from "../parts/DateField";

interface OtherDaysProps {
  value: ShiftPattern;
  onChange(value: ShiftPattern): void;
}

export function OtherDays({ value, onChange }: OtherDaysProps) {
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
          <DateField
            label={t("Day {{i}} that differs", { i: i + 1 })}
            value={day.date}
            onChange={(date) => date && set(days.map((each, j) => (j === i ? { ...each, date } : each)))}
            required
            error={days.some((each, j) => j < i && each.date === day.date)}
            helperText={days.some((each, j) => j < i && each.date === day.date) ? t("is named above already") : weekdayText(day.date)}
            sx={{ width: 190 }}
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
