/** The record of one run: what was done, who was there, how it felt. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft } from "lucide-react";
import { partition } from "es-toolkit";
import { DateTime } from "luxon";
import { Link, useParams } from "react-router";
import type { Absence, CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { workingDayAt } from "@kind-grip/core/calendar";
import type { RunRecord } from "@kind-grip/core/run";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { runApi } from "./api";
import { crewApi } from "../crew/api";
import { useWords } from "../base/library";
import { useCrew } from "../crew/CrewFrame";
import { CountedList } from "../meter/CountedList";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { EffortBar } from "./RunsPage";
import { MARK_NAMES } from "./mark-names";

const STATUS = { done: t("done"), part: t("in part"), skipped: t("skipped") } as const;

export default function RunRecordPage() {
  const { runId } = useParams();
  const crew = useCrew();
  const query = runApi.useRunQuery(runId!);
  const people = crewApi.usePeopleQuery(crew.id);
  const absences = crewApi.useAbsencesQuery(crew.id);
  // Nobody is called removed, or away who was excused, while it is not known who is there.
  return (
    <Loaded query={query}>
      {(run) => (
        <Loaded query={people}>
          {(list) => <Loaded query={absences}>{(excused) => <Sheet crew={crew} run={run} people={list} absences={excused} />}</Loaded>}
        </Loaded>
      )}
    </Loaded>
  );
}

interface SheetProps {
  crew: CrewEntry;
  run: RunRecord;
  people: readonly PersonEntry[];
  absences: readonly Absence[];
}

function Sheet({ crew, run, people, absences }: SheetProps) {
  const words = useWords();
  const nameOf = (personId: string) => people.find((person) => person.id === personId)?.name ?? t("Somebody who was removed");
  const there = run.people.filter((person) => person.present).sort((a, b) => nameOf(a.personId).localeCompare(nameOf(b.personId)));
  const day = workingDayAt(crew.shiftPattern, crew.timeZone, Date.parse(run.startedAt));
  const isExcused = (id: string) => absences.some(({ personId, from, until }) => personId === id && from <= day && day <= until);
  const [excused, away] = partition(
    run.people.filter((person) => !person.present),
    ({ personId }) => isExcused(personId),
  ).map((list) => list.map(({ personId }) => nameOf(personId))) as [string[], string[]];
  const movementAt = (itemId: string | null) => run.items.find((item) => item.itemId === itemId)?.movementId;
  return (
    <>
      <Button component={Link} to={`/crews/${crew.id}/runs`} startIcon={<ArrowLeft size={18} />} sx={{ ml: -1.5, mb: 1 }}>
        {t("Runs")}
      </Button>
      <PageTitle
        title={run.session.name}
        lead={t("{{date}} · planned {{time}}, took {{time2}}", {
          date: dateText(DateTime.fromISO(run.startedAt, { zone: crew.timeZone }), "cccc d LLLL yyyy, HH:mm"),
          time: durationText(run.plannedSec),
          time2: durationText((Date.parse(run.endedAt) - Date.parse(run.startedAt)) / 1000),
        })}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1fr 1.3fr" }, columnGap: 8, rowGap: 4 }}>
        <Box>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {t("What was done")}
          </Typography>
          {run.items.map((item, i) => (
            <Box
              key={item.itemId}
              sx={{
                display: "grid",
                gridTemplateColumns: "32px minmax(0, 1fr) auto",
                py: 0.75,
                borderTop: "1px solid",
                borderColor: "line",
                color: item.status === "skipped" ? "text.secondary" : "text.primary",
              }}
            >
              <strong>{i + 1}</strong>
              <span>{words.movementName(item.movementId)}</span>
              <Box
                component="span"
                sx={{ color: item.status === "done" ? "text.secondary" : "warm.dark", fontWeight: item.status === "done" ? 400 : 650 }}
              >
                {STATUS[item.status]}, {durationText(item.doneSec)}
              </Box>
            </Box>
          ))}
        </Box>
        <Box>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {t("Who was there: {{there}} of {{people}}", { there: there.length, people: run.people.length - excused.length })}
          </Typography>
          {there.map((person) => (
            <Box
              key={person.personId}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0, 1.2fr) minmax(0, 1fr)", sm: "200px 170px 1fr" },
                alignItems: "center",
                py: 0.5,
                borderTop: "1px solid",
                borderColor: "line",
              }}
            >
              <strong>{nameOf(person.personId)}</strong>
              <EffortBar effort={person.effort} />
              <Typography sx={{ color: "warm.dark", lineHeight: 1.25 }}>
                {person.marks
                  .map(
                    (mark) =>
                      `${MARK_NAMES[mark.kind]}${movementAt(mark.itemId) ? ` (${words.movementName(movementAt(mark.itemId)!).toLowerCase()})` : ""}`,
                  )
                  .join(", ")}
              </Typography>
            </Box>
          ))}
          {there.map(
            ({ personId, counted }) =>
              counted && (
                <Box component="section" key={personId} sx={{ mt: 3 }}>
                  <Typography variant="h3" sx={{ mb: 0.5 }}>
                    {t("Counted with the phone in the hand: {{name}}", { name: nameOf(personId) })}
                  </Typography>
                  <CountedList counted={counted} session={run.session} />
                </Box>
              ),
          )}
          {away.length > 0 && (
            <Typography sx={{ mt: 1.5, color: "text.secondary" }}>{t("Away: {{away}}", { away: away.join(", ") })}</Typography>
          )}
          {excused.length > 0 && (
            <Typography sx={{ mt: 1.5, color: "text.secondary" }}>{t("Excused: {{names}}", { names: excused.join(", ") })}</Typography>
          )}
        </Box>
      </Box>
    </>
  );
}
