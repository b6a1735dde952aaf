/** One day of the plan: its shift with the work on it, and under it a row for everybody and one for each group. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { DateTime } from "luxon";
import { Fragment, useState, type ReactNode } from "react";
import type { Shift } from "@kind-grip/core/calendar";
import type { Clash, LaidPlacement, Placed, RibbonPart } from "@kind-grip/core/dayplan";
import { grouped } from "@kind-grip/core/units";
import { t } from "../base/words";
import { dateText, timeText } from "../base/dates";
import { Lane } from "./Lane";
import type { PlaceableSession } from "./placed";
import { PlaceMenu } from "./PlaceMenu";
import { Ribbon, RIBBON_HEIGHT } from "./Ribbon";
import { UprightDay } from "./UprightDay";

interface ShiftRowProps {
  date: string;
  shift: Shift | undefined;
  /** What the hands do along the shift; the ribbon has one thickness while nobody has described it. */
  parts: readonly RibbonPart[];
  placed: readonly Placed[];
  /** On that day and near no shift. */
  stranded: readonly Placed[];
  /** Of which series each is, for whom, and whether it stays as it is. */
  laidById: ReadonlyMap<string, LaidPlacement>;
  sessions: readonly PlaceableSession[];
  clashes: readonly Clash[];
  chosenId: string | null;
  timeZone: string;
  /** Minutes the whole row shows, the same for every day so that lengths compare. */
  widestMin: number;
  now: number;
  /** On a narrow page: from top to bottom instead of from left to right. */
  upright: boolean;
  /** Of what is chosen on this day, where it stands with the day. */
  chosenPanel: ReactNode;
  /** Whether what is placed is placed on every shift of its kind. */
  every: boolean;
  onEvery(every: boolean): void;
  onPlace(session: PlaceableSession, date: string): void;
  onMove(id: string, startMs: number): void;
  onChoose(id: string): void;
  onRemove(...ids: string[]): void;
}

const BEFORE_MIN = 75;
const minute = 60_000;

