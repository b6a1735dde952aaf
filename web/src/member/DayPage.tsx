/** My day: the morning's question first, then what is next, then the rest; stop-and-tell always within reach. */
import { Box, Button, ButtonBase, Typography } from "@mui/material";
import { Check, ChevronRight, ClipboardCheck, CloudOff, Hand, MapPin, Play } from "lucide-react";
import { Link } from "react-router";
import { addDays, dateAt, wallTime } from "@kind-grip/core/calendar";
import { givenNameOf } from "@kind-grip/core/crew";
import { hasRoomFor } from "@kind-grip/core/dayplan";
import { durationText } from "@kind-grip/core/units";
import type { MemberBooking, MemberSession } from "@kind-grip/core/api";
import { useLibrary, useWords } from "../base/library";

import { v7 as uuid } from "uuid";
import { Alerts } from "./Alerts";
import { askedCheck, askedEffort, isCounted, offersArrival } from "./asked";
import { EffortCard, QuestionCard } from "./AskedCards";
import { phoneDay } from "./paused";
import { BookingLine, RunningLate } from "./OwnBookings";
import { MovementThumb } from "../figure/MovementThumb";
import { InstallHint } from "./InstallHint";
import { useNewVersions } from "./new-version";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { sessionAddress } from "./session-address";
import { practiceTime, usePracticeTime } from "./use-phone";
import { todayAt, workdayAt } from "./workday";

export default function DayPage() {
  const library = useLibrary();
  const words = useWords();
  const phone = useDay();
  useNewVersions();
  const { day, done, answered, waiting, sent, cannotSend } = phone;
  const { alerts, out, shortOfEndDeg, sessions, anyTime, home } = phoneDay(library, day, waiting, sent);
  const zone = day.crew.timeZone;
  const now = usePracticeTime(phone);
  const today = todayAt(day, now);
  const workday = workdayAt(day, now);
  const notBegun = day.firstDay !== null && day.firstDay > workday;
  // Who has not worked yet has no morning after.
  const checkedIn = phone.checkedInOn === workday || notBegun;
  const isDone = (entry: MemberSession) => entry.done || (entry.placementId !== null && done.includes(entry.placementId));
  const dayOf = (entry: MemberSession) => workdayAt(day, Date.parse(entry.startsAt!));
  const todays = sessions.filter((entry) => dayOf(entry) === today);
  const off = day.offDays.includes(today);
  // What is planned for the shift comes first: where that is all a day may have, nothing is added at home.
  const planned = todays.map(({ session }) => session);
  const alone = home.filter(({ session }) => (off || session.slot === "home") && hasRoomFor(library, planned, session));
  const later = sessions.filter((entry) => dayOf(entry) > today);
  const bookedOn = (date: string) => day.bookings.filter(({ startsAt }) => dateAt(Date.parse(startsAt), zone) === date);
  const booked = bookedOn(today);
  // A reset that was let go is over: the next treatment has begun.
  const isNext = (entry: MemberSession) => Date.parse(entry.startsAt!) + (entry.booked ? 10 : 60) * 60_000 > now;
  const next = todays.find((entry) => !isDone(entry) && isNext(entry));
  const effort = askedEffort(day, answered, now);
  const check = askedCheck(day, answered);
  // One thing to do now: the morning's question, what was just led, a session that begins, the check before a round, what is next.
  const soon = next && offersArrival(next, now);
  const first = checkedIn && !effort && (soon || !check) ? next : undefined;
  const still = [
    ...new Set(
      [...todays, ...anyTime, ...alone].flatMap(({ session }) => session.items.map(({ movementId }) => words.movementName(movementId))),
    ),
  ];
  return (
    <>
      <PhoneTitle title={words.member("hello", { name: givenNameOf(day.person.name) })} lead={day.crew.name} />
      <Alerts alerts={alerts} out={out} trainer={day.trainer} still={still} cannotSend={cannotSend} />
      {!checkedIn && <QuestionCard to="/me/check-in" icon={Hand} title={words.member("morningAsk")} text={words.member("morningShort")} />}
      {effort && <EffortCard asked={effort} now={() => practiceTime(phone)} />}
      {check && (
        <QuestionCard
          to="/me/check"
          icon={ClipboardCheck}
          title={words.member("checkTitle")}
          text={words.member("checkShort")}
          quiet={!checkedIn || effort !== null || first !== undefined}
        />
      )}
      {!out && (
        <>
          {day.ramp && (
            <Typography sx={{ mb: 2, fontWeight: 650 }}>
              {day.ramp.awayDays === null
                ? words.member("rampNew", { day: words.dayName(day.ramp.ends) })
                : words.member("rampAway", { count: day.ramp.awayDays, day: words.dayName(day.ramp.ends) })}
            </Typography>
          )}
          {shortOfEndDeg !== null && (
            <Typography sx={{ mb: 2, fontWeight: 650 }}>{words.member("shortOfEnd", { degrees: shortOfEndDeg })}</Typography>
          )}
          {first && <NextCard entry={first} zone={zone} phone={phone} />}
          <RunningLate bookings={booked} now={now} />
          <List
            title={words.member("today")}
            entries={todays.filter((entry) => entry !== first)}
            bookings={booked}
            zone={zone}
            isDone={isDone}
            none={
              first ? undefined : notBegun ? words.member("notBegun", { day: words.dayName(day.firstDay!) }) : words.member("nothingToday")
            }
          />
          <List title={words.member(off ? "offDay" : "atHome")} entries={alone} zone={zone} isDone={isDone} />
          <List title={words.member("tomorrow")} entries={later} bookings={bookedOn(addDays(today, 1))} zone={zone} isDone={isDone} />
          <List title={words.member("anyTime")} entries={anyTime} zone={zone} isDone={isDone} />
        </>
      )}
      <InstallHint />
      {/* What a browser takes away from such an address is missed when it is needed. */}
      {window.isSecureContext === false && <Typography sx={{ mt: 3, color: "warm.dark" }}>{words.member("notSecure")}</Typography>}
    </>
  );
}

