/** A program argued from need: the limits on the left, the proposal with its reasons on the right, what could not be covered below it. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, X } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { findingsOf, needFindings } from "@kind-grip/core/baseline";
import { limitsWith, USUAL_LIMITS, type ComposeLimits, type Notch, type Taste } from "@kind-grip/core/compose";
import { isHere } from "@kind-grip/core/crew";
import { dateAt } from "@kind-grip/core/calendar";
import type { KitKind, Style } from "@kind-grip/core/library";
import { oppositesFor, regionNeeds } from "@kind-grip/core/need";
import { BESIDE_SLOTS, HOME_SLOTS, type BesideSlot } from "@kind-grip/core/session";
import { notHeldOut } from "@kind-grip/core/safety";
import { averageDay, type Work } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { useOffered } from "../library/use-offered";
import { useWords, useLibrary } from "../base/library";
import { mainHandOf } from "../crew/main-hand";
import type { CrewEntry, KnownRecord, PersonEntry } from "@kind-grip/core/api";
import { workApi, workDone } from "../work/api";
import { practiceApi } from "../practice/api";
import { crewApi } from "../crew/api";
import { baselineApi } from "../baseline/api";
import { useNoise } from "../baseline/use-noise";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { useParticipationQuery, useParticipations } from "../safety/use-participations";
import { useProposal, type Question } from "./use-proposal";
import { Limits } from "./Limits";
import { type Locks, Sessions } from "./ProposedSessions";
import { NeedsMet } from "./NeedsMet";
import { startKey } from "../program/StartsList";
import { BuyKitDialog } from "./BuyKitDialog";
import { Beside } from "./Beside";
import { WhoDiffers } from "./WhoDiffers";
import { OneNotch } from "./OneNotch";
import { OtherPrograms } from "./OtherPrograms";
import { MakeProgram } from "./MakeProgram";
import { Status } from "./Status";
import { useStarts } from "./use-starts";
import { SESSION_NAMES } from "../program/session-names";

export default function ComposePage() {
  const crew = useCrew();
  const work = workApi.useWorkQuery(crew.id);
  const settings = practiceApi.useSettingsQuery();
  const people = crewApi.usePeopleQuery(crew.id);
  const participation = useParticipationQuery(crew.id);
  const records = baselineApi.useKnownRecordsQuery(crew.id, { refetchOnMountOrArgChange: true });
  return (
    <Loaded query={work}>
      {(entry) => {
        const described = workDone(entry);
        return (
          <Loaded query={people}>
            {(list) =>
              described.tasks.length === 0 ? (
                <>
                  <PageTitle title={t("Compose a program")} />
                  <Empty
                    title={t("Describe the work first")}
                    text={t(
                      "A program is argued from what the hands do all day. The tasks of the crew are a few minutes' work; measuring adds what each person can do.",
                    )}
                  >
                    <Button component={Link} to={`/crews/${crew.id}/work`} variant="contained">
                      {t("Go to Work")}
                    </Button>
                  </Empty>
                </>
              ) : (
                <Loaded query={settings}>
                  {({ settings: { style } }) => (
                    // Without what was found in people, and what they are held out of, a program would start everybody alike.
                    <Loaded query={records}>
                      {(known) => (
                        <Loaded query={participation}>
                          {() => <Compose crew={crew} work={described} people={list} records={known} usualStyle={style} />}
                        </Loaded>
                      )}
                    </Loaded>
                  )}
                </Loaded>
              )
            }
          </Loaded>
        );
      }}
    </Loaded>
  );
}

interface ComposeProps {
  crew: CrewEntry;
  work: Work;
  people: PersonEntry[];
  records: KnownRecord[];
  usualStyle: Style;
}

function Compose({ crew, work, people, records, usualStyle }: ComposeProps) {
  const [search] = useSearchParams();
  const today = dateAt(useNow(), crew.timeZone);
  const participations = useParticipations(crew.id);
  const crewNow = useMemo(() => people.filter((person) => isHere(person, today)), [people, today]);
  const here = notHeldOut(crewNow, participations).length;
  const [limits, setLimits] = useState<Omit<ComposeLimits, "people" | "settings" | "kit">>({
    ...USUAL_LIMITS,
    style: usualStyle,
    aim: search.get("aim") === "reliefLed" ? "reliefLed" : "loadLed",
    weeks: search.get("weeks") === "8" ? 8 : 4,
    slotSec: crew.slots,
  });
  const noise = useNoise();
  const library = useLibrary();
  const words = useWords();
  const offered = useOffered();
  const [locked, setLocked] = useState<Locks>([]);
  // Locking what is there changes nothing: the proposal keeps to it already. It counts from the next change on.
  const [askedLocks, setAskedLocks] = useState<Locks>([]);
  const [excluded, setExcluded] = useState<readonly string[]>([]);
  const [taken, setTaken] = useState<Taste | null>(null);
  const [takenBeside, setTakenBeside] = useState<ReadonlySet<BesideSlot>>(new Set(crew.byBookings ? (["reset"] as const) : []));
  const [buying, setBuying] = useState<{ kind: KitKind; count: number } | null>(null);
  const [declined, setDeclined] = useState<ReadonlySet<string>>(new Set());
  const askAnew = () => {
    setAskedLocks(locked);
    setTaken(null);
  };
  const changeLimits = (next: typeof limits) => {
    askAnew();
    setLimits(next);
  };
  const exclude = (next: readonly string[]) => {
    askAnew();
    setExcluded(next);
  };
  const input = useMemo((): Question => {
    const place = { settings: crew.settings, kit: crew.kit.map(({ kind }) => kind) };
    // Where not everybody works the same, what it comes to a person.
    const day = averageDay(
      work,
      crewNow.map(({ id }) => id),
    )!;
    // What was found in people counts for the crew as the share of people it was found in.
    const measured = records.filter(({ personId }) => crewNow.some(({ id }) => id === personId));
    const findings = measured
      .flatMap(({ personId, record }) => needFindings(findingsOf(record, mainHandOf(crewNow, personId), noise)))
      .map((finding) => ({ ...finding, points: finding.points / Math.max(1, measured.length) }));
    return {
      needs: regionNeeds(work, day, findings),
      opposites: oppositesFor(work, day, place, offered).map(({ posture, left, right }) => ({ posture, left, right })),
      limits: { ...limits, settings: crew.settings, kit: crew.kit, people: Math.max(1, here) },
      locked: askedLocks,
      excluded,
      name: t("{{crew}} hands", { crew: crew.name.split(" ")[0]! }),
      sessionNames: SESSION_NAMES,
    };
  }, [crew, offered, work, crewNow, records, noise, limits, askedLocks, excluded, here]);
  const state = useProposal(input, library, offered, crew.byBookings ? BESIDE_SLOTS : HOME_SLOTS);
  const tryNotch = (notch: Notch) => {
    const { settings: _settings, kit: _kit, people: _people, ...next } = limitsWith(input.limits, notch);
    changeLimits(next);
  };
  /** What is shown: the best, or the one that was taken in its place. */
  const shown = state.alternatives?.find(({ taste }) => taste === taken)?.proposal ?? state.proposal;
  const starts = useStarts(shown?.program, crewNow, records, participations);
  const wanted = starts.filter((start) => !declined.has(startKey(start)));
  const beside = (state.beside ?? []).filter(({ session }) => takenBeside.has(session.slot)).map(({ session }) => session);
  const toggle = (place: Locks[number]) => {
    const same = (each: Locks[number]) => each.slot === place.slot && each.movementId === place.movementId;
    setLocked(locked.some(same) ? locked.filter((each) => !same(each)) : [...locked, place]);
  };
  return (
    <>
      <PageTitle title={t("Compose a program")}>
        <Button component={Link} to={`/crews/${crew.id}/program`} startIcon={<ArrowLeft size={20} />}>
          {t("Programs")}
        </Button>
        <MakeProgram crew={crew} state={state} shown={shown} starts={wanted} beside={beside} />
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "270px minmax(0, 1fr)" },
          columnGap: 5,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <Limits limits={limits} onChange={changeLimits} />
        <Box>
          <Status state={state} shown={shown} />
          {state.stage === "failed" && (
            <Empty
              title={t("The program could not be worked out")}
              text={t("Nothing you set is lost. If it happens again, load the page anew: a new version of it may have been put up.")}
            >
              <Button variant="contained" onClick={state.again}>
                {t("Try again")}
              </Button>
            </Empty>
          )}
          {state.stage === "none" ? (
            <Empty
              title={t("No program keeps to all of this")}
              text={t("What is locked does not fit with the rest. Unlock something, or give a session more time.")}
            >
              <Button
                variant="outlined"
                onClick={() => {
                  setLocked([]);
                  setAskedLocks([]);
                }}
              >
                {t("Unlock everything")}
              </Button>
            </Empty>
          ) : (
            shown &&
            state.stage !== "failed" && (
              <Sessions
                proposal={shown}
                limits={limits}
                locked={locked}
                onLock={toggle}
                onExclude={(movementId) => exclude([...excluded, movementId])}
              />
            )
          )}
          {excluded.length > 0 && (
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", mb: 2 }}>
              <Typography>{t("Not wanted:")}</Typography>
              {excluded.map((movementId) => (
                <Button
                  key={movementId}
                  size="small"
                  variant="outlined"
                  endIcon={<X size={16} />}
                  onClick={() => exclude(excluded.filter((each) => each !== movementId))}
                >
                  {words.movementName(movementId)}
                </Button>
              ))}
            </Box>
          )}
          {shown && state.stage !== "failed" && <NeedsMet proposal={shown} />}
          {shown && state.stage !== "failed" && (
            <WhoDiffers
              people={crewNow}
              starts={starts}
              participations={participations}
              measured={records.some(({ personId }) => crewNow.some(({ id }) => id === personId))}
              declined={declined}
              onDecline={setDeclined}
            />
          )}
          {state.proposal && state.stage === "best" && (
            <>
              <Beside resets={crew.byBookings === true} sessions={state.beside} taken={takenBeside} onTake={setTakenBeside} />
              <OneNotch
                gains={state.notches}
                onTry={tryNotch}
                onBuy={(kind, count) => setBuying({ kind, count })}
                kitAt={`/crews/${crew.id}/settings`}
              />
              <OtherPrograms best={state.proposal} alternatives={state.alternatives} taken={taken} onTake={setTaken} />
            </>
          )}
        </Box>
      </Box>
      {buying && <BuyKitDialog crew={crew} {...buying} onClose={() => setBuying(null)} />}
    </>
  );
}
