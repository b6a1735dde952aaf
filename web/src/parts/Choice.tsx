import { Box, ButtonBase } from "@mui/material";
import { radioProps } from "./radio-props";

interface ChoiceProps<T extends string> {
  label: string;
  options: readonly { value: T; label: string; note?: string; lang?: string }[];
  /** Null while nothing is chosen. */
  value: T | null;
  onChange(value: T): void;
}

/** A few exclusive options side by side; a radio group to the keyboard and to screen readers. */
export function Choice<T extends string>({ label, options, value, onChange }: ChoiceProps<T>) {
  const radio = radioProps(
    options.map((option) => option.value),
    value,
    onChange,
  );
  return (
    <Box
      role="radiogroup"
      aria-label={label}
      sx={{
        display: "inline-flex",
        flexWrap: "wrap",
        gap: 0.5,
        p: 0.5,
        border: "2px solid",
        borderColor: "edge",
        borderRadius: 2,
        bgcolor: "background.paper",
      }}
    >
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <ButtonBase
            key={option.value}
            lang={option.lang}
            {...radio(option.value)}
            sx={{
              px: 1.5,
              minHeight: 40,
              borderRadius: 1.5,
              fontSize: "1rem",
              fontWeight: 600,
              display: "flex",
              flexDirection: "column",
              lineHeight: 1.15,
              ...(chosen ? { bgcolor: "primary.main", color: "primary.contrastText" } : { color: "text.primary" }),
            }}
          >
            {option.label}
            {option.note && (
              <Box component="span" sx={{ fontSize: "0.8rem", fontWeight: 500 }}>
                {option.note}
              </Box>
            )}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
