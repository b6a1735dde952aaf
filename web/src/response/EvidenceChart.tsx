/** The evidence of one proposal at a glance: efforts of the runs above, mornings below, what they are compared with as lines. */
import { Box } from "@mui/material";
import type { WaitingDecision } from "@kind-grip/core/api";
import { t } from "../base/words";

const WIDTH = 190;
const EFFORT = { top: 4, height: 34 };
const MORNING = { top: 46, height: 22 };

interface EvidenceChartProps {
  runs: WaitingDecision["runs"];
  mornings: WaitingDecision["mornings"];
  usualLevel: number;
}

export function EvidenceChart({ runs, mornings, usualLevel }: EvidenceChartProps) {
  const days = [...runs, ...mornings].map(({ day }) => Date.parse(day));
  const [from, to] = [Math.min(...days), Math.max(...days)];
  const x = (day: string) => 8 + (to === from ? 0.5 : (Date.parse(day) - from) / (to - from)) * (WIDTH - 16);
  const effortY = (effort: number) => EFFORT.top + EFFORT.height - (effort / 10) * EFFORT.height;
  const morningY = (level: number) => MORNING.top + MORNING.height - (level / 10) * MORNING.height;
  const told = [
    t("Efforts {{runs}}.", { runs: runs.map(({ effort }) => effort ?? t("not said")).join(", ") || t("none") }),
    t("Mornings {{mornings}}; usual {{usualLevel}}.", { mornings: mornings.map(({ level }) => level).join(", ") || t("none"), usualLevel }),
  ].join(" ");
  return (
    <Box
      component="svg"
      role="img"
      aria-label={told}
      viewBox={`0 0 ${WIDTH} 72`}
      sx={{ width: WIDTH, height: 72, flexShrink: 0, "& .axis": { stroke: "var(--mui-palette-line)" } }}
    >
      <title>{told}</title>
      <line className="axis" x1={0} x2={WIDTH} y1={effortY(0)} y2={effortY(0)} />
      <line className="axis" x1={0} x2={WIDTH} y1={morningY(0)} y2={morningY(0)} />
      {usualLevel > 0 && (
        <line
          x1={0}
          x2={WIDTH}
          y1={morningY(usualLevel)}
          y2={morningY(usualLevel)}
          stroke="var(--mui-palette-text-secondary)"
          strokeDasharray="3 3"
        />
      )}
      {runs.map(({ day, effort, status, marks }, i) =>
        effort === null ? null : (
          <circle
            key={i}
            cx={x(day)}
            cy={effortY(effort)}
            r={4}
            fill={status === "done" && marks === 0 ? "var(--mui-palette-primary-main)" : "var(--mui-palette-background-paper)"}
            stroke={marks > 0 ? "var(--mui-palette-warm-main)" : "var(--mui-palette-primary-main)"}
            strokeWidth={2}
          />
        ),
      )}
      {mornings.map(({ day, level }) => (
        <rect
          key={day}
          x={x(day) - 3}
          width={6}
          y={morningY(Math.max(level, 0.6))}
          height={morningY(0) - morningY(Math.max(level, 0.6))}
          rx={1.5}
          fill={level > usualLevel ? "var(--mui-palette-warm-main)" : "var(--mui-palette-text-secondary)"}
        />
      ))}
    </Box>
  );
}
