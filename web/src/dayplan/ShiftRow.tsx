/** One day on the shift ribbon: breaks as gaps, sessions as pinned tabs, spacing as a tether between tabs. */
import { Box, Button, IconButton, Menu, MenuItem, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { DateTime } from "luxon";
import { useRef, useState } from "react";
import { type Shift } from "@kind-grip/core/calendar";
import { type Clash, type Placed, type RibbonPart } from "@kind-grip/core/dayplan";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { dateText, timeText } from "../base/dates";
import { useWords } from "../base/library";
import type { PlaceableSession } from "./placed";
import { Work, Pin, Tethers } from "./ShiftMarks";

interface ShiftRowProps {
  date: string;
  shift: Shift | undefined;
  /** What the hands do along the shift; the ribbon has one thickness while nobody has described it. */
  parts: readonly RibbonPart[];
  placed: Placed[];
  sessions: PlaceableSession[];
  clashes: Clash[];
  chosenId: string | null;
  timeZone: string;
  /** Minutes the whole row shows, the same for every day so that lengths compare. */
  widestMin: number;
  now: number;
  onPlace(session: PlaceableSession, date: string): void;
  onMove(id: string, startMs: number): void;
  onChoose(id: string): void;
  onRemove(...ids: string[]): void;
}

const BEFORE_MIN = 75;
const minute = 60_000;

export function ShiftRow({
  date,
  shift,
  parts,
  placed,
  sessions,
  clashes,
  chosenId,
  timeZone,
  widestMin,
  now,
  onPlace,
  onMove,
  onChoose,
  onRemove,
}: ShiftRowProps) {
  const words = useWords();
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const strip = useRef<HTMLDivElement>(null);
  const day = DateTime.fromISO(date, { zone: timeZone });
  const fromMs = shift ? shift.startMs - BEFORE_MIN * minute : 0;
  const x = (ms: number) => ((ms - fromMs) / minute / widestMin) * 100;
  const isToday = shift !== undefined && now >= fromMs && now < shift.endMs + BEFORE_MIN * minute;

  return (
    <Box
      component="section"
      aria-label={dateText(day, "cccc d LLLL")}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr) 44px", sm: "104px minmax(0, 1fr) 44px" },
        columnGap: 1.5,
        borderTop: "2px solid",
        borderColor: "line",
        alignItems: "center",
        minHeight: shift ? 104 : 40,
      }}
    >
      <Box>
        <Typography sx={{ fontWeight: 700, lineHeight: 1.2, color: shift ? "text.primary" : "text.secondary" }}>
          {dateText(day, "ccc d")}
        </Typography>
        {shift ? (
          <Typography sx={{ fontSize: "0.9rem", color: "text.secondary", lineHeight: 1.25 }}>
            {shift.kind.name}
            <br />
            {timeText(shift.startMs, timeZone)}–{timeText(shift.endMs, timeZone)}
            {shift.clockChangeMin !== 0 && (
              <Box component="span" sx={{ display: "block", color: "warm.dark", fontWeight: 650 }}>
                {t("clock change, {{what}}{{clockChangeMin}} min", {
                  what: shift.clockChangeMin > 0 ? "+" : "−",
                  clockChangeMin: Math.abs(shift.clockChangeMin),
                })}
              </Box>
            )}
          </Typography>
        ) : (
          <Typography sx={{ fontSize: "0.9rem", color: "text.secondary" }}>{t("off")}</Typography>
        )}
      </Box>
      {!shift && placed.length > 0 && (
        <Stranded placed={placed} timeZone={timeZone} chosenId={chosenId} onChoose={onChoose} onRemove={onRemove} />
      )}
      <Box
        ref={strip}
        sx={{
          position: "relative",
          height: shift ? 96 : 0,
          gridColumn: { xs: "1 / -1", sm: "auto" },
          order: { xs: 1, sm: 0 },
          overflowX: { xs: "clip", md: "visible" },
        }}
      >
        {shift && (
          <>
            <Work shift={shift} parts={parts} x={x} />
            {shift.away.map((gap) => (
              <Box
                key={gap.startMs}
                sx={{
                  position: "absolute",
                  left: `${x(gap.startMs)}%`,
                  width: `${x(gap.endMs) - x(gap.startMs)}%`,
                  top: 44,
                  height: 26,
                  bgcolor: "background.default",
                  display: "grid",
                  placeItems: "center",
                  fontSize: "0.85rem",
                  color: "text.secondary",
                }}
              >
                {t("away")}
              </Box>
            ))}
            {shift.breaks.map((pause) => (
              <Box
                key={pause.startMs}
                aria-hidden
                title={t("Break {{time}}–{{time2}}", { time: timeText(pause.startMs, timeZone), time2: timeText(pause.endMs, timeZone) })}
                sx={{
                  position: "absolute",
                  left: `${x(pause.startMs)}%`,
                  width: `${x(pause.endMs) - x(pause.startMs)}%`,
                  top: 50,
                  height: 22,
                  bgcolor: "background.default",
                  borderInline: "2px solid",
                  borderColor: "primary.main",
                }}
              />
            ))}
            {hours(shift, timeZone).map(({ ms, label }) => (
              <Box
                key={ms}
                aria-hidden
                sx={{
                  position: "absolute",
                  left: `${x(ms)}%`,
                  top: 70,
                  transform: "translateX(-50%)",
                  fontSize: "0.8rem",
                  color: "text.secondary",
                  textAlign: "center",
                  "&::before": { content: '""', display: "block", width: 2, height: 5, bgcolor: "text.secondary", mx: "auto" },
                }}
              >
                {label}
              </Box>
            ))}
            <Tethers placed={placed} clashes={clashes} x={x} />
            {placed.map((each) => (
              <Pin
                key={each.id}
                placed={each}
                chosen={each.id === chosenId}
                clashing={clashes.some((clash) => clash.weight === "stop" && clash.placementIds.includes(each.id))}
                left={x(each.startMs)}
                width={x(each.endMs) - x(each.startMs)}
                label={timeText(each.startMs, timeZone)}
                msPerPx={() => (widestMin * minute) / (strip.current?.clientWidth ?? 1)}
                onMove={(startMs) => onMove(each.id, startMs)}
                onChoose={() => onChoose(each.id)}
                onRemove={() => onRemove(each.id)}
              />
            ))}
            {isToday && (
              <Box
                className="keeps-colour"
                aria-hidden
                sx={{ position: "absolute", left: `${x(now)}%`, top: 40, height: 38, width: 2, bgcolor: "text.primary" }}
              />
            )}
          </>
        )}
      </Box>
      {shift && placed.length > 0 && (
        <Box
          component="ul"
          sx={{ listStyle: "none", m: 0, p: 0, pb: 1, gridColumn: "1 / -1", order: 2, display: { xs: "grid", sm: "none" }, gap: 0.5 }}
        >
          {[...placed]
            .sort((a, b) => a.startMs - b.startMs)
            .map((each) => (
              <li key={each.id}>
                <Button
                  fullWidth
                  variant="outlined"
                  aria-pressed={each.id === chosenId}
                  onClick={() => onChoose(each.id)}
                  sx={{ justifyContent: "start", ...(each.id === chosenId && { bgcolor: "primary.light" }) }}
                >
                  <Box component="strong" sx={{ minWidth: 72, textAlign: "start" }}>
                    {timeText(each.startMs, timeZone)}
                  </Box>
                  {each.session.name}
                </Button>
              </li>
            ))}
        </Box>
      )}
      {shift && (
        <>
          <IconButton
            aria-label={t("Place a session on {{date}}", { date: dateText(day, "cccc") })}
            aria-haspopup="menu"
            onClick={(event) => setMenuAt(event.currentTarget)}
          >
            <Plus size={22} />
          </IconButton>
          <Menu anchorEl={menuAt} open={menuAt !== null} onClose={() => setMenuAt(null)}>
            {sessions.map((session) => (
              <MenuItem
                key={`${session.programId} ${session.session.id}`}
                onClick={() => {
                  setMenuAt(null);
                  onPlace(session, date);
                }}
              >
                <Box>
                  {session.session.name}
                  <Box sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
                    {words.label("slot", session.session.slot)} · {durationText(session.lengthSec)} · {session.programName}
                  </Box>
                </Box>
              </MenuItem>
            ))}
          </Menu>
        </>
      )}
    </Box>
  );
}

