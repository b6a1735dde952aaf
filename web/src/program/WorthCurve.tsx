/** What a session is worth at every length, as a share of it as written; the length looked at is marked. */
import { Box } from "@mui/material";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";

const WIDTH = 380;
const HEIGHT = 190;
const LEFT = 54;
const BOTTOM = 26;

export function WorthCurve({ curve, slotSec }: { curve: readonly { sec: number; worth: number }[]; slotSec: number }) {
  const most = Math.max(...curve.map(({ sec }) => sec));
  const top = Math.max(1, ...curve.map(({ worth }) => worth));
  const x = (sec: number) => LEFT + (sec / most) * (WIDTH - LEFT - 8);
  const y = (worth: number) => HEIGHT - BOTTOM - (worth / top) * (HEIGHT - BOTTOM - 12);
  const d = curve.map(({ sec, worth }, i) => `${i === 0 ? "M" : "L"}${x(sec).toFixed(1)} ${y(worth).toFixed(1)}`).join("");
  const everySec = most > 900 ? 300 : most > 360 ? 120 : 60;
  const ticks = Array.from({ length: Math.floor(most / everySec) }, (_, i) => (i + 1) * everySec);
  const label = { fontSize: 14, fill: "var(--mui-palette-text-secondary)" } as const;
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={t("Worth of the session by its length")}
      sx={{ width: "100%", display: "block" }}
    >
      {[0.5, 1].map((worth) => (
        <g key={worth}>
          <line x1={LEFT} x2={WIDTH} y1={y(worth)} y2={y(worth)} stroke="var(--mui-palette-line)" strokeWidth={1.5} />
          <text x={LEFT - 6} y={y(worth) + 5} textAnchor="end" {...label}>
            {worth * 100} %
          </text>
        </g>
      ))}
      {ticks.map((sec) => (
        <text key={sec} x={x(sec)} y={HEIGHT - 6} textAnchor="middle" {...label}>
          {durationText(sec)}
        </text>
      ))}
      <line x1={x(slotSec)} x2={x(slotSec)} y1={6} y2={HEIGHT - BOTTOM} stroke="var(--mui-palette-warm-main)" strokeWidth={3} />
      <path d={d} fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth={4} strokeLinejoin="round" />
    </Box>
  );
}
