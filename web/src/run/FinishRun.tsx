/** After a run: who was there, effort with one tap each, marks. Kept in the browser until the server has confirmed it. */
import { Box, Button, Typography } from "@mui/material";
import { useState, type RefObject } from "react";
import { useNavigate } from "react-router";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { itemsDone, type MarkKind, type RunRecord } from "@kind-grip/core/run";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { PageTitle } from "../parts/PageTitle";
import { MeterPanel } from "../meter/MeterPanel";
import { useMeter } from "../meter/use-meter";
import { quickResult, withReading, type QuickReadings } from "../quicktest/quick-readings";
import { FinishRow } from "./FinishRow";
import { putRun } from "./outbox";
import { useOwnAnswers, usePhonesAsk } from "./own-answers";
import { dropUnderWay } from "./run-store";
import type { useRun } from "./use-run";
import { ZeroToTen } from "../parts/ZeroToTen";

interface FinishRunProps {
  /** Whoever led it: the record is theirs, whoever is signed in when it is sent. */
  owner: string;
  crew: CrewEntry;
  people: PersonEntry[];
  /** Who was not here, by the roll call before it. */
  wereAway?: ReadonlySet<string>;
  /** Person id → items they did not do. */
  leftOut: RefObject<ReadonlyMap<string, ReadonlySet<string>>>;
  programId: string;
  placementId: string | null;
  run: ReturnType<typeof useRun>;
  practiceNow(): number;
  quick?: { test: QuickTest | null; readings: QuickReadings; onReadings(readings: QuickReadings): void };
}

const NOBODY: ReadonlySet<string> = new Set();

/** Whoever was marked first, whoever was not here last. */
const placeIn = (marks: readonly { personId: string }[], away: ReadonlySet<string>, { id }: PersonEntry): number =>
  away.has(id) ? 2 : marks.some(({ personId }) => personId === id) ? 0 : 1;

