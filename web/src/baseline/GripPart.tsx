/** Grip: three trials a hand, alternating, with rest between; the meter's live trace, peak, plateau and quality, or typed figures. */
import { Box, Button, Typography } from "@mui/material";
import { Check } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { GRIP_REST_SEC, gripOf, wantsTrial, type BaselineRecord } from "@kind-grip/core/baseline";
import { readTrial, type GripTrial, type Reading } from "@kind-grip/core/meter";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { FIELD_UNITS, fixedText, massText, numberText } from "../base/measures";
import { t } from "../base/words";
import { Trace } from "../meter/Trace";
import { trialIsOver } from "../meter/trial-over";
import type { Meter } from "../meter/use-meter";
import { useStopOnLeaving } from "../meter/use-stop-on-leaving";
import { LikeThemFields } from "./LikeThemFields";
import { HandTrials, TRIAL_FAULTS } from "./HandTrials";
import type { EditedRecord } from "./use-record";

const TRACE_KG = 60;

type Trials = BaselineRecord["grip"];
interface Judged {
  side: HandSide;
  trial: GripTrial | null;
  /** The meter went away in the middle of it. */
  isLost?: boolean;
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
  const [left, right] = [useRef<HTMLInputElement>(null), useRef<HTMLInputElement>(null)];
  const fields = { left, right };
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
  // What a meter did not see the end of is no trial; the hand is free for another, or for a figure that is typed.
  if (side && !canRead) {
    setJudged({ side, trial: null, isLost: true });
    setSide(null);
  }

  useStopOnLeaving(meter, side !== null);

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
        {t("Seated, elbow bent at the side. Squeeze as hard as is comfortable for three seconds, hands in turn.")}
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, gap: 3 }}>
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
            fieldRef={fields[hand]}
            onType={(kg) => {
              add(hand, { kg, faults: [], from: "typed" });
              // Hands in turn: the other one's field is next, unless it has all its trials.
              (fields[hand === "left" ? "right" : "left"].current ?? fields[hand].current)?.focus();
            }}
            onRemove={(index) => edited.change({ ...edited.value, grip: { ...grip, [hand]: grip[hand].filter((_, i) => i !== index) } })}
          />
        ))}
      </Box>
      <LikeThemFields
        value={edited.value.likeThem}
        mainHand={handedness}
        onChange={(likeThem) => edited.change({ ...edited.value, likeThem })}
      />
      {(side || judged) && (
        <Box
          sx={{
            mt: 3,
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.3fr) minmax(0, 1fr)" },
            gap: 3,
            alignItems: "center",
          }}
        >
          <Trace readings={readings} most={Math.max(TRACE_KG, (best(side ?? judged!.side) ?? 0) * 1.2)} side={side ?? judged!.side} />
          {side && (
            <Typography component="p" sx={{ fontSize: "3.4rem", fontWeight: 800, lineHeight: 1 }}>
              {fixedText(FIELD_UNITS.mass.shown(readings.at(-1)?.value ?? 0), 1)}{" "}
              <Box component="span" sx={{ fontSize: "1.4rem", fontWeight: 600 }}>
                {FIELD_UNITS.mass.unit}
              </Box>
            </Typography>
          )}
          {judged && (
            <Box role="status">
              {judged.trial ? (
                <>
                  <Typography sx={{ fontSize: "1.15rem" }}>
                    {t("Peak")} <strong>{massText(judged.trial.peakKg, 1)}</strong>
                    {t(", plateau {{plateau}}, held {{heldSec}} s.", {
                      plateau: massText(judged.trial.plateauKg, 1),
                      heldSec: numberText(judged.trial.heldSec, 1),
                    })}
                  </Typography>
                  {kept ? (
                    <Typography sx={{ display: "flex", gap: 0.5, alignItems: "center", color: "primary.main", fontWeight: 650 }}>
                      <Check size={18} aria-hidden /> {t("A good trial, kept.")}
                    </Typography>
                  ) : (
                    <>
                      <Typography sx={{ color: "error.main", fontWeight: 650 }}>
                        {t("Not kept: {{faults}}.", { faults: judged.trial.faults.map((fault) => TRIAL_FAULTS[fault]).join(", ") })}
                      </Typography>
                      <Box sx={{ display: "flex", gap: 1, mt: 1, flexWrap: "wrap" }}>
                        <Button variant="contained" onClick={() => begin(judged.side)}>
                          {t("Again")}
                        </Button>
                        <Button onClick={() => keep(judged.side, judged.trial!)}>{t("Keep it all the same")}</Button>
                      </Box>
                    </>
                  )}
                </>
              ) : (
                <Typography>
                  {judged.isLost
                    ? t("The meter went away in the middle of the trial. Nothing of it was kept.")
                    : t("Nobody squeezed. Nothing was kept.")}
                </Typography>
              )}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}

/** The hand that is due: the one with fewer trials; the main hand first. Neither when both have enough. */
function nextHand(grip: Trials, handedness: "left" | "right" | "both" | null): HandSide | null {
  const wants = HAND_SIDES.filter((hand) => wantsTrial(grip[hand].map(({ kg }) => kg)));
  const main: HandSide = handedness === "left" ? "left" : "right";
  return wants.sort((a, b) => grip[a].length - grip[b].length || (a === main ? -1 : 1))[0] ?? null;
}
