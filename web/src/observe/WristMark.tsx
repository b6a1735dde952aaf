/** A wrist in one stroke: the forearm lies, the hand is bent to the palm or back. */
import { Box } from "@mui/material";

export function WristMark({ flexionDeg }: { flexionDeg: number }) {
  const bent = (flexionDeg * Math.PI) / 180;
  return (
    <Box component="svg" viewBox="0 0 40 34" aria-hidden sx={{ width: "100%", maxWidth: 44, display: "block", mx: "auto" }}>
      <path
        d={`M2 17 H20 L${20 + 17 * Math.cos(bent)} ${17 + 17 * Math.sin(bent)}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={5}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </Box>
  );
}
