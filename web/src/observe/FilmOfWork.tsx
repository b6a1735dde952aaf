/** A film of the work, watched at half speed: its own time is the clock. It never leaves the device. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { Pause, Play, StepBack, StepForward } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import type { Watch } from "./watch";

/** A film says nowhere how many pictures it has a second. */
const FRAME_SEC = 1 / 30;
const SPEEDS = ["0.5", "1"] as const;

export function FilmOfWork({ film, watch, onChange }: { film: File; watch: Watch; onChange(): void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [speed, setSpeed] = useState<string>("0.5");
  /** Film time at which the clock of the observation would be nought. */
  const beganMs = useRef<number | null>(null);
  const filmMs = () => (video.current?.currentTime ?? 0) * 1000;
  const clockMs = () => filmMs() - (beganMs.current ?? filmMs());
  const [plays, setPlays] = useState(false);
  const [unreadable, setUnreadable] = useState(false);
  useEffect(() => {
    const made = URL.createObjectURL(film);
    if (video.current) video.current.src = made;
    return () => URL.revokeObjectURL(made);
  }, [film]);
  useEffect(() => {
    if (video.current) video.current.playbackRate = Number(speed);
  }, [speed]);
  const step = (by: number) => {
    const { current } = video;
    if (!current) return;
    current.pause();
    current.currentTime = Math.max(0, current.currentTime + by);
  };
  return (
    <Box sx={{ display: "grid", gridTemplateRows: "minmax(0, 1fr) auto", gap: 0.5, minHeight: 0 }}>
      {unreadable ? (
        <Typography role="alert" sx={{ alignSelf: "center", justifySelf: "center", fontWeight: 650 }}>
          {t("This browser cannot show this film. MP4 and WebM are the ones most can.")}
        </Typography>
      ) : (
        <Box
          component="video"
          ref={video}
          muted
          playsInline
          preload="auto"
          aria-label={t("Film of the work")}
          onError={() => setUnreadable(true)}
          onLoadedData={() => {
            if (video.current) video.current.playbackRate = Number(speed);
          }}
          onPlay={() => {
            watch.start(performance.now());
            beganMs.current ??= filmMs();
            watch.followFilm(clockMs);
            setPlays(true);
          }}
          onPause={() => {
            watch.pause(performance.now());
            setPlays(false);
            onChange();
          }}
          onSeeked={() => {
            if (beganMs.current === null) return;
            const seenMs = watch.clockAt(performance.now());
            // What is jumped over was not watched: the clock stays. What is gone back to is watched again.
            if (clockMs() > seenMs) beganMs.current += clockMs() - seenMs;
            else {
              if (clockMs() < 0) beganMs.current = filmMs();
              watch.windTo(clockMs(), performance.now());
            }
            onChange();
          }}
          sx={{ width: "100%", height: "100%", objectFit: "contain", bgcolor: "text.primary", borderRadius: 2 }}
        />
      )}
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", justifyContent: "center", flexWrap: "wrap" }}>
        <IconButton aria-label={t("One picture back")} onClick={() => step(-FRAME_SEC)}>
          <StepBack size={22} />
        </IconButton>
        <Button
          variant="outlined"
          startIcon={plays ? <Pause size={20} /> : <Play size={20} />}
          onClick={() => (plays ? video.current?.pause() : void video.current?.play().catch(() => undefined))}
        >
          {plays ? t("Stop the film") : t("Play the film")}
        </Button>
        <IconButton aria-label={t("One picture on")} onClick={() => step(FRAME_SEC)}>
          <StepForward size={22} />
        </IconButton>
        <Choice
          label={t("Speed of the film")}
          value={speed}
          onChange={setSpeed}
          options={SPEEDS.map((value) => ({ value, label: value === "1" ? t("full speed") : t("half speed") }))}
        />
      </Box>
    </Box>
  );
}
