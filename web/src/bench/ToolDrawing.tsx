/** A tool to scale with its grip marks; the hand can be put on any of them. */
import { Box } from "@mui/material";
import { range } from "es-toolkit";
import { gripMarks, MARK_EVERY_M, torqueNm, type LoadUse, type Tool } from "@kind-grip/core/load";
import { FIELD_UNITS, lengthText, massText, MEASURES, torqueText } from "../base/measures";
import { t } from "../base/words";

const WIDTH = 700;
const SHAFT_Y = 70;
const MARGIN = 34;
/** Whole numbers along the tool, of the unit it is measured in. */
const TICK_STEPS = { cm: [4, 10, 20, 50, 100], in: [2, 4, 6, 12, 24, 60] } as const;
const MOST_TICKS = 15;

interface ToolDrawingProps {
  tool: Tool;
  use: LoadUse;
  reachM: number;
  gripM: number;
  onGrip(gripM: number): void;
}

export function ToolDrawing({ tool, use, reachM, gripM, onGrip }: ToolDrawingProps) {
  const ink = "var(--mui-palette-text-primary)";
  if (tool.kind === "weight") {
    const size = 26 + 14 * Math.sqrt(tool.massKg);
    return (
      <Box
        component="svg"
        viewBox={`0 0 ${WIDTH} 170`}
        role="img"
        aria-label={`${tool.name}, ${massText(tool.massKg)}`}
        sx={{ width: "100%", display: "block" }}
      >
        <rect x={WIDTH / 2 - 70} y={78} width={140} height={14} rx={7} fill="var(--mui-palette-text-secondary)" />
        {[-1, 1].map((side) => (
          <rect key={side} x={WIDTH / 2 + side * 70 - size / 2} y={85 - size} width={size} height={size * 2} rx={10} fill={ink} />
        ))}
        <text x={WIDTH / 2} y={160} textAnchor="middle" fontSize={22} fontWeight={700} fill={ink}>
          {massText(tool.massKg)}
        </text>
      </Box>
    );
  }
  const pxPerM = (WIDTH - 2 * MARGIN) / tool.lengthM;
  const x = (m: number) => MARGIN + m * pxPerM;
  const thick = 8 + Math.min(16, tool.massKg * 6);
  const head = tool.headKg > 0 ? 34 + 22 * Math.sqrt(tool.headKg) : 0;
  const marks = gripMarks(tool).map((at) => ({ at, nm: Math.max(0, torqueNm(tool, use, at, reachM)) }));
  const most = Math.max(...marks.map(({ nm }) => nm), 0.1);
  const { unit, shown, stored } = FIELD_UNITS.length;
  const every = TICK_STEPS[MEASURES.length].find((step) => tool.lengthM / stored(step) <= MOST_TICKS)!;
  const ticks = range(every, shown(tool.lengthM), every).filter((tick) => stored(tick) >= marks[0]!.at && stored(tick) <= marks.at(-1)!.at);
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} 240`}
      role="img"
      aria-label={t("{{name}}, {{length}}, hand at {{mark}}", {
        name: tool.name,
        length: lengthText(tool.lengthM),
        mark: lengthText(gripM),
      })}
      sx={{ width: "100%", display: "block", touchAction: "manipulation" }}
    >
      <rect
        x={x(0)}
        y={SHAFT_Y - thick / 2}
        width={tool.lengthM * pxPerM}
        height={thick}
        rx={thick / 2}
        fill="var(--mui-palette-text-secondary)"
      />
      {head > 0 && <rect x={x(tool.lengthM) - 16} y={SHAFT_Y - head / 2} width={32} height={head} rx={6} fill={ink} />}
      <g>
        <rect
          x={x(gripM) - 0.04 * pxPerM}
          y={SHAFT_Y - 22}
          width={0.08 * pxPerM}
          height={44}
          rx={14}
          fill="var(--mui-palette-warm-main)"
          opacity={0.88}
        />
        <line
          x1={x(gripM)}
          x2={x(gripM)}
          y1={SHAFT_Y - 26}
          y2={226}
          stroke="var(--mui-palette-warm-main)"
          strokeWidth={2}
          strokeDasharray="4 4"
        />
      </g>
      {marks.map(({ at, nm }) => {
        const height = (nm / most) * 74;
        const wide = Math.max(1, MARK_EVERY_M * pxPerM - 1);
        return (
          <g key={at} onClick={() => onGrip(at)} style={{ cursor: "pointer" }}>
            <title>{`${lengthText(at)}: ${torqueText(nm)}`}</title>
            <rect x={x(at) - wide / 2} y={110} width={wide} height={92} fill="transparent" />
            <rect
              x={x(at) - wide / 2}
              y={202 - height}
              width={wide}
              height={height}
              rx={2}
              fill="var(--mui-palette-primary-main)"
              opacity={Math.abs(at - gripM) < MARK_EVERY_M / 2 ? 1 : 0.42}
            />
          </g>
        );
      })}
      {ticks.map((tick) => (
        <text key={tick} x={x(stored(tick))} y={222} textAnchor="middle" fontSize={14} fill="var(--mui-palette-text-secondary)">
          {tick}
        </text>
      ))}
      <text x={WIDTH - 4} y={238} textAnchor="end" fontSize={14} fill="var(--mui-palette-text-secondary)">
        {t("{{unit}} from the near end; bars: torque with the hand there", { unit })}
      </text>
    </Box>
  );
}