export function ShiftRow(props: ShiftRowProps) {
  const { date, shift, parts, placed, stranded, laidById, sessions, clashes, chosenId, timeZone, widestMin, now, upright, chosenPanel } =
    props;
  const { every, onEvery, onPlace, onMove, onChoose, onRemove } = props;
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const day = DateTime.fromISO(date, { zone: timeZone });
  const fromMs = shift ? shift.startMs - BEFORE_MIN * minute : 0;
  const x = (ms: number) => ((ms - fromMs) / minute / widestMin) * 100;
  const lanes = lanesOf(placed, laidById);
  const isToday = shift !== undefined && now >= fromMs && now < shift.endMs + BEFORE_MIN * minute;
  const stray = stranded.length > 0 && (
    <Stranded stranded={stranded} timeZone={timeZone} chosenId={chosenId} onChoose={onChoose} onRemove={onRemove} />
  );
  const add = shift && (
    <>
      <IconButton
        aria-label={t("Place a session on {{date}}", { date: dateText(day, "cccc") })}
        aria-haspopup="menu"
        onClick={(event) => setMenuAt(event.currentTarget)}
      >
        <Plus size={22} />
      </IconButton>
      <PlaceMenu
        anchor={menuAt}
        sessions={sessions}
        shiftName={shift.kind.name}
        every={every}
        onEvery={onEvery}
        onPlace={(session) => {
          setMenuAt(null);
          onPlace(session, date);
        }}
        onClose={() => setMenuAt(null)}
      />
    </>
  );
  const row = { columnGap: 1.5, borderTop: "2px solid", borderColor: "line", alignItems: "center", py: 0.5 };
  const label = dateText(day, "cccc d LLLL");
  if (upright) {
    return (
      <Box component="section" aria-label={label} sx={{ ...row, display: "grid", gridTemplateColumns: "minmax(0, 1fr) 44px" }}>
        <DayHead day={day} shift={shift} timeZone={timeZone} />
        {add}
        <Box sx={{ gridColumn: "1 / -1" }}>
          {shift && (
            <UprightDay
              shift={shift}
              parts={parts}
              placed={placed}
              laidById={laidById}
              clashes={clashes}
              chosenId={chosenId}
              timeZone={timeZone}
              now={isToday ? now : undefined}
              onMove={onMove}
              onChoose={onChoose}
              onRemove={onRemove}
            />
          )}
          {stray}
          {chosenPanel}
        </Box>
      </Box>
    );
  }
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        ...row,
        display: "grid",
        gridTemplateColumns: { xs: "112px minmax(0, 1fr) 44px", xl: "176px minmax(0, 1fr) 44px" },
        minHeight: shift ? 76 : 40,
      }}
    >
      <DayHead day={day} shift={shift} timeZone={timeZone} />
      {!shift && stray}
      <Box sx={{ position: "relative", height: shift ? RIBBON_HEIGHT : 0 }}>
        {shift && <Ribbon shift={shift} parts={parts} timeZone={timeZone} x={x} />}
        {isToday && (
          <Box
            className="keeps-colour"
            aria-hidden
            sx={{ position: "absolute", left: `${x(now)}%`, top: 18, height: 34, width: 2, bgcolor: "text.primary" }}
          />
        )}
      </Box>
      {shift && (
        <>
          {add}
          {lanes.map(([group, own]) => (
            <Fragment key={group ?? ""}>
              <Typography
                noWrap
                title={group ?? undefined}
                sx={{ fontSize: "0.9rem", fontWeight: 600, color: group === null ? "text.secondary" : "text.primary" }}
              >
                {group ?? (lanes.length > 1 ? t("everybody") : "")}
              </Typography>
              <Box sx={{ gridColumn: "2" }}>
                <Lane
                  shift={shift}
                  placed={own}
                  clashes={clashes}
                  chosenId={chosenId}
                  isKept={(id) => laidById.get(id)?.kept ?? false}
                  timeZone={timeZone}
                  widestMin={widestMin}
                  x={x}
                  onMove={onMove}
                  onChoose={onChoose}
                  onRemove={onRemove}
                />
              </Box>
              <Box />
            </Fragment>
          ))}
        </>
      )}
      {shift && stray && <Box sx={{ gridColumn: "2 / -1" }}>{stray}</Box>}
    </Box>
  );
}

/** Everybody's first, then each group's, by name; null is everybody. */
function lanesOf(placed: readonly Placed[], laidById: ReadonlyMap<string, LaidPlacement>): [string | null, Placed[]][] {
  const groupOf = ({ id, people }: Placed) => (people ? (laidById.get(id)?.groupName ?? t("A group")) : null);
  return [...grouped(placed, groupOf)].sort(([a], [b]) =>
    a === null ? -1 : b === null ? 1 : a.localeCompare(b, undefined, { numeric: true }),
  );
}

function DayHead({ day, shift, timeZone }: { day: DateTime; shift: Shift | undefined; timeZone: string }) {
  return (
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
  );
}

/** Sessions near no shift: nobody will come, and they would still be reminded. */
function Stranded({
  stranded,
  timeZone,
  chosenId,
  onChoose,
  onRemove,
}: Pick<ShiftRowProps, "stranded" | "timeZone" | "chosenId" | "onChoose" | "onRemove">) {
  return (
    <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", py: 1, color: "warm.dark" }}>
      {stranded.map((each) => (
        <Button key={each.id} variant="outlined" aria-pressed={each.id === chosenId} onClick={() => onChoose(each.id)}>
          {timeText(each.startMs, timeZone)} {each.session.name}
        </Button>
      ))}
      <Typography sx={{ fontWeight: 650 }}>{t("without a shift")}</Typography>
      <Button onClick={() => onRemove(...stranded.map(({ id }) => id))}>
        {t("Remove all {{count}}", { count: stranded.length, defaultValue_one: "Remove it" })}
      </Button>
    </Box>
  );
}
