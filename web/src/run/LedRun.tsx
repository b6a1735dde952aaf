/** A session from before its first count to what came of it: who is there, the run itself, how hard it was. */
import { useColorScheme } from "@mui/material/styles";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { workingDayAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { languageOf } from "@kind-grip/core/language";
import { shortVersion } from "@kind-grip/core/run";
import { FULL_PARTICIPATION, itemsLeftOut, notHeldOut, sessionWithin, type Participations } from "@kind-grip/core/safety";
import { compileGroup, type Session } from "@kind-grip/core/session";
import { serverApi, useOwner } from "../base/api";
import { useLibrary, useWordsIn } from "../base/library";
import { practiceNow, useNow } from "../base/now";
import { t } from "../base/words";
import { useTabTitle } from "../parts/PageTitle";
import { quickTestApi } from "../quicktest/api";
import type { QuickReadings } from "../quicktest/quick-readings";
import { useParticipations } from "../safety/use-participations";
import { BeforeRun } from "./BeforeRun";
import { FinishRun } from "./FinishRun";
import { LeadScreen } from "./LeadScreen";
import { useWhoStopped } from "./outbox";
import { useArrivals, useOwnAnswers } from "./own-answers";
import { useRunLanguages } from "./run-languages";
import type { RunUnderWay } from "./run-store";
import { useSoundChoice } from "./sound-choice";
import { useAwakeScreen } from "./use-awake-screen";
import { useRun } from "./use-run";
import { useTakenOut, withoutAny, type LeftOut } from "./use-taken-out";

export interface RunProps {
  crew: CrewEntry;
  people: PersonEntry[];
  programId: string;
  session: Session;
  /** Who may do what. */
  said: Participations;
  /** Who was not there the last time, or is excused today. */
  lastAway: ReadonlySet<string>;
}

/** What is reported on a phone reaches the screen of a run that is being led within a second. */
const WHILE_LEADING_MS = 1000;

interface RunChoices {
  resumed?: RunUnderWay;
  /** Half as long, because time is short. */
  isShort: boolean;
  onShort(short: boolean): void;
  away: ReadonlySet<string>;
  onAway(away: ReadonlySet<string>): void;
  quick: QuickReadings;
  onQuick(readings: QuickReadings): void;
}

export function LedRun({
  crew,
  people,
  programId,
  session: asWritten,
  said,
  resumed,
  isShort,
  onShort,
  away,
  onAway,
  ...readings
}: RunProps & RunChoices) {
  const { quick, onQuick } = readings;
  const quickTest = quickTestApi.useQuickTestRuleQuery(crew.id).data?.test ?? null;
  const library = useLibrary();
  const [search] = useSearchParams();
  const { data: me } = serverApi.useMeQuery();
  const now = useNow(60_000);
  const today = workingDayAt(crew.shiftPattern, crew.timeZone, now);
  // Who takes part is settled as the screen opens, so that the clock does not jump; who is taken out since then leaves the strip at once.
  const stopped = useWhoStopped(crew.id);
  const [participations] = useState(() => withoutAny(said, stopped));
  const live = useParticipations(crew.id, WHILE_LEADING_MS);
  const crewHere = useMemo(() => people.filter((person) => isHere(person, today)), [people, today]);
  // A run that goes on has everybody it had: whoever was taken out meanwhile did a part of it.
  const had = resumed?.leftOut;
  const here = useMemo(
    () => (had ? people.filter(({ id }) => had[id] !== undefined) : notHeldOut(crewHere, participations)),
    [had, people, crewHere, participations],
  );
  const written = useMemo(
    () => sessionWithin(library, resumed?.session ?? asWritten, participations),
    [library, resumed?.session, asWritten, participations],
  );
  const personIds = useMemo(() => here.map((person) => person.id), [here]);
  const short = useMemo(() => (resumed ? undefined : shortVersion(library, written, personIds)), [library, resumed, written, personIds]);
  const session = isShort && short ? short : written;
  const leftOut = useRef<LeftOut>(new Map());
  useEffect(() => {
    const atFirst = (id: string) => had?.[id] ?? itemsLeftOut(library, participations.get(id) ?? FULL_PARTICIPATION, written);
    for (const id of personIds) leftOut.current.set(id, new Set([...atFirst(id), ...(leftOut.current.get(id) ?? [])]));
  }, [library, had, participations, written, personIds]);
  const [sound, setSound] = useSoundChoice();
  // Whoever begins a run has led it, also when somebody else signs in in another tab meanwhile.
  const [owner] = useState(useOwner());
  const nowAtPractice = useCallback(() => practiceNow(me?.account ?? undefined), [me?.account]);
  const usual = languageOf(crew.language, me?.account?.language);
  const [languages, setLanguages] = useRunLanguages(crew.id, usual);
  const words = useWordsIn(languages.first);
  const besides = useWordsIn(languages.second ?? languages.first);
  const second = languages.second ? besides : null;
  const run = useRun({
    programId,
    session,
    written,
    personIds,
    away: [...away],
    leftOut,
    quick,
    participations,
    resumed,
    owner,
    practiceNow: nowAtPractice,
    sound,
    words,
  });
  const takenOut = useTakenOut({ crewId: crew.id, personIds, live, run, leftOut, practiceNow: nowAtPractice, owner });
  const placementId = search.get("placement");
  const answers = useOwnAnswers(crew.id, placementId, run.clock.status === "waiting");
  useArrivals(answers, away, onAway);
  const { mode, setMode } = useColorScheme();
  useTabTitle(t("Leading {{name}}", { name: session.name }));
  useAwakeScreen(run.clock.status === "running");

  const screen = {
    crew,
    people: here,
    participations: takenOut.participations,
    onMark: takenOut.mark,
    run,
    sound,
    onSound: setSound,
    dim: mode === "dark",
    onDim: (dim: boolean) => setMode(dim ? "dark" : "light"),
    words,
    second,
  };
  if (run.clock.status === "waiting")
    return (
      <BeforeRun
        {...screen}
        arrived={new Set(answers.keys())}
        away={away}
        onAway={onAway}
        shortSec={short && compileGroup(short, library.timings, personIds).totalSec}
        isShort={isShort}
        onShort={onShort}
        usual={usual}
        languages={languages}
        onLanguages={setLanguages}
        quick={quickTest && { test: quickTest, readings: quick, onReadings: onQuick }}
      />
    );
  if (run.clock.status === "ended")
    return (
      <FinishRun
        crew={crew}
        people={here}
        wereAway={away}
        leftOut={leftOut}
        programId={programId}
        placementId={placementId}
        run={run}
        owner={owner}
        practiceNow={nowAtPractice}
        quick={{ test: quickTest, readings: quick, onReadings: onQuick }}
      />
    );
  return <LeadScreen {...screen} people={here.filter(({ id }) => !away.has(id))} />;
}
