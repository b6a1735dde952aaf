/** Sessions of one group, or of everybody, along a shift: tabs to drag, the length of each under its name, what lies between them. */
import { Box } from "@mui/material";
import { Lock } from "lucide-react";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import type { Shift } from "@kind-grip/core/calendar";
import { onGrid, type Clash, type Placed } from "@kind-grip/core/dayplan";
import { timeText } from "../base/dates";
import { t } from "../base/words";
import { placedName, placeKeys } from "./place-keys";
import { gapText, stoppedBy } from "./ribbon-shape";

export const LANE_HEIGHT = 38;
const TAB_HEIGHT = 27;
/** Percent of the row from which a name hangs to the other side, so that it does not run out of it. */
const NEAR_END = 84;
const minute = 60_000;

interface LaneProps {
  shift: Shift;
  placed: readonly Placed[];
  clashes: readonly Clash[];
  chosenId: string | null;
  /** What was led stays. */
  isKept(id: string): boolean;
  timeZone: string;
  /** Minutes the whole row shows. */
  widestMin: number;
  /** Percent of the row a moment lies at. */
  x(ms: number): number;
  onMove(id: string, startMs: number): void;
  onChoose(id: string): void;
  onRemove(id: string): void;
}

export function Lane({ shift, placed, clashes, chosenId, isKept, timeZone, widestMin, x, onMove, onChoose, onRemove }: LaneProps) {
  const strip = useRef<HTMLDivElement>(null);
  const inOrder = [...placed].sort((a, b) => a.startMs - b.startMs);
  const rooms = roomsOf(inOrder.map(({ startMs, endMs }) => ({ left: x(startMs), right: x(endMs) })));
  const isStopped = stoppedBy(clashes);
  return (
    <Box ref={strip} sx={{ position: "relative", height: LANE_HEIGHT }}>
      {[...shift.breaks, ...shift.away].map(({ startMs, endMs }) => (
        <Box
          key={startMs}
          aria-hidden
          sx={{
            position: "absolute",
            left: `${x(startMs)}%`,
            width: `${x(endMs) - x(startMs)}%`,
            insetBlock: 0,
            borderInline: "1px solid",
            borderColor: "line",
          }}
        />
      ))}
      <Tethers placed={inOrder} isStopped={isStopped} x={x} />
      {inOrder.map((each, i) => {
        const left = x(each.startMs);
        return (
          <Tab
            key={each.id}
            placed={each}
            chosen={each.id === chosenId}
            clashing={isStopped(each.id)}
            kept={isKept(each.id)}
            left={left}
            room={rooms[i]!}
            width={x(each.endMs) - left}
            label={timeText(each.startMs, timeZone)}
            msPerPx={() => (widestMin * minute) / (strip.current?.clientWidth ?? 1)}
            onMove={(startMs) => onMove(each.id, startMs)}
            onChoose={() => onChoose(each.id)}
            onRemove={() => onRemove(each.id)}
          />
        );
      })}
    </Box>
  );
}

/** Percent of the row each name may take: up to the next session, or where that one's name hangs back over the gap, half of it. */
function roomsOf(spans: readonly { left: number; right: number }[]): number[] {
  const hangs = spans.map(({ left }) => left > NEAR_END);
  const hanging = spans.map(({ right }, i) => (i === 0 ? right : (right - spans[i - 1]!.left) / 2));
  return spans.map(({ left }, i) => {
    if (hangs[i]) return hanging[i]!;
    const next = spans[i + 1];
    return (next ? (hangs[i + 1] ? next.right - hanging[i + 1]! : next.left) : 100) - left;
  });
}

interface TabProps {
  placed: Placed;
  chosen: boolean;
  clashing: boolean;
  kept: boolean;
  left: number;
  /** Percent of the row its name may take. */
  room: number;
  /** Percent of the row it lasts. */
  width: number;
  label: string;
  msPerPx(): number;
  onMove(startMs: number): void;
  onChoose(): void;
  onRemove(): void;
}