/** Full hours of the wall clock inside a shift, every second one on long shifts. */
function hours(shift: Shift, timeZone: string): { ms: number; label: string }[] {
  const list: { ms: number; label: string }[] = [];
  let time = DateTime.fromMillis(shift.startMs, { zone: timeZone }).startOf("hour");
  if (time.toMillis() < shift.startMs) time = time.plus({ hours: 1 });
  for (; time.toMillis() <= shift.endMs; time = time.plus({ hours: 1 })) list.push({ ms: time.toMillis(), label: dateText(time, "H") });
  return list;
}

/** Sessions on a day that has no shift: nobody will come, and they would still be reminded. */
function Stranded({
  placed,
  timeZone,
  chosenId,
  onChoose,
  onRemove,
}: Pick<ShiftRowProps, "placed" | "timeZone" | "chosenId" | "onChoose" | "onRemove">) {
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", py: 1, color: "warm.dark" }}>
      {placed.map((each) => (
        <Button key={each.id} variant="outlined" aria-pressed={each.id === chosenId} onClick={() => onChoose(each.id)}>
          {timeText(each.startMs, timeZone)} {each.session.name}
        </Button>
      ))}
      <Typography sx={{ fontWeight: 650 }}>{t("without a shift")}</Typography>
      <Button onClick={() => onRemove(...placed.map(({ id }) => id))}>
        {t("Remove all {{count}}", { count: placed.length, defaultValue_one: "Remove it" })}
      </Button>
    </Box>
  );
}
