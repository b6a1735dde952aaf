/** A figure to set with a thumb on a tablet: large minus and plus, hold to run, or type. Empty until it is measured. */
import { Box, ButtonBase, InputBase } from "@mui/material";
import { Minus, Plus } from "lucide-react";
import { useEffect, useRef, useState, type Ref } from "react";
import { readAmount } from "@kind-grip/core/units";
import { numberText } from "../base/measures";
import { t } from "../base/words";
import { onStep } from "../parts/Stepper";

interface BigStepperProps {
  label: string;
  value: number | null;
  /** Where an empty figure begins. */
  start: number;
  min: number;
  max: number;
  step?: number;
  unit: string;
  onChange(value: number | null): void;
  /** Enter was pressed with this figure in the field. */
  onEnter?(value: number): void;
  inputRef?: Ref<HTMLInputElement>;
}

const REPEAT_AFTER_MS = 400;
const REPEAT_EVERY_MS = 70;

export function BigStepper({ label, value, start, min, max, step = 1, unit, onChange, onEnter, inputRef }: BigStepperProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const latest = useRef({ value, onChange });
  useEffect(() => {
    latest.current = { value, onChange };
  });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const clamp = (next: number) => Math.min(max, Math.max(min, onStep(next, step)));
  const nudge = (by: number) => {
    const now = latest.current.value;
    latest.current.onChange(clamp(now === null ? start : now + by));
  };
  const press = (by: number) => {
    nudge(by);
    let every = REPEAT_AFTER_MS;
    const again = () => {
      timer.current = setTimeout(() => {
        nudge(by);
        every = REPEAT_EVERY_MS;
        again();
      }, every);
    };
    again();
  };
  const release = () => clearTimeout(timer.current);
  const commit = () => {
    if (typed === null) return;
    const read = readAmount(typed, unit);
    if (typed.trim() === "") onChange(null);
    else if (read !== undefined) onChange(clamp(read));
    setTyped(null);
  };
  const side = (by: number, name: string, Icon: typeof Plus) => (
    <ButtonBase
      aria-label={name}
      onPointerDown={(event) => {
        if (event.button === 0) press(by);
      }}
      onPointerUp={release}
      onPointerLeave={release}
      onPointerCancel={release}
      onKeyDown={(event) => {
        if (event.key === "Enter" || event.key === " ") {
          event.preventDefault();
          nudge(by);
        }
      }}
      sx={{ width: 48, height: 52, touchAction: "manipulation", "&:hover": { bgcolor: "primary.light" } }}
    >
      <Icon size={22} />
    </ButtonBase>
  );
  return (
    <Box
      sx={{
        display: "inline-flex",
        alignItems: "center",
        border: "2px solid",
        borderColor: value === null ? "edge" : "text.secondary",
        borderRadius: 2,
        bgcolor: "background.paper",
        overflow: "hidden",
      }}
    >
      {side(-step, t("{{label}}: less", { label }), Minus)}
      <InputBase
        value={typed ?? (value === null ? "" : numberText(value, 3))}
        placeholder="–"
        inputRef={inputRef}
        onChange={(event) => {
          setTyped(event.target.value);
          // Known while it is typed: a button beside the field takes what stands in it.
          const read = readAmount(event.target.value, unit);
          if (onEnter && read !== undefined) onChange(clamp(read));
        }}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            const read = typed === null ? value : readAmount(typed, unit);
            commit();
            if (read !== undefined && read !== null) onEnter?.(clamp(read));
          }
          if (event.key === "ArrowUp") nudge(step);
          if (event.key === "ArrowDown") nudge(-step);
        }}
        inputProps={{
          "aria-label": label,
          inputMode: "decimal",
          style: { textAlign: "center", padding: 0, fontWeight: 750, fontSize: "1.25rem", height: 48 },
        }}
        sx={{ width: 46 }}
      />
      <Box component="span" sx={{ color: "text.secondary", width: unit.length > 1 ? 26 : 12, ml: -0.5 }}>
        {unit}
      </Box>
      {side(step, t("{{label}}: more", { label }), Plus)}
    </Box>
  );
}
