/** One person: who they are, what they may take part in, eight weeks at a glance, and everything on record in the order of time. */
import { Alert, Box, Button, Link as TextLink, Typography } from "@mui/material";
import { ArrowLeft, CalendarRange, PencilLine, QrCode } from "lucide-react";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import type { CrewEntry, PersonEntry, RecordEvent } from "@kind-grip/core/api";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { hasLeft } from "@kind-grip/core/crew";
import { LANGUAGE_FACTS } from "@kind-grip/core/language";
import { grouped } from "@kind-grip/core/units";
import { DateTime } from "luxon";
import { problemOf } from "../base/api";
import { dateText, wholeDayText } from "../base/dates";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { PersonDialog } from "../crew/PersonDialog";
import { isLimited, takesPart } from "../crew/takes-part";
import { Choice } from "../parts/Choice";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import { PageTitle } from "../parts/PageTitle";
import { SideMark } from "../parts/SideMark";
import { useParticipationsIfKnown } from "../safety/use-participations";
import { QuickTests } from "../quicktest/QuickTests";
import { recordApi } from "./api";
import { EventRow } from "./EventRow";
import { EVENT_GROUPS, GROUP_NAMES, type EventGroup } from "./event-text";
import { LIFE_LINE_DAYS, LifeLine } from "./LifeLine";
import { NoteForm } from "./NoteForm";
import { PersonData } from "./PersonData";
import { PersonContacts } from "./PersonContacts";

export default function PersonPage() {
  const crew = useCrew();
  const { personId } = useParams();
  const people = crewApi.usePeopleQuery(crew.id);
  return (
    <Loaded query={people}>
      {(list) => {
        const person = list.find(({ id }) => id === personId);
        return person ? (
          <Person key={person.id} crew={crew} person={person} />
        ) : (
          <Empty title={t("Nobody of this crew")} text={t("This address is nobody's, or theirs in another crew.")}>
            <Button component={Link} to={`/crews/${crew.id}/people`} variant="outlined">
              {t("People")}
            </Button>
          </Empty>
        );
      }}
    </Loaded>
  );
}

