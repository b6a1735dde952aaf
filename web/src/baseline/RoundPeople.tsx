/** The people of a round: found by name, how far each is; where they were asked on their phones, whoever has to be seen first stands first. */
import { Box, ButtonBase, TextField, Typography } from "@mui/material";
import { Ban, Check, Circle, CircleDot } from "lucide-react";
import { useState } from "react";
import { emptyRecord, isEmpty, isFinished, SEEN_FIRST, seenFirst, type BaselineRecord, type SeenFirst } from "@kind-grip/core/baseline";
import { restrictionsCalledFor, type Participations } from "@kind-grip/core/safety";
import type { PersonEntry, RecordEntry } from "@kind-grip/core/api";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { EVERYBODY, filterPeople } from "../crew/people-filter";
import { SEEN_FIRST_NAMES } from "./seen-first-names";

/** A longer list is looked through. */
const SEARCHED_FROM = 12;

interface RoundPeopleProps {
  people: PersonEntry[];
  chosen: string;
  entries: RecordEntry[];
  participations: Participations;
  /** By what they answered, not by the crew's list. */
  bySeenFirst: boolean;
  onChoose(personId: string): void;
}

export function RoundPeople({ people, chosen, entries, participations, bySeenFirst, onChoose }: RoundPeopleProps) {
  const [text, setText] = useState("");
  const recordOf = (personId: string) => entries.find((each) => each.personId === personId)?.record ?? emptyRecord();
  const done = people.filter(({ id }) => participations.get(id)?.heldOut || isFinished(recordOf(id))).length;
  const found = filterPeople(people, { ...EVERYBODY, text }, participations);
  const groups = bySeenFirst
    ? SEEN_FIRST.map((first) => ({
        first,
        members: found.filter(({ id }) => seenFirst(recordOf(id), participations.get(id)?.heldOut) === first),
      }))
    : [{ first: null, members: found }];
  const [best] = groups.flatMap(({ members }) => members);
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
            if (event.key === "Enter" && best) onChoose(best.id);
          }}
          slotProps={{ htmlInput: { "aria-label": t("Find a person") } }}
        />
      ) : (
        <span />
      )}
      <Box role="group" aria-label={t("People of this round")} sx={{ overflowY: "auto" }}>
        {groups
          .filter(({ members }) => members.length > 0)
          .map(({ first, members }) => (
            <Box key={first} component="section" aria-label={first ? SEEN_FIRST_NAMES[first] : undefined} sx={{ mb: first ? 1.5 : 0 }}>
              {first && <GroupHead first={first} count={members.length} />}
              <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
                {members.map((person) => (
                  <PersonRow
                    key={person.id}
                    person={person}
                    record={recordOf(person.id)}
                    heldOut={participations.get(person.id)?.heldOut ?? false}
                    chosen={person.id === chosen}
                    withReasons={first !== null}
                    onChoose={() => onChoose(person.id)}
                  />
                ))}
              </Box>
            </Box>
          ))}
      </Box>
    </Box>
  );
}

const URGENT: readonly SeenFirst[] = ["emergency", "stop"];

function GroupHead({ first, count }: { first: SeenFirst; count: number }) {
  return (
    <Typography
      component="h3"
      sx={{
        fontSize: "0.95rem",
        fontWeight: 750,
        px: 1,
        py: 0.5,
        borderBottom: "2px solid",
        borderColor: URGENT.includes(first) ? "error.main" : "line",
        color: URGENT.includes(first) ? "error.main" : "text.secondary",
        display: "flex",
        justifyContent: "space-between",
      }}
    >
      <span>{SEEN_FIRST_NAMES[first]}</span>
      <span>{count}</span>
    </Typography>
  );
}

interface PersonRowProps {
  person: PersonEntry;
  record: BaselineRecord;
  heldOut: boolean;
  chosen: boolean;
  withReasons: boolean;
  onChoose(): void;
}

function PersonRow({ person, record, heldOut, chosen, withReasons, onChoose }: PersonRowProps) {
  const words = useWords();
  const [Icon, state] = heldOut
    ? [Ban, t("held out")]
    : isFinished(record)
      ? [Check, t("measured")]
      : isEmpty(record)
        ? [Circle, t("not begun")]
        : [CircleDot, t("begun")];
  const reasons = withReasons
    ? [
        ...restrictionsCalledFor(record.safety, record.symptoms).map((id) => words.safety(id).short),
        ...record.symptoms.map(({ region, level }) => `${words.label("place", region)} ${level}`),
      ]
    : [];
  return (
    <li>
      <ButtonBase
        onClick={onChoose}
        aria-current={chosen}
        sx={{
          width: "100%",
          justifyContent: "flex-start",
          textAlign: "left",
          gap: 1,
          px: 1,
          py: 0.5,
          minHeight: 46,
          borderRadius: 2,
          lineHeight: 1.15,
          fontWeight: chosen ? 750 : 500,
          bgcolor: chosen ? "primary.light" : "transparent",
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
        <span>
          {person.name}
          {reasons.length > 0 && (
            <Box component="span" sx={{ display: "block", fontSize: "0.85rem", fontWeight: 500, color: "text.secondary" }}>
              {reasons.join(" · ")}
            </Box>
          )}
        </span>
      </ButtonBase>
    </li>
  );
}
