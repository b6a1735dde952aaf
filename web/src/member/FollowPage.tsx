/** A session followed alone on a phone: figure, side, count and sound; effort and marks at the end. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { ChevronsDown, OctagonX, Pause, Play, SkipForward, Volume2, VolumeX, X } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, Navigate, useNavigate, useParams, useSearchParams } from "react-router";
import { itemsDone, MARKS, shortVersion, type MarkKind, type RunRecord } from "@kind-grip/core/run";
import { compilePerson } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";
import { useLibrary, useWords } from "../base/library";

import { MovementThumb } from "../figure/MovementThumb";
import { Toggle } from "../parts/Toggle";
import { ZeroToTen } from "../parts/ZeroToTen";
import { Caption } from "../run/Caption";
import { VoiceChoice } from "../run/VoiceChoice";
import { countOf, cueOf, SIDE_LETTER } from "../run/count";
import { PaceBar } from "../run/PaceBar";
import { RunFigure } from "../run/RunFigure";
import { dropUnderWay, underWay } from "../run/run-store";
import { useSoundChoice } from "../run/sound-choice";
import { useAwakeScreen } from "../run/use-awake-screen";
import { useRun } from "../run/use-run";
import { phoneDay } from "./paused";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { practiceTime } from "./use-phone";

export default function FollowPage() {
  const library = useLibrary();
  const { sessionId } = useParams();
  const [search] = useSearchParams();
  const phone = useDay();
  // What is followed is settled as the page opens: a day fetched meanwhile does not change a session under way, but for a pause.
  const { sessions, anyTime, home, out } = phoneDay(library, phone.day, phone.waiting);
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
  const [isShort, setIsShort] = useState(false);
  return <Following key={isShort ? "short" : "written"} {...props} isShort={isShort} onShort={setIsShort} />;
}

interface FollowingProps extends FollowProps {
  /** Half as long, because time is short. */
  isShort: boolean;
  onShort(short: boolean): void;
}

function Following({ entry, day, now, isShort, onShort }: FollowingProps) {
  const library = useLibrary();
  const words = useWords();
  const [sound, setSound] = useSoundChoice();
  const [resumed] = useState(() => underWay(entry.programId, entry.session.id, day.person.id));
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
    resumed,
    owner: day.person.id,
    practiceNow: now,
    sound,
    words,
  });
  useAwakeScreen(run.clock.status === "running");
  const silent = !sound.sounds && !sound.voice;
  const mute = (
    <IconButton
      aria-label={words.member(silent ? "soundOn" : "soundOff")}
      onClick={() => setSound({ ...sound, sounds: silent, voice: silent })}
    >
      {silent ? <VolumeX size={24} /> : <Volume2 size={24} />}
    </IconButton>
  );
  if (run.clock.status === "ended") return <After entry={entry} day={day} run={run} now={now} />;
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
        <Box sx={{ display: "grid", gap: 1.5, justifyItems: "start", mt: 2 }}>
          {short && (
            <Toggle
              label={words.member("shortOfTime", { time: words.digits(durationText(compilePerson(short, library.timings).totalSec)) })}
              pressed={isShort}
              onChange={onShort}
            />
          )}
          <VoiceChoice language={words.language} sound={sound} onSound={setSound} />
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
  return <During run={run} captions={sound.captions} mute={mute} />;
}

const LYING = "@media (orientation: landscape) and (max-height: 540px)";

interface DuringProps {
  run: ReturnType<typeof useRun>;
  captions: boolean;
  mute: React.ReactNode;
}

