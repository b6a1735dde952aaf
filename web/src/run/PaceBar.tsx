/** The pace: fills on the way out, empties on the way back; for holds and timed work it runs down once. */
import { Box } from "@mui/material";
import type { Position } from "@kind-grip/core/session";

export function PaceBar({ position }: { position: Position }) {
  const { phase, phaseShare, segment, intoSec } = position;
  const share =
    phase === "out"
      ? phaseShare
      : phase === "endPause"
        ? 1
        : phase === "back"
          ? 1 - phaseShare
          : phase === "startPause"
            ? 0
            : phase === "hold" || phase === "move"
              ? 1 - intoSec / segment.leadSec
              : phaseShare;
  const quiet = phase === "ready" || phase === "rest" || phase === "switch" || phase === "wait";
  return (
    <Box
      aria-hidden
      sx={{
        mt: "2.2vh",
        height: "min(46px, 6vh)",
        borderRadius: 2,
        border: "3px solid",
        borderColor: quiet ? "line" : `hand.${segment.side}`,
        overflow: "hidden",
        position: "relative",
      }}
    >
      <Box
        className="keeps-colour"
        style={{ transform: `scaleX(${Math.max(0, Math.min(1, share))})` }}
        sx={{ position: "absolute", inset: 0, transformOrigin: "left", bgcolor: quiet ? "line" : `hand.${segment.side}` }}
      />
    </Box>
  );
}
