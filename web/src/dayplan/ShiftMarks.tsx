/** What lies on the ribbon of a shift: the work, placed sessions to drag, what ties them to one another. */
import { Box } from "@mui/material";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { type Shift } from "@kind-grip/core/calendar";
import { GRID_MIN, onGrid, type Clash, type Placed, ribbonOf, type RibbonPart } from "@kind-grip/core/dayplan";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { t } from "../base/words";

/** Thickness of the ribbon, px, and the strain index it is thickest at. */
const THINNEST = 5;
const THICKEST = 30;
const THICKEST_AT = 25;
const minute = 60_000;

interface PinProps {
  placed: Placed;
  chosen: boolean;
  clashing: boolean;
  left: number;
  width: number;
  label: string;
  msPerPx(): number;
  onMove(startMs: number): void;
  onChoose(): void;
  onRemove(): void;
}

/** The work of a shift as a ribbon: as thick as its strain, warm where that is raised. */
export function Work({ shift, parts, x }: { shift: Shift; parts: readonly RibbonPart[]; x(ms: number): number }) {
  const middle = 61;
  const wholeShift = { position: "absolute", left: `${x(shift.startMs)}%`, width: `${x(shift.endMs) - x(shift.startMs)}%` };
  if (parts.length === 0)
    return (
      <Box
        aria-hidden
        sx={{
          ...wholeShift,
          top: middle - 9,
          height: 18,
          bgcolor: "primary.light",
          borderRadius: 1,
        }}
      />
    );
  return (
    <>
      <Box
        aria-hidden
        sx={{
          ...wholeShift,
          top: middle - 1,
          height: 2,
          bgcolor: "line",
        }}
      />
      {ribbonOf(shift, parts).map((piece, i) => {
        const thick = THINNEST + Math.min(1, piece.strain / THICKEST_AT) * (THICKEST - THINNEST);
        return (
          <Box
            className="keeps-colour"
            key={i}
            aria-hidden
            title={t("{{name}}: strain index {{strain}}", { name: piece.name, strain: piece.strain.toFixed(1) })}
            sx={{
              position: "absolute",
              left: `${x(piece.startMs)}%`,
              width: `calc(${x(piece.endMs) - x(piece.startMs)}% - 1px)`,
              top: middle - thick / 2,
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

/** A session pinned on the ribbon: dragged along it, or moved with the arrow keys on the 5-minute grid. */
/** Percent of the row from which a name would run out of it. */
const NEAR_END = 84;

export function Pin({ placed, chosen, clashing, left, width, label, msPerPx, onMove, onChoose, onRemove }: PinProps) {
  const pull = useRef<{ fromX: number; moved: number } | null>(null);
  const [shiftMs, setShiftMs] = useState(0);
  const start = (event: PointerEvent<HTMLDivElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    pull.current = { fromX: event.clientX, moved: 0 };
    onChoose();
  };
  const move = (event: PointerEvent) => {
    if (!pull.current) return;
    const moved = onGrid((event.clientX - pull.current.fromX) * msPerPx());
    pull.current.moved = moved;
    setShiftMs(moved);
  };
  const stop = () => {
    if (pull.current && pull.current.moved !== 0) onMove(onGrid(placed.startMs + pull.current.moved));
    pull.current = null;
    setShiftMs(0);
  };
  const key = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by !== undefined) onMove(placed.startMs + by * GRID_MIN * minute * (event.shiftKey ? 12 : 1));
    else if (event.key === "Delete" || event.key === "Backspace") onRemove();
    else if (event.key === "Enter" || event.key === " ") onChoose();
    else return;
    event.preventDefault();
  };
  const tone = clashing ? "warm.main" : "primary.main";
  return (
    <Box
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={t("{{name}} at {{label}}{{what}}. Arrow keys move it.", {
        name: placed.session.name,
        label,
        what: clashing ? t(", clashes") : "",
      })}
      onPointerDown={start}
      onPointerMove={move}
      onPointerUp={stop}
      onPointerCancel={stop}
      onKeyDown={key}
      sx={{
        position: "absolute",
        left: `${left}%`,
        top: 2,
        height: 66,
        minWidth: 10,
        width: `max(${width}%, 8px)`,
        cursor: "grab",
        touchAction: "none",
        zIndex: chosen ? 3 : 2,
        transform: `translateX(${shiftMs / msPerPx()}px)`,
        transition: "none",
      }}
    >
      <Box
        className="keeps-colour"
        sx={{ position: "absolute", left: 0, bottom: 0, top: 26, width: "100%", bgcolor: tone, borderRadius: "0 2px 2px 2px" }}
      />
      <Box
        sx={{
          position: "absolute",
          // Near the end of the day it hangs to the other side.
          ...(left > NEAR_END ? { right: 0 } : { left: 0 }),
          top: 0,
          px: 0.75,
          height: 27,
          display: "flex",
          alignItems: "center",
          whiteSpace: "nowrap",
          bgcolor: tone,
          color: clashing ? "warm.contrastText" : "primary.contrastText",
          borderRadius: left > NEAR_END ? "5px 5px 0 5px" : "5px 5px 5px 0",
          fontSize: "0.875rem",
          fontWeight: 650,
          outline: chosen ? "3px solid" : "none",
          outlineColor: "var(--mui-palette-text-primary)",
          maxWidth: 172,
          overflow: "hidden",
          // Where there is no room for names, they stand in a list below.
          "@media (max-width: 599.95px)": { maxWidth: 12, fontSize: 0 },
          textOverflow: "ellipsis",
        }}
      >
        {shiftMs !== 0
          ? t("{{what}}{{shiftMs}} min", { what: shiftMs > 0 ? "+" : "−", shiftMs: Math.abs(shiftMs / minute) })
          : `${label} ${placed.session.name}`}
      </Box>
    </Box>
  );
}

/** Spacing between neighbours, in words where there is room; warm where a rule asks for more. */
export function Tethers({ placed, clashes, x }: { placed: Placed[]; clashes: Clash[]; x(ms: number): number }) {
  const inOrder = [...placed].sort((a, b) => a.startMs - b.startMs);
  return inOrder.slice(1).map((later, i) => {
    const earlier = inOrder[i]!;
    const gapMin = Math.round((later.startMs - earlier.endMs) / minute);
    if (gapMin <= 0) return null;
    const warm = clashes.some(
      (clash) => clash.weight === "stop" && clash.placementIds.includes(earlier.id) && clash.placementIds.includes(later.id),
    );
    const left = x(earlier.endMs);
    const width = x(later.startMs) - left;
    return (
      <Box
        key={later.id}
        aria-hidden
        sx={{
          position: "absolute",
          left: `${left}%`,
          width: `${width}%`,
          top: 40,
          borderTop: "2px dashed",
          borderColor: warm ? "warm.main" : "text.secondary",
          textAlign: "right",
          pr: 0.5,
          color: warm ? "warm.dark" : "text.secondary",
          fontSize: "0.8rem",
          lineHeight: 1,
          overflow: "visible",
        }}
      >
        <Box
          component="span"
          sx={{
            position: "relative",
            top: -15,
            bgcolor: "background.default",
            px: 0.25,
            display: width > 9 ? "inline" : "none",
            fontWeight: warm ? 700 : 400,
          }}
        >
          {gapMin >= 60
            ? `${Math.floor(gapMin / 60)} h${gapMin % 60 ? ` ${t("{{gapMin}} min", { gapMin: gapMin % 60 })}` : ""}`
            : t("{{gapMin}} min", { gapMin })}
        </Box>
      </Box>
    );
  });
}
