/** A mass or a length that may be left empty, typed in any unit of its kind, given and taken in kilograms or metres. */
import { TextField } from "@mui/material";
import { useState } from "react";
import { readAmount } from "@kind-grip/core/units";
import { FIELD_UNITS, numberText } from "../base/measures";

interface AmountFieldProps {
  label: string;
  quantity: keyof typeof FIELD_UNITS;
  /** Kilograms or metres; null while empty, not a number for what cannot be read. */
  value: number | null;
  onChange(value: number | null): void;
  problem?: string;
}

export function AmountField({ label, quantity, value, onChange, problem }: AmountFieldProps) {
  const { unit, shown, stored } = FIELD_UNITS[quantity];
  const [typed, setTyped] = useState<string | null>(null);
  const change = (text: string) => {
    setTyped(text);
    if (text.trim() === "") return onChange(null);
    const amount = readAmount(text, unit);
    onChange(amount === undefined ? NaN : stored(amount));
  };
  return (
    <TextField
      label={label}
      value={typed ?? (value === null ? "" : numberText(shown(value), 2))}
      onChange={(event) => change(event.target.value)}
      onBlur={() => {
        if (!Number.isNaN(value)) setTyped(null);
      }}
      error={!!problem}
      helperText={problem}
    />
  );
}
