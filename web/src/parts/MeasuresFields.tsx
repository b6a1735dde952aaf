/** In which units, clock and dates something is written: a choice each. */
import { Box, Typography } from "@mui/material";
import type { Measures } from "@kind-grip/core/units";
import { t } from "../base/words";
import { Choice } from "./Choice";

const FIELDS: readonly { key: keyof Measures; label: string; options: readonly { value: string; label: string }[] }[] = [
  {
    key: "mass",
    label: t("Masses"),
    options: [
      { value: "kg", label: t("kilograms") },
      { value: "lb", label: t("pounds") },
    ],
  },
  {
    key: "length",
    label: t("Lengths"),
    options: [
      { value: "cm", label: t("centimetres") },
      { value: "in", label: t("inches") },
    ],
  },
  {
    key: "decimal",
    label: t("Numbers"),
    options: [
      { value: "point", label: "1.4" },
      { value: "comma", label: "1,4" },
    ],
  },
  {
    key: "clock",
    label: t("Clock"),
    options: [
      { value: "24h", label: "14:30" },
      { value: "12h", label: "2:30 pm" },
    ],
  },
  {
    key: "dateOrder",
    label: t("Dates"),
    options: [
      { value: "dayMonth", label: t("5 March 2026") },
      { value: "monthDay", label: t("March 5 2026") },
      { value: "yearMonthDay", label: t("2026 March 5") },
    ],
  },
  {
    key: "weekStart",
    label: t("A week begins on"),
    options: [
      { value: "monday", label: t("Monday") },
      { value: "sunday", label: t("Sunday") },
      { value: "saturday", label: t("Saturday") },
    ],
  },
];

export function MeasuresFields({ measures, onChange }: { measures: Measures; onChange(measures: Measures): void }) {
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
      {FIELDS.map(({ key, label, options }) => (
        <Box key={key}>
          <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{label}</Typography>
          <Choice
            label={label}
            value={measures[key]}
            options={options}
            onChange={(value) => onChange({ ...measures, [key]: value } as Measures)}
          />
        </Box>
      ))}
    </Box>
  );
}