/** A session on the ribbon: dragged along it, or moved with the arrow keys on the 5-minute grid. */
function Tab({ placed, chosen, clashing, kept, left, room, width, label, msPerPx, onMove, onChoose, onRemove }: TabProps) {
  const pull = useRef<{ fromX: number; moved: number } | null>(null);
  const [shiftMs, setShiftMs] = useState(0);
  const tab = useRef<HTMLDivElement>(null);
  // A series that changes from here on goes on under another id: whoever moved it by keys goes on there.
  useEffect(() => {
    if (chosen && document.activeElement === document.body) tab.current?.focus({ preventScroll: true });
  }, [chosen]);
  const start = (event: PointerEvent<HTMLDivElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    if (!kept) pull.current = { fromX: event.clientX, moved: 0 };
    onChoose();
  };
  const move = (event: PointerEvent) => {
    if (!pull.current) return;
    pull.current.moved = onGrid((event.clientX - pull.current.fromX) * msPerPx());
    setShiftMs(pull.current.moved);
  };
  const stop = () => {
    if (pull.current && pull.current.moved !== 0) onMove(onGrid(placed.startMs + pull.current.moved));
    pull.current = null;
    setShiftMs(0);
  };
  const tone = clashing ? "warm.main" : "primary.main";
  const hangsLeft = left > NEAR_END;
  return (
    <Box
      sx={{
        position: "absolute",
        ...(hangsLeft ? { right: `${100 - left - width}%` } : { left: `${left}%` }),
        width: `max(${room}%, ${width}%, 14px)`,
        insetBlock: 0,
        zIndex: chosen ? 3 : 2,
        display: "flex",
        justifyContent: hangsLeft ? "end" : "start",
        // Names end where the next session begins: what is over that must not catch its presses.
        pointerEvents: "none",
        transform: `translateX(${shiftMs / msPerPx()}px)`,
      }}
    >
      <Box
        ref={tab}
        title={`${label} ${placed.session.name}`}
        role="button"
        tabIndex={0}
        aria-pressed={chosen}
        aria-label={placedName(placed.session.name, label, { kept, clashing })}
        onPointerDown={start}
        onPointerMove={move}
        onPointerUp={stop}
        onPointerCancel={stop}
        onKeyDown={placeKeys(placed, { kept, onMove, onChoose, onRemove })}
        sx={{
          pointerEvents: "auto",
          cursor: kept ? "pointer" : "grab",
          touchAction: "none",
          height: TAB_HEIGHT,
          maxWidth: "calc(100% - 3px)",
          minWidth: 12,
          px: 0.75,
          display: "flex",
          alignItems: "center",
          gap: 0.5,
          bgcolor: tone,
          color: clashing ? "warm.contrastText" : "primary.contrastText",
          borderRadius: hangsLeft ? "5px 5px 0 5px" : "5px 5px 5px 0",
          fontSize: "0.875rem",
          fontWeight: 650,
          outline: chosen ? "3px solid" : "none",
          outlineColor: "var(--mui-palette-text-primary)",
        }}
      >
        {kept && <Lock size={14} aria-hidden style={{ flex: "none" }} />}
        <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
          {shiftMs !== 0
            ? t("{{what}}{{shiftMs}} min", { what: shiftMs > 0 ? "+" : "−", shiftMs: Math.abs(shiftMs / minute) })
            : `${label} ${placed.session.name}`}
        </Box>
      </Box>
      <Box
        className="keeps-colour"
        aria-hidden
        sx={{
          position: "absolute",
          ...(hangsLeft ? { right: 0 } : { left: 0 }),
          top: TAB_HEIGHT,
          height: 7,
          // As long as the session, whatever room its name takes.
          width: `max(${(width / Math.max(room, width)) * 100}%, 6px)`,
          bgcolor: tone,
          borderRadius: "0 0 2px 2px",
        }}
      />
    </Box>
  );
}

/** Percent of the row that a name and the words after it take where the row is narrowest with names in it. */
function roomFor({ session }: Placed): number {
  return 18 + 1.4 * session.name.length;
}

interface TethersProps {
  /** In order. */
  placed: readonly Placed[];
  isStopped(...ids: string[]): boolean;
  x(ms: number): number;
}

/** Spacing between neighbours, in words where there is room; warm where a rule asks for more. */
function Tethers({ placed, isStopped, x }: TethersProps) {
  return placed.slice(1).map((later, i) => {
    const earlier = placed[i]!;
    const gapMin = Math.round((later.startMs - earlier.endMs) / minute);
    if (gapMin <= 0) return null;
    const warm = isStopped(earlier.id, later.id);
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
          top: TAB_HEIGHT + 3,
          borderTop: "2px dashed",
          borderColor: warm ? "warm.main" : "text.secondary",
          textAlign: "right",
          pr: 0.5,
          color: warm ? "warm.dark" : "text.secondary",
          fontSize: "0.8rem",
          lineHeight: 1,
        }}
      >
        <Box
          component="span"
          sx={{
            position: "relative",
            top: -19,
            px: 0.25,
            display: width > roomFor(earlier) ? "inline" : "none",
            fontWeight: warm ? 700 : 400,
          }}
        >
          {gapText(gapMin)}
        </Box>
      </Box>
    );
  });
}
