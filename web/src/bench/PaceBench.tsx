/** A metronome for paced repetitions: out, stay, back, pause; by the audio clock, so that it does not drift. */
import { Box, Button, Typography } from "@mui/material";
import { Play, Square } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { cuesOf } from "@kind-grip/core/run";
import { compilePerson, positionAt, tempoSec, type Tempo } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { Stepper } from "../parts/Stepper";
import { PaceBar } from "../run/PaceBar";
import { CuePlayer, type SoundChoice } from "../run/sound";
import { SendToProgram } from "./SendToProgram";

const PARTS: readonly { key: keyof Tempo; label: string }[] = [
  { key: "outSec", label: t("Out") },
  { key: "endPauseSec", label: t("Stay") },
  { key: "backSec", label: t("Back") },
  { key: "startPauseSec", label: t("Pause") },
];

const SILENT_COUNT: SoundChoice = { sounds: true, voice: false, coach: "count", captions: false, rate: 1, voices: {} };

export function PaceBench() {
  const library = useLibrary();
  const words = useWords();
  const [tempo, setTempo] = useState<Tempo>({ outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 });
  const [reps, setReps] = useState(12);
  const [startedMs, setStartedMs] = useState<number | null>(null);
  const [nowMs, setNowMs] = useState(0);
  const timeline = useMemo(() => {
    const item = {
      id: "00000000-0000-7000-8000-00000000face",
      movementId: "wrist-nod",
      formId: "standard",
      dose: { kind: "reps" as const, sets: 1, reps, tempo, restSec: 0 },
      sides: "together" as const,
      firstSide: "left" as const,
      loadKg: null,
      pairedWithNext: false,
      personal: {},
    };
    return compilePerson({ id: item.id, name: t("Pace"), slot: "break", items: [item] }, library.timings);
  }, [reps, tempo, library]);
  const running = startedMs !== null;
  useEffect(() => {
    if (startedMs === null) return;
    const player = new CuePlayer(cuesOf(timeline, words), SILENT_COUNT, "en");
    player.play(() => (performance.now() - startedMs) / 1000);
    let frame = requestAnimationFrame(function draw(at) {
      setNowMs(at);
      if ((at - startedMs) / 1000 >= timeline.totalSec) setStartedMs(null);
      else frame = requestAnimationFrame(draw);
    });
    return () => {
      player.stop();
      cancelAnimationFrame(frame);
    };
  }, [startedMs, timeline, words]);
  const position = running ? positionAt(timeline, Math.max(0, (nowMs - startedMs) / 1000)) : undefined;
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 860 }}>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap" }}>
        {PARTS.map(({ key, label }) => (
          <Stepper
            key={key}
            label={label}
            unit="s"
            value={tempo[key]}
            min={0}
            max={15}
            step={0.5}
            onChange={(sec) => tempoSec({ ...tempo, [key]: sec }) >= 1 && setTempo({ ...tempo, [key]: sec })}
          />
        ))}
        <Stepper label={t("Repetitions")} value={reps} min={1} max={60} onChange={setReps} />
      </Box>
      <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap" }}>
        <Button
          variant="contained"
          size="large"
          startIcon={running ? <Square size={22} /> : <Play size={22} fill="currentColor" />}
          onClick={() => {
            setNowMs(performance.now());
            setStartedMs(running ? null : performance.now());
          }}
          sx={{ minHeight: 64, minWidth: 160, fontSize: "1.3rem" }}
        >
          {running ? t("Stop") : t("Start")}
        </Button>
        <Typography>
          {t("{{tempo}} s each, {{reps}} s for {{reps2}}.", {
            tempo: tempoSec(tempo),
            reps: Math.round(reps * tempoSec(tempo)),
            reps2: reps,
          })}
        </Typography>
        <SendToProgram
          what={t("this pace")}
          fits={(item) => item.dose.kind === "reps"}
          change={(item) => (item.dose.kind === "reps" ? { ...item, dose: { ...item.dose, reps, tempo } } : item)}
        />
      </Box>
      {position && (
        <Box>
          <Typography component="p" sx={{ fontSize: "6rem", fontWeight: 800, lineHeight: 1 }}>
            {position.phase === "ready" ? "–" : position.count}
          </Typography>
          <Typography component="p" sx={{ fontSize: "1.8rem", fontWeight: 700, color: "warm.dark" }}>
            {position.phase === "ready"
              ? t("Get ready")
              : position.phase === "out" || position.phase === "back" || position.phase === "endPause" || position.phase === "startPause"
                ? words.cue(position.phase, { count: position.count })
                : ""}
          </Typography>
          <PaceBar position={position} />
        </Box>
      )}
    </Box>
  );
}
