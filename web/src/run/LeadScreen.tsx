/** During a run: what now, which side, how many left, what next; names with their own form. Read from five metres. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { ChevronsDown, ChevronsRight, Pause, Play, SkipBack, SkipForward, Square } from "lucide-react";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { LANGUAGE_FACTS } from "@kind-grip/core/language";
import { FaceOf } from "../base/language";
import { useOwnWords } from "../base/library";
import { InLanguage } from "./InLanguage";
import type { RunScreenProps } from "./BeforeRun";
import { Caption } from "./Caption";
import { countOf, cueOf, SIDE_LETTER } from "./count";
import { useLetterKeys } from "./letter-keys";
import { ItemTrack } from "./ItemTrack";
import { NameStrip } from "./NameStrip";
import { PaceBar } from "./PaceBar";
import { RunFigure } from "./RunFigure";
import { RunSteps } from "./RunSteps";
import { StepsOverFigure } from "./StepsOverFigure";
import { RunSwitches } from "./RunSwitches";
import { useRunKeys } from "./use-run-keys";

/** As large as the screen gives, for across a yard; on a telephone in the hand never too small to read. */
const atLeast = (least: string, size: string) => `max(${least}, ${size})`;

/** A telephone that lies on its side: everything beside each other, as on a large screen. */
const LYING = "@media (orientation: landscape) and (max-height: 520px)";

/** The count, read from five metres. */
const LARGE = { withSecond: "min(8vw, 16vh)", alone: "min(13vw, 27vh)" };

/** On a telephone three stand in one row. */
const LESSER = {
  minHeight: { xs: 52, sm: 60 },
  [LYING]: { minHeight: 48 },
  px: { xs: 1.25, md: 2 },
  whiteSpace: "nowrap",
  "& .MuiButton-startIcon": { display: { xs: "none", md: "inherit" } },
} as const;

const BESIDE_PAUSE = { width: 60, height: 60, [LYING]: { width: 48, height: 48 } } as const;

