/** The slot as a ruler under the score: what is used, what is spare, what is over. */
import { rulerOf } from "@kind-grip/core/slot";
import type { Timeline } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";

export function Ruler({ timeline, slotSec, pxPerSec, width }: { timeline: Timeline; slotSec: number; pxPerSec: number; width: number }) {
  const { usedSec, overSec } = rulerOf(timeline, slotSec);
  const end = Math.max(usedSec, slotSec);
  const everySec = pxPerSec * 60 < 58 ? 120 : pxPerSec * 30 > 70 ? 30 : 60;
  const ticks = Array.from({ length: Math.floor(end / everySec) + 1 }, (_, i) => i * everySec);
  const used = Math.min(usedSec, slotSec) * pxPerSec;
  return (
    <svg width={width} height={46} aria-hidden style={{ display: "block", fontVariantNumeric: "tabular-nums" }}>
      <rect x={0} y={6} width={slotSec * pxPerSec} height={12} fill="var(--mui-palette-line)" rx={2} />
      <rect x={0} y={6} width={used} height={12} fill="var(--mui-palette-text-primary)" rx={2} />
      {overSec > 0 && (
        <rect x={slotSec * pxPerSec} y={6} width={overSec * pxPerSec} height={12} fill="var(--mui-palette-warm-main)" rx={2} />
      )}
      {ticks.map((sec) => (
        <g key={sec} transform={`translate(${sec * pxPerSec} 0)`}>
          <line y1={18} y2={24} stroke="var(--mui-palette-text-secondary)" strokeWidth={1.5} />
          <text
            y={40}
            fontSize={14}
            fill="var(--mui-palette-text-secondary)"
            textAnchor={sec === 0 ? "start" : sec * pxPerSec > width - 24 ? "end" : "middle"}
          >
            {clockText(sec)}
          </text>
        </g>
      ))}
      <line x1={slotSec * pxPerSec} x2={slotSec * pxPerSec} y1={0} y2={26} stroke="var(--mui-palette-warm-main)" strokeWidth={3} />
    </svg>
  );
}
