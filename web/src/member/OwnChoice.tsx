/** One thing somebody chooses for themselves on their phone, or leaves as the crew has it; kept as it is chosen. */
import { MenuItem, TextField, Typography } from "@mui/material";
import { useWords } from "../base/library";

/** The value of "as the crew". */
export const AS_CREW = "crew";

interface OwnChoiceProps {
  label: string;
  value: string;
  /** What the crew has, in words. */
  ofCrew: string;
  options: readonly { value: string; label: string }[];
  onChange(value: string): void;
  /** It could not be kept. */
  failed: boolean;
}

export function OwnChoice({ label, value, ofCrew, options, onChange, failed }: OwnChoiceProps) {
  const words = useWords();
  return (
    <>
      <TextField select label={label} value={value} onChange={({ target }) => onChange(target.value)} sx={{ width: "100%", maxWidth: 320 }}>
        {[{ value: AS_CREW, label: words.member("reminderAsCrew", { what: ofCrew }) }, ...options].map((option) => (
          <MenuItem key={option.value} value={option.value}>
            {option.label}
          </MenuItem>
        ))}
      </TextField>
      {failed && (
        <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
          {words.member("away")}
        </Typography>
      )}
    </>
  );
}
