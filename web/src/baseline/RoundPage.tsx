/** A measuring round, made for one hand on a tablet: people on the left, one person's parts on the right, stop anywhere and go on later. */
import { Box, Button, ButtonBase, Typography } from "@mui/material";
import { ArrowRight, Ban, BarChart3, Check, Circle, CircleDot } from "lucide-react";
import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { isHere } from "@kind-grip/core/crew";
import { emptyRecord, isEmpty, isFinished, PARTS, stateOf, type BaselineRecord, type Part } from "@kind-grip/core/baseline";
import { dateAt } from "@kind-grip/core/calendar";
import { holdsCalledFor, consequenceOf, type Participations } from "@kind-grip/core/safety";
import { useWords } from "../base/library";
import type { CrewEntry, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { crewApi } from "../crew/api";
import { baselineApi } from "./api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { MeterPanel } from "../meter/MeterPanel";
import { useMeter, type Meter } from "../meter/use-meter";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SaveState } from "../document/SaveState";
import { useParticipations } from "../safety/use-participations";
import { FunctionPart } from "./FunctionPart";
import { GripPart } from "./GripPart";
import { RangePart } from "./RangePart";
import { SafetyPart } from "./SafetyPart";
import { SymptomPart } from "./SymptomPart";
import { usualTest } from "./usual-test";
import { useRecord } from "./use-record";

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
                  <Empty title="There is no such round" />
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

