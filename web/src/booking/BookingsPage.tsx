/** A day of bookings: everybody's treatments along the clock, and what is laid between them. */
import { Box, Button, IconButton, Link as TextLink, TextField, Tooltip, Typography } from "@mui/material";
import { CalendarSync, ChevronLeft, ChevronRight, FileUp, Plus, SlidersHorizontal } from "lucide-react";
import { DateTime } from "luxon";
import { useMemo, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { v7 as uuid } from "uuid";
import type { BookingDay, BookingEntry, CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { bookedStrain, endOf, inOrder, isDeep, LAID_KINDS, type Booking } from "@kind-grip/core/booking";
import { addDays, dateAt, momentAt, mondayOf, shiftsFrom, type Span } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { EMPTY_WORK, type Work } from "@kind-grip/core/strain";
import { dateText, timeText } from "../base/dates";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { nearnessText } from "../parts/nearness-text";
import { PageTitle } from "../parts/PageTitle";
import { workApi } from "../work/api";
import { bookingApi } from "./api";
import { LAID_NAMES, missedText } from "./booking-text";
import { BookingCalendarsDialog } from "./BookingCalendarsDialog";
import { BookingFileDialog } from "./BookingFileDialog";
import { BookingPanel } from "./BookingPanel";
import { BookingRow, LAID_ICONS } from "./BookingRow";
import { BookingRulesDialog } from "./BookingRulesDialog";
import { useBookings } from "./use-bookings";

const HOUR_MS = 3600_000;
/** A calendar that is read again, a phone that says it runs late: seen here without asking. */
const EVERY_MS = 4000;

export default function BookingsPage() {
  const crew = useCrew();
  const now = useNow();
  const { date = dateAt(now, crew.timeZone) } = useParams();
  const day = bookingApi.useBookingDayQuery({ crewId: crew.id, date }, { refetchOnMountOrArgChange: true, pollingInterval: EVERY_MS });
  const people = crewApi.usePeopleQuery(crew.id);
  const work = workApi.useWorkQuery(crew.id);
  return (
    <Loaded query={{ ...day, data: day.data?.date === date ? day.data : undefined }}>
      {(entry) => (
        <Loaded query={people}>
          {(list) => (
            <Day
              key={date}
              crew={crew}
              day={entry}
              people={list.filter((person) => isHere(person, date))}
              work={work.data?.work ?? EMPTY_WORK}
              now={now}
            />
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

interface DayProps {
  crew: CrewEntry;
  day: BookingDay;
  people: readonly PersonEntry[];
  work: Work;
  now: number;
}

function Day({ crew, day, people, work, now }: DayProps) {
  const acts = useBookings(day);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [begun, setBegun] = useState<Booking | null>(null);
  const { timeZone } = crew;
  const treatments = useMemo(() => work.treatments ?? [], [work]);
  const axis = axisOf(crew, day);
  const chosen = day.bookings.find(({ id }) => id === chosenId);
  const strain = useMemo(
    () =>
      new Map(
        people.flatMap(({ id }) => [
          ...bookedStrain(
            work,
            day.bookings.filter(({ personId }) => personId === id),
          ),
        ]),
      ),
    [people, day.bookings, work],
  );
  const titleOf = (booking: BookingEntry) => treatments.find(({ id }) => id === booking.treatmentId)?.name ?? t("not known");
  const begin = (personId: string) => {
    const own = inOrder(day.bookings.filter((booking) => booking.personId === personId));
    const startMs = own.length > 0 ? endOf(own.at(-1)!) + day.rules.turnMin * 60_000 : axis.openMs;
    const treatment = treatments[0];
    setChosenId(null);
    setBegun({
      id: uuid(),
      personId,
      startsAt: new Date(Math.ceil(startMs / 300_000) * 300_000).toISOString(),
      lengthMin: treatment?.lengthMin ?? 60,
      treatmentId: treatment?.id ?? null,
      cancelled: false,
    });
  };
  const panel = begun ?? chosen;
  return (
    <>
      <DayTitle crew={crew} day={day} people={people} work={work} now={now} onAdd={() => begin(people[0]!.id)} />
      {treatments.length === 0 && (
        <Empty
          title={t("What is booked here?")}
          text={t("Kinds of treatment say what the hands do in each; the resets between them, strain and need follow from the bookings.")}
        >
          <Button component={Link} to={`/crews/${crew.id}/work?view=shift`} variant="contained">
            {t("Go to Treatments")}
          </Button>
        </Empty>
      )}
      {treatments.length > 0 && day.laid.length === 0 && (
        <Empty
          title={t("There is nothing to lay between the treatments yet")}
          text={t("A program for this team has a reset of a minute; composing one proposes it.")}
        >
          <Button component={Link} to={`/crews/${crew.id}/program`} variant="contained">
            {t("Go to Program")}
          </Button>
        </Empty>
      )}
      {panel && (
        <BookingPanel
          key={panel.id}
          booking={panel}
          isNew={begun !== null}
          people={people}
          treatments={treatments}
          date={day.date}
          timeZone={timeZone}
          acts={acts}
          onClose={() => {
            setBegun(null);
            setChosenId(null);
          }}
        />
      )}
      {treatments.length > 0 && (
        <>
          <Hours axis={axis} now={now} timeZone={timeZone}>
            {people.map((person) => {
              const own = day.bookings.filter(({ personId }) => personId === person.id);
              return (
                <BookingRow
                  key={person.id}
                  name={person.name}
                  bookings={own}
                  sessions={day.sessions.filter(({ personId }) => personId === person.id)}
                  strain={strain}
                  titleOf={titleOf}
                  isDeep={(booking) => isDeep(booking, treatments)}
                  missed={day.missed
                    .filter(({ personId }) => personId === person.id)
                    .map((each) => {
                      const after = own.find(({ id }) => id === each.afterId);
                      return missedText(each, after ? timeText(endOf(after), timeZone) : "");
                    })}
                  light={day.light.includes(person.id)}
                  axis={axis}
                  timeZone={timeZone}
                  chosenId={chosenId}
                  onChoose={(id) => {
                    setBegun(null);
                    setChosenId(id === chosenId ? null : id);
                  }}
                  onMove={acts.move}
                  onCancel={acts.cancel}
                  onAdd={() => begin(person.id)}
                />
              );
            })}
          </Hours>
          <Legend day={day} />
        </>
      )}
    </>
  );
}

function DayTitle({ crew, day, people, work, now, onAdd }: DayProps & { onAdd(): void }) {
  const navigate = useNavigate();
  const [open, setOpen] = useState<"calendars" | "file" | "rules" | null>(null);
  const today = dateAt(now, crew.timeZone);
  const to = (date: string) => `/crews/${crew.id}/bookings/${date}`;
  const close = () => setOpen(null);
  const resets = day.sessions.filter(({ kind }) => kind === "reset" || kind === "longer").length;
  const booked = inOrder(day.bookings).length;
  const trouble = day.calendars.some(({ problem }) => problem !== null);
  return (
    <>
      <PageTitle
        title={dateText(DateTime.fromISO(day.date), "cccc d LLLL")}
        lead={t("{{bookings}} bookings, {{resets}} resets between them. {{near}}", {
          bookings: booked,
          resets,
          near: booked === 0 ? "" : nearnessText(day.gap),
        })}
      >
        <IconButton component={Link} to={to(addDays(day.date, -1))} aria-label={t("Day before")}>
          <ChevronLeft />
        </IconButton>
        <Button component={Link} to={`/crews/${crew.id}/bookings`}>
          {t("Today")}
        </Button>
        <IconButton component={Link} to={to(addDays(day.date, 1))} aria-label={t("Day after")}>
          <ChevronRight />
        </IconButton>
        <TextField
          type="date"
          value={day.date}
          onChange={({ target }) => target.value && void navigate(to(target.value))}
          slotProps={{ htmlInput: { "aria-label": t("Go to a day") } }}
          sx={{ width: 165 }}
        />
        <Button variant="contained" startIcon={<Plus size={18} />} onClick={onAdd} disabled={people.length === 0}>
          {t("Booking")}
        </Button>
        <Tooltip title={t("Calendars")}>
          <IconButton
            aria-label={trouble ? t("Calendars, one cannot be read") : t("Calendars")}
            onClick={() => setOpen("calendars")}
            sx={trouble ? { color: "warm.dark" } : undefined}
          >
            <CalendarSync size={22} />
          </IconButton>
        </Tooltip>
        <Tooltip title={t("From a file")}>
          <IconButton aria-label={t("From a file")} onClick={() => setOpen("file")}>
            <FileUp size={22} />
          </IconButton>
        </Tooltip>
        <Tooltip title={t("How resets are laid")}>
          <IconButton aria-label={t("How resets are laid")} onClick={() => setOpen("rules")}>
            <SlidersHorizontal size={22} />
          </IconButton>
        </Tooltip>
      </PageTitle>
      {day.date !== today && day.date < today && (
        <Typography sx={{ color: "text.secondary", mt: -2, mb: 2 }}>{t("This day is over: what was laid stays as it was.")}</Typography>
      )}
      {open === "calendars" && <BookingCalendarsDialog crew={crew} day={day} people={people} onClose={close} />}
      {open === "file" && (
        <BookingFileDialog crew={crew} day={day} people={people} treatments={work.treatments ?? []} today={today} onClose={close} />
      )}
      {open === "rules" && <BookingRulesDialog crew={crew} day={day} onClose={close} />}
    </>
  );
}

interface Axis extends Span {
  /** When the place opens. */
  openMs: number;
}

/** From what is first to what is last; the opening hours of a day nothing is booked on. */
function axisOf(crew: CrewEntry, { date, bookings, sessions }: BookingDay): Axis {
  const [open] = shiftsFrom(crew.shiftPattern, crew.timeZone, date, 1);
  const openMs = open?.startMs ?? momentAt(date, "09:00", 0, crew.timeZone);
  const isEmpty = bookings.length === 0;
  const starts = [
    ...(isEmpty ? [openMs] : []),
    ...bookings.map(({ startsAt }) => Date.parse(startsAt)),
    ...sessions.map(({ startsAt }) => Date.parse(startsAt)),
  ];
  const ends = [
    ...(isEmpty ? [open?.endMs ?? openMs + 9 * HOUR_MS] : []),
    ...bookings.map(endOf),
    ...sessions.map(({ startsAt, lengthMin }) => Date.parse(startsAt) + lengthMin * 60_000),
  ];
  return { openMs, startMs: Math.min(...starts) - HOUR_MS / 4, endMs: Math.max(...ends) + HOUR_MS / 4 };
}

function Hours({ axis, now, timeZone, children }: { axis: Span; now: number; timeZone: string; children: React.ReactNode }) {
  const x = (ms: number) => ((ms - axis.startMs) / (axis.endMs - axis.startMs)) * 100;
  const hours: number[] = [];
  for (let ms = Math.ceil(axis.startMs / HOUR_MS) * HOUR_MS; ms <= axis.endMs; ms += HOUR_MS) hours.push(ms);
  return (
    <Box sx={{ position: "relative" }}>
      <Box aria-hidden sx={{ position: "relative", height: 24 }}>
        {hours.map((ms, i) => (
          <Box
            key={ms}
            sx={{
              position: "absolute",
              left: `${x(ms)}%`,
              transform: "translateX(-50%)",
              color: "text.secondary",
              fontSize: "0.9rem",
              "@media (max-width: 599.95px)": { display: i % 2 === 0 ? "block" : "none" },
            }}
          >
            {timeText(ms, timeZone)}
          </Box>
        ))}
      </Box>
      <Box sx={{ position: "relative" }}>
        {hours.map((ms) => (
          <Box
            key={ms}
            aria-hidden
            sx={{
              position: "absolute",
              insetBlock: 0,
              left: `${x(ms)}%`,
              width: "1px",
              bgcolor: "line",
              opacity: 0.6,
              display: { xs: "none", md: "block" },
            }}
          />
        ))}
        {now > axis.startMs && now < axis.endMs && (
          <Box
            aria-hidden
            sx={{
              position: "absolute",
              insetBlock: -4,
              left: `${x(now)}%`,
              width: 3,
              bgcolor: "warm.main",
              zIndex: 2,
              pointerEvents: "none",
            }}
          />
        )}
        {children}
      </Box>
    </Box>
  );
}

function Legend({ day }: { day: BookingDay }) {
  return (
    <Box sx={{ mt: 2, display: "grid", gap: 1 }}>
      <Box
        component="ul"
        aria-label={t("What is laid")}
        sx={{ listStyle: "none", m: 0, p: 0, display: "flex", flexWrap: "wrap", columnGap: 3, rowGap: 0.5 }}
      >
        {LAID_KINDS.flatMap((kind) => {
          const laid = day.laid.find((each) => each.kind === kind);
          const Icon = LAID_ICONS[kind];
          return laid
            ? [
                <Box component="li" key={kind} sx={{ display: "flex", gap: 0.75, alignItems: "center" }}>
                  <Box
                    sx={{
                      width: 22,
                      height: 22,
                      borderRadius: "6px",
                      bgcolor: "primary.main",
                      color: "primary.contrastText",
                      display: "grid",
                      placeItems: "center",
                    }}
                  >
                    <Icon size={15} aria-hidden />
                  </Box>
                  <span>
                    {LAID_NAMES[kind]}: {laid.name}, {t("{{min}} min", { min: laid.lengthMin })}
                  </span>
                </Box>,
              ]
            : [];
        })}
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {t("A block is as thick as its hand work is hard; deep work is dark.")}{" "}
        <TextLink component={Link} to={`../day-plan/${mondayOf(day.date)}`} relative="path">
          {t("What is led together this week")}
        </TextLink>
      </Typography>
    </Box>
  );
}
