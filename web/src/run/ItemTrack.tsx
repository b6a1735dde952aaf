/** The whole session as a thin track, each item to scale; done, now, to come. */
import { Box } from "@mui/material";
import { t } from "../base/words";
import type { RunScreenProps } from "./BeforeRun";

export function ItemTrack({ run }: { run: RunScreenProps["run"] }) {
  const { timeline, atSec } = run;
  return (
    <Box
      role="progressbar"
      aria-label={t("Session")}
      aria-valuemin={0}
      aria-valuemax={Math.round(timeline.totalSec)}
      aria-valuenow={Math.round(atSec)}
      sx={{ flex: 1, minWidth: 80, display: "flex", gap: "3px", height: 12, mx: { xs: 0, md: 2 } }}
    >
      {timeline.items.map((span) => {
        const length = span.endSec - span.startSec;
        const share = Math.max(0, Math.min(1, (atSec - span.startSec) / length));
        return (
          <Box key={span.itemId} sx={{ flex: length, bgcolor: "line", borderRadius: 1, overflow: "hidden" }}>
            <Box sx={{ width: `${share * 100}%`, height: "100%", bgcolor: "primary.main" }} />
          </Box>
        );
      })}
    </Box>
  );
}
