import { Box, ButtonBase } from "@mui/material";
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
        gap: 0.75,
        ...(pressed
          ? { bgcolor: "primary.light", borderColor: "primary.main", color: "primary.dark" }
          : { bgcolor: "background.paper", borderColor: "edge", color: "text.primary" }),
      }}
    >
      {/* As wide when it is not pressed: nothing beside it moves. */}
      <Box
        component="span"
        aria-hidden
        sx={{
          width: 16,
          height: 16,
          flex: "none",
          borderRadius: "50%",
          display: "grid",
          border: pressed ? 0 : "2px solid",
          borderColor: "edge",
        }}
      >
        {pressed && <Check size={16} strokeWidth={3} />}
      </Box>
      {label}
    </ButtonBase>
  );
}
