/** The work of a shift as a ribbon: as thick as its strain, warm where that is raised, its tasks by name, breaks as gaps, hours below. */
import { Box } from "@mui/material";
import { ribbonOf, type RibbonPart, type RibbonPiece } from "@kind-grip/core/dayplan";
import type { Shift } from "@kind-grip/core/calendar";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { timeText } from "../base/dates";
import { fixedText } from "../base/measures";
import { t } from "../base/words";
import { hoursIn, namedRuns, thicknessOf } from "./ribbon-shape";

/** Middle of the ribbon from the top, px; names stand above it. */
const MIDDLE = 33;
export const RIBBON_HEIGHT = 70;
/** Share of the row below which a name says nothing any more, percent. */
const LEAST_NAMED = 5;

interface RibbonProps {
  shift: Shift;
  /** What the hands do along the shift; the ribbon has one thickness while nobody has described it. */
  parts: readonly RibbonPart[];
  timeZone: string;
  /** Percent of the row a moment lies at. */
  x(ms: number): number;
}

export function Ribbon({ shift, parts, timeZone, x }: RibbonProps) {
  const pieces = ribbonOf(shift, parts);
  return (
    <>
      <Work shift={shift} pieces={pieces} x={x} />
      {namedRuns(pieces).map(({ name, startMs, endMs }) => {
        const width = x(endMs) - x(startMs);
        return (
          width >= LEAST_NAMED && (
            <Box
              key={startMs}
              sx={{
                position: "absolute",
                left: `${x(startMs)}%`,
                width: `${width}%`,
                top: 0,
                pr: 0.75,
                fontSize: "0.8rem",
                lineHeight: "17px",
                color: "text.secondary",
                overflow: "hidden",
                textOverflow: "ellipsis",
                whiteSpace: "nowrap",
              }}
            >
              {name}
            </Box>
          )
        );
      })}
      <Gaps shift={shift} timeZone={timeZone} x={x} />
      {hoursIn(shift, timeZone).map(({ ms, label }) => (
        <Box
          key={ms}
          aria-hidden
          sx={{
            position: "absolute",
            left: `${x(ms)}%`,
            top: MIDDLE + 14,
            transform: "translateX(-50%)",
            fontSize: "0.8rem",
            lineHeight: 1.1,
            color: "text.secondary",
            textAlign: "center",
            "&::before": { content: '""', display: "block", width: 2, height: 5, bgcolor: "text.secondary", mx: "auto" },
          }}
        >
          {label}
        </Box>
      ))}
    </>
  );
}

/** Times at which nobody works: breaks, and hours away in a split shift. */
function Gaps({ shift, timeZone, x }: Omit<RibbonProps, "parts">) {
  const place = (startMs: number, endMs: number) => ({
    position: "absolute",
    left: `${x(startMs)}%`,
    width: `${x(endMs) - x(startMs)}%`,
    top: MIDDLE - 13,
    height: 26,
    bgcolor: "background.default",
  });
  return (
    <>
      {shift.away.map(({ startMs, endMs }) => (
        <Box
          key={startMs}
          sx={{ ...place(startMs, endMs), display: "grid", placeItems: "center", fontSize: "0.85rem", color: "text.secondary" }}
        >
          {t("away")}
        </Box>
      ))}
      {shift.breaks.map(({ startMs, endMs }) => (
        <Box
          key={startMs}
          aria-hidden
          title={t("Break {{time}}–{{time2}}", { time: timeText(startMs, timeZone), time2: timeText(endMs, timeZone) })}
          sx={{ ...place(startMs, endMs), borderInline: "2px solid", borderColor: "primary.main" }}
        />
      ))}
    </>
  );
}

function Work({ shift, pieces, x }: { shift: Shift; pieces: readonly RibbonPiece[]; x(ms: number): number }) {
  const wholeShift = { position: "absolute", left: `${x(shift.startMs)}%`, width: `${x(shift.endMs) - x(shift.startMs)}%` };
  if (pieces.length === 0)
    return <Box aria-hidden sx={{ ...wholeShift, top: MIDDLE - 8, height: 16, bgcolor: "primary.light", borderRadius: 1 }} />;
  return (
    <>
      <Box aria-hidden sx={{ ...wholeShift, top: MIDDLE - 1, height: 2, bgcolor: "line" }} />
      {pieces.map((piece, i) => {
        const thick = thicknessOf(piece.strain);
        return (
          <Box
            className="keeps-colour"
            key={i}
            aria-hidden
            title={t("{{name}}: strain index {{strain}}", { name: piece.name, strain: fixedText(piece.strain, 1) })}
            sx={{
              position: "absolute",
              left: `${x(piece.startMs)}%`,
              width: `calc(${x(piece.endMs) - x(piece.startMs)}% - 1px)`,
              top: MIDDLE - thick / 2,
              height: thick,
              bgcolor: piece.strain > RAISED_STRAIN ? "warm.light" : "primary.light",
              borderRadius: 0.5,
            }}
          />
        );
      })}
    </>
  );
}