export function LeadScreen({ people, participations, run, onMark, words, second, ...switches }: RunScreenProps) {
  const own = useOwnWords();
  const { position, session, timeline, atSec, clock } = run;
  const [letterKeys] = useLetterKeys();
  useRunKeys(run, letterKeys);
  if (!position) return null;
  const { segment, phase } = position;
  const item = session.items.find((each) => each.id === segment.itemId)!;
  const text = words.movement(segment.movementId);
  const next = timeline.items[run.itemIndex + 1];
  const waiting = phase === "ready" || phase === "switch" || phase === "rest" || phase === "wait";
  const { big, small } = countOf(position, words);
  const cue = cueOf(position, words);

  return (
    <Box
      sx={{
        height: PAGE_HEIGHT,
        display: "grid",
        gridTemplateColumns: "minmax(0, 1fr)",
        gridTemplateRows: switches.sound.captions ? "auto minmax(0, 1fr) auto auto auto" : "auto minmax(0, 1fr) auto auto",
        bgcolor: "background.default",
      }}
    >
      <Box
        sx={{
          display: "flex",
          flexWrap: { xs: "wrap", md: "nowrap" },
          alignItems: "center",
          columnGap: 2,
          px: { xs: 1.5, md: 3 },
          py: 1,
          [LYING]: { py: 0, flexWrap: "nowrap" },
        }}
      >
        <Typography sx={{ fontWeight: 700, fontSize: "1.15rem" }}>
          <InLanguage words={words} text={words.sessionName(session)} />
        </Typography>
        <FaceOf language={words.language} />
        {second && <FaceOf language={second.language} />}
        <ItemTrack run={run} />
        <Typography sx={{ fontSize: "1.3rem", fontWeight: 700, whiteSpace: "nowrap" }} aria-label={t("Time left")}>
          −{words.digits(durationText(timeline.totalSec - atSec))}
        </Typography>
        <RunSwitches {...switches} />
      </Box>

      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", md: "minmax(110px, 12vw) minmax(0, 1.15fr) minmax(0, 1fr)" },
          gridTemplateRows: { xs: "auto minmax(0, 1fr) auto", md: "minmax(0, 1fr)" },
          minHeight: 0,
          [LYING]: { gridTemplateColumns: "minmax(84px, 10vw) minmax(0, 1fr) minmax(0, 1fr)", gridTemplateRows: "minmax(0, 1fr)" },
        }}
      >
        <Box
          sx={{
            bgcolor: `hand.${segment.side}`,
            color: "hand.on",
            display: "flex",
            flexDirection: { xs: "row", md: "column" },
            [LYING]: { flexDirection: "column" },
            alignItems: "center",
            justifyContent: "center",
            gap: 1,
            opacity: waiting && phase !== "switch" && phase !== "ready" ? 0.6 : 1,
          }}
        >
          <Typography
            component="p"
            sx={{ fontSize: segment.side === "both" ? "min(7vw, 18vh)" : "min(11vw, 28vh)", fontWeight: 800, lineHeight: 1 }}
          >
            {SIDE_LETTER[segment.side]}
          </Typography>
          <Typography
            component="p"
            sx={{ fontSize: atLeast("0.95rem", "min(1.9vw, 4vh)"), fontWeight: 650, textAlign: "center", lineHeight: 1.15, px: 1 }}
          >
            <InLanguage words={words} text={words.label("side", segment.side)} />
          </Typography>
          {second && (
            <Typography
              component="p"
              sx={{ fontSize: atLeast("0.9rem", "min(1.5vw, 3.2vh)"), fontWeight: 600, textAlign: "center", lineHeight: 1.15, px: 1 }}
            >
              <InLanguage words={second} text={second.label("side", segment.side)} />
            </Typography>
          )}
        </Box>

        <Box sx={{ position: "relative", minWidth: 0, minHeight: 0, display: "grid" }}>
          <RunFigure run={run} segment={segment} atSec={atSec} />
          <StepsOverFigure
            title={text.name}
            steps={text.steps}
            beside={second && { words: second, steps: second.movement(segment.movementId).steps }}
            watch={text.watch}
            now={phase === "step" ? position.count : 0}
            words={words}
            hasCaption={switches.sound.captions}
          />
        </Box>

        <Box
          lang={words.language}
          dir={LANGUAGE_FACTS[words.language].direction}
          sx={{
            px: 3,
            py: 1.5,
            display: "flex",
            flexDirection: "column",
            minWidth: 0,
            overflow: "hidden",
            [LYING]: { py: 0.5, px: 2 },
          }}
        >
          <Typography variant="h1" sx={{ fontSize: atLeast("1.5rem", second ? "min(2.6vw, 5vh)" : "min(3.1vw, 6vh)") }}>
            {text.name}
          </Typography>
          {second && (
            <Typography sx={{ fontSize: atLeast("1.1rem", "min(2vw, 4vh)"), fontWeight: 650, lineHeight: 1.2 }}>
              <InLanguage words={second} text={second.movementName(segment.movementId)} />
            </Typography>
          )}
          <Typography sx={{ fontSize: atLeast("1rem", "min(1.6vw, 3vh)"), color: "text.secondary" }}>
            {words.formName(segment.movementId, item.formId)}
            {segment.setCount > 1 && ` · ${words.cue("setOf", { set: segment.set, sets: segment.setCount })}`}
          </Typography>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2.5, mt: "0.5vh" }}>
            <Typography
              component="p"
              aria-live="off"
              sx={{
                fontSize: { xs: second ? "min(15vw, 8vh)" : "min(22vw, 11vh)", md: second ? LARGE.withSecond : LARGE.alone },
                [LYING]: { fontSize: second ? LARGE.withSecond : LARGE.alone },
                fontWeight: 800,
                lineHeight: 0.95,
                letterSpacing: "-0.04em",
                color: waiting ? "text.secondary" : "text.primary",
              }}
            >
              {big}
            </Typography>
            <Box>
              <Typography
                component="p"
                role="status"
                sx={{
                  fontSize: atLeast("1.3rem", "min(3vw, 6vh)"),
                  fontWeight: 750,
                  lineHeight: 1.05,
                  color: waiting ? "text.secondary" : "warm.dark",
                }}
              >
                {clock.status === "paused" ? words.cue("paused") : cue}
              </Typography>
              {second && (
                <Typography component="p" sx={{ fontSize: atLeast("1.05rem", "min(2vw, 4vh)"), fontWeight: 650, lineHeight: 1.1 }}>
                  <InLanguage words={second} text={clock.status === "paused" ? second.cue("paused") : cueOf(position, second)} />
                </Typography>
              )}
              <Typography component="p" sx={{ fontSize: atLeast("1rem", "min(1.8vw, 3.4vh)"), color: "text.secondary" }}>
                {small}
              </Typography>
            </Box>
          </Box>
          <PaceBar position={position} />
          <RunSteps
            hasCaption={switches.sound.captions}
            steps={text.steps}
            beside={second && { words: second, steps: second.movement(segment.movementId).steps }}
            watch={second ? [] : text.watch}
            now={phase === "step" ? position.count : 0}
          />
          <Box sx={{ mt: "auto", pt: 1 }}>
            <Typography component="span" sx={{ color: "text.secondary", marginInlineEnd: 1 }}>
              {words.cue("next")}
            </Typography>
            <Typography component="span" sx={{ fontSize: atLeast("1rem", "min(1.7vw, 3.2vh)"), fontWeight: 700, lineHeight: 1.15 }}>
              {next ? words.movementName(next.movementId) : words.cue("thatWasTheLast")}
            </Typography>
          </Box>
        </Box>
      </Box>

      {switches.sound.captions && (
        <Caption text={run.caption} size="min(2.2vw, 4.2vh)" sx={{ px: 3, borderTop: "2px solid", borderColor: "line" }} />
      )}
      <NameStrip people={people} participations={participations} run={run} item={item} theirWords={words} onMark={onMark} />

      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          justifyContent: "center",
          gap: 1.5,
          px: 2,
          py: 1.25,
          borderTop: "2px solid",
          borderColor: "line",
          flexWrap: "wrap",
          [LYING]: { py: 0.5, gap: 1, flexWrap: "nowrap" },
        }}
      >
        <IconButton aria-label={t("Back (left arrow)")} onClick={run.back} sx={BESIDE_PAUSE}>
          <SkipBack size={30} />
        </IconButton>
        <Button
          variant="contained"
          onClick={run.toggle}
          startIcon={clock.status === "running" ? <Pause size={26} fill="currentColor" /> : <Play size={26} fill="currentColor" />}
          sx={{ minHeight: 60, width: 190, fontSize: "1.3rem", [LYING]: { minHeight: 48, width: 150, fontSize: "1.1rem" } }}
        >
          {clock.status === "running" ? t("Pause") : t("Go on")}
        </Button>
        <IconButton aria-label={t("Skip (right arrow)")} onClick={run.skip} sx={BESIDE_PAUSE}>
          <SkipForward size={30} />
        </IconButton>
        <Button
          variant="outlined"
          onClick={run.easeAll}
          startIcon={<ChevronsDown size={22} />}
          sx={{ ...LESSER, ml: { md: 3 } }}
          title={t("Everybody one form easier (E)")}
        >
          {t("Easier for all")}
        </Button>
        <Button
          variant="outlined"
          disabled={!run.toClose}
          onClick={run.toClose}
          startIcon={<ChevronsRight size={22} />}
          sx={LESSER}
          title={t("Over what is left, to what it ends with (C)")}
        >
          {t("To the close")}
        </Button>
        <Button variant="outlined" onClick={run.stop} startIcon={<Square size={20} />} sx={LESSER} title={t("End the run here (S)")}>
          {t("Stop")}
        </Button>
        <Typography variant="caption" sx={{ color: "text.secondary", ml: 2, maxWidth: 210, display: { xs: "none", lg: "block" } }}>
          {own.paper("preventionShort")}
        </Typography>
      </Box>
    </Box>
  );
}
