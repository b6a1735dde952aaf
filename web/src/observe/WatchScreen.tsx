/** Two fields to press while a hand works; what comes of it, live, and whether it is enough. */
import { Box, Button, Typography } from "@mui/material";
import { Check, Pause, Play, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import {
  ENOUGH_EVERY_SEC,
  enoughSeen,
  isEnough,
  TAPPED_POSTURES,
  type Enough,
  type Observation,
  type SeenHand,
} from "@kind-grip/core/observe";
import type { Task } from "@kind-grip/core/strain";
import { durationText, HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { numberText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { useTabTitle } from "../parts/PageTitle";
import { useAwakeScreen } from "../run/use-awake-screen";
import { FilmOfWork } from "./FilmOfWork";
import { useWatchKeys } from "./use-watch-keys";
import type { Watch } from "./watch";
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
    const tick = setInterval(look, TICK_MS);
    const keep = () => watch.begun && onKeep(performance.now());
    const kept = setInterval(() => watch.runs && keep(), KEEP_EVERY_MS);
    addEventListener("pagehide", keep);
    return () => {
      clearInterval(tick);
      clearInterval(kept);
      removeEventListener("pagehide", keep);
    };
  });
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
  useWatchKeys(acts, sides);
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
          <Figures key={hand.side} seen={hand} name={task.efforts.find(({ id }) => id === hand.effortId)!.name} />
        ))}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: `repeat(${sides.length}, minmax(0, 1fr))`, gap: 1, minHeight: 0 }}>
        {sides.map((side) => (
          <Box key={side} sx={{ display: "grid", gridTemplateRows: "minmax(0, 1fr) auto", gap: 1, minHeight: 0 }}>
            <Field side={side} down={watch.isDown(side)} count={watch.pressesOf(side)} acts={acts} />
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

const errorText = (share: number) => (share >= 1 ? t("not known yet") : `± ${numberText(share * 100, 0)} %`);

function Figures({ seen: { side, rhythm, efforts }, name }: { seen: SeenHand; name: string }) {
  return (
    <Box aria-live="off" sx={{ borderTop: "4px solid", borderColor: `hand.${side}`, pt: 0.5, minWidth: 0 }}>
      <Typography noWrap sx={{ fontWeight: 650, color: "text.secondary" }}>
        {name}
      </Typography>
      {rhythm ? (
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "repeat(3, minmax(0, 1fr))" },
            columnGap: 1.5,
          }}
        >
          <Figure
            value={numberText(rhythm.perMin.value, 1)}
            unit={t("a minute")}
            error={errorText(rhythm.perMin.error / rhythm.perMin.value)}
          />
          <Figure
            value={`${numberText(rhythm.secEach.value, 1)} s`}
            unit={t("each")}
            error={errorText(rhythm.secEach.error / rhythm.secEach.value)}
          />
          <Figure
            value={`${numberText(rhythm.duty.value * 100, 0)} %`}
            unit={t("of the time")}
            error={errorText(rhythm.duty.error / Math.max(rhythm.duty.value, 1e-9))}
          />
        </Box>
      ) : (
        <Typography>{efforts.length === 0 ? t("Press as the hand begins.") : t("A few more, then the figures come.")}</Typography>
      )}
    </Box>
  );
}

function Figure({ value, unit, error }: { value: string; unit: string; error: string }) {
  return (
    <Typography component="div" sx={{ fontVariantNumeric: "tabular-nums" }}>
      <strong>{value}</strong> {unit}{" "}
      <Box component="span" sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
        {error}
      </Box>
    </Typography>
  );
}

interface FieldProps {
  side: HandSide;
  down: boolean;
  count: number;
  acts: { press(side: HandSide, at: number): void; release(side: HandSide, at: number): void };
}

/** What is pressed: by any finger, each for itself, without the page moving under it. */
function Field({ side, down, count, acts }: FieldProps) {
  return (
    <Box
      component="button"
      type="button"
      className="keeps-colour"
      aria-label={t("{{side}} hand works: hold while it does", { side: sideWord(side) })}
      onPointerDown={(event: React.PointerEvent) => {
        event.preventDefault();
        // A finger that slides off its field has not let go.
        event.currentTarget.setPointerCapture?.(event.pointerId);
        acts.press(side, event.timeStamp);
      }}
      onPointerUp={(event: React.PointerEvent) => acts.release(side, event.timeStamp)}
      onPointerCancel={(event: React.PointerEvent) => acts.release(side, event.timeStamp)}
      onContextMenu={(event: React.MouseEvent) => event.preventDefault()}
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        if (!event.repeat) acts.press(side, event.timeStamp);
      }}
      onKeyUp={(event: React.KeyboardEvent) => {
        if (event.key === "Enter" || event.key === " ") acts.release(side, event.timeStamp);
      }}
      sx={{
        display: "grid",
        placeContent: "center",
        placeItems: "center",
        border: "6px solid",
        borderColor: `hand.${side}`,
        borderRadius: 4,
        bgcolor: down ? `hand.${side}` : "background.paper",
        color: down ? "hand.on" : "text.primary",
        font: "inherit",
        minHeight: 0,
        touchAction: "none",
        userSelect: "none",
        WebkitTouchCallout: "none",
        cursor: "pointer",
      }}
    >
      <Box component="span" aria-hidden sx={{ fontSize: "clamp(2.5rem, 9vmin, 6rem)", fontWeight: 800, lineHeight: 1 }}>
        {side === "left" ? "L" : "R"}
      </Box>
      <Box component="span" aria-hidden sx={{ fontSize: "1.5rem", fontWeight: 700, fontVariantNumeric: "tabular-nums" }}>
        {count}
      </Box>
    </Box>
  );
}

const ENOUGH_TEXT: Readonly<Record<Enough, string>> = {
  tooShort: t("Three minutes and twenty efforts a hand at least."),
  stillOpen: t("Go on: the error could still change the verdict."),
  verdictIsSettled: t("Enough: wherever in its error it lies, the verdict stays."),
  fineEnough: t("Enough: the figure is known within 5 %; it lies at the threshold."),
};

/** Judged at whole quarters of a minute, by what was seen until then: whoever looks all the time stops at the luckiest moment. */
function EnoughYet({ watch, task, hours, clockMs }: { watch: Watch; task: Task; hours: number; clockMs: number }) {
  const lookMs = Math.floor(clockMs / 1000 / ENOUGH_EVERY_SEC) * ENOUGH_EVERY_SEC * 1000;
  const at = (ms: number) => enoughSeen(task, hours, watch.seenUntil(Math.max(0, ms)));
  const now = at(lookMs);
  const enough = isEnough(at(lookMs - ENOUGH_EVERY_SEC * 1000), now);
  const told = enough || now === "tooShort" ? now : "stillOpen";
  return (
    <Typography
      role="status"
      sx={{
        flex: 1,
        minWidth: 200,
        fontWeight: 650,
        color: enough ? "primary.main" : "text.primary",
        display: "flex",
        gap: 1,
        alignItems: "center",
      }}
    >
      {enough && <Check size={22} aria-hidden />}
      {ENOUGH_TEXT[told]}
    </Typography>
  );
}
