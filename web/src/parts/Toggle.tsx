import { ButtonBase } from "@mui/material";
import { Check } from "lucide-react";

/** One of several independent marks; pressed or not. */
export function Toggle({ label, pressed, onChange }: { label: string; pressed: boolean; onChange(pressed: boolean): void }) {
  return (
    <ButtonBase
      aria-pressed={pressed}
      onClick={() => onChange(!pressed)}
      sx={{
        px: 1.5,
        minHeight: 40,
        borderRadius: 5,
        border: "2px solid",
        fontSize: "0.95rem",
        fontWeight: 600,
        gap: 0.5,
        ...(pressed
          ? { bgcolor: "primary.light", borderColor: "primary.main", color: "primary.dark" }
          : { bgcolor: "background.paper", borderColor: "edge", color: "text.primary" }),
      }}
    >
      {pressed && <Check size={16} aria-hidden />}
      {label}
    </ButtonBase>
  );
}
