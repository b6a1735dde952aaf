/** The stream of a meter as a line to scale: seconds along, kilograms up. */
import { Box } from "@mui/material";
import type { Reading } from "@kind-grip/core/meter";
import { massText } from "../base/measures";
import { t } from "../base/words";

const WIDTH = 480;
const HEIGHT = 130;
const SECONDS = 6;
/** A gap longer than this is drawn as a gap. */
const GAP_MS = 200;

export function Trace({ readings, most, side }: { readings: readonly Reading[]; most: number; side: "left" | "right" }) {
  const last = readings.at(-1)?.atMs ?? 0;
  const from = Math.max(0, last - SECONDS * 1000);
  const x = (atMs: number) => ((atMs - from) / (SECONDS * 1000)) * WIDTH;
  const y = (value: number) => HEIGHT - 8 - (Math.max(0, value) / most) * (HEIGHT - 20);
  const shown = readings.filter(({ atMs }) => atMs >= from);
  const d = shown
    .map(({ atMs, value }, i) => `${i === 0 || atMs - shown[i - 1]!.atMs > GAP_MS ? "M" : "L"}${x(atMs).toFixed(1)} ${y(value).toFixed(1)}`)
    .join("");
  const lines = [0.25, 0.5, 0.75, 1].map((share) => share * most);
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={t("Live trace, now {{value}}", { value: massText(readings.at(-1)?.value ?? 0, 1) })}
      sx={{ width: "100%", display: "block", bgcolor: "background.paper", borderRadius: 2 }}
    >
      {lines.map((value) => (
        <g key={value}>
          <Box
            component="line"
            x1={0}
            x2={WIDTH}
            y1={y(value)}
            y2={y(value)}
            sx={{ stroke: (theme) => theme.vars!.palette.line, strokeWidth: 1 }}
          />
          <Box
            component="text"
            x={WIDTH - 4}
            y={y(value) - 3}
            textAnchor="end"
            sx={{ fontSize: 13, fill: (theme) => theme.vars!.palette.text.secondary }}
          >
            {Math.round(value)}
          </Box>
        </g>
      ))}
      <Box
        component="path"
        d={d}
        sx={{
          fill: "none",
          stroke: (theme) => theme.vars!.palette.hand[side],
          strokeWidth: 4,
          strokeLinejoin: "round",
          strokeLinecap: "round",
        }}
      />
    </Box>
  );
}
