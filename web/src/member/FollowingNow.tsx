/** While a session is followed alone: the figure, side and count, what to do and how it feels, and the ways to pause, ease, skip and stop. */
import { Box, Button, Typography } from "@mui/material";
import { ChevronsDown, OctagonX, Pause, Play, SkipForward } from "lucide-react";
import { durationText } from "@kind-grip/core/units";
import { countedItems, type CountedBout } from "@kind-grip/core/meter";
import { useWords } from "../base/library";
import { countText, toldOf } from "../meter/CountedList";
import { LongPress } from "../parts/LongPress";
import { Caption } from "../run/Caption";
import { countOf, cueOf, SIDE_LETTER } from "../run/count";
import { PaceBar } from "../run/PaceBar";
import { RunFigure } from "../run/RunFigure";
import type { useRun } from "../run/use-run";

const LYING = "@media (orientation: landscape) and (max-height: 540px)";

interface FollowingNowProps {
  run: ReturnType<typeof useRun>;
  captions: boolean;
  mute: React.ReactNode;
  /** The phone is in the hand that works: what is being counted, undefined between two bouts; null where nothing is. */
  counted: CountedBout | undefined | null;
  /** Whether it is counted, to be chosen in a pause. */
  countChoice: React.ReactNode;
}

export function FollowingNow({ run, captions, mute, counted, countChoice }: FollowingNowProps) {
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
        gridTemplateRows: "auto minmax(30dvh, 1fr) minmax(0, auto) auto",
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
          <Box component="span" sx={{ display: "block", fontSize: "0.95rem", fontWeight: 500, color: "text.secondary" }}>
            {words.formName(segment.movementId, segment.formId)}
          </Box>
        </Typography>
        <Typography sx={{ fontWeight: 700 }}>
          {words.member("left", { time: words.digits(durationText(timeline.totalSec - atSec)) })}
        </Typography>
        {mute}
      </Box>
      <Box className="figure" sx={{ display: "grid", minHeight: 0 }}>
        <RunFigure run={run} segment={segment} atSec={atSec} />
      </Box>
      <Box sx={{ px: 2, pt: 1, minHeight: 0, overflowY: "auto" }}>
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
        {counted && <CountedNow counted={counted} />}
        {paused && <Box sx={{ mt: 1 }}>{countChoice}</Box>}
        <Instructions movementId={segment.movementId} now={position.phase === "step" ? position.count : 0} />
        {captions && <Caption text={run.caption} size="1.1rem" sx={{ mt: 0.5 }} />}
        <Typography sx={{ mt: 0.75, color: "text.secondary" }} noWrap>
          {next ? words.member("next", { movement: words.movementName(next.movementId) }) : words.member("lastOne")}
        </Typography>
      </Box>
      {counted !== null && !paused ? (
        <Box sx={{ p: 1.5 }}>
          <LongPress label={words.member("countHold")} icon={<Pause size={22} />} onPress={run.toggle} />
        </Box>
      ) : (
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
      )}
    </Box>
  );
}

/** What the hand is told to have done so far in this bout. */
function CountedNow({ counted }: { counted: CountedBout }) {
  const words = useWords();
  const [item] = countedItems([counted]);
  const { ways, pace } = toldOf(item!, words);
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 1.25, mt: 0.5, fontWeight: 650 }}>
      <span>
        {words.member("countTitle")}: {countText(item!, words)}
      </span>
      {ways && (
        <Box component="span" sx={{ color: "text.secondary", fontWeight: 400 }}>
          {ways}
        </Box>
      )}
      {pace && (
        <Box component="span" sx={{ color: "warm.dark" }}>
          {pace}
        </Box>
      )}
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
