/** A measuring round, made for one hand on a tablet: people on the left, one person's parts on the right, stop anywhere and go on later. */
import { Box, Button } from "@mui/material";
import { BarChart3, Download } from "lucide-react";
import { useEffect, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { hasLeft } from "@kind-grip/core/crew";
import { isEmpty, isFinished, SEEN_FIRST, seenFirst, emptyRecord } from "@kind-grip/core/baseline";
import { dateAt } from "@kind-grip/core/calendar";
import type { CrewEntry, KnownRecord, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { baselineApi } from "./api";
import { serverApi } from "../base/api";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { useCrew } from "../crew/CrewFrame";
import { MeterPanel } from "../meter/MeterPanel";
import { useMeter } from "../meter/use-meter";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { participationsFrom, useParticipationQuery } from "../safety/use-participations";
import type { Participations } from "@kind-grip/core/safety";
import { Toggle } from "../parts/Toggle";
import { PersonRecord } from "./PersonRecord";
import { RoundPeople } from "./RoundPeople";

export default function RoundPage() {
  const { roundId } = useParams();
  const crew = useCrew();
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const records = baselineApi.useRecordsQuery(roundId!, { refetchOnMountOrArgChange: true });
  const participation = useParticipationQuery(crew.id);
  return (
    <Loaded query={rounds}>
      {(list) => (
        <Loaded query={people}>
          {(everybody) => (
            <Loaded query={records}>
              {(entries) => (
                <Loaded query={participation}>
                  {(said) => {
                    const round = list.find(({ id }) => id === roundId);
                    const Kind = round?.repeats ? SecondSitting : RoundOfItsOwn;
                    return round ? (
                      <Kind
                        crew={crew}
                        round={round}
                        earlier={earlierThan(round, list)}
                        everybody={everybody}
                        entries={entries}
                        participations={participationsFrom(said)}
                      />
                    ) : (
                      <Empty title={t("There is no such round")} />
                    );
                  }}
                </Loaded>
              )}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

/** The round before; of a second sitting its first. */
function earlierThan(round: RoundEntry, list: readonly RoundEntry[]): RoundEntry | undefined {
  if (round.repeats) return list.find(({ id }) => id === round.repeats);
  return list.slice(list.indexOf(round) + 1).find(({ repeats }) => !repeats);
}

/** How often new answers are looked for. */
const NEW_ANSWERS_MS = 4000;

interface RoundProps {
  crew: CrewEntry;
  round: RoundEntry;
  earlier?: RoundEntry;
  everybody: PersonEntry[];
  entries: RecordEntry[];
  participations: Participations;
}

function RoundOfItsOwn({ earlier, ...of }: RoundProps) {
  const { data: lastTime } = baselineApi.useKnownBeforeQuery({ crewId: of.crew.id, roundId: of.round.id }, { skip: !earlier });
  return <Round {...of} lastTime={lastTime} />;
}

/** Of whoever was in the first: nothing can begin before it is known who that is. */
function SecondSitting({ earlier, ...of }: RoundProps) {
  const first = baselineApi.useRecordsQuery(earlier!.id);
  return <Loaded query={first}>{(sittings) => <Round {...of} first={sittings} />}</Loaded>;
}

interface OneRoundProps extends Omit<RoundProps, "earlier"> {
  /** What was found of each before, whichever round that was in. */
  lastTime?: readonly KnownRecord[];
  /** Of a second sitting the first one. */
  first?: readonly RecordEntry[];
}

function Round({ crew, round, lastTime, first, everybody, entries, participations }: OneRoundProps) {
  const today = dateAt(useNow(), crew.timeZone);
  // A second sitting is not told what the first one read.
  const isSecond = round.repeats !== null;
  const isMeasured = (personId: string) => first?.some((each) => each.personId === personId && !isEmpty(each.record)) ?? false;
  const [search, setSearch] = useSearchParams();
  const told = useTellFailure();
  const [changeRound] = baselineApi.useChangeRoundMutation();
  const meter = useMeter();
  useNewAnswers(round, entries);
  const recordOf = (personId: string) => entries.find((each) => each.personId === personId);
  const place = ({ id }: PersonEntry) =>
    round.asksOnPhones ? SEEN_FIRST.indexOf(seenFirst(recordOf(id)?.record ?? emptyRecord(), participations.get(id)?.heldOut)) : 0;
  // Whom to see first is who comes next, too. Whoever begins later is measured before they do.
  const people = everybody
    .filter((person) => !hasLeft(person, today) && (!isSecond || isMeasured(person.id)))
    .sort((a, b) => place(a) - place(b));
  const isDone = (personId: string) => {
    const record = recordOf(personId)?.record;
    return participations.get(personId)?.heldOut || (record !== undefined && isFinished(record));
  };
  // Settled once: whoever is being measured stays open while their answers move them in the list.
  const [firstId] = useState(() => people.find(({ id }) => !isDone(id))?.id);
  const person = people.find(({ id }) => id === (search.get("person") ?? firstId)) ?? people[0];
  const goTo = (personId: string) => {
    setSearch({ person: personId }, { replace: true });
    scrollTo(0, 0);
  };
  if (!person) return <Empty title={t("Nobody to measure")} text={t("Bring in the crew's people first.")} />;
  const measured = people.filter(({ id }) => recordOf(id) && isFinished(recordOf(id)!.record)).length;
  const held = people.filter(({ id }) => participations.get(id)?.heldOut).length;
  const index = people.indexOf(person);
  const nextPerson = [...people.slice(index + 1), ...people.slice(0, index)].find(({ id }) => !isDone(id));
  return (
    <>
      <PageTitle
        title={round.name}
        lead={t("{{measured}} of {{people}} measured{{what}}{{what2}}", {
          measured,
          people: people.length,
          what: held > 0 ? t(", {{held}} held out", { held }) : "",
          what2: round.closed ? t(". This round is closed.") : "",
        })}
      >
        {!round.closed && !isSecond && (
          <Toggle
            label={t("Asked on their phones first")}
            pressed={round.asksOnPhones}
            onChange={(asksOnPhones) => void told(changeRound({ id: round.id, name: round.name, closed: false, asksOnPhones }))}
          />
        )}
        <MeterPanel meter={meter} />
        <Button component="a" href={`/api/rounds/${round.id}/records.csv`} startIcon={<Download size={20} />}>
          {t("CSV")}
        </Button>
        <Button component={Link} to="findings" variant="outlined" startIcon={<BarChart3 size={20} />}>
          {t("Findings")}
        </Button>
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "212px minmax(0, 1fr)", xl: "272px minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 2,
          alignItems: "start",
        }}
      >
        <RoundPeople
          people={people}
          chosen={person.id}
          entries={entries}
          participations={participations}
          bySeenFirst={round.asksOnPhones}
          onChoose={goTo}
        />
        <PersonRecord
          key={person.id}
          crew={crew}
          round={round}
          person={person}
          entry={recordOf(person.id)}
          entries={isSecond ? [...entries, ...(first ?? [])] : entries}
          before={lastTime?.find((each) => each.personId === person.id)?.record}
          participations={participations}
          meter={meter}
          today={today}
          nextPerson={nextPerson}
          onNext={goTo}
        />
      </Box>
    </>
  );
}

/** Records that phones write meanwhile are there within seconds; what is open takes them over where nothing is unsaved. */
function useNewAnswers(round: RoundEntry, entries: readonly RecordEntry[]): void {
  const dispatch = useAppDispatch();
  const skip = !round.asksOnPhones || round.closed;
  const { data: versions } = baselineApi.useRecordVersionsQuery(round.id, { pollingInterval: NEW_ANSWERS_MS, skip });
  const isNews = (versions ?? []).some(
    ({ personId, version }) => version > (entries.find((each) => each.personId === personId)?.version ?? 0),
  );
  useEffect(() => {
    // What they answered may hold them out.
    if (isNews) dispatch(serverApi.util.invalidateTags([{ type: "Rounds", id: round.id }, "Safety"]));
  }, [isNews, round.id, dispatch]);
}
