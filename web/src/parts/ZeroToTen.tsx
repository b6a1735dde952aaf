/** Eleven buttons from 0 to 10: one tap, one answer. From 6 on they are warm. */
import { Box, ButtonBase } from "@mui/material";
import type { HandSide } from "@kind-grip/core/units";

interface ZeroToTenProps {
  /** Of the whole row, for screen readers. */
  label: string;
  /** Of one button. */
  nameOf?(value: number): string;
  /** What stands on one. */
  written?(value: number): string;
  value: number | null | undefined;
  onChange(value: number): void;
  /** Fills the chosen one with a hand's colour. */
  side?: HandSide;
  /** `thumb`: two rows of large buttons. */
  size?: "row" | "tall" | "thumb";
}

const VALUES = Array.from({ length: 11 }, (_, value) => value);
const WARM_FROM = 6;
const HEIGHT = { row: 44, tall: 60, thumb: 54 } as const;

export function ZeroToTen({ label, nameOf, written = String, value, onChange, side, size = "row" }: ZeroToTenProps) {
  const fill = side ? `hand.${side}` : "text.primary";
  return (
    <Box
      role="group"
      aria-label={label}
      sx={
        size === "thumb"
          ? { display: "grid", gridTemplateColumns: "repeat(6, 1fr)", gap: 0.75 }
          : { display: "flex", gap: size === "tall" ? "4px" : "3px", flex: 1 }
      }
    >
      {VALUES.map((each) => {
        const chosen = value === each;
        return (
          <ButtonBase
            key={each}
            aria-pressed={chosen}
            aria-label={nameOf?.(each) ?? `${label}: ${each}`}
            onClick={() => onChange(each)}
            sx={{
              flex: 1,
              maxWidth: size === "row" ? 52 : "none",
              minWidth: 24,
              height: HEIGHT[size],
              borderRadius: 1.5,
              fontWeight: 700,
              fontSize: size === "row" ? "1.05rem" : "1.2rem",
              border: "2px solid",
              ...(chosen
                ? { bgcolor: fill, color: side ? "hand.on" : "background.paper", borderColor: fill }
                : { bgcolor: each >= WARM_FROM ? "warm.light" : "background.paper", borderColor: "line" }),
            }}
          >
            {written(each)}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
