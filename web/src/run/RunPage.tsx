/** Leading a session, full screen: before it, during it, after it. */
import { Box, Button } from "@mui/material";
import { useColorScheme } from "@mui/material/styles";
import { useCallback, useMemo, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { isHere } from "@kind-grip/core/crew";
import { dateAt, shiftsAround, workingDay } from "@kind-grip/core/calendar";
import { sessionOn } from "@kind-grip/core/program";
import { notHeldOut, sessionWithin, type Participations } from "@kind-grip/core/safety";
import { shortVersion } from "@kind-grip/core/run";
import { compileGroup, type Session } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { practiceNow, useNow } from "../base/now";
import { languageOf } from "@kind-grip/core/language";
import { useLibrary, useWordsIn } from "../base/library";
import { useRunLanguages } from "./run-languages";
import type { CrewEntry, LastPresence, PersonEntry, Today } from "@kind-grip/core/api";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { runApi } from "./api";
import { todayApi } from "../today/api";
import { programApi } from "../program/api";
import { rampsFrom } from "../program/use-ramps";
import { crewApi } from "../crew/api";
import { serverApi, useOwner } from "../base/api";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import { useTabTitle } from "../parts/PageTitle";
import { quickTestApi } from "../quicktest/api";
import type { QuickReadings } from "../quicktest/quick-readings";
import { BeforeRun } from "./BeforeRun";
import { FinishRun } from "./FinishRun";
import { LeadScreen } from "./LeadScreen";
import { dropUnderWay, underWay, type RunUnderWay } from "./run-store";
import { useSoundChoice } from "./sound-choice";
import { participationsFrom, useParticipationQuery, useParticipations } from "../safety/use-participations";
import { useAwakeScreen } from "./use-awake-screen";
import { useArrivals, useOwnAnswers } from "./own-answers";
import { useRun } from "./use-run";
import { useTakenOut } from "./use-taken-out";

export default function RunPage() {
  const library = useLibrary();
  const { crewId, programId, sessionId } = useParams();
  const crew = crewApi.useCrewQuery(crewId!);
  const people = crewApi.usePeopleQuery(crewId!);
  const program = programApi.useProgramQuery(programId!);
  const participation = useParticipationQuery(crewId!);
  const presence = runApi.useLastPresenceQuery(crewId!);
  const ramps = crewApi.useRampsQuery(crewId!, { refetchOnMountOrArgChange: true });
  const now = useNow(60_000);
  const [search] = useSearchParams();
  const placement = search.get("placement");
  // A session placed for a group is led for that group.
  const today = todayApi.useTodayQuery(undefined, { skip: !placement });
  return (
    <Loaded query={crew}>
      {(crewEntry) => (
        <Loaded query={people}>
          {(list) => (
            <Loaded query={program}>
              {(entry) => {
                const written = entry.program.sessions.find((each) => each.id === sessionId);
                return written && written.items.length > 0 ? (
                  <Loaded query={participation}>
                    {(said) => (
                      <Loaded query={ramps}>
                        {(onTheWay) =>
                          (placement && !today.data && !today.error) || (!presence.data && !presence.error) ? (
                            <Loading />
                          ) : (
                            <Resume
                              key={written.id}
                              crew={crewEntry}
                              people={groupOf(list, today.data, placement)}
                              programId={entry.id}
                              session={sessionOn(library, entry.program, written, workingDayNow(crewEntry, now), rampsFrom(onTheWay))}
                              said={participationsFrom(said)}
                              lastAway={awayOf(presence.data, now)}
                            />
                          )
                        }
                      </Loaded>
                    )}
                  </Loaded>
                ) : (
                  <Box sx={{ p: 4 }}>
                    <Empty title={t("This session has nothing to lead")} text={t("It was taken out of its program, or has no items yet.")}>
                      <Button component={Link} to={`/crews/${crewId}/program/${programId}`} variant="contained">
                        {t("Open the program")}
                      </Button>
                    </Empty>
                  </Box>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function groupOf(people: PersonEntry[], today: Today | undefined, placementId: string | null): PersonEntry[] {
  const group = today?.entries.find((each) => each.placementId === placementId)?.groupPeople;
  return group ? people.filter(({ id }) => group.includes(id)) : people;
}

/** Whoever was away within this much is likely to be away still. */
const SAME_DAYS_MS = 4 * 86_400_000;

function awayOf(presence: LastPresence | undefined, now: number): ReadonlySet<string> {
  const recent = presence?.startedAt && now - Date.parse(presence.startedAt) < SAME_DAYS_MS;
  return new Set(recent ? presence.absent : []);
}

interface RunProps {
  crew: CrewEntry;
  people: PersonEntry[];
  programId: string;
  session: Session;
  /** Who may do what. */
  said: Participations;
  /** Who was not there the last time. */
  lastAway: ReadonlySet<string>;
}

/** The day a session is led for: in a night shift after midnight still that of the shift. */
function workingDayNow({ shiftPattern, timeZone }: CrewEntry, now: number): string {
  return workingDay(shiftsAround(shiftPattern, timeZone, now), now, timeZone);
}

/** A run that was interrupted in this browser can go on where it was. */
function Resume(props: RunProps) {
  const owner = useOwner();
  const [found] = useState(() => underWay(props.programId, props.session.id, owner));
  const [choice, setChoice] = useState<"ask" | "resume" | "fresh">(found ? "ask" : "fresh");
  const [isShort, setIsShort] = useState(false);
  const [away, setAway] = useState<ReadonlySet<string>>(() => new Set(found?.away ?? props.lastAway));
  const [quick, setQuick] = useState<QuickReadings>(() => found?.quick ?? {});
  if (choice === "ask" && found) {
    return (
      <Box sx={{ minHeight: PAGE_HEIGHT, display: "grid", placeItems: "center", p: 4 }}>
        <Empty
          title={t("{{name}} was interrupted at {{time}}", { name: props.session.name, time: durationText(found.clock.atSec) })}
          text={t("of {{time}}. Nothing of it is lost.", { time: durationText(found.clock.totalSec) })}
        >
          <Button variant="contained" autoFocus onClick={() => setChoice("resume")}>
            {t("Go on from there")}
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              dropUnderWay(props.programId, props.session.id);
              setQuick({});
              setChoice("fresh");
            }}
          >
            {t("Start again")}
          </Button>
        </Empty>
      </Box>
    );
  }
  return (
    <Run
      key={isShort ? "short" : "written"}
      {...props}
      resumed={choice === "resume" ? found : undefined}
      isShort={isShort}
      onShort={setIsShort}
      away={away}
      onAway={setAway}
      quick={quick}
      onQuick={setQuick}
    />
  );
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

function Run({
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
  const today = dateAt(now, crew.timeZone);
  // Who takes part is settled as the screen opens, so that the clock does not jump; who is taken out since then leaves the strip at once.
  const [participations] = useState(said);
  const live = useParticipations(crew.id, WHILE_LEADING_MS);
  const crewHere = useMemo(() => people.filter((person) => isHere(person, today)), [people, today]);
  const here = useMemo(() => notHeldOut(crewHere, participations), [crewHere, participations]);
  const written = useMemo(
    () => sessionWithin(library, resumed?.session ?? asWritten, participations),
    [library, resumed?.session, asWritten, participations],
  );
  const personIds = useMemo(() => here.map((person) => person.id), [here]);
  const short = useMemo(() => (resumed ? undefined : shortVersion(library, written, personIds)), [library, resumed, written, personIds]);
  const session = isShort && short ? short : written;
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
    quick,
    participations,
    resumed,
    owner,
    practiceNow: nowAtPractice,
    sound,
    words,
  });
  const takenOut = useTakenOut(crew.id, personIds, live, run, nowAtPractice, owner);
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
        participations={participations}
        wereAway={away}
        takenOut={takenOut.leftOut}
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
