/** One person of a round: the parts to be measured, where saving stands, what means stop. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowRight, Ban, Smartphone } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { Link } from "react-router";
import { openPart, otherHandedness, PARTS, stateOf, type BaselineRecord, type Part } from "@kind-grip/core/baseline";
import { restrictionsCalledFor, consequenceOf, type Participations } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useWords } from "../base/library";
import { useTellFailure } from "../base/tell-failure";
import { crewApi } from "../crew/api";
import { HAND_NAMES } from "../crew/main-hand";
import { personOf } from "../crew/person-of";
import type { CrewEntry, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { type Meter } from "../meter/use-meter";
import { Choice } from "../parts/Choice";
import { SaveState } from "../document/SaveState";
import { FunctionPart } from "./FunctionPart";
import { GripPart } from "./GripPart";
import { RangePart } from "./RangePart";
import { SafetyPart } from "./SafetyPart";
import { SymptomPart } from "./SymptomPart";
import { usualTest } from "./usual-test";
import { useRecord } from "./use-record";

const PART_NAMES: Readonly<Record<Part, string>> = {
  safety: t("Safety"),
  symptoms: t("Symptoms"),
  range: t("Range"),
  grip: t("Grip"),
  function: t("Function"),
};

/** What is not done with somebody who is held out. */
const EXERTING: readonly Part[] = ["range", "grip", "function"];

interface PersonRecordProps {
  crew: CrewEntry;
  round: RoundEntry;
  person: PersonEntry;
  entry?: RecordEntry;
  entries: RecordEntry[];
  before?: BaselineRecord;
  participations: Participations;
  meter: Meter;
  today: string;
  nextPerson?: PersonEntry;
  onNext(personId: string): void;
}

export function PersonRecord({
  crew,
  round,
  person,
  entry,
  entries,
  before,
  participations,
  meter,
  today,
  nextPerson,
  onNext,
}: PersonRecordProps) {
  const edited = useRecord(round.id, person.id, entry);
  const record = edited.value;
  // As the person is opened: what is answered here does not turn the page.
  const [part, setPart] = useState(() => openPart(record));
  const said = restrictionsCalledFor(record.safety, record.symptoms).filter((id) => consequenceOf(id).kind === "stop");
  // At once, before the server has answered; and for as long as the server says so.
  const waiting = edited.status === "saving" && said.length > 0;
  const heldOut = (participations.get(person.id)?.heldOut ?? false) || waiting;
  const locked = heldOut && EXERTING.includes(part);
  const nextPart = PARTS[PARTS.indexOf(part) + 1];
  const partDone = heldOut && nextPart !== undefined && EXERTING.includes(nextPart);
  const go = (next: Part) => {
    setPart(next);
    scrollTo(0, 0);
  };
  return (
    <Box component="section" aria-label={person.name} sx={{ minWidth: 0 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap", mb: 1.5 }}>
        <Typography variant="h2" sx={{ fontSize: "1.7rem", flex: 1, minWidth: 180 }}>
          {person.name}
        </Typography>
        <SaveState edited={edited} what={t("the record of {{name}}", { name: person.name })} />
      </Box>
      <Box sx={{ mb: 2 }}>
        <Choice<Part>
          label={t("Part of the round")}
          value={part}
          onChange={go}
          options={PARTS.map((value) => ({
            value,
            label: PART_NAMES[value],
            note: { empty: "–", part: "begun", done: "done" }[stateOf(record, value)],
          }))}
        />
      </Box>
      <FromPhone crew={crew} person={person} record={record} />
      {edited.problems.length > 0 && (
        <Typography role="alert" sx={{ color: "error.main", mb: 2 }}>
          {edited.problems.map(({ path, message }) => `${path.replace(/^record\./, "")} ${message}`).join("; ")}
        </Typography>
      )}
      {heldOut && <HeldOutNotice crewId={crew.id} name={person.name} said={said} />}
      {locked ? (
        <Typography sx={{ fontSize: "1.1rem", maxWidth: 620 }}>
          {t("Nothing that takes effort is measured while {{name}} is held out. It is there again with a clearance.", {
            name: person.name,
          })}
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
            {t("Findings")}
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** What the person answered on their own phone, and a main hand the crew's list does not have. */
function FromPhone({ crew, person, record }: { crew: CrewEntry; person: PersonEntry; record: BaselineRecord }) {
  const told = useTellFailure();
  const [change, { isLoading }] = crewApi.useChangePersonMutation();
  if (!record.selfCheck) return null;
  const hand = otherHandedness(record, person.handedness);
  return (
    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
      <Smartphone size={22} aria-hidden />
      <Typography>
        {t("Safety and symptoms answered on their phone, {{when}}.", {
          when: dateText(DateTime.fromISO(record.selfCheck.at, { zone: crew.timeZone }), "d LLL HH:mm"),
        })}
        {hand && ` ${t("Main hand, they say: {{hand}}.", { hand: HAND_NAMES[hand] })}`}
      </Typography>
      {hand && (
        <Button
          variant="outlined"
          disabled={isLoading}
          onClick={() =>
            void told(
              change({
                crewId: crew.id,
                personId: person.id,
                version: person.version,
                person: { ...personOf(person), handedness: hand },
              }),
            )
          }
        >
          {t("Take it over")}
        </Button>
      )}
    </Box>
  );
}

function HeldOutNotice({ crewId, name, said }: { crewId: string; name: string; said: ReturnType<typeof restrictionsCalledFor> }) {
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
        <Typography sx={{ fontWeight: 800, fontSize: "1.2rem" }}>{t("{{name}} is held out of everything", { name })}</Typography>
        {emergency && (
          <Typography sx={{ color: "error.main", fontWeight: 750, fontSize: "1.1rem" }}>{words.referral("emergency")}</Typography>
        )}
        <Typography>{words.referral("stopNow")}</Typography>
      </Box>
      <Button component={Link} to={`/crews/${crewId}/people/held-out`} variant="contained">
        {t("Referral note and clearance")}
      </Button>
    </Box>
  );
}
