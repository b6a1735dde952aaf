/** A password that is chosen: shown while it is typed if wished, with what makes a good one. */
import { IconButton, InputAdornment, TextField } from "@mui/material";
import { Eye, EyeOff } from "lucide-react";
import { useState } from "react";
import { t } from "../base/words";

interface NewPasswordFieldProps {
  label: string;
  value: string;
  onChange(value: string): void;
  /** What is wrong with it. */
  problem?: string | undefined;
}

export function NewPasswordField({ label, value, onChange, problem }: NewPasswordFieldProps) {
  const [shown, setShown] = useState(false);
  return (
    <TextField
      label={label}
      type={shown ? "text" : "password"}
      autoComplete="new-password"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      error={problem !== undefined}
      helperText={problem ?? t("At least 10 characters: three or four words that do not belong together")}
      slotProps={{
        input: {
          endAdornment: (
            <InputAdornment position="end">
              <IconButton aria-label={shown ? t("Hide the password") : t("Show the password")} onClick={() => setShown(!shown)} edge="end">
                {shown ? <EyeOff size={20} /> : <Eye size={20} />}
              </IconButton>
            </InputAdornment>
          ),
        },
      }}
    />
  );
}
