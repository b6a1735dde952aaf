/** A day on a narrow page: its ribbon turned upright, hours beside it, tasks and sessions by name at their times. */
import { Box, ButtonBase } from "@mui/material";
import { Lock } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Shift } from "@kind-grip/core/calendar";
import { ribbonOf, type Clash, type LaidPlacement, type Placed, type RibbonPart } from "@kind-grip/core/dayplan";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { timeText } from "../base/dates";
import { fixedText } from "../base/measures";
import { hoursText } from "../base/hours";
import { t } from "../base/words";
import { placedName, placeKeys } from "./place-keys";
import { hoursIn, namedRuns, stoppedBy, thicknessOf, THICKEST } from "./ribbon-shape";
import { CARD_HEIGHT, roomForLine, uprightOf } from "./upright";

const HOURS_WIDTH = 26;
const MIDDLE = HOURS_WIDTH + 8 + THICKEST / 2;
const BESIDE = MIDDLE + THICKEST / 2 + 10;

interface UprightDayProps {
  shift: Shift;
  parts: readonly RibbonPart[];
  placed: readonly Placed[];
  laidById: ReadonlyMap<string, LaidPlacement>;
  clashes: readonly Clash[];
  chosenId: string | null;
  timeZone: string;
  /** Undefined on another day. */
  now: number | undefined;
  onMove(id: string, startMs: number): void;
  onChoose(id: string): void;
  onRemove(id: string): void;
}

export function UprightDay(props: UprightDayProps) {
  const { shift, parts, placed, laidById, clashes, chosenId, timeZone, now, onMove, onChoose, onRemove } = props;
  const upright = uprightOf(shift, placed);
  const { y, cards, height } = upright;
  const pieces = ribbonOf(shift, parts);
  const isStopped = stoppedBy(clashes);
  const along = ({ startMs, endMs }: { startMs: number; endMs: number }, thick: number) => ({
    position: "absolute",
    top: y(startMs),
    height: Math.max(2, y(endMs) - y(startMs) - 1),
    left: MIDDLE - thick / 2,
    width: thick,
  });
  return (
    <Box sx={{ position: "relative", height: height + 8, mt: 1.5, mb: 1 }}>
      {hoursIn(shift, timeZone).map(({ ms, label }) => (
        <Box
          key={ms}
          aria-hidden
          sx={{
            position: "absolute",
            top: y(ms),
            left: 0,
            width: HOURS_WIDTH,
            transform: "translateY(-50%)",
            fontSize: "0.8rem",
            color: "text.secondary",
            textAlign: "right",
            pr: 1,
            "&::after": { content: '""', position: "absolute", right: -2, top: "50%", width: 6, height: 2, bgcolor: "text.secondary" },
          }}
        >
          {label}
        </Box>
      ))}
      <Box aria-hidden sx={{ ...along(shift, pieces.length > 0 ? 2 : 16), bgcolor: pieces.length > 0 ? "line" : "primary.light" }} />
      {pieces.map((piece) => (
        <Box
          className="keeps-colour"
          key={piece.startMs}
          aria-hidden
          title={t("{{name}}: strain index {{strain}}", { name: piece.name, strain: fixedText(piece.strain, 1) })}
          sx={{
            ...along(piece, thicknessOf(piece.strain)),
            bgcolor: piece.strain > RAISED_STRAIN ? "warm.light" : "primary.light",
            borderRadius: 0.5,
          }}
        />
      ))}
      {shift.away.map((away) => (
        <Words key={away.startMs} top={roomForLine(upright, away) ?? y(away.startMs)}>
          {t("away")}
        </Words>
      ))}
      {[...shift.breaks, ...shift.away].map((pause) => (
        <Box
          key={pause.startMs}
          aria-hidden
          title={t("Break {{time}}–{{time2}}", { time: timeText(pause.startMs, timeZone), time2: timeText(pause.endMs, timeZone) })}
          sx={{
            ...along(pause, THICKEST),
            height: Math.max(5, y(pause.endMs) - y(pause.startMs)),
            bgcolor: "background.default",
            borderBlock: "2px solid",
            borderColor: "primary.main",
          }}
        />
      ))}
      {namedRuns(pieces).map((run) => {
        const top = roomForLine(upright, run);
        return (
          top !== undefined && (
            <Words key={run.startMs} top={top}>
              {run.name}
            </Words>
          )
        );
      })}
      {cards.map(({ placed: each, top }, i) => {
        const clashing = isStopped(each.id);
        const before = cards[i - 1];
        return (
          <Box key={each.id}>
            {before && <Gap from={before} to={{ placed: each, top }} warm={isStopped(before.placed.id, each.id)} />}
            <Box
              className="keeps-colour"
              aria-hidden
              sx={{
                ...along(each, THICKEST + 8),
                height: Math.max(4, y(each.endMs) - y(each.startMs)),
                bgcolor: clashing ? "warm.main" : "primary.main",
                borderRadius: 0.5,
              }}
            />
            <Card
              placed={each}
              group={laidById.get(each.id)?.groupName ?? null}
              top={top}
              label={timeText(each.startMs, timeZone)}
              chosen={each.id === chosenId}
              clashing={clashing}
              kept={laidById.get(each.id)?.kept ?? false}
              onMove={(startMs) => onMove(each.id, startMs)}
              onChoose={() => onChoose(each.id)}
              onRemove={() => onRemove(each.id)}
            />
          </Box>
        );
      })}
      {now !== undefined && (
        <Box
          className="keeps-colour"
          aria-hidden
          sx={{ position: "absolute", left: HOURS_WIDTH, width: BESIDE - HOURS_WIDTH - 4, top: y(now), height: 2, bgcolor: "text.primary" }}
        />
      )}
    </Box>
  );
}