export function FinishRun({ crew, people: all, wereAway = NOBODY, leftOut, ...props }: FinishRunProps) {
  const { programId, placementId, run, owner, practiceNow, quick } = props;
  const quickTest = quick?.test ?? null;
  const readings = quick?.readings ?? {};
  const [away, setAway] = useState(wereAway);
  const answers = useOwnAnswers(crew.id, placementId, true);
  usePhonesAsk(crew.id, placementId);
  /** What was said of one alone, and of all others: said again for all, it leaves the one as they are. */
  const [own, setOwn] = useState<Record<string, number>>({});
  const [common, setCommon] = useState<number | null>(null);
  const [marks, setMarks] = useState(run.marks);
  const meter = useMeter();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  // What needs a look stands first, and stays where it was when it is answered.
  const [people] = useState(() => [...all].sort((a, b) => placeIn(run.marks, wereAway, a) - placeIn(run.marks, wereAway, b)));
  const items = itemsDone(run.session, run.timeline, run.clock.played, run.written);
  const done = items.filter((item) => item.status === "done").length;
  const present = people.filter((person) => !away.has(person.id));
  /** What was tapped here for them, what their phone said, what all others got. */
  const effortOf = (personId: string): number | null => own[personId] ?? answers.get(personId) ?? common;
  const answered = present.filter((person) => effortOf(person.id) !== null).length;

  const setPresent = (personId: string, here: boolean) => {
    const next = new Set(away);
    if (here) next.delete(personId);
    else next.add(personId);
    setAway(next);
  };
  const setMark = (personId: string, kind: MarkKind, on: boolean) =>
    setMarks(on ? [...marks, { personId, kind, itemId: null }] : marks.filter((mark) => mark.personId !== personId || mark.kind !== kind));

  const store = () => {
    const endedMs = practiceNow();
    const startedAt = run.startedAt ?? new Date(endedMs).toISOString();
    const record: RunRecord = {
      id: run.runId,
      crewId: crew.id,
      programId,
      placementId,
      session: run.session,
      startedAt,
      endedAt: new Date(Math.max(endedMs, Date.parse(startedAt))).toISOString(),
      plannedSec: run.timeline.totalSec,
      items,
      alone: false,
      people: all.map((person) => ({
        personId: person.id,
        present: !away.has(person.id),
        effort: away.has(person.id) ? null : effortOf(person.id),
        marks: marks.filter((mark) => mark.personId === person.id).map(({ kind, itemId }) => ({ kind, itemId })),
        forms: Object.fromEntries(
          run.session.items.flatMap((item) => (item.personal[person.id] ? [[item.id, item.personal[person.id]!.formId]] : [])),
        ),
        leftOut: run.session.items.map(({ id }) => id).filter((id) => leftOut.current.get(person.id)?.has(id)),
        counted: null,
        quick: away.has(person.id) ? null : quickResult(quickTest, readings, person.id),
      })),
    };
    putRun(record, owner);
    dropUnderWay(programId, run.session.id);
    dispatch(
      notify({
        text: t("{{name}} is kept: {{count}} people, efforts of {{answered}}.", {
          name: run.session.name,
          count: present.length,
          answered,
          defaultValue_one: "{{name}} is kept: {{count}} person, efforts of {{answered}}.",
        }),
      }),
    );
    void navigate("/today");
  };
  const discard = () => {
    dropUnderWay(programId, run.session.id);
    void navigate("/today");
  };

  return (
    <Box sx={{ maxWidth: 1180, mx: "auto", px: { xs: 2, md: 4 }, pt: 3, pb: 12 }}>
      <PageTitle
        title={t("How hard was it?")}
        lead={t(
          "{{name}} · {{done}} of {{count}} items done · {{time}} of work. 0 is no effort, 10 the most one can do. Tap a name that was not here.",
          {
            name: run.session.name,
            done,
            count: items.length,
            defaultValue_one:
              "{{name}} · {{done}} of {{count}} item done · {{time}} of work. 0 is no effort, 10 the most one can do. Tap a name that was not here.",
            time: durationText(items.reduce((sum, item) => sum + item.doneSec, 0)),
          },
        )}
      />
      {quickTest === "grip" && present.some(({ id }) => readings[id]?.before != null) && <MeterPanel meter={meter} />}
      {present.length > 1 && (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "1fr", md: "210px 1fr" },
            columnGap: 2,
            rowGap: 1,
            alignItems: "center",
            py: 1.25,
            mb: 1,
            borderBlock: "2px solid",
            borderColor: "primary.main",
          }}
        >
          <Typography sx={{ fontWeight: 700, fontSize: "1.1rem" }}>{t("All who did not say")}</Typography>
          <Box sx={{ display: "flex" }}>
            <ZeroToTen
              label={t("Effort of all who did not say")}
              nameOf={(effort) => t("All: {{effort}}", { effort })}
              value={common}
              onChange={setCommon}
            />
          </Box>
        </Box>
      )}
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {people.map((person) => (
          <FinishRow
            key={person.id}
            person={person}
            here={!away.has(person.id)}
            onHere={(here) => setPresent(person.id, here)}
            effort={effortOf(person.id)}
            saidOnPhone={own[person.id] === undefined && answers.get(person.id) != null}
            onEffort={(effort) => setOwn({ ...own, [person.id]: effort })}
            marks={marks.flatMap(({ personId, kind }) => (personId === person.id ? [kind] : []))}
            onMark={(kind, on) => setMark(person.id, kind, on)}
            quick={
              quick && quickTest && readings[person.id]
                ? {
                    test: quickTest,
                    reading: readings[person.id]!,
                    onAfter: (value) => quick.onReadings(withReading(readings, person.id, "after", value)),
                    meter,
                  }
                : null
            }
          />
        ))}
      </Box>
      <Box
        sx={{
          position: "fixed",
          left: 0,
          right: 0,
          bottom: 0,
          bgcolor: "background.default",
          borderTop: "2px solid",
          borderColor: "line",
          py: 1.5,
          px: 4,
          display: "flex",
          justifyContent: "center",
          alignItems: "center",
          gap: 2,
          flexWrap: "wrap",
        }}
      >
        <Typography>{t("{{present}} here, efforts of {{answered}}", { present: present.length, answered })}</Typography>
        <Button variant="contained" size="large" onClick={store} sx={{ minHeight: 56, px: 4, fontSize: "1.15rem" }}>
          {t("Keep this run")}
        </Button>
        <Button onClick={discard}>{t("It did not happen")}</Button>
      </Box>
    </Box>
  );
}
