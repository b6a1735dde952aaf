import { TextField } from "@mui/material";
import { useState } from "react";
import { readTime, timeOfDayText } from "@kind-grip/core/units";
import { MEASURES } from "../base/measures";
import { t } from "../base/words";

interface TimeFieldProps {
  label: string;
  /** `HH:MM` of 24 hours, whatever it is shown as. */
  value: string;
  onChange(value: string): void;
}

/** A wall clock time to type: `7`, `730`, `7.30`, `07:30` and `7:30 pm` are all understood. */
export function TimeField({ label, value, onChange }: TimeFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = timeOfDayText(value, MEASURES);
  const read = typed === null ? value : readTime(typed);
  const commit = () => {
    if (typed !== null && read && read !== value) onChange(read);
    if (read) setTyped(null);
  };
  return (
    <TextField
      label={label}
      value={typed ?? shown}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === "Enter") {
          event.preventDefault();
          commit();
        }
        if (event.key === "Escape") setTyped(null);
      }}
      error={read === undefined}
      helperText={read === undefined ? t("is not a time, e.g. 07:30") : undefined}
      sx={{ width: 120 }}
      slotProps={{ htmlInput: { inputMode: MEASURES.clock === "24h" ? "numeric" : "text" } }}
    />
  );
}
