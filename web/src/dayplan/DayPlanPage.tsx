/** The day plan: a week of shift ribbons with sessions pinned on them, their spacing and what clashes. */
import { Button } from "@mui/material";
import { useMemo } from "react";
import { Link, Navigate, useParams } from "react-router";
import { hasLeft, isHereBetween } from "@kind-grip/core/crew";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { notHeldOut } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { useLibrary } from "../base/library";
import { programApi } from "../program/api";
import { dayPlanApi } from "./api";
import { crewApi } from "../crew/api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { useParticipations } from "../safety/use-participations";
import { placeableSessions } from "./placed";
import { Week } from "./Week";
import { WeekTitle } from "./WeekTitle";

export default function DayPlanPage() {
  const crew = useCrew();
  const { weekStart } = useParams();
  // Who works by bookings has days of them; what is led together is a week all the same, at its own address.
  return crew.byBookings && !weekStart ? <Navigate to={`/crews/${crew.id}/bookings`} replace /> : <PlanOfWeek />;
}

function PlanOfWeek() {
  const library = useLibrary();
  const crew = useCrew();
  const now = useNow();
  const { weekStart = dateAt(now, crew.timeZone) } = useParams();
  const monday = mondayOf(weekStart);
  const programs = programApi.useProgramsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const plan = dayPlanApi.useWeekPlanQuery({ crewId: crew.id, weekStart: monday }, { refetchOnMountOrArgChange: true });
  const today = dateAt(now, crew.timeZone);
  const participations = useParticipations(crew.id);
  // Plans reach ahead: whoever begins later can be in a group already.
  const members = useMemo(() => (people.data ?? []).filter((person) => !hasLeft(person, today)), [people.data, today]);
  const memberIds = useMemo(() => new Set(members.map(({ id }) => id)), [members]);
  const staying = useMemo(() => notHeldOut(members, participations), [members, participations]);
  const sessions = useMemo(
    () =>
      placeableSessions(
        library,
        programs.data ?? [],
        staying.filter((person) => isHereBetween(person, monday, addDays(monday, 6))).map((person) => person.id),
        participations,
      ),
    [library, programs.data, staying, monday, participations],
  );
  if (plan.isFetching && plan.data?.weekStart !== monday) return <WeekTitle crew={crew} weekStart={monday} />;
  return (
    <Loaded query={plan}>
      {(entry) => (
        <Loaded query={programs}>
          {() =>
            // Nobody is called gone from a group while it is not known who is there.
            people.data === undefined ? (
              <Loaded query={people}>{() => null}</Loaded>
            ) : sessions.length === 0 ? (
              <>
                <WeekTitle crew={crew} weekStart={entry.weekStart} />
                <Empty
                  title={t("There is nothing to place yet")}
                  text={t("The day plan puts a program's sessions on this crew's shifts. Make a session with a few movements first.")}
                >
                  <Button component={Link} to={`/crews/${crew.id}/program`} variant="contained">
                    {t("Go to Program")}
                  </Button>
                </Empty>
              </>
            ) : (
              <Week key={entry.weekStart} crew={crew} entry={entry} sessions={sessions} now={now} people={staying} memberIds={memberIds} />
            )
          }
        </Loaded>
      )}
    </Loaded>
  );
}
