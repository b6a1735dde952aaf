/** Before and after, run by run: a line from the one to the other, and how much better it was against what one pair cannot tell apart. */
import { Box } from "@mui/material";
import type { QuickSeries } from "@kind-grip/core/api";
import { gainOf } from "@kind-grip/core/quicktest";

interface SeriesStripProps {
  series: QuickSeries;
  /** What it shows, in words. */
  label: string;
}

/** Of the drawing, in its own units. */
const [WIDTH, HEIGHT] = [460, 84];
const MIDDLE = HEIGHT / 2;

export function SeriesStrip({ series: { test, runs, answer }, label }: SeriesStripProps) {
  const gains = runs.map(({ before, after }) => gainOf({ test, before, after })!);
  const widest = Math.max(answer.noise * 1.3, ...gains.map(Math.abs)) * 1.08 || 1;
  const y = (gain: number) => MIDDLE - (gain / widest) * (MIDDLE - 6);
  const x = (i: number) => ((i + 1) * WIDTH) / (runs.length + 1);
  // Many runs stand closer: their marks are smaller.
  const mark = Math.min(4, WIDTH / (runs.length + 1) / 2.6);
  return (
    <Box component="svg" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={label} sx={{ width: "100%", display: "block" }}>
      <Box
        component="rect"
        className="keeps-colour"
        x={0}
        width={WIDTH}
        y={y(answer.noise)}
        height={y(-answer.noise) - y(answer.noise)}
        sx={{ fill: (theme) => theme.vars!.palette.line, opacity: 0.5 }}
      />
      <Box
        component="line"
        x1={0}
        x2={WIDTH}
        y1={MIDDLE}
        y2={MIDDLE}
        sx={{ stroke: (theme) => theme.vars!.palette.text.primary, strokeWidth: 1.5 }}
      />
      {answer.gain && (
        <Box
          component="line"
          x1={0}
          x2={WIDTH}
          y1={y(answer.gain.mean)}
          y2={y(answer.gain.mean)}
          sx={{ stroke: (theme) => theme.vars!.palette.primary.main, strokeWidth: 2, strokeDasharray: "7 4" }}
        />
      )}
      {gains.map((gain, i) => (
        <Box component="g" key={runs[i]!.runId} className="keeps-colour" sx={{ color: gain >= 0 ? "primary.main" : "warm.main" }}>
          <line x1={x(i)} x2={x(i)} y1={MIDDLE} y2={y(gain)} stroke="currentColor" strokeWidth={2} />
          {gain >= 0 ? (
            <circle cx={x(i)} cy={y(gain)} r={mark} fill="currentColor" />
          ) : (
            <rect x={x(i) - mark * 0.9} y={y(gain) - mark * 0.9} width={mark * 1.8} height={mark * 1.8} fill="currentColor" />
          )}
        </Box>
      ))}
    </Box>
  );
}
