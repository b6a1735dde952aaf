/** A field for one line, with no choices: MUI's own text field brings its menus with it, which the sign-in has no use for. */
import { FormControl, FormHelperText, InputLabel, OutlinedInput, type OutlinedInputProps } from "@mui/material";
import { useId } from "react";

interface PlainFieldProps extends Pick<OutlinedInputProps, "type" | "autoComplete" | "autoFocus" | "inputProps"> {
  label: string;
  value: string;
  onChange(value: string): void;
  /** What is wrong with it. */
  problem?: string | undefined;
  required?: boolean;
}

export function PlainField({ label, value, onChange, problem, required, ...input }: PlainFieldProps) {
  const id = useId();
  const isWrong = problem !== undefined;
  return (
    <FormControl size="small" fullWidth error={isWrong} required={required} sx={{ justifyContent: "end" }}>
      <InputLabel htmlFor={id}>{label}</InputLabel>
      <OutlinedInput
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-describedby={isWrong ? `${id}-problem` : undefined}
        {...input}
      />
      {isWrong && <FormHelperText id={`${id}-problem`}>{problem}</FormHelperText>}
    </FormControl>
  );
}
