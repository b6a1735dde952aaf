import { Box } from "@mui/material";
import type { Side } from "@kind-grip/core/units";
import { t } from "../base/words";

const LETTERS = { left: "L", right: "R", both: "LR" } as const;
const NAMES = { left: t("Left"), right: t("Right"), both: t("Both hands") } as const;

/** The hand a thing is for: colour and letter, always both. */
export function SideMark({ side, size = 26 }: { side: Side; size?: number }) {
  return (
    <Box
      component="span"
      role="img"
      aria-label={NAMES[side]}
      sx={{
        display: "inline-grid",
        placeItems: "center",
        minWidth: size,
        height: size,
        px: 0.5,
        borderRadius: 1,
        bgcolor: `hand.${side}`,
        color: "hand.on",
        fontWeight: 750,
        fontSize: size * 0.58,
        lineHeight: 1,
      }}
    >
      {LETTERS[side]}
    </Box>
  );
}