function NextCard({ entry, zone, phone }: { entry: MemberSession; zone: string; phone: ReturnType<typeof useDay> }) {
  const words = useWords();
  const now = usePracticeTime(phone);
  const counted = isCounted(phone.day, phone.answered, entry);
  const waits = phone.waiting.some(({ kind, body }) => kind === "arrivals" && body.placementId === entry.placementId);
  const arrive = () =>
    void putAway({ kind: "arrivals", body: { id: uuid(), placementId: entry.placementId!, at: new Date(now).toISOString() } });
  return (
    <Box
      component="section"
      aria-label={words.sessionName(entry.session)}
      sx={{ bgcolor: "primary.main", color: "primary.contrastText", borderRadius: 3, p: 2.25, mb: 3 }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", justifyContent: "space-between", gap: 1 }}>
        <Typography component="p" sx={{ fontSize: "2.6rem", fontWeight: 750, lineHeight: 1 }}>
          {words.timeOfDay(wallTime(Date.parse(entry.startsAt!), zone))}
        </Typography>
        <Typography component="p" sx={{ fontSize: "1.3rem", fontWeight: 650 }}>
          {words.digits(durationText(entry.totalSec))}
        </Typography>
      </Box>
      <Typography variant="h2" sx={{ mt: 0.5 }}>
        {words.sessionName(entry.session)}
      </Typography>
      <Typography component="p">{words.label("slot", entry.session.slot)}</Typography>
      <Box sx={{ display: "flex", gap: 0.75, my: 1.5, overflow: "hidden", borderRadius: 2 }} aria-hidden>
        {entry.session.items.slice(0, 4).map((item) => (
          <Box key={item.id} sx={{ flex: 1, minWidth: 0, maxWidth: 96 }}>
            <MovementThumb movementId={item.movementId} formId={item.formId} />
          </Box>
        ))}
      </Box>
      <Button
        component={Link}
        to={sessionAddress(entry)}
        fullWidth
        startIcon={<Play size={22} fill="currentColor" />}
        sx={{
          bgcolor: "background.paper",
          color: "primary.dark",
          minHeight: 60,
          fontSize: "1.25rem",
          "&:hover": { bgcolor: "background.default" },
        }}
      >
        {words.member("start")}
      </Button>
      {offersArrival(entry, now) &&
        (counted ? (
          <Typography role="status" sx={{ mt: 1.5, fontWeight: 700, display: "flex", gap: 1, alignItems: "center" }}>
            {waits ? <CloudOff size={22} aria-hidden style={{ flex: "none" }} /> : <Check size={22} aria-hidden style={{ flex: "none" }} />}
            {words.member(!waits ? "hereSaid" : phone.cannotSend ? "hereUnsent" : "tellSending")}
          </Typography>
        ) : (
          <Button
            fullWidth
            onClick={arrive}
            startIcon={<MapPin size={22} />}
            sx={{ mt: 1.25, minHeight: 54, fontSize: "1.15rem", color: "inherit", border: "2px solid", borderColor: "currentcolor" }}
          >
            {words.member("iAmHere")}
          </Button>
        ))}
    </Box>
  );
}

interface ListProps {
  title: string;
  entries: readonly MemberSession[];
  /** Treatments between them. */
  bookings?: readonly MemberBooking[];
  zone: string;
  isDone(entry: MemberSession): boolean;
  none?: string;
}

function List({ title, entries, bookings = [], zone, isDone, none }: ListProps) {
  const words = useWords();
  if (entries.length + bookings.length === 0 && !none) return null;
  // Where there are no bookings, sessions stay in the order they came.
  const before = (entry: MemberSession, after?: MemberSession) =>
    bookings.filter(({ startsAt }) => (!after || startsAt >= after.startsAt!) && startsAt < entry.startsAt!);
  const last = bookings.filter(({ startsAt }) => entries.length === 0 || startsAt >= entries.at(-1)!.startsAt!);
  return (
    <Box component="section" aria-label={title} sx={{ mb: 3 }}>
      <Typography variant="h3" component="h2" sx={{ color: "text.secondary", mb: 0.5 }}>
        {title}
      </Typography>
      {entries.length + bookings.length === 0 && <Typography>{none}</Typography>}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {entries.map((entry, i) => [
          ...(bookings.length > 0 ? before(entry, entries[i - 1]) : []).map((booking) => (
            <BookingLine key={booking.id} booking={booking} zone={zone} />
          )),
          <Box component="li" key={`${entry.placementId} ${entry.session.id}`} sx={{ borderTop: "1px solid", borderColor: "line" }}>
            <ButtonBase
              component={Link}
              to={sessionAddress(entry)}
              aria-label={`${words.member("start")}: ${words.sessionName(entry.session)}`}
              sx={{
                width: "100%",
                display: "flex",
                alignItems: "center",
                gap: 1.5,
                minHeight: 64,
                textAlign: "start",
                "[dir=rtl] & .onwards": { transform: "scaleX(-1)" },
              }}
            >
              {entry.startsAt && (
                <Typography sx={{ fontWeight: 700, fontSize: "1.15rem", minWidth: 56 }}>
                  {words.timeOfDay(wallTime(Date.parse(entry.startsAt), zone))}
                </Typography>
              )}
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Typography sx={{ fontWeight: 650 }} noWrap>
                  {words.sessionName(entry.session)}
                </Typography>
                <Typography sx={{ color: "text.secondary" }}>
                  {words.label("slot", entry.session.slot)} · {words.digits(durationText(entry.totalSec))}
                </Typography>
              </Box>
              {isDone(entry) && (
                <Typography sx={{ display: "flex", gap: 0.5, alignItems: "center", color: "primary.main", fontWeight: 650 }}>
                  <Check size={20} aria-hidden /> {words.member("done")}
                </Typography>
              )}
              <ChevronRight size={24} aria-hidden className="onwards" />
            </ButtonBase>
          </Box>,
        ])}
        {last.map((booking) => (
          <BookingLine key={booking.id} booking={booking} zone={zone} />
        ))}
      </Box>
    </Box>
  );
}
