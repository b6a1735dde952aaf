/** One person's day of bookings: treatments as blocks as thick as their hand work is hard, gaps as gaps, what is laid in them as tabs. */
import { Box, ButtonBase, Typography, useMediaQuery } from "@mui/material";
import { Check, TriangleAlert } from "lucide-react";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { BookingEntry, BookingSession } from "@kind-grip/core/api";
import { endOf, type BookedStrain } from "@kind-grip/core/booking";
import type { Span } from "@kind-grip/core/calendar";
import { timeText } from "../base/dates";
import { t } from "../base/words";
import { LAID_NAMES } from "./booking-text";
import { LAID_ICONS } from "./laid-icons";

const minute = 60_000;
/** Bookings are moved in steps of so many minutes; typed, by one. */
const STEP_MIN = 5;
const THINNEST = 14;
const THICKEST = 50;
/** Strain index, over the whole treatment, a block is thickest at. */
const THICKEST_AT = 14;
/** Foot of the blocks from the top, px; tabs stand above the tallest. */
const FOOT = 82;
const TAB = 22;
/** What is pressed is never lower, px. */
const LEAST_PRESSED = 24;
/** Percent of the row a block needs for its name. */
const LEAST_NAMED = 3.4;

interface BookingRowProps {
  name: string;
  bookings: readonly BookingEntry[];
  sessions: readonly BookingSession[];
  /** By booking. */
  strain: ReadonlyMap<string, BookedStrain>;
  titleOf(booking: BookingEntry): string;
  isDeep(booking: BookingEntry): boolean;
  missed: readonly string[];
  light: boolean;
  axis: Span;
  timeZone: string;
  chosenId: string | null;
  onChoose(id: string): void;
  onMove(booking: BookingEntry, startMs: number): void;
  onCancel(booking: BookingEntry): void;
  onAdd(): void;
}

export function BookingRow(props: BookingRowProps) {
  const { name, bookings, sessions, missed, light, axis, timeZone, onAdd } = props;
  const strip = useRef<HTMLDivElement>(null);
  const x = (ms: number) => ((ms - axis.startMs) / (axis.endMs - axis.startMs)) * 100;
  const msPerPx = () => (axis.endMs - axis.startMs) / (strip.current?.clientWidth || 1);
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ borderTop: "1px solid", borderColor: "line", pt: 0.75, pb: 1, "@media print": { breakInside: "avoid" } }}
    >
      <Box sx={{ display: "flex", alignItems: "center", columnGap: 1.5, flexWrap: "wrap" }}>
        <Typography sx={{ fontWeight: 700 }}>{name}</Typography>
        {light && <Typography sx={{ color: "primary.main", fontWeight: 650 }}>{t("light day")}</Typography>}
        {missed.map((text) => (
          <Typography key={text} sx={{ color: "warm.dark", fontWeight: 650, display: "flex", gap: 0.5, alignItems: "center" }}>
            <TriangleAlert size={16} aria-hidden /> {text}
          </Typography>
        ))}
      </Box>
      {bookings.length === 0 ? (
        <ButtonBase onClick={onAdd} sx={{ color: "text.secondary", minHeight: 44, px: 0.5, borderRadius: 1, fontSize: "1rem" }}>
          {t("Nothing booked. Add a booking")}
        </ButtonBase>
      ) : (
        <Box ref={strip} sx={{ position: "relative", height: FOOT + 4 }}>
          <Box aria-hidden sx={{ position: "absolute", insetInline: 0, top: FOOT, height: 2, bgcolor: "line" }} />
          {sessions.map((session) => (
            <Tab key={session.id} session={session} left={x(Date.parse(session.startsAt))} timeZone={timeZone} />
          ))}
          {bookings.map((booking) => (
            <Block
              key={booking.id}
              {...props}
              booking={booking}
              left={x(Date.parse(booking.startsAt))}
              width={x(endOf(booking)) - x(Date.parse(booking.startsAt))}
              msPerPx={msPerPx}
            />
          ))}
        </Box>
      )}
      <DayList {...props} />
    </Box>
  );
}

