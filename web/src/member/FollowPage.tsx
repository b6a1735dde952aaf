/** A session followed alone on a phone: figure, side, count and sound; effort and marks at the end. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { Play, Volume2, VolumeX } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, Navigate, useParams, useSearchParams } from "react-router";
import type { CountedBout } from "@kind-grip/core/meter";
import { quickTestFor, type QuickTest } from "@kind-grip/core/quicktest";
import { shortVersion } from "@kind-grip/core/run";
import { compilePerson } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";
import { useLibrary, useWords } from "../base/library";
import { MovementThumb } from "../figure/MovementThumb";
import { useFeltTurn } from "../meter/use-felt-turn";
import { useCounter, type Counting } from "../meter/use-counter";
import { useMeter } from "../meter/use-meter";
import { Toggle } from "../parts/Toggle";
import { Caption } from "../run/Caption";
import { VoiceChoice } from "../run/VoiceChoice";
import { underWay } from "../run/run-store";
import { useSoundChoice } from "../run/sound-choice";
import { useAwakeScreen } from "../run/use-awake-screen";
import { useRun } from "../run/use-run";
import { NO_READING, type QuickReadings } from "../quicktest/quick-readings";
import { AfterFollowing } from "./AfterFollowing";
import { CountChoice } from "./CountChoice";
import { FollowingNow } from "./FollowingNow";
import { phoneDay } from "./paused";
import { QuickAsk } from "./QuickAsk";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { practiceTime } from "./use-phone";

export default function FollowPage() {
  const library = useLibrary();
  const { sessionId } = useParams();
  const [search] = useSearchParams();
  const phone = useDay();
  // What is followed is settled as the page opens: a day fetched meanwhile does not change a session under way, but for a pause.
  const { sessions, anyTime, home, out } = phoneDay(library, phone.day, phone.waiting, phone.sent);
  const placement = search.get("placement");
  const there = [...sessions, ...anyTime, ...home].find(
    (each) => each.session.id === sessionId && (!placement || each.placementId === placement),
  );
  const [opened] = useState(there);
  // What was paused since then is not gone on with: everything, or something that is in it.
  const paused = !there || opened?.session.items.some(({ id }) => !there.session.items.some((item) => item.id === id));
  if (!opened || out || paused) return <Navigate to="/me" replace />;
  return <Follow entry={opened} day={phone.day} now={() => practiceTime(phone)} />;
}

const NOBODY_OUT = new Map();

interface FollowProps {
  entry: MemberSession;
  day: MemberDay;
  now(): number;
}

function Follow(props: FollowProps) {
  const { entry, day } = props;
  const [isShort, setIsShort] = useState(false);
  const [resumed] = useState(() => underWay(entry.programId, entry.session.id, day.person.id));
  const [readings, setReadings] = useState(() => resumed?.quick?.[day.person.id] ?? NO_READING);
  const [bouts, setBouts] = useState<readonly CountedBout[]>(resumed?.counted ?? []);
  const meter = useMeter();
  const turnOf = useFeltTurn();
  // A day that was kept by an earlier version asks nothing.
  const test = quickTestFor(day.quickTest?.crew ?? null, day.quickTest?.own ?? null);
  return (
    <Following
      key={isShort ? "short" : "written"}
      {...props}
      resumed={resumed}
      isShort={isShort}
      onShort={setIsShort}
      quick={{ test, readings, onReadings: setReadings }}
      counting={{ meter, turnOf, bouts, onBouts: setBouts }}
    />
  );
}

interface FollowingProps extends FollowProps {
  /** Half as long, because time is short. */
  isShort: boolean;
  onShort(short: boolean): void;
  resumed: ReturnType<typeof underWay>;
  /** The quick test, what it read before, and where the second reading goes. */
  quick: { test: QuickTest | null; readings: QuickReadings[string]; onReadings(readings: QuickReadings[string]): void };
  counting: Counting;
}

