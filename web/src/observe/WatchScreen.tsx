/** Two fields to press while a hand works; what comes of it, live, and whether it is enough. */
import { Box, Button, Typography } from "@mui/material";
import { Check, Pause, Play, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { TAPPED_POSTURES, type Observation } from "@kind-grip/core/observe";
import type { Task } from "@kind-grip/core/strain";
import { durationText, HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { sideWord, t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { useTabTitle } from "../parts/PageTitle";
import { useLetterKeys } from "../run/letter-keys";
import { useAwakeScreen } from "../run/use-awake-screen";
import { EnoughYet } from "./EnoughYet";
import { FilmOfWork } from "./FilmOfWork";
import { useWatchKeys } from "./use-watch-keys";
import type { Watch } from "./watch";
import { WatchField } from "./WatchField";
import { WatchFigures } from "./WatchFigures";
import { WristMark } from "./WristMark";

/** Figures are made anew so often while it runs; presses wait for none of it. */
const TICK_MS = 500;
const KEEP_EVERY_MS = 5000;

const POSTURES: Readonly<Record<(typeof TAPPED_POSTURES)[number], string>> = {
  [-50]: t("Far back"),
  [-25]: t("Back"),
  0: t("Straight"),
  25: t("Bent"),
  50: t("Far bent"),
};

interface WatchScreenProps {
  watch: Watch;
  film: File | null;
  task: Task;
  hours: number;
  /** Keeps what is there at a moment of the page. */
  onKeep(moment: number): void;
  onThrowAway(): void;
  onDone(observation: Observation): void;
}

export function WatchScreen({ watch, film, task, hours, onKeep, onThrowAway, onDone }: WatchScreenProps) {
  useTabTitle(t("Watching {{task}}", { task: task.name }));
  const [moment, setMoment] = useState(() => performance.now());
  const [asked, setAsked] = useState(false);
  const look = () => setMoment(performance.now());
  useAwakeScreen(watch.runs);
  useEffect(() => {
    const tick = setInterval(() => setMoment(performance.now()), TICK_MS);
    const keep = () => watch.begun && onKeep(performance.now());
    const kept = setInterval(() => watch.runs && keep(), KEEP_EVERY_MS);
    addEventListener("pagehide", keep);
    return () => {
      clearInterval(tick);
      clearInterval(kept);
      removeEventListener("pagehide", keep);
    };
  }, [watch, onKeep]);
  const sides = HAND_SIDES.filter((side) => watch.watched.effortIds[side]);
  const acts = {
    press(side: HandSide, at: number) {
      if (!watch.begun && !film) watch.start(at);
      watch.press(side, at);
      look();
    },
    release(side: HandSide, at: number) {
      watch.release(side, at);
      look();
    },
    posture(side: HandSide, flexionDeg: number, at: number) {
      watch.posture(side, flexionDeg, at);
      look();
    },
    toggle(at: number) {
      // A film runs by its own buttons.
      if (film) return;
      if (watch.runs) watch.pause(at);
      else watch.start(at);
      if (watch.begun) onKeep(at);
      look();
    },
  };
  const [letterKeys] = useLetterKeys();
  useWatchKeys(acts, sides, letterKeys);
  const clockMs = watch.clockAt(moment);
  const seen = watch.seenUntil(clockMs);
  return (
    <Box
      component="section"
      aria-label={t("Watching {{task}}", { task: task.name })}
      sx={{
        height: PAGE_HEIGHT,
        display: "grid",
        gridTemplateRows: `auto ${film ? "minmax(0, 1fr)" : ""} auto minmax(140px, 1fr) auto`,
        gap: 1,
        p: { xs: 1, sm: 2 },
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
        <Typography component="h1" sx={{ flex: 1, minWidth: 120, fontWeight: 750, fontSize: "1.15rem", lineHeight: 1.15 }}>
          {task.name}
        </Typography>
        <Typography role="timer" sx={{ fontWeight: 800, fontSize: "1.6rem", fontVariantNumeric: "tabular-nums" }}>
          {durationText(Math.floor(clockMs / 1000))}
        </Typography>
        {!film && (
          <Button
            variant="outlined"
            startIcon={watch.runs ? <Pause size={20} /> : <Play size={20} />}
            onClick={(event) => acts.toggle(event.timeStamp)}
          >
            {watch.runs ? t("Pause") : watch.begun ? t("Go on") : t("Start")}
          </Button>
        )}
      </Box>
      {film && <FilmOfWork film={film} watch={watch} onChange={look} />}
      <Box sx={{ display: "grid", gridTemplateColumns: `repeat(${sides.length}, minmax(0, 1fr))`, gap: 1 }}>
        {seen.map((hand) => (
          <WatchFigures key={hand.side} seen={hand} name={task.efforts.find(({ id }) => id === hand.effortId)!.name} />
        ))}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: `repeat(${sides.length}, minmax(0, 1fr))`, gap: 1, minHeight: 0 }}>
        {sides.map((side) => (
          <Box key={side} sx={{ display: "grid", gridTemplateRows: "minmax(0, 1fr) auto", gap: 1, minHeight: 0 }}>
            <WatchField side={side} down={watch.isDown(side)} count={watch.pressesOf(side)} acts={acts} />
            <Box role="group" aria-label={t("The wrist now, {{side}}", { side: sideWord(side) })} sx={{ display: "flex", gap: 0.5 }}>
              {TAPPED_POSTURES.map((deg) => (
                <Button
                  key={deg}
                  aria-label={POSTURES[deg]}
                  title={POSTURES[deg]}
                  disabled={!watch.runs}
                  onClick={(event) => acts.posture(side, deg, event.timeStamp)}
                  sx={{ flex: 1, minWidth: 0, minHeight: 48, px: 0.25, border: "2px solid", borderColor: "edge", borderRadius: 2 }}
                >
                  <WristMark flexionDeg={deg} />
                </Button>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
        <EnoughYet watch={watch} task={task} hours={hours} clockMs={clockMs} />
        <Button startIcon={<Trash2 size={18} />} sx={{ minHeight: 52 }} onClick={() => (watch.begun ? setAsked(true) : onThrowAway())}>
          {watch.begun ? t("Throw away") : t("Not now")}
        </Button>
        <Button
          variant="contained"
          sx={{ minHeight: 52, flex: { xs: 1, sm: "0 0 auto" }, minWidth: 140 }}
          startIcon={<Check size={20} />}
          disabled={clockMs < 1000 || seen.every(({ efforts }) => efforts.length === 0)}
          onClick={(event) => {
            watch.pause(event.timeStamp);
            const observation = watch.observation(event.timeStamp);
            if (observation) onDone(observation);
          }}
        >
          {t("Keep")}
        </Button>
      </Box>
      <ConfirmDialog
        open={asked}
        title={t("Throw away what was watched?")}
        confirm={t("Throw it away")}
        onConfirm={onThrowAway}
        onClose={() => setAsked(false)}
      >
        {t("{{time}} of watching would be gone.", { time: durationText(Math.floor(clockMs / 1000)) })}
      </ConfirmDialog>
    </Box>
  );
}