function Person({ crew, person }: { crew: CrewEntry; person: PersonEntry }) {
  const [editing, setEditing] = useState(false);
  const today = dateAt(useNow(), crew.timeZone);
  const participations = useParticipationsIfKnown(crew.id);
  const participation = participations?.get(person.id);
  const limited = isLimited(participation);
  const facts = [
    person.badge,
    person.startedOn &&
      (person.startedOn > today
        ? t("begins {{day}}", { day: wholeDayText(person.startedOn) })
        : t("here since {{day}}", { day: wholeDayText(person.startedOn) })),
    person.leftOn &&
      (hasLeft(person, today)
        ? t("left {{leftOn}}", { leftOn: wholeDayText(person.leftOn) })
        : t("until {{leftOn}}", { leftOn: wholeDayText(person.leftOn) })),
    person.language && t("Reads {{language}}", { language: LANGUAGE_FACTS[person.language].ownName }),
  ].filter(Boolean);
  return (
    <>
      <PageTitle
        title={person.name}
        lead={
          <Box component="span" sx={{ display: "inline-flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            {person.handedness && <SideMark side={person.handedness} />}
            {facts.join(" · ")}
            {limited ? (
              <TextLink
                component={Link}
                to={`/crews/${crew.id}/people/held-out`}
                sx={{ color: participation?.heldOut ? "error.main" : "warm.dark" }}
              >
                {participation?.heldOut
                  ? t("Held out: see why")
                  : t("Takes part in {{what}}: see why", { what: takesPart(participations, person.id) })}
              </TextLink>
            ) : (
              <strong>
                {participations
                  ? t("Takes part in {{what}}", { what: takesPart(participations, person.id) })
                  : t("What they take part in is not known yet")}
              </strong>
            )}
          </Box>
        }
      >
        <Button component={Link} to={`/crews/${crew.id}/people`} startIcon={<ArrowLeft size={20} />}>
          {t("People")}
        </Button>
        <Button component={Link} to={`/week?crew=${crew.id}&person=${person.id}`} startIcon={<CalendarRange size={20} />}>
          {t("Week on one page")}
        </Button>
        {!person.isErased && (
          <>
            <Button
              component={Link}
              to={`/crews/${crew.id}/people/cards`}
              state={{ personIds: [person.id] }}
              variant="outlined"
              startIcon={<QrCode size={20} />}
            >
              {t("Card")}
            </Button>
            <Button variant="outlined" startIcon={<PencilLine size={20} />} onClick={() => setEditing(true)}>
              {t("Change")}
            </Button>
          </>
        )}
      </PageTitle>
      <PersonRecord crew={crew} person={person} today={today} />
      <Box sx={{ mt: 4 }}>
        <PersonData crewId={crew.id} person={person} />
      </Box>
      {editing && <PersonDialog crewId={crew.id} person={person} today={today} onClose={() => setEditing(false)} />}
    </>
  );
}

type Shown = "all" | EventGroup;
const SHOWN_AT_ONCE = 60;

function PersonRecord({ crew, person, today }: { crew: CrewEntry; person: PersonEntry; today: string }) {
  const of = { crewId: crew.id, personId: person.id };
  const query = recordApi.usePersonRecordInfiniteQuery(of, { refetchOnMountOrArgChange: true });
  const [removeNote, removal] = recordApi.useRemoveNoteMutation();
  const [shown, setShown] = useState<Shown>("all");
  const [count, setCount] = useState(SHOWN_AT_ONCE);
  const [removing, setRemoving] = useState<string | null>(null);
  const { hasNextPage, isFetching, isFetchNextPageError, fetchNextPage } = query;
  const oldest = query.data?.pages.at(-1)?.events.at(-1)?.at;
  // Who does five things a day fills a page in less than the picture shows.
  const isShort = hasNextPage && oldest !== undefined && dateAt(Date.parse(oldest), crew.timeZone) > addDays(today, -LIFE_LINE_DAYS);
  useEffect(() => {
    if (isShort && !isFetching && !isFetchNextPageError) void fetchNextPage();
  }, [isShort, isFetching, isFetchNextPageError, fetchNextPage]);
  if (query.isLoading) return <Loading />;
  if (!query.data)
    return (
      <Empty title={problemOf(query.error).message}>
        <Button variant="outlined" onClick={() => void query.refetch()}>
          {t("Try again")}
        </Button>
      </Empty>
    );
  const events = query.data.pages.flatMap((page) => page.events);
  const there = (Object.keys(EVENT_GROUPS) as EventGroup[]).filter((group) => events.some((event) => isIn(event, group)));
  const list = shown === "all" ? events : events.filter((event) => isIn(event, shown));
  const days = grouped(list.slice(0, count), (event) =>
    event.kind === "morning" ? event.day : dateAt(Date.parse(event.at), crew.timeZone),
  );
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 3 }}>
      <LifeLine events={events} timeZone={crew.timeZone} today={today} />
      <QuickTests crewId={crew.id} people={[person]} personId={person.id} />
      {!person.isErased && (
        <>
          <PersonContacts {...of} name={person.name} timeZone={crew.timeZone} />
          <NoteForm {...of} name={person.name} />
        </>
      )}
      {events.length === 0 ? (
        <Empty
          title={t("Nothing on record yet")}
          text={t("Runs, mornings, measurements, decisions and notes of this person stand here once there are any.")}
        />
      ) : (
        <Box component="section" aria-label={t("Everything on record")}>
          <Box sx={{ mb: 1.5 }}>
            <Choice<Shown>
              label={t("What is shown")}
              value={shown}
              onChange={setShown}
              options={[{ value: "all", label: t("Everything") }, ...there.map((group) => ({ value: group, label: GROUP_NAMES[group] }))]}
            />
          </Box>
          {[...days].map(([day, own]) => (
            <Box
              key={day}
              component="section"
              aria-label={wholeDayText(day)}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "150px minmax(0, 1fr)" },
                borderTop: "1px solid",
                borderColor: "line",
                py: 0.5,
              }}
            >
              <Typography component="h2" sx={{ fontWeight: 700, py: 0.75 }}>
                {dateText(DateTime.fromISO(day), "ccc d LLL yyyy")}
              </Typography>
              <Box component="ul" sx={{ listStyle: "none", p: 0, m: 0 }}>
                {own.map((event, i) => (
                  <EventRow key={i} event={event} crew={crew} personId={person.id} onRemoveNote={setRemoving} />
                ))}
              </Box>
            </Box>
          ))}
          {removal.error && (
            <Alert severity="error" variant="outlined" sx={{ mb: 1 }}>
              {t("The note is still there: {{why}}", { why: problemOf(removal.error).message })}
            </Alert>
          )}
          {query.isFetchNextPageError && (
            <Alert severity="error" variant="outlined">
              {t("What is older could not be read. Try again.")}
            </Alert>
          )}
          {(list.length > count || query.hasNextPage) && (
            <Button
              variant="outlined"
              disabled={query.isFetchingNextPage}
              onClick={() => {
                setCount(count + SHOWN_AT_ONCE);
                if (list.length < count + SHOWN_AT_ONCE && query.hasNextPage) void query.fetchNextPage();
              }}
              sx={{ mt: 2 }}
            >
              {query.isFetchingNextPage ? t("Reading …") : t("Older")}
            </Button>
          )}
        </Box>
      )}
      <ConfirmDialog
        open={removing !== null}
        title={t("Remove this note?")}
        confirm={t("Remove the note")}
        onClose={() => setRemoving(null)}
        onConfirm={() => {
          void removeNote({ ...of, noteId: removing! });
          setRemoving(null);
        }}
      >
        <Typography>
          {t("Its words and its file are gone for good. That there was a note stays in the list of who saw or changed health answers.")}
        </Typography>
      </ConfirmDialog>
    </Box>
  );
}

const isIn = (event: RecordEvent, group: EventGroup): boolean => (EVENT_GROUPS[group] as readonly string[]).includes(event.kind);
