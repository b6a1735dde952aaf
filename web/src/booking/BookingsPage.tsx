/** A day of bookings: everybody's treatments along the clock, and what is laid between them. */
import { Button, GlobalStyles } from "@mui/material";
import { useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import { v7 as uuid } from "uuid";
import type { BookingDay, BookingEntry, CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { bookedStrain, endOf, inOrder, isDeep, type Booking } from "@kind-grip/core/booking";
import { dateAt } from "@kind-grip/core/calendar";
import { hasLeft, isHere } from "@kind-grip/core/crew";
import { EMPTY_WORK, type Work } from "@kind-grip/core/strain";
import { timeText } from "../base/dates";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { workApi } from "../work/api";
import { bookingApi } from "./api";
import { missedText } from "./booking-text";
import { axisOf, BookingClock, BookingLegend } from "./BookingClock";
import { BookingDayTitle } from "./BookingDayTitle";
import { BookingPanel } from "./BookingPanel";
import { BookingRow } from "./BookingRow";
import { useBookings } from "./use-bookings";

/** A calendar that is read again, a phone that says it runs late: seen here without asking. */
const EVERY_MS = 4000;

export default function BookingsPage() {
  const crew = useCrew();
  const now = useNow();
  const today = dateAt(now, crew.timeZone);
  const { date = today } = useParams();
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
              // A booking of somebody who has left, or has not begun, is seen all the same: somebody has to see to it.
              people={list.filter((person) => isHere(person, date) || entry.bookings.some(({ personId }) => personId === person.id))}
              members={list.filter((person) => !hasLeft(person, today))}
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
  /** Of that day. */
  people: readonly PersonEntry[];
  /** Now, or later: a file or a calendar has days ahead. */
  members: readonly PersonEntry[];
  work: Work;
  now: number;
}

function Day({ crew, day, people, members, work, now }: DayProps) {
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
      <GlobalStyles
        styles={{ "@page": { size: "A4 landscape", margin: "10mm" }, "@media print": { main: { zoom: 0.5, printColorAdjust: "exact" } } }}
      />
      <BookingDayTitle
        crew={crew}
        day={day}
        people={people}
        members={members}
        treatments={treatments}
        now={now}
        onAdd={() => begin(people[0]!.id)}
      />
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
          <BookingClock axis={axis} now={now} timeZone={timeZone}>
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
          </BookingClock>
          <BookingLegend day={day} />
        </>
      )}
    </>
  );
}
