/** Sessions of one group, or of everybody, along a shift: tabs to drag, the length of each under its name, what lies between them. */
import { Box } from "@mui/material";
import { Lock } from "lucide-react";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import type { Shift } from "@kind-grip/core/calendar";
import { onGrid, type Clash, type Placed } from "@kind-grip/core/dayplan";
import { timeText } from "../base/dates";
import { hoursText } from "../base/hours";
import { t } from "../base/words";
import { placedName, placeKeys } from "./place-keys";
import { stoppedBy } from "./ribbon-shape";
import { nameWidth, tabPlaces, type TabPlace } from "./tab-places";
import { useWidth } from "../parts/use-measured";

const TAB_HEIGHT = 27;
/** The line on which sessions are as long as they last, under their names or over them. */
const FOOT_HEIGHT = 7;
const LANE_HEIGHT = TAB_HEIGHT + FOOT_HEIGHT + 4;
/** Of a row that has no size yet. */
const USUAL_WIDTH = 600;
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
  const width = useWidth(strip) || USUAL_WIDTH;
  const px = (ms: number) => (x(ms) / 100) * width;
  const named = inOrder.map((each) => ({ each, kept: isKept(each.id), time: timeText(each.startMs, timeZone) }));
  const places = tabPlaces(
    named.map(({ each, kept, time }) => ({
      left: px(each.startMs),
      right: px(each.endMs),
      need: nameWidth(`${time} ${each.session.name}`, kept),
    })),
    width,
  );
  const isStopped = stoppedBy(clashes);
  return (
    <Box ref={strip} sx={{ position: "relative", height: LANE_HEIGHT + (places.some(({ below }) => below) ? TAB_HEIGHT : 0) }}>
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
      <Tethers placed={inOrder} places={places} isStopped={isStopped} px={px} />
      {named.map(({ each, kept, time }, i) => (
        <Tab
          key={each.id}
          placed={each}
          chosen={each.id === chosenId}
          clashing={isStopped(each.id)}
          kept={kept}
          left={px(each.startMs)}
          right={px(each.endMs)}
          place={places[i]!}
          label={time}
          msPerPx={() => (widestMin * minute) / (strip.current?.clientWidth ?? 1)}
          onMove={(startMs) => onMove(each.id, startMs)}
          onChoose={() => onChoose(each.id)}
          onRemove={() => onRemove(each.id)}
        />
      ))}
    </Box>
  );
}

interface TabProps {
  placed: Placed;
  chosen: boolean;
  clashing: boolean;
  kept: boolean;
  /** Pixels of the row where it begins and ends. */
  left: number;
  right: number;
  /** Where its name stands. */
  place: TabPlace;
  label: string;
  msPerPx(): number;
  onMove(startMs: number): void;
  onChoose(): void;
  onRemove(): void;
}

/** A session on the ribbon: dragged along it, or moved with the arrow keys on the 5-minute grid. */
function Tab({ placed, chosen, clashing, kept, left, right, place, label, msPerPx, onMove, onChoose, onRemove }: TabProps) {
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
  const { below, hangsLeft } = place;
  const from = Math.min(left, place.from);
  return (
    <Box
      sx={{
        position: "absolute",
        left: from,
        width: Math.max(right, place.until, left + 14) - from,
        insetBlock: 0,
        zIndex: chosen ? 3 : 2,
        // Names end where the next one begins: what is over that must not catch its presses.
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
          position: "absolute",
          top: below ? TAB_HEIGHT + FOOT_HEIGHT : 0,
          left: place.from - from,
          maxWidth: place.until - place.from,
          ...(hangsLeft && { left: "auto", right: 0 }),
          pointerEvents: "auto",
          cursor: kept ? "pointer" : "grab",
          touchAction: "none",
          height: TAB_HEIGHT,
          minWidth: 12,
          px: 0.75,
          display: "flex",
          alignItems: "center",
          gap: 0.5,
          bgcolor: tone,
          color: clashing ? "warm.contrastText" : "primary.contrastText",
          // Square where it stands on its foot, or hangs from it.
          borderRadius: `${below && !hangsLeft ? 0 : 5}px ${below && hangsLeft ? 0 : 5}px ${!below && hangsLeft ? 0 : 5}px ${!below && !hangsLeft ? 0 : 5}px`,
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
          left: left - from,
          top: TAB_HEIGHT,
          height: FOOT_HEIGHT,
          // As long as the session, whatever room its name takes.
          width: Math.max(right - left, 6),
          bgcolor: tone,
          borderRadius: below ? "2px 2px 0 0" : "0 0 2px 2px",
        }}
      />
    </Box>
  );
}

/** Pixels that the words of a gap take. */
const GAP_TEXT = 66;

interface TethersProps {
  /** In order. */
  placed: readonly Placed[];
  places: readonly TabPlace[];
  isStopped(...ids: string[]): boolean;
  /** Pixels of the row a moment lies at. */
  px(ms: number): number;
}

/** Spacing between neighbours, in words where there is room; warm where a rule asks for more. */
function Tethers({ placed, places, isStopped, px }: TethersProps) {
  return placed.slice(1).map((later, i) => {
    const earlier = placed[i]!;
    const gapMin = Math.round((later.startMs - earlier.endMs) / minute);
    if (gapMin <= 0) return null;
    const warm = isStopped(earlier.id, later.id);
    const [left, right] = [px(earlier.endMs), px(later.startMs)];
    // The words stand over the line, where no name above it is.
    const above = places.filter(({ below, from, until }) => !below && from < right && until > left);
    const free = Math.max(left, ...above.filter(({ from }) => from < right - GAP_TEXT).map(({ until }) => until));
    const until = Math.min(right, ...above.filter(({ from }) => from >= free).map(({ from }) => from));
    return (
      <Box
        key={later.id}
        aria-hidden
        sx={{
          position: "absolute",
          left,
          width: right - left,
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
        {until - free >= GAP_TEXT && (
          <Box component="span" sx={{ position: "relative", top: -19, right: right - until, px: 0.25, fontWeight: warm ? 700 : 400 }}>
            {hoursText(gapMin)}
          </Box>
        )}
      </Box>
    );
  });
}
