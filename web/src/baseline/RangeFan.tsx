/** A measured motion as a fan at its true angles: reference outline, assisted pale, active full, last time as a tick. Left mirrored. */
import { Box } from "@mui/material";
import { MOTION_FACTS, type Motion } from "@kind-grip/core/baseline";
import type { HandSide } from "@kind-grip/core/units";
import { sideWord, t } from "../base/words";
import { MOTION_NAMES } from "./finding-text";

interface RangeFanProps {
  motion: Motion;
  side: HandSide;
  active: number | null;
  assisted: number | null;
  /** What was measured last time. */
  before?: number | null;
}

const RADIUS = 84;
const CENTRE = { x: 14, y: 96 };

function point(deg: number, radius: number, mirror: boolean): string {
  const angle = ((90 - deg) * Math.PI) / 180;
  const x = CENTRE.x + radius * Math.cos(angle);
  return `${(mirror ? 124 - x : x).toFixed(1)} ${(CENTRE.y - radius * Math.sin(angle)).toFixed(1)}`;
}

function sector(deg: number, radius: number, mirror: boolean): string {
  return `M${point(0, 0, mirror)}L${point(0, radius, mirror)}A${radius} ${radius} 0 0 ${mirror ? 0 : 1} ${point(deg, radius, mirror)}z`;
}

export function RangeFan({ motion, side, active, assisted, before }: RangeFanProps) {
  const mirror = side === "left";
  const { referenceDeg } = MOTION_FACTS[motion];
  const told = `${MOTION_NAMES[motion]}, ${sideWord(side)}: ${active === null ? t("not measured") : t("{{active}}° of {{referenceDeg}}°", { active, referenceDeg })}${assisted === null ? "" : t(", {{assisted}}° with help", { assisted })}${before == null ? "" : t(", last time {{before}}°", { before })}`;
  // An elbow goes past the horizontal: its fan needs room below.
  const height = referenceDeg > 90 ? 176 : 104;
  return (
    <Box component="svg" viewBox={`0 0 124 ${height}`} role="img" aria-label={told} sx={{ width: "100%", maxWidth: 148, display: "block" }}>
      {assisted !== null && (
        <Box
          component="path"
          d={sector(assisted, RADIUS, mirror)}
          sx={{ fill: (theme) => theme.vars!.palette.hand[side], opacity: 0.28 }}
        />
      )}
      {active !== null && (
        <Box
          component="path"
          d={sector(active, RADIUS - (assisted === null ? 0 : 9), mirror)}
          sx={{ fill: (theme) => theme.vars!.palette.hand[side], opacity: 0.92 }}
        />
      )}
      <Box
        component="path"
        d={sector(referenceDeg, RADIUS + 3, mirror)}
        sx={{ fill: "none", stroke: (theme) => theme.vars!.palette.text.secondary, strokeWidth: 1.6, strokeDasharray: "4 3" }}
      />
      {before != null && (
        <Box
          component="path"
          d={`M${point(before, RADIUS - 26, mirror)}L${point(before, RADIUS + 9, mirror)}`}
          sx={{ stroke: (theme) => theme.vars!.palette.warm.main, strokeWidth: 4, strokeLinecap: "round" }}
        />
      )}
    </Box>
  );
}