function Tab({ session, left, timeZone }: { session: BookingSession; left: number; timeZone: string }) {
  const Icon = session.done ? Check : LAID_ICONS[session.kind];
  const time = timeText(Date.parse(session.startsAt), timeZone);
  return (
    <Box
      role="img"
      aria-label={t("{{what}} at {{time}}, {{min}} min", { what: LAID_NAMES[session.kind], time, min: session.lengthMin })}
      title={`${time} ${LAID_NAMES[session.kind]}`}
      sx={{ position: "absolute", left: `${left}%`, top: 0, height: FOOT, width: 2, bgcolor: "primary.main", zIndex: 2 }}
    >
      <Box
        className="keeps-colour"
        sx={{
          position: "absolute",
          top: 0,
          left: -TAB / 2 + 1,
          width: TAB,
          height: TAB,
          borderRadius: "6px 6px 6px 6px",
          display: "grid",
          placeItems: "center",
          bgcolor: session.done ? "primary.light" : "primary.main",
          color: session.done ? "primary.dark" : "primary.contrastText",
          "@media (max-width: 599.95px)": { width: 10, left: -4, "& svg": { display: "none" } },
        }}
      >
        <Icon size={15} strokeWidth={2.4} aria-hidden />
      </Box>
    </Box>
  );
}

interface BlockProps extends BookingRowProps {
  booking: BookingEntry;
  left: number;
  width: number;
  msPerPx(): number;
}

/** A treatment: dragged along the day, or moved with the arrow keys in steps of five minutes. */
function Block({ booking, left, width, msPerPx, strain, titleOf, isDeep, timeZone, chosenId, onChoose, onMove, onCancel }: BlockProps) {
  // Too narrow for fingers: the lines below are pressed instead.
  const narrow = useMediaQuery("(max-width: 899.95px)");
  const pull = useRef<{ fromX: number; byMs: number } | null>(null);
  const [byMs, setByMs] = useState(0);
  const startMs = Date.parse(booking.startsAt);
  const index = strain.get(booking.id)?.mean ?? 0;
  const title = titleOf(booking);
  const times = `${timeText(startMs, timeZone)}–${timeText(endOf(booking), timeZone)}`;
  const key = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by !== undefined) onMove(booking, startMs + by * STEP_MIN * minute);
    else if (event.key === "Delete" || event.key === "Backspace") onCancel(booking);
    else if (event.key === "Enter" || event.key === " ") onChoose(booking.id);
    else return;
    event.preventDefault();
  };
  const grab = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    pull.current = { fromX: event.clientX, byMs: 0 };
  };
  const drag = (event: PointerEvent) => {
    if (!pull.current) return;
    pull.current.byMs = Math.round(((event.clientX - pull.current.fromX) * msPerPx()) / (STEP_MIN * minute)) * STEP_MIN * minute;
    setByMs(pull.current.byMs);
  };
  const drop = () => {
    const moved = pull.current?.byMs ?? 0;
    pull.current = null;
    setByMs(0);
    if (moved !== 0) onMove(booking, startMs + moved);
    else onChoose(booking.id);
  };
  const letGo = () => {
    pull.current = null;
    setByMs(0);
  };
  const height = booking.cancelled ? THINNEST : THINNEST + (Math.min(index, THICKEST_AT) / THICKEST_AT) * (THICKEST - THINNEST);
  const presses = {
    role: "button",
    tabIndex: 0,
    "aria-pressed": booking.id === chosenId,
    "aria-label": t("{{title}}, {{times}}{{state}}. Arrow keys move it.", {
      title,
      times,
      state: booking.cancelled ? t(", cancelled") : isDeep(booking) ? t(", deep") : "",
    }),
    onKeyDown: key,
    onPointerDown: grab,
    onPointerMove: drag,
    onPointerUp: drop,
    onPointerCancel: letGo,
  };
  return (
    <Box
      title={`${times} ${title}`}
      {...(narrow ? { "aria-hidden": true } : presses)}
      sx={{
        position: "absolute",
        left: `${left}%`,
        width: `calc(${width}% - 2px)`,
        height: Math.max(height, LEAST_PRESSED),
        bottom: 4,
        display: "flex",
        alignItems: "flex-end",
        cursor: narrow ? "default" : "grab",
        touchAction: "pan-y",
        transform: `translateX(${byMs / msPerPx()}px)`,
        zIndex: byMs === 0 ? 1 : 3,
        borderRadius: 1,
        outlineOffset: 2,
      }}
    >
      <Box
        component="span"
        aria-hidden
        sx={{
          visibility: width >= LEAST_NAMED ? "visible" : "hidden",
          position: "absolute",
          insetInline: 4,
          bottom: 3,
          zIndex: 1,
          fontSize: "0.85rem",
          lineHeight: 1.1,
          fontWeight: isDeep(booking) ? 750 : 550,
          color: booking.cancelled ? "text.secondary" : isDeep(booking) ? "warm.contrastText" : "primary.dark",
          textDecoration: booking.cancelled ? "line-through" : "none",
          overflow: "hidden",
          display: "-webkit-box",
          WebkitBoxOrient: "vertical",
          WebkitLineClamp: height < 34 ? 1 : 2,
          "@media screen and (max-width: 899.95px)": { display: "none" },
        }}
      >
        {title}
      </Box>
      <Box
        className="keeps-colour"
        aria-hidden
        sx={{
          height,
          width: "100%",
          borderRadius: 1,
          ...(booking.cancelled
            ? { border: "2px dashed", borderColor: "edge" }
            : isDeep(booking)
              ? { bgcolor: "warm.dark" }
              : { bgcolor: "primary.light", borderTop: "3px solid", borderColor: "primary.main" }),
          outline: booking.id === chosenId ? "3px solid" : "none",
          outlineColor: "text.primary",
        }}
      />
    </Box>
  );
}

