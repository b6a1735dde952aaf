/** A decision's kind as a word with its sign; never colour alone. */
import { Box } from "@mui/material";
import { ArrowUpRight, ChevronsDown, Equal, OctagonX } from "lucide-react";
import type { DecisionKind } from "@kind-grip/core/response";
import { DECISION_WORDS } from "./response-text";

const SIGNS = { progress: ArrowUpRight, hold: Equal, ease: ChevronsDown, pauseAndRefer: OctagonX } as const;
const COLOURS = { progress: "primary.main", hold: "text.secondary", ease: "warm.dark", pauseAndRefer: "error.main" } as const;

export function DecisionMark({ kind, size = 20 }: { kind: DecisionKind; size?: number }) {
  const Sign = SIGNS[kind];
  return (
    <Box
      component="span"
      sx={{ display: "inline-flex", alignItems: "center", gap: 0.75, fontWeight: 700, color: COLOURS[kind], whiteSpace: "nowrap" }}
    >
      <Sign size={size} aria-hidden />
      {DECISION_WORDS[kind]}
    </Box>
  );
}
