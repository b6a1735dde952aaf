/** The cycle of a shift pattern as cells to tap: each goes from off through the kinds of shift. */
import { Box, ButtonBase } from "@mui/material";
import type { ShiftPattern } from "@kind-grip/core/calendar";
import { mondayFirst, WEEKDAYS } from "../base/weekdays";
import { t } from "../base/words";
import { SHIFT_TONES } from "./shift-tones";

interface CycleDaysProps {
  value: ShiftPattern;
  onChange(value: ShiftPattern): void;
}

export function CycleDays({ value, onChange }: CycleDaysProps) {
  const nextInCell = (id: string | null) => {
    const ids = [null, ...value.shifts.map((shift) => shift.id)];
    return ids[(ids.indexOf(id) + 1) % ids.length] ?? null;
  };
  const firstWeekday = mondayFirst(value.anchorDate);
  return (
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
  );
}
