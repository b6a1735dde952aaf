import { Box, IconButton, InputBase } from "@mui/material";
import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { readAmount } from "@kind-grip/core/units";
import { numberText } from "../base/measures";
import { t } from "../base/words";

interface StepperProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  unit?: string;
  onChange(value: number): void;
}

/** To the nearest step, without the dust of binary fractions: 0.1 × 3 is 0.3. */
export function onStep(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(6));
}

/**
 * A number to nudge or type. What is typed counts when the field is left or Enter is pressed, pulled into range; it may be in another unit
 * of the same kind ("3 lb" in a field of kilograms).
 */
export function Stepper({ label, value, min, max, step = 1, unit, onChange }: StepperProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = (next: number) => {
    const inRange = Math.min(max, Math.max(min, onStep(next, step)));
    if (inRange !== value) onChange(inRange);
    setTyped(null);
  };
  const leave = () => {
    const read = typed === null ? undefined : readAmount(typed, unit);
    if (read === undefined) setTyped(null);
    else commit(read);
  };
  return (
    <Box>
      <Box component="label" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: 0.25 }}>
        <Box component="span" sx={{ display: "block" }}>
          {label}
        </Box>
        <Box
          sx={{
            display: "flex",
            alignItems: "center",
            mt: 0.25,
            width: unit ? 142 : 126,
            bgcolor: "background.paper",
            border: "2px solid",
            borderColor: "edge",
            borderRadius: 2,
          }}
        >
          <IconButton
            aria-label={t("{{label}}: less", { label })}
            size="small"
            sx={{ height: 40, width: 38 }}
            disabled={value <= min}
            onClick={() => commit(value - step)}
          >
            <Minus size={18} />
          </IconButton>
          <InputBase
            value={typed ?? numberText(value, 3)}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={leave}
            onKeyDown={(event) => {
              event.stopPropagation();
              if (event.key === "Enter") leave();
              if (event.key === "ArrowUp") commit(value + step);
              if (event.key === "ArrowDown") commit(value - step);
            }}
            inputProps={{
              "aria-label": label,
              inputMode: "decimal",
              style: { textAlign: "center", fontWeight: 700, padding: 0, height: 40 },
            }}
            sx={{ flex: 1, minWidth: 30, color: "text.primary" }}
          />
          {unit && (
            <Box component="span" sx={{ color: "text.secondary", ml: -0.5 }}>
              {unit}
            </Box>
          )}
          <IconButton
            aria-label={t("{{label}}: more", { label })}
            size="small"
            sx={{ height: 40, width: 38 }}
            disabled={value >= max}
            onClick={() => commit(value + step)}
          >
            <Plus size={18} />
          </IconButton>
        </Box>
      </Box>
    </Box>
  );
}
