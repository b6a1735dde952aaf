/** One measure of a crew before and after, left hand beside right: lines from value to value, the middle as a bar at each end. */
import { Box, Typography } from "@mui/material";
import type { Change, CrewChange } from "@kind-grip/core/baseline";
import { sideWord, t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { measureName, valueText } from "./finding-text";

interface ChangePanelProps {
  measure: Change["measure"];
  /** Of one or both hands. */
  changes: readonly CrewChange[];
  nameOf(personId: string): string;
}

/** Of the drawing, in its own units. */
const WIDTH = 150;
const HEIGHT = 150;
const MARGIN = 9;
/** Least height of a drawing, in changes that count. */
const LEAST_SPAN = 3;
const [BEFORE_X, AFTER_X] = [26, WIDTH - 26];

export function ChangePanel({ measure, changes, nameOf }: ChangePanelProps) {
  const values = changes.flatMap(({ people }) => people.flatMap(({ before, after }) => [before, after]));
  const [low, high] = [Math.min(...values), Math.max(...values)];
  // What is noise looks like noise: the drawing is never less high than a few times what counts.
  const span = Math.max(high - low, LEAST_SPAN * Math.max(...changes.map(({ countsFrom }) => countsFrom)));
  const middle = (low + high) / 2;
  const y = (value: number) => HEIGHT / 2 - ((value - middle) / span) * (HEIGHT - 2 * MARGIN);
  return (
    <Box component="section" aria-label={measureName(measure)} sx={{ breakInside: "avoid" }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {measureName(measure)}
      </Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.95rem" }}>
        {t("{{low}} to {{high}}", { low: valueText(measure, low), high: valueText(measure, high) })}
        {measure === "function" && `, ${t("less is better")}`}
      </Typography>
      <Box sx={{ display: "flex", gap: 2, mt: 1 }}>
        {changes.map((change) => (
          <Box key={change.side} sx={{ flex: "1 1 0", minWidth: 0, maxWidth: 210 }}>
            <Hand change={change} y={y} nameOf={nameOf} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Hand({ change, y, nameOf }: { change: CrewChange; y(value: number): number; nameOf(personId: string): string }) {
  const { measure, side, people, better, worse, medianBefore, medianAfter } = change;
  const figure = (value: number) => valueText(measure, value);
  const said = t("{{better}} better, {{worse}} worse of {{all}}", { better, worse, all: people.length });
  // What counts is drawn over what does not.
  const inOrder = [...people].sort((a, b) => Number(a.verdict !== "noise") - Number(b.verdict !== "noise"));
  return (
    <>
      <Box sx={{ mb: 0.5 }}>
        <SideMark side={side} size={24} />
      </Box>
      <Box
        component="svg"
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={t("{{measure}}, {{side}} hand: {{said}}. The middle went from {{before}} to {{after}}.", {
          measure: measureName(measure),
          side: sideWord(side),
          said,
          before: figure(medianBefore),
          after: figure(medianAfter),
        })}
        sx={{ width: "100%", display: "block", bgcolor: "background.paper", borderRadius: 2 }}
      >
        {inOrder.map(({ personId, before, after, verdict }) => (
          <Box
            component="g"
            key={personId}
            sx={{
              color: verdict === "noise" ? "edge" : verdict === "better" ? "primary.main" : "warm.main",
              opacity: verdict === "noise" ? 0.55 : 1,
              strokeDasharray: verdict === "worse" ? "5 3" : undefined,
            }}
          >
            <title>{`${nameOf(personId)}: ${figure(before)} → ${figure(after)}`}</title>
            <line
              x1={BEFORE_X}
              y1={y(before)}
              x2={AFTER_X}
              y2={y(after)}
              stroke="currentColor"
              strokeWidth={verdict === "noise" ? 1.4 : 2.6}
            />
            {[
              [BEFORE_X, before],
              [AFTER_X, after],
            ].map(([x, value]) => (
              <circle key={x} cx={x} cy={y(value!)} r={verdict === "noise" ? 2.4 : 3.6} fill="currentColor" />
            ))}
          </Box>
        ))}
        {[
          [BEFORE_X, medianBefore],
          [AFTER_X, medianAfter],
        ].map(([x, value]) => (
          <Box
            component="line"
            key={x}
            x1={x! - 14}
            x2={x! + 14}
            y1={y(value!)}
            y2={y(value!)}
            sx={{ stroke: (theme) => theme.vars!.palette.text.primary, strokeWidth: 3 }}
          />
        ))}
      </Box>
      <Typography component="p" sx={{ fontWeight: 700, mt: 0.5, whiteSpace: "nowrap" }}>
        {figure(medianBefore)} → {figure(medianAfter)}
      </Typography>
      <Typography component="p" sx={{ fontSize: "0.95rem" }}>
        {said}
      </Typography>
    </>
  );
}
