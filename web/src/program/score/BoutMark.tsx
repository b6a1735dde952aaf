/** One segment drawn: solid is a hold, bars are repetitions, a band is timed work, stairs are steps; what is not work lies on the spine. */
import { boutsOf, tempoSec, type Segment } from "@kind-grip/core/session";
import { LANE, SPINE } from "./geometry";

interface BoutMarkProps {
  segment: Segment;
  pxPerSec: number;
  height: number;
  dimmed: boolean;
}

export function BoutMark({ segment, pxPerSec, height, dimmed }: BoutMarkProps) {
  const x = segment.startSec * pxPerSec;
  const width = segment.lengthSec * pxPerSec;
  const opacity = dimmed ? 0.55 : 1;
  if (segment.kind === "rest")
    return (
      <line
        x1={x + 1}
        x2={x + width - 1}
        y1={LANE + SPINE / 2}
        y2={LANE + SPINE / 2}
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth={5}
        strokeDasharray="1 5"
        strokeLinecap="round"
        opacity={opacity}
      />
    );
  if (segment.kind === "ready" || segment.kind === "switch")
    return (
      <rect
        x={x + 0.5}
        y={LANE - 9}
        width={Math.max(1, width - 1)}
        height={18 + SPINE}
        fill={`url(#score-${segment.kind})`}
        opacity={opacity}
      />
    );
  const hands = segment.side === "both" ? (["left", "right"] as const) : [segment.side];
  const colour = `var(--mui-palette-hand-${segment.side})`;
  const leadWidth = segment.leadSec * pxPerSec;
  return (
    <g opacity={opacity}>
      {hands.map((hand) => (
        <g key={hand} transform={hand === "left" ? `translate(${x} ${LANE}) scale(1 -1)` : `translate(${x} ${LANE + SPINE})`}>
          <Texture segment={segment} width={leadWidth} height={height} colour={colour} pxPerSec={pxPerSec} />
          {width > leadWidth + 0.5 && (
            <rect
              x={leadWidth}
              y={0}
              width={width - leadWidth - 0.5}
              height={height * 0.5}
              fill="none"
              stroke={colour}
              strokeDasharray="3 3"
            />
          )}
        </g>
      ))}
    </g>
  );
}

/** Drawn upward from the spine, width × height. */
function Texture({
  segment,
  width,
  height,
  colour,
  pxPerSec,
}: {
  segment: Segment;
  width: number;
  height: number;
  colour: string;
  pxPerSec: number;
}) {
  const { dose } = segment;
  const inner = Math.max(1, width - 1);
  switch (dose.kind) {
    case "holds":
      return <rect width={inner} height={height} rx={2} fill={colour} />;
    case "timed":
      return (
        <>
          <rect width={inner} height={height} rx={2} fill={colour} opacity={0.32} />
          <rect y={height * 0.34} width={inner} height={height * 0.32} fill={colour} />
        </>
      );
    case "reps": {
      const one = tempoSec(dose.tempo) * pxPerSec;
      const gap = Math.min(2.5, one * 0.28);
      return (
        <>
          <rect width={inner} height={height} rx={2} fill={colour} opacity={0.22} />
          {Array.from({ length: dose.reps }, (_, rep) => (
            <rect key={rep} x={rep * one} width={Math.max(0.7, one - gap)} height={height} fill={colour} />
          ))}
        </>
      );
    }
    case "steps": {
      const step = dose.stepSec * pxPerSec;
      const rise = height / Math.max(1, dose.stepsUsed);
      const slidesFrom = dose.stepsUsed * step;
      return (
        <>
          {Array.from({ length: dose.stepsUsed }, (_, i) => (
            <rect key={i} x={i * step} width={Math.max(0.7, step - 1)} height={rise * (i + 1)} fill={colour} />
          ))}
          {boutsOf(dose).lengthSec * pxPerSec > slidesFrom && (
            <rect x={slidesFrom} width={Math.max(0.7, inner - slidesFrom)} height={height} fill={colour} opacity={0.5} />
          )}
        </>
      );
    }
  }
}
