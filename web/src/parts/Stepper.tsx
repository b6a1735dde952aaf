import { Box, IconButton, InputBase } from "@mui/material";
import { Minus, Plus } from "lucide-react";
import { useState } from "react";

interface StepperProps {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  unit?: string;
  onChange(value: number): void;
}

/** A number to nudge or type. What is typed counts when the field is left or Enter is pressed, pulled into range. */
export function Stepper({ label, value, min, max, step = 1, unit, onChange }: StepperProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = (next: number) => {
    const inRange = Math.min(max, Math.max(min, Math.round(next / step) * step));
    if (inRange !== value) onChange(inRange);
    setTyped(null);
  };
  const leave = () => (typed === null || Number.isNaN(Number(typed)) || typed.trim() === "" ? setTyped(null) : commit(Number(typed)));
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
            aria-label={`${label}: less`}
            size="small"
            sx={{ height: 40, width: 38 }}
            disabled={value <= min}
            onClick={() => commit(value - step)}
          >
            <Minus size={18} />
          </IconButton>
          <InputBase
            value={typed ?? String(value)}
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
            aria-label={`${label}: more`}
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
