/** Grip: three trials a hand, alternating, with rest between; the meter's live trace, peak, plateau and quality, or typed figures. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { Check, Hand, Plus, Square, Trash2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { GRIP_REST_SEC, GRIP_SPREAD, gripOf, MOST_GRIP_TRIALS, wantsTrial, type BaselineRecord } from "@kind-grip/core/baseline";
import { readTrial, type GripTrial, type Reading, type TrialFault } from "@kind-grip/core/meter";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { Trace } from "../meter/Trace";
import type { Meter } from "../meter/use-meter";
import { SideMark } from "../parts/SideMark";
import { BigStepper } from "./BigStepper";
import type { EditedRecord } from "./use-record";

const FAULTS: Readonly<Record<TrialFault, string>> = {
  dropOut: "the meter lost readings",
  tooShort: "held too short",
  unsteady: "not steady",
  weak: "well under the best of this hand",
};
/** A trial ends by itself when the hand has let go for so long, or after so long. */
const LET_GO_MS = 500;
const LONGEST_TRIAL_MS = 9000;
const TRACE_KG = 60;

type Trials = BaselineRecord["grip"];
interface Judged {
  side: HandSide;
  trial: GripTrial | null;
}

export function GripPart({
  edited,
  meter,
  handedness,
}: {
  edited: EditedRecord;
  meter: Meter;
  handedness: "left" | "right" | "both" | null;
}) {
  const { grip } = edited.value;
  const [side, setSide] = useState<HandSide | null>(null);
  const [judged, setJudged] = useState<Judged | null>(null);
  const [restUntil, setRestUntil] = useState<Partial<Record<HandSide, number>>>({});
  const next = nextHand(grip, handedness);
  const best = (hand: HandSide) => gripOf(grip[hand].map(({ kg }) => kg))?.bestKg;
  const add = (hand: HandSide, reading: Trials["left"][number]) => {
    edited.change({ ...edited.value, grip: { ...grip, [hand]: [...grip[hand], reading] } });
    setRestUntil({ ...restUntil, [hand]: Date.now() + GRIP_REST_SEC * 1000 });
  };
  const keep = (hand: HandSide, trial: GripTrial) => {
    add(hand, { kg: trial.peakKg, faults: trial.faults, from: "meter" });
    setJudged(null);
  };
  const canRead = meter.state === "on" && meter.kinds.includes("grip");

  const { readings } = meter;
  const finish = (hand: HandSide, list: readonly Reading[]) => {
    meter.stop();
    setSide(null);
    const trial = readTrial(list, best(hand)) ?? null;
    // A good trial is kept as it ends; one with a fault waits for the trainer's word.
    if (trial && trial.faults.length === 0) keep(hand, trial);
    setJudged({ side: hand, trial });
  };
  const latest = useRef(finish);
  useEffect(() => {
    latest.current = finish;
  });
  const begin = (hand: HandSide) => {
    setJudged(null);
    setSide(hand);
    meter.start("grip", (list) => {
      if (trialIsOver(list)) latest.current(hand, list);
    });
    // A simulated meter has no hand on it: ask it to squeeze.
    if (meter.settings) meter.squeeze();
  };
  const kept = judged?.trial?.faults.length === 0;
  return (
    <Box>
      <Typography sx={{ color: "text.secondary", mb: 2 }}>
        Seated, elbow bent at the side. Squeeze as hard as is comfortable for three seconds, hands in turn.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { sm: "1fr 1fr" }, gap: 3 }}>
        {HAND_SIDES.map((hand) => (
          <HandTrials
            key={hand}
            hand={hand}
            trials={grip[hand]}
            isNext={next === hand}
            restUntil={restUntil[hand]}
            measuring={side === hand}
            canRead={canRead}
            busy={side !== null}
            onBegin={() => begin(hand)}
            onStop={() => {
              meter.stop();
              setSide(null);
            }}
            onType={(kg) => add(hand, { kg, faults: [], from: "typed" })}
            onRemove={(index) => edited.change({ ...edited.value, grip: { ...grip, [hand]: grip[hand].filter((_, i) => i !== index) } })}
          />
        ))}
      </Box>
      {(side || judged) && (
        <Box sx={{ mt: 3, display: "grid", gridTemplateColumns: { md: "minmax(0, 1.3fr) minmax(0, 1fr)" }, gap: 3, alignItems: "center" }}>
          <Trace readings={readings} most={Math.max(TRACE_KG, (best(side ?? judged!.side) ?? 0) * 1.2)} side={side ?? judged!.side} />
          {side && (
            <Typography component="p" sx={{ fontSize: "3.4rem", fontWeight: 800, lineHeight: 1 }}>
              {(readings.at(-1)?.value ?? 0).toFixed(1)}{" "}
              <Box component="span" sx={{ fontSize: "1.4rem", fontWeight: 600 }}>
                kg
              </Box>
            </Typography>
          )}
          {judged && (
            <Box role="status">
              {judged.trial ? (
                <>
                  <Typography sx={{ fontSize: "1.15rem" }}>
                    Peak <strong>{judged.trial.peakKg.toFixed(1)} kg</strong>, plateau {judged.trial.plateauKg.toFixed(1)} kg, held{" "}
                    {judged.trial.heldSec.toFixed(1)} s.
                  </Typography>
                  {kept ? (
                    <Typography sx={{ display: "flex", gap: 0.5, alignItems: "center", color: "primary.main", fontWeight: 650 }}>
                      <Check size={18} aria-hidden /> A good trial, kept.
                    </Typography>
                  ) : (
                    <>
                      <Typography sx={{ color: "error.main", fontWeight: 650 }}>
                        Not kept: {judged.trial.faults.map((fault) => FAULTS[fault]).join(", ")}.
                      </Typography>
                      <Box sx={{ display: "flex", gap: 1, mt: 1, flexWrap: "wrap" }}>
                        <Button variant="contained" onClick={() => begin(judged.side)}>
                          Again
                        </Button>
                        <Button onClick={() => keep(judged.side, judged.trial!)}>Keep it all the same</Button>
                      </Box>
                    </>
                  )}
                </>
              ) : (
                <Typography>Nobody squeezed. Nothing was kept.</Typography>
              )}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

interface HandTrialsProps {
  hand: HandSide;
  trials: Trials["left"];
  isNext: boolean;
  restUntil?: number;
  measuring: boolean;
  canRead: boolean;
  busy: boolean;
  onBegin(): void;
  onStop(): void;
  onType(kg: number): void;
  onRemove(index: number): void;
}

function HandTrials({ hand, trials, isNext, restUntil, measuring, canRead, busy, onBegin, onStop, onType, onRemove }: HandTrialsProps) {
  const [typed, setTyped] = useState<number | null>(null);
  const rest = useSecondsLeft(restUntil);
  const summary = gripOf(trials.map(({ kg }) => kg));
  const name = hand === "left" ? "left" : "right";
  const full = trials.length >= MOST_GRIP_TRIALS;
  return (
    <Box component="section" aria-label={`Grip, ${name} hand`} sx={{ borderTop: "6px solid", borderColor: `hand.${hand}`, pt: 1.5 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 52 }}>
        <SideMark side={hand} size={36} />
        {summary ? (
          <Typography component="p" sx={{ fontSize: "2.2rem", fontWeight: 800, lineHeight: 1 }}>
            {summary.meanKg.toFixed(1)}{" "}
            <Box component="span" sx={{ fontSize: "1.1rem", fontWeight: 600 }}>
              kg mean
            </Box>
          </Typography>
        ) : (
          <Typography sx={{ color: "text.secondary" }}>no trial yet</Typography>
        )}
        {summary && trials.length > 1 && (
          <Typography
            sx={{
              ml: "auto",
              color: summary.spread > GRIP_SPREAD ? "warm.dark" : "text.secondary",
              fontWeight: summary.spread > GRIP_SPREAD ? 700 : 500,
              textAlign: "right",
            }}
          >
            spread {Math.round(summary.spread * 100)} %{summary.spread > GRIP_SPREAD && trials.length >= 3 && !full && ", one more"}
          </Typography>
        )}
      </Box>
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, display: "flex", flexWrap: "wrap", gap: 1, minHeight: 52, my: 1 }}>
        {trials.map((trial, i) => (
          <Box
            component="li"
            key={i}
            sx={{
              display: "flex",
              alignItems: "center",
              border: "2px solid",
              borderColor: trial.faults.length > 0 ? "warm.main" : "line",
              borderRadius: 2,
              pl: 1.5,
              bgcolor: "background.paper",
            }}
          >
            <Typography sx={{ fontWeight: 700 }}>{trial.kg.toFixed(1)}</Typography>
            {trial.faults.length > 0 && (
              <Typography sx={{ ml: 0.75, color: "warm.dark", fontSize: "0.9rem" }}>
                {trial.faults.map((fault) => FAULTS[fault]).join(", ")}
              </Typography>
            )}
            <IconButton aria-label={`Take out ${name} trial ${i + 1}`} onClick={() => onRemove(i)} sx={{ width: 44 }}>
              <Trash2 size={17} />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        {canRead &&
          (measuring ? (
            <Button variant="outlined" onClick={onStop} startIcon={<Square size={18} />} sx={{ minHeight: 56 }}>
              Stop
            </Button>
          ) : (
            <Button
              variant={isNext ? "contained" : "outlined"}
              disabled={busy || full}
              startIcon={<Hand size={22} />}
              onClick={onBegin}
              sx={{ minHeight: 56, px: 3, fontSize: "1.1rem" }}
            >
              {rest > 0 ? `Squeeze ${name}, rest ${rest} s` : `Squeeze ${name}`}
            </Button>
          ))}
        {!canRead && rest > 0 && <Typography sx={{ color: "text.secondary", fontWeight: 650 }}>Rest {rest} s</Typography>}
        {!measuring && !full && (
          <Box sx={{ display: "flex", gap: 0.5, alignItems: "center" }}>
            <BigStepper
              label={`${hand === "left" ? "Left" : "Right"} grip, kg`}
              unit="kg"
              value={typed}
              start={Math.round(summary?.meanKg ?? 30)}
              min={0}
              max={120}
              step={0.5}
              onChange={setTyped}
            />
            <IconButton
              aria-label={`Add the ${name} trial`}
              disabled={typed === null}
              onClick={() => {
                onType(typed!);
                setTyped(null);
              }}
              sx={{ width: 52, height: 52, border: "2px solid", borderColor: "line" }}
            >
              <Plus size={22} />
            </IconButton>
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** The hand that is due: the one with fewer trials; the main hand first. Neither when both have enough. */
function nextHand(grip: Trials, handedness: "left" | "right" | "both" | null): HandSide | null {
  const wants = HAND_SIDES.filter((hand) => wantsTrial(grip[hand].map(({ kg }) => kg)));
  const main: HandSide = handedness === "left" ? "left" : "right";
  return wants.sort((a, b) => grip[a].length - grip[b].length || (a === main ? -1 : 1))[0] ?? null;
}

function trialIsOver(readings: readonly Reading[]): boolean {
  const last = readings.at(-1);
  if (!last) return false;
  if (last.atMs > LONGEST_TRIAL_MS) return true;
  const squeezed = readings.filter(({ value }) => value >= 3);
  return squeezed.length > 4 && last.atMs - squeezed.at(-1)!.atMs > LET_GO_MS;
}

function useSecondsLeft(untilMs: number | undefined): number {
  const [now, setNow] = useState(Date.now);
  const left = untilMs === undefined ? 0 : Math.min(GRIP_REST_SEC, Math.max(0, Math.ceil((untilMs - now) / 1000)));
  useEffect(() => {
    if (untilMs === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    const end = setTimeout(() => clearInterval(timer), Math.max(0, untilMs - Date.now()) + 600);
    return () => {
      clearInterval(timer);
      clearTimeout(end);
    };
  }, [untilMs]);
  return left;
}