/** Where blocks have no room for names: the day in lines. */
function DayList({ bookings, sessions, titleOf, timeZone, onChoose }: BookingRowProps) {
  const lines: { atMs: number; booking: BookingEntry | null; session: BookingSession | null }[] = [
    ...bookings.map((booking) => ({ atMs: Date.parse(booking.startsAt), booking, session: null })),
    ...sessions.map((session) => ({ atMs: Date.parse(session.startsAt), booking: null, session })),
  ].sort((a, b) => a.atMs - b.atMs);
  return (
    <Box
      component="ul"
      sx={{ display: { xs: "grid", md: "none" }, "@media print": { display: "none" }, listStyle: "none", m: 0, p: 0, mt: 0.5 }}
    >
      {lines.map(({ atMs, booking, session }) => (
        <Box component="li" key={(booking ?? session)!.id} sx={{ display: "flex", gap: 1.5, alignItems: "center", minHeight: 32 }}>
          <Typography sx={{ minWidth: 52, fontWeight: session ? 700 : 500 }}>{timeText(atMs, timeZone)}</Typography>
          {booking ? (
            <ButtonBase
              onClick={() => onChoose(booking.id)}
              sx={{ minHeight: 44, fontSize: "1rem", textAlign: "start", textDecoration: booking.cancelled ? "line-through" : "none" }}
            >
              {titleOf(booking)} · {t("{{min}} min", { min: booking.lengthMin })}
            </ButtonBase>
          ) : null}
          {session && (
            <Typography sx={{ color: "primary.main", fontWeight: 700 }}>
              {LAID_NAMES[session.kind]} · {t("{{min}} min", { min: session.lengthMin })}
              {session.done && ` · ${t("done")}`}
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}