function During({ run, captions, mute }: DuringProps) {
  const words = useWords();
  const { position, timeline, atSec, clock } = run;
  if (!position) return null;
  const { segment } = position;
  const next = timeline.items[run.itemIndex + 1];
  const { big, small } = countOf(position, words);
  const paused = clock.status === "paused";
  return (
    <Box
      component="main"
      sx={{
        height: "100dvh",
        maxWidth: 560,
        mx: "auto",
        display: "grid",
        gridTemplateRows: "auto minmax(0, 1fr) auto auto",
        // Laid on its side the figure keeps its half, from top to bottom.
        [LYING]: {
          maxWidth: "none",
          gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1.1fr)",
          gridTemplateRows: "auto minmax(0, 1fr) auto",
          "& > .figure": { gridRow: "1 / -1", gridColumn: 1 },
          "& > :not(.figure)": { gridColumn: 2 },
        },
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, px: 2, pt: 1 }}>
        <Typography variant="h1" sx={{ flex: 1, fontSize: "1.35rem", lineHeight: 1.15 }}>
          {words.movementName(segment.movementId)}
        </Typography>
        <Typography sx={{ fontWeight: 700 }}>
          {words.member("left", { time: words.digits(durationText(timeline.totalSec - atSec)) })}
        </Typography>
        {mute}
      </Box>
      <Box className="figure" sx={{ display: "grid", minHeight: 0 }}>
        <RunFigure run={run} segment={segment} atSec={atSec} />
      </Box>
      <Box sx={{ px: 2, pt: 1, minHeight: 0, [LYING]: { overflowY: "auto" } }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <Box
            sx={{ bgcolor: `hand.${segment.side}`, color: "hand.on", borderRadius: 2, minWidth: 64, px: 1, py: 0.5, textAlign: "center" }}
          >
            <Typography component="p" sx={{ fontSize: "2rem", fontWeight: 800, lineHeight: 1.1 }}>
              {SIDE_LETTER[segment.side]}
            </Typography>
            <Typography component="p" sx={{ fontSize: "0.9rem", fontWeight: 650, whiteSpace: "nowrap" }}>
              {words.label("side", segment.side)}
            </Typography>
          </Box>
          <Typography component="p" sx={{ fontSize: "4.6rem", fontWeight: 800, lineHeight: 0.95, letterSpacing: "-0.04em", minWidth: 84 }}>
            {big}
          </Typography>
          <Box sx={{ minWidth: 0 }}>
            <Typography component="p" role="status" sx={{ fontSize: "1.5rem", fontWeight: 750, lineHeight: 1.1, color: "warm.dark" }}>
              {paused ? words.cue("paused") : cueOf(position, words)}
            </Typography>
            <Typography component="p" sx={{ color: "text.secondary" }}>
              {small}
            </Typography>
          </Box>
        </Box>
        <PaceBar position={position} />
        <Instructions movementId={segment.movementId} now={position.phase === "step" ? position.count : 0} />
        {captions && <Caption text={run.caption} size="1.1rem" sx={{ mt: 0.5 }} />}
        <Typography sx={{ mt: 0.75, color: "text.secondary" }} noWrap>
          {next ? words.member("next", { movement: words.movementName(next.movementId) }) : words.member("lastOne")}
        </Typography>
      </Box>
      <Box sx={{ p: 1.5, display: "grid", gridTemplateColumns: "1.4fr 1fr 1fr", gap: 1 }}>
        <Button
          variant="contained"
          onClick={run.toggle}
          startIcon={paused ? <Play size={22} fill="currentColor" /> : <Pause size={22} />}
          sx={{ minHeight: 58 }}
        >
          {paused ? words.member("goOn") : words.member("pause")}
        </Button>
        <Button variant="outlined" onClick={run.easeAll} startIcon={<ChevronsDown size={20} />} sx={{ minHeight: 58, px: 1 }}>
          {words.member("easier")}
        </Button>
        <Button variant="outlined" onClick={run.skip} startIcon={<SkipForward size={20} />} sx={{ minHeight: 58, px: 1 }}>
          {words.member("skip")}
        </Button>
        <Button color="error" onClick={run.stop} startIcon={<OctagonX size={22} />} sx={{ gridColumn: "1 / -1", minHeight: 48 }}>
          {words.member("stop")}
        </Button>
      </Box>
    </Box>
  );
}

/** What to do and how it feels, for whoever has nobody to ask. */
function Instructions({ movementId, now }: { movementId: string; now: number }) {
  const words = useWords();
  const { steps, feel, watch } = words.movement(movementId);
  return (
    <Box
      tabIndex={0}
      role="region"
      aria-label={words.member("howItIsDone")}
      sx={{ mt: 0.75, maxHeight: "20dvh", overflowY: "auto", lineHeight: 1.3, [LYING]: { maxHeight: "none" } }}
    >
      <Box component="ol" sx={{ m: 0, paddingInlineStart: "1.4em", listStyleType: words.language === "ar" ? "arabic-indic" : "decimal" }}>
        {steps.map((step, i) => (
          <Box component="li" key={step} sx={{ fontWeight: now === i + 1 ? 750 : 400 }}>
            {step}
          </Box>
        ))}
      </Box>
      {feel && (
        <Typography sx={{ mt: 0.25, lineHeight: 1.3 }}>
          <strong>{words.paper("feel")}:</strong> {feel}
        </Typography>
      )}
      {watch.length > 0 && <Typography sx={{ color: "warm.dark", lineHeight: 1.3 }}>{watch.join(" ")}</Typography>}
    </Box>
  );
}

interface AfterProps {
  entry: MemberSession;
  day: MemberDay;
  run: ReturnType<typeof useRun>;
  now(): number;
}

function After({ entry, day, run, now }: AfterProps) {
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
