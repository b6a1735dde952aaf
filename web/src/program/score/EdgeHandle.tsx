/** An edge to pull: the inner one for how long, the outer one for how many. A slider to the keyboard. */
import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Dose } from "@kind-grip/core/session";
import { nudged, type DoseNumber } from "../dose-edit";
import { HEIGHT } from "./geometry";

interface EdgeHandleProps {
  number: DoseNumber;
  x: number;
  /** Seconds the edge moves when the number moves one step. */
  secPerStep: number;
  pxPerSec: number;
  tone: string;
  /** @param gesture the same for the whole pull, so that it is one step of undo */
  onChange(dose: Dose, gesture: string): void;
  onEnd(): void;
}

export function EdgeHandle({ number, x, secPerStep, pxPerSec, tone, onChange, onEnd }: EdgeHandleProps) {
  const pull = useRef<{ fromX: number; number: DoseNumber; pxPerStep: number; gesture: string; last: number } | null>(null);
  const start = (event: PointerEvent<SVGGElement>) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    pull.current = {
      fromX: event.clientX,
      number,
      pxPerStep: Math.max(2, secPerStep * pxPerSec),
      gesture: `pull ${number.key} ${event.timeStamp}`,
      last: 0,
    };
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const now = pull.current;
    if (!now) return;
    const steps = Math.round((event.clientX - now.fromX) / now.pxPerStep);
    if (steps === now.last) return;
    now.last = steps;
    onChange(nudged(now.number, steps), now.gesture);
  };
  const stop = () => {
    if (pull.current) onEnd();
    pull.current = null;
  };
  const key = (event: KeyboardEvent) => {
    const steps = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (steps === undefined || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    onChange(nudged(number, steps), `key ${number.key} ${event.timeStamp}`);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={number.label}
      aria-valuenow={number.value}
      aria-valuemin={number.min}
      aria-valuemax={number.max}
      aria-valuetext={`${number.value}${number.unit ? ` ${number.unit}` : ""}`}
      onPointerDown={start}
      onPointerMove={move}
      onPointerUp={stop}
      onPointerCancel={stop}
      onKeyDown={key}
      style={{ cursor: "ew-resize", touchAction: "none" }}
    >
      <rect x={x - 11} y={0} width={22} height={HEIGHT} fill="transparent" />
      <line x1={x} x2={x} y1={2} y2={HEIGHT - 2} stroke={tone} strokeWidth={2} strokeDasharray="4 4" />
      <rect x={x - 6} y={HEIGHT / 2 - 17} width={12} height={34} rx={6} fill={tone} />
      <path
        d={`M${x - 1.5} ${HEIGHT / 2 - 6}v12M${x + 1.5} ${HEIGHT / 2 - 6}v12`}
        stroke="var(--mui-palette-background-paper)"
        strokeWidth={1.2}
      />
    </g>
  );
}
