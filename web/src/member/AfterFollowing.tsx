/** After a session was followed alone: how hard it was, marks, and the record that is put away. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { OctagonX, X } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";
import type { CountedBout } from "@kind-grip/core/meter";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { itemsDone, MARKS, type MarkKind, type RunRecord } from "@kind-grip/core/run";
import { useWords } from "../base/library";
import { CountedList } from "../meter/CountedList";
import { Toggle } from "../parts/Toggle";
import { ZeroToTen } from "../parts/ZeroToTen";
import { quickResult, type QuickReadings } from "../quicktest/quick-readings";
import { dropUnderWay } from "../run/run-store";
import type { useRun } from "../run/use-run";
import { PhoneTitle } from "./PhoneFrame";
import { QuickAsk } from "./QuickAsk";
import { putAway } from "./phone-store";

interface AfterFollowingProps {
  entry: MemberSession;
  day: MemberDay;
  run: ReturnType<typeof useRun>;
  now(): number;
  /** The quick test, what it read before, and where the second reading goes. */
  quick: { test: QuickTest | null; readings: QuickReadings[string]; onReadings(readings: QuickReadings[string]): void };
  /** What the phone in the hand counted. */
  counted: readonly CountedBout[];
}

export function AfterFollowing({ entry, day, run, now, quick, counted }: AfterFollowingProps) {
  const words = useWords();
  const navigate = useNavigate();
  const items = itemsDone(run.session, run.timeline, run.clock.played, run.written);
  const stoppedAt = run.position && run.atSec < run.timeline.totalSec - 1 ? run.position.segment : undefined;
  const [effort, setEffort] = useState<number | null>(null);
  const [marks, setMarks] = useState<MarkKind[]>(stoppedAt ? ["stopped"] : []);
  const itemId = stoppedAt?.itemId ?? null;
  const store = async () => {
    const endedMs = now();
    const startedAt = run.startedAt ?? new Date(endedMs).toISOString();
    const record: RunRecord = {
      id: run.runId,
      crewId: day.crew.id,
      programId: entry.programId,
      placementId: entry.placementId,
      session: { ...run.session, items: run.session.items.map((item) => ({ ...item, personal: {} })) },
      startedAt,
      endedAt: new Date(Math.max(endedMs, Date.parse(startedAt))).toISOString(),
      plannedSec: run.timeline.totalSec,
      items,
      people: [
        {
          personId: day.person.id,
          present: true,
          effort,
          marks: marks.map((kind) => ({ kind, itemId })),
          forms: Object.fromEntries(
            run.session.items.flatMap((item) => (item.personal[day.person.id] ? [[item.id, item.personal[day.person.id]!.formId]] : [])),
          ),
          leftOut: [],
          quick: quickResult(quick.test, { [day.person.id]: quick.readings }, day.person.id),
          counted: counted.length === 0 ? null : [...counted],
        },
      ],
      alone: true,
    };
    await putAway({ kind: "runs", body: record }, entry.placementId);
    dropUnderWay(entry.programId, entry.session.id);
    await navigate("/me", { replace: true });
  };
  const discard = () => {
    dropUnderWay(entry.programId, entry.session.id);
    void navigate("/me", { replace: true });
  };
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: "auto", p: 2.5 }}>
      <PhoneTitle title={words.member("howHard")} lead={words.member("howHardText")}>
        <IconButton aria-label={words.member("back")} onClick={discard}>
          <X size={24} />
        </IconButton>
      </PhoneTitle>
      <ZeroToTen
        label={words.member("howHard")}
        nameOf={words.digits}
        written={words.digits}
        value={effort}
        onChange={setEffort}
        size="thumb"
      />
      {quick.test && quick.readings.before !== null && (
        <QuickAsk
          when="after"
          test={quick.test}
          before={quick.readings.before}
          value={quick.readings.after}
          onChange={(after) => quick.onReadings({ ...quick.readings, after })}
        />
      )}
      {counted.length > 0 && (
        <Box component="section" sx={{ mt: 3 }}>
          <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
            {words.member("countTitle")}
          </Typography>
          <CountedList counted={counted} session={run.session} />
        </Box>
      )}
      <Typography variant="h3" component="h2" sx={{ mt: 3, mb: 1 }}>
        {words.member("anythingElse")}
      </Typography>
      <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mb: 3 }}>
        {MARKS.map((kind) => (
          <Toggle
            key={kind}
            label={words.member(`mark.${kind}`)}
            pressed={marks.includes(kind)}
            onChange={(on) => setMarks(on ? [...marks, kind] : marks.filter((each) => each !== kind))}
          />
        ))}
      </Box>
      <Button
        variant="contained"
        fullWidth
        disabled={effort === null}
        onClick={() => void store()}
        sx={{ minHeight: 60, fontSize: "1.2rem" }}
      >
        {words.member("keep")}
      </Button>
      <Button component={Link} to="/me/tell" color="error" fullWidth startIcon={<OctagonX size={22} />} sx={{ mt: 1, minHeight: 52 }}>
        {words.member("tell")}
      </Button>
    </Box>
  );
}
