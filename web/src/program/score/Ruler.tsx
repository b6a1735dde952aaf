/** The slot as a ruler under the score: what is used, what is spare, what is over. */
import { rulerOf } from "@kind-grip/core/slot";
import type { Timeline } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";

export function Ruler({ timeline, slotSec, pxPerSec, width }: { timeline: Timeline; slotSec: number; pxPerSec: number; width: number }) {
  const { usedSec, overSec } = rulerOf(timeline, slotSec);
  const end = Math.max(usedSec, slotSec);
  const everySec = pxPerSec * 60 < 58 ? 120 : pxPerSec * 30 > 70 ? 30 : 60;
  // A slot far longer than what is in it is drawn as far as the width goes, with a break.
  const drawn = Math.min(slotSec * pxPerSec, width - 14);
  const isCut = slotSec * pxPerSec > width;
  const ticks = Array.from({ length: Math.floor(end / everySec) + 1 }, (_, i) => i * everySec).filter(
    (sec) => sec * pxPerSec <= width && !(isCut && sec * pxPerSec > width - 80),
  );
  const used = Math.min(usedSec, slotSec) * pxPerSec;
  return (
    <svg width={width} height={46} aria-hidden style={{ display: "block", fontVariantNumeric: "tabular-nums" }}>
      <rect x={0} y={6} width={drawn} height={12} fill="var(--mui-palette-line)" rx={2} />
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
            {durationText(sec)}
          </text>
        </g>
      ))}
      {isCut && (
        <>
          <path d={`M${drawn - 26} 22l6 -20M${drawn - 18} 22l6 -20`} stroke="var(--mui-palette-background-default)" strokeWidth={4} />
          <text x={width} y={40} fontSize={14} fill="var(--mui-palette-text-secondary)" textAnchor="end">
            {durationText(slotSec)}
          </text>
        </>
      )}
      <line
        x1={isCut ? drawn : slotSec * pxPerSec}
        x2={isCut ? drawn : slotSec * pxPerSec}
        y1={0}
        y2={26}
        stroke="var(--mui-palette-warm-main)"
        strokeWidth={3}
      />
    </svg>
  );
}
