import { TextField, type TextFieldProps } from "@mui/material";
import { t } from "../base/words";

/** A name that must not be empty; it says so where it stands. */
export function NameField({ value, onName, ...rest }: { value: string; onName(name: string): void } & Omit<TextFieldProps, "value">) {
  const missing = value.trim() === "";
  return (
    <TextField
      label={t("Name")}
      value={value}
      onChange={(event) => onName(event.target.value)}
      error={missing}
      helperText={missing ? t("is missing") : undefined}
      slotProps={{ htmlInput: { maxLength: 120 } }}
      {...rest}
    />
  );
}