const PART_NAMES: Readonly<Record<Part, string>> = {
  safety: "Safety",
  symptoms: "Symptoms",
  range: "Range",
  grip: "Grip",
  function: "Function",
};
/** What is not done with somebody who is held out. */
const EXERTING: readonly Part[] = ["range", "grip", "function"];

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
  if (!person) return <Empty title="Nobody to measure" text="Bring in the crew's people first." />;
  const measured = people.filter(({ id }) => recordOf(id) && isFinished(recordOf(id)!.record)).length;
  const held = people.filter(({ id }) => participations.get(id)?.heldOut).length;
  const index = people.indexOf(person);
  const nextPerson = [...people.slice(index + 1), ...people.slice(0, index)].find(({ id }) => !isDone(id));
  return (
    <>
      <PageTitle
        title={round.name}
        lead={`${measured} of ${people.length} measured${held > 0 ? `, ${held} held out` : ""}${round.closed ? ". This round is closed." : ""}`}
      >
        <MeterPanel meter={meter} />
        <Button component={Link} to="findings" variant="outlined" startIcon={<BarChart3 size={20} />}>
          Findings
        </Button>
      </PageTitle>
      <Box sx={{ display: "grid", gridTemplateColumns: { md: "212px minmax(0, 1fr)" }, columnGap: 4, rowGap: 2, alignItems: "start" }}>
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

interface PeopleListProps {
  people: PersonEntry[];
  chosen: string;
  entries: RecordEntry[];
  participations: Participations;
  onChoose(personId: string): void;
}

function PeopleList({ people, chosen, entries, participations, onChoose }: PeopleListProps) {
  return (
    <Box
      component="ul"
      aria-label="People of this round"
      sx={{
        listStyle: "none",
        m: 0,
        p: 0,
        position: { md: "sticky" },
        top: 12,
        maxHeight: { md: "calc(100vh - 24px)" },
        overflowY: "auto",
      }}
    >
      {people.map((person) => {
        const record = entries.find((each) => each.personId === person.id)?.record ?? emptyRecord();
        const heldOut = participations.get(person.id)?.heldOut;
        const [Icon, state] = heldOut
          ? [Ban, "held out"]
          : isFinished(record)
            ? [Check, "measured"]
            : isEmpty(record)
              ? [Circle, "not begun"]
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
  );
}

interface PersonRecordProps {
  crew: CrewEntry;
  round: RoundEntry;
  person: PersonEntry;
  entry?: RecordEntry;
  entries: RecordEntry[];
  before?: BaselineRecord;
  participations: Participations;
  part: Part;
  onPart(part: Part): void;
  meter: Meter;
  today: string;
  nextPerson?: PersonEntry;
  onNext(personId: string): void;
}

function PersonRecord({
  crew,
  round,
  person,
  entry,
  entries,
  before,
  participations,
  part,
  onPart,
  meter,
  today,
  nextPerson,
  onNext,
}: PersonRecordProps) {
  const edited = useRecord(round.id, person.id, entry);
  const record = edited.value;
  const said = holdsCalledFor(record.safety, record.symptoms).filter((id) => consequenceOf(id).kind === "stop");
  // At once, before the server has answered; and for as long as the server says so.
  const waiting = edited.status === "saving" && said.length > 0;
  const heldOut = (participations.get(person.id)?.heldOut ?? false) || waiting;
  const locked = heldOut && EXERTING.includes(part);
  const nextPart = PARTS[PARTS.indexOf(part) + 1];
  const partDone = heldOut && nextPart !== undefined && EXERTING.includes(nextPart);
  const go = (next: Part) => {
    onPart(next);
    scrollTo(0, 0);
  };
  return (
    <Box component="section" aria-label={person.name} sx={{ minWidth: 0 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1.5 }}>
        <Typography variant="h2" sx={{ fontSize: "1.7rem", flex: 1, minWidth: 180 }}>
          {person.name}
        </Typography>
        <SaveState edited={edited} what={`the record of ${person.name}`} />
      </Box>
      <Box sx={{ mb: 2 }}>
        <Choice<Part>
          label="Part of the round"
          value={part}
          onChange={go}
          options={PARTS.map((value) => ({
            value,
            label: PART_NAMES[value],
            note: { empty: "–", part: "begun", done: "done" }[stateOf(record, value)],
          }))}
        />
      </Box>
      {edited.problems.length > 0 && (
        <Typography role="alert" sx={{ color: "error.main", mb: 2 }}>
          {edited.problems.map(({ path, message }) => `${path.replace(/^record\./, "")} ${message}`).join("; ")}
        </Typography>
      )}
      {heldOut && <HeldOutNotice crewId={crew.id} name={person.name} said={said} />}
      {locked ? (
        <Typography sx={{ fontSize: "1.1rem", maxWidth: 620 }}>
          Nothing that takes effort is measured while {person.name} is held out. It is there again with a clearance.
        </Typography>
      ) : (
        <>
          {part === "safety" && <SafetyPart edited={edited} />}
          {part === "symptoms" && <SymptomPart edited={edited} today={today} />}
          {part === "range" && <RangePart edited={edited} before={before} meter={meter} />}
          {part === "grip" && <GripPart edited={edited} meter={meter} handedness={person.handedness} />}
          {part === "function" && <FunctionPart edited={edited} usual={usualTest(crew.trade, entries)} />}
        </>
      )}
      <Box
        sx={{
          position: "sticky",
          bottom: 0,
          bgcolor: "background.default",
          borderTop: "2px solid",
          borderColor: "line",
          mt: 3,
          py: 1.5,
          display: "flex",
          gap: 1.5,
          justifyContent: "flex-end",
          flexWrap: "wrap",
          zIndex: 2,
        }}
      >
        {nextPart && !partDone && (
          <Button variant="contained" size="large" endIcon={<ArrowRight size={20} />} onClick={() => go(nextPart)}>
            {PART_NAMES[nextPart]}
          </Button>
        )}
        {nextPerson && (
          <Button
            variant={nextPart && !partDone ? "outlined" : "contained"}
            size="large"
            endIcon={<ArrowRight size={20} />}
            onClick={() => onNext(nextPerson.id)}
          >
            {nextPerson.name}
          </Button>
        )}
        {!nextPerson && !nextPart && (
          <Button component={Link} to="findings" variant="contained" size="large" endIcon={<ArrowRight size={20} />}>
            Findings
          </Button>
        )}
      </Box>
    </Box>
  );
}

function HeldOutNotice({ crewId, name, said }: { crewId: string; name: string; said: ReturnType<typeof holdsCalledFor> }) {
  const words = useWords();
  const emergency = said.map(consequenceOf).some((question) => question.kind === "stop" && question.emergency);
  return (
    <Box
      role="alert"
      sx={{
        display: "flex",
        gap: 2,
        alignItems: "center",
        flexWrap: "wrap",
        borderLeft: "8px solid",
        borderColor: "error.main",
        bgcolor: "background.paper",
        px: 2,
        py: 1.5,
        mb: 2,
      }}
    >
      <Ban size={34} aria-hidden />
      <Box sx={{ flex: 1, minWidth: 240 }}>
        <Typography sx={{ fontWeight: 800, fontSize: "1.2rem" }}>{name} is held out of everything</Typography>
        {emergency && (
          <Typography sx={{ color: "error.main", fontWeight: 750, fontSize: "1.1rem" }}>{words.referral("emergency")}</Typography>
        )}
        <Typography>{words.referral("stopNow")}</Typography>
      </Box>
      <Button component={Link} to={`/crews/${crewId}/people/held-out`} variant="contained">
        Referral note and clearance
      </Button>
    </Box>
  );
}