function Following({ entry, day, now, isShort, onShort, resumed, quick, counting }: FollowingProps) {
  const library = useLibrary();
  const words = useWords();
  const [sound, setSound] = useSoundChoice();
  const personIds = useMemo(() => [day.person.id], [day.person.id]);
  const short = useMemo(
    () => (resumed ? undefined : shortVersion(library, entry.session, personIds)),
    [resumed, library, entry.session, personIds],
  );
  const run = useRun({
    programId: entry.programId,
    session: resumed?.session ?? (isShort && short ? short : entry.session),
    written: entry.session,
    personIds,
    participations: NOBODY_OUT,
    quick: { [day.person.id]: quick.readings },
    counted: counting.bouts,
    resumed,
    owner: day.person.id,
    alone: true,
    practiceNow: now,
    sound,
    words,
  });
  useAwakeScreen(run.clock.status === "running");
  const isCounting = counting.meter.state === "on";
  const countChoice = (brief: boolean) => (
    <CountChoice timeline={run.timeline} meter={counting.meter} turnOf={counting.turnOf} brief={brief} />
  );
  const countedNow = useCounter(run, isCounting ? counting : null);
  const silent = !sound.sounds && !sound.voice;
  const mute = (
    <IconButton
      aria-label={words.member(silent ? "soundOn" : "soundOff")}
      onClick={() => setSound({ ...sound, sounds: silent, voice: silent })}
    >
      {silent ? <VolumeX size={24} /> : <Volume2 size={24} />}
    </IconButton>
  );
  if (run.clock.status === "ended")
    return <AfterFollowing entry={entry} day={day} run={run} now={now} quick={quick} counted={counting.bouts} />;
  if (run.clock.status === "waiting")
    return (
      <Box component="main" sx={{ maxWidth: 560, mx: "auto", p: 2.5, minHeight: "100dvh", display: "flex", flexDirection: "column" }}>
        <PhoneTitle
          title={words.sessionName(entry.session)}
          lead={`${words.digits(durationText(run.timeline.totalSec))} · ${words.paper("preventionShort")}`}
        >
          {mute}
        </PhoneTitle>
        <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, flex: 1 }}>
          {run.session.items.map((item) => (
            <Box
              component="li"
              key={item.id}
              sx={{
                display: "grid",
                gridTemplateColumns: "84px 1fr",
                gap: 1.5,
                alignItems: "center",
                borderTop: "1px solid",
                borderColor: "line",
                py: 1,
              }}
            >
              <MovementThumb movementId={item.movementId} formId={item.formId} />
              <Box>
                <Typography sx={{ fontWeight: 700 }}>{words.movementName(item.movementId)}</Typography>
                <Typography sx={{ color: "text.secondary" }}>
                  {words.formName(item.movementId, item.formId)} · {words.dose(item.dose)}
                  {item.loadKg !== null && ` · ${words.load(item)}`}
                </Typography>
              </Box>
            </Box>
          ))}
        </Box>
        {quick.test && (
          <QuickAsk
            when="before"
            test={quick.test}
            before={null}
            value={quick.readings.before}
            onChange={(before) => quick.onReadings({ ...quick.readings, before })}
          />
        )}
        <Box sx={{ display: "grid", gap: 1.5, justifyItems: "start", mt: 2 }}>
          {short && (
            <Toggle
              label={words.member("shortOfTime", { time: words.digits(durationText(compilePerson(short, library.timings).totalSec)) })}
              pressed={isShort}
              onChange={onShort}
            />
          )}
          <VoiceChoice language={words.language} sound={sound} onSound={setSound} />
          {countChoice(false)}
        </Box>
        {run.caption !== null && <Caption text={run.caption} size="1.25rem" sx={{ mt: 1 }} />}
        <Box sx={{ position: "sticky", bottom: 0, bgcolor: "background.default", py: 1.5, mt: 1 }}>
          <Button
            variant="contained"
            fullWidth
            onClick={run.start}
            startIcon={<Play size={24} fill="currentColor" />}
            sx={{ minHeight: 68, fontSize: "1.4rem" }}
          >
            {run.opening === null ? words.member("start") : words.member("startNow")}
          </Button>
        </Box>
        <Button component={Link} to="/me" sx={{ mt: 1 }}>
          {words.member("back")}
        </Button>
      </Box>
    );
  return (
    <FollowingNow
      run={run}
      captions={sound.captions}
      mute={mute}
      counted={isCounting ? countedNow : null}
      countChoice={countChoice(true)}
    />
  );
}