function Words({ top, children }: { top: number; children: string }) {
  return (
    <Box
      sx={{
        position: "absolute",
        top,
        left: BESIDE,
        maxWidth: `calc(100% - ${BESIDE + 96}px)`,
        fontSize: "0.875rem",
        lineHeight: "18px",
        color: "text.secondary",
        overflow: "hidden",
        textOverflow: "ellipsis",
        whiteSpace: "nowrap",
      }}
    >
      {children}
    </Box>
  );
}

interface GapEnd {
  placed: Placed;
  top: number;
}

/** What lies between two sessions, in words where there is room; warm where a rule asks for more. */
function Gap({ from, to, warm }: { from: GapEnd; to: GapEnd; warm: boolean }) {
  const gapMin = Math.round((to.placed.startMs - from.placed.endMs) / 60_000);
  const room = to.top - from.top - CARD_HEIGHT;
  if (gapMin <= 0 || room < 20) return null;
  return (
    <Box
      aria-hidden
      sx={{
        position: "absolute",
        right: 10,
        top: from.top + CARD_HEIGHT,
        height: room,
        display: "flex",
        alignItems: "center",
        pr: 1,
        borderRight: "2px dashed",
        borderColor: warm ? "warm.main" : "text.secondary",
        color: warm ? "warm.dark" : "text.secondary",
        fontSize: "0.8rem",
        fontWeight: warm ? 700 : 400,
      }}
    >
      {hoursText(gapMin)}
    </Box>
  );
}

interface CardProps {
  placed: Placed;
  group: string | null;
  top: number;
  label: string;
  chosen: boolean;
  clashing: boolean;
  kept: boolean;
  onMove(startMs: number): void;
  onChoose(): void;
  onRemove(): void;
}

function Card({ placed, group, top, label, chosen, clashing, kept, onMove, onChoose, onRemove }: CardProps) {
  const card = useRef<HTMLButtonElement>(null);
  // A series that changes from here on goes on under another id: whoever moved it by keys goes on there.
  useEffect(() => {
    if (chosen && document.activeElement === document.body) card.current?.focus({ preventScroll: true });
  }, [chosen]);
  return (
    <ButtonBase
      ref={card}
      aria-pressed={chosen}
      aria-label={placedName([placed.session.name, group].filter(Boolean).join(", "), label, { kept, clashing })}
      onClick={onChoose}
      onKeyDown={placeKeys(placed, { kept, onMove, onChoose, onRemove })}
      sx={{
        position: "absolute",
        top,
        left: BESIDE,
        right: 0,
        height: CARD_HEIGHT,
        justifyContent: "start",
        gap: 1,
        px: 1.25,
        borderRadius: 1.5,
        bgcolor: clashing ? "warm.main" : "primary.main",
        color: clashing ? "warm.contrastText" : "primary.contrastText",
        fontSize: "1rem",
        fontWeight: 650,
        outline: chosen ? "3px solid" : "none",
        outlineOffset: 1,
        outlineColor: "var(--mui-palette-text-primary)",
      }}
    >
      <span>{label}</span>
      <Box component="span" sx={{ minWidth: 0, overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>
        {placed.session.name}
      </Box>
      {group !== null && (
        <Box component="span" sx={{ fontWeight: 400, whiteSpace: "nowrap" }}>
          {group}
        </Box>
      )}
      {kept && <Lock size={16} aria-hidden style={{ flex: "none", marginInlineStart: "auto" }} />}
    </ButtonBase>
  );
}
