/** A measuring round, made for one hand on a tablet: people on the left, one person's parts on the right, stop anywhere and go on later. */
import { Box, Button, ButtonBase, TextField } from "@mui/material";
import { Ban, BarChart3, Check, Download, Circle, CircleDot } from "lucide-react";
import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { isHere } from "@kind-grip/core/crew";
import { emptyRecord, isEmpty, isFinished, type Part } from "@kind-grip/core/baseline";
import { dateAt } from "@kind-grip/core/calendar";
import { type Participations } from "@kind-grip/core/safety";
import type { CrewEntry, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { EVERYBODY, filterPeople } from "../crew/people-filter";
import { baselineApi } from "./api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { MeterPanel } from "../meter/MeterPanel";
import { useMeter } from "../meter/use-meter";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { useParticipations } from "../safety/use-participations";
import { PersonRecord } from "./PersonRecord";

export default function RoundPage() {
  const { roundId } = useParams();
  const crew = useCrew();
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const records = baselineApi.useRecordsQuery(roundId!, { refetchOnMountOrArgChange: true });
  return (
    <Loaded query={rounds}>
      {(list) => (
        <Loaded query={people}>
          {(everybody) => (
            <Loaded query={records}>
              {(entries) => {
                const round = list.find(({ id }) => id === roundId);
                return round ? (
                  <Round crew={crew} round={round} earlier={list[list.indexOf(round) + 1]} everybody={everybody} entries={entries} />
                ) : (
                  <Empty title={t("There is no such round")} />
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

interface RoundProps {
  crew: CrewEntry;
  round: RoundEntry;
  earlier?: RoundEntry;
  everybody: PersonEntry[];
  entries: RecordEntry[];
}

function Round({ crew, round, earlier, everybody, entries }: RoundProps) {
  const today = dateAt(useNow(), crew.timeZone);
  const people = everybody.filter((person) => isHere(person, today));
  const participations = useParticipations(crew.id);
  const { data: before } = baselineApi.useRecordsQuery(earlier?.id ?? "", { skip: !earlier });
  const [search, setSearch] = useSearchParams();
  const [part, setPart] = useState<Part>("safety");
  const meter = useMeter();
  const recordOf = (personId: string) => entries.find((each) => each.personId === personId);
  const isDone = (personId: string) => {
    const record = recordOf(personId)?.record;
    return participations.get(personId)?.heldOut || (record !== undefined && isFinished(record));
  };
  const person = people.find(({ id }) => id === search.get("person")) ?? people.find(({ id }) => !isDone(id)) ?? people[0];
  const goTo = (personId: string) => {
    setSearch({ person: personId }, { replace: true });
    setPart("safety");
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
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "212px minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 2,
          alignItems: "start",
        }}
      >
        <PeopleList people={people} chosen={person.id} entries={entries} participations={participations} onChoose={goTo} />
        <PersonRecord
          key={person.id}
          crew={crew}
          round={round}
          person={person}
          entry={recordOf(person.id)}
          entries={entries}
          before={before?.find((each) => each.personId === person.id)?.record}
          participations={participations}
          part={part}
          onPart={setPart}
          meter={meter}
          today={today}
          nextPerson={nextPerson}
          onNext={goTo}
        />
      </Box>
    </>
  );
}

/** A longer list is looked through. */
const SEARCHED_FROM = 12;

interface PeopleListProps {
  people: PersonEntry[];
  chosen: string;
  entries: RecordEntry[];
  participations: Participations;
  onChoose(personId: string): void;
}

function PeopleList({ people, chosen, entries, participations, onChoose }: PeopleListProps) {
  const [text, setText] = useState("");
  const done = people.filter(
    ({ id }) => participations.get(id)?.heldOut || entries.some(({ personId, record }) => personId === id && isFinished(record)),
  ).length;
  const found = filterPeople(people, { ...EVERYBODY, text }, participations);
  return (
    <Box
      sx={{
        position: { md: "sticky" },
        top: 12,
        maxHeight: { xs: 260, md: "calc(100dvh - 24px)" },
        display: "grid",
        gridTemplateRows: "auto auto minmax(0, 1fr)",
        gap: 1,
      }}
    >
      <Box
        role="progressbar"
        aria-label={t("Measured or held out")}
        aria-valuemin={0}
        aria-valuemax={people.length}
        aria-valuenow={done}
        sx={{ height: 12, borderRadius: 1, bgcolor: "line", overflow: "hidden" }}
      >
        <Box className="keeps-colour" sx={{ width: `${(done / people.length) * 100}%`, height: "100%", bgcolor: "primary.main" }} />
      </Box>
      {people.length > SEARCHED_FROM ? (
        <TextField
          type="search"
          placeholder={t("Name or badge")}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && found[0]) onChoose(found[0].id);
          }}
          slotProps={{ htmlInput: { "aria-label": t("Find a person") } }}
        />
      ) : (
        <span />
      )}
      <Box component="ul" aria-label={t("People of this round")} sx={{ listStyle: "none", m: 0, p: 0, overflowY: "auto" }}>
        {found.map((person) => {
          const record = entries.find((each) => each.personId === person.id)?.record ?? emptyRecord();
          const heldOut = participations.get(person.id)?.heldOut;
          const [Icon, state] = heldOut
            ? [Ban, t("held out")]
            : isFinished(record)
              ? [Check, "measured"]
              : isEmpty(record)
                ? [Circle, t("not begun")]
                : [CircleDot, "begun"];
          return (
            <li key={person.id}>
              <ButtonBase
                onClick={() => onChoose(person.id)}
                aria-current={person.id === chosen}
                sx={{
                  width: "100%",
                  justifyContent: "flex-start",
                  textAlign: "left",
                  gap: 1,
                  px: 1,
                  minHeight: 46,
                  borderRadius: 2,
                  lineHeight: 1.15,
                  fontWeight: person.id === chosen ? 750 : 500,
                  bgcolor: person.id === chosen ? "primary.light" : "transparent",
                }}
              >
                <Box
                  component="span"
                  role="img"
                  aria-label={state}
                  sx={{ display: "grid", color: heldOut ? "error.main" : isFinished(record) ? "primary.main" : "text.secondary" }}
                >
                  <Icon size={19} />
                </Box>
                {person.name}
              </ButtonBase>
            </li>
          );
        })}
      </Box>
    </Box>
  );
}
