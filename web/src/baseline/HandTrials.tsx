/** The grip trials of one hand: its mean, its trials, the button of the meter, the field for a meter without a wire. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { Hand, Plus, Square, Trash2 } from "lucide-react";
import { useEffect, useState, type Ref } from "react";
import { GRIP_REST_SEC, GRIP_SPREAD, gripOf, MOST_GRIP_KG, MOST_GRIP_TRIALS, type BaselineRecord } from "@kind-grip/core/baseline";
import type { TrialFault } from "@kind-grip/core/meter";
import type { HandSide } from "@kind-grip/core/units";
import { FIELD_UNITS, numberText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { onStep } from "../parts/Stepper";
import { BigStepper } from "./BigStepper";

export const TRIAL_FAULTS: Readonly<Record<TrialFault, string>> = {
  dropOut: t("the meter lost readings"),
  tooShort: t("held too short"),
  unsteady: t("not steady"),
  weak: t("well under the best of this hand"),
};

const { unit, shown, stored } = FIELD_UNITS.mass;

interface HandTrialsProps {
  hand: HandSide;
  trials: BaselineRecord["grip"]["left"];
  isNext: boolean;
  restUntil?: number;
  measuring: boolean;
  canRead: boolean;
  busy: boolean;
  onBegin(): void;
  onStop(): void;
  onType(kg: number): void;
  onRemove(index: number): void;
  /** The field for a meter without a wire. */
  fieldRef: Ref<HTMLInputElement>;
}

export function HandTrials({
  hand,
  trials,
  isNext,
  restUntil,
  measuring,
  canRead,
  busy,
  onBegin,
  onStop,
  onType,
  onRemove,
  fieldRef,
}: HandTrialsProps) {
  const [typed, setTyped] = useState<number | null>(null);
  const add = (figure: number) => {
    onType(stored(figure));
    setTyped(null);
  };
  const rest = useSecondsLeft(restUntil);
  const summary = gripOf(trials.map(({ kg }) => kg));
  const name = sideWord(hand);
  const full = trials.length >= MOST_GRIP_TRIALS;
  return (
    <Box
      component="section"
      aria-label={t("Grip, {{name}} hand", { name })}
      sx={{ borderTop: "6px solid", borderColor: `hand.${hand}`, pt: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, minHeight: 52 }}>
        <SideMark side={hand} size={36} />
        {summary ? (
          <Typography component="p" sx={{ fontSize: "2.2rem", fontWeight: 800, lineHeight: 1 }}>
            {numberText(shown(summary.meanKg), 1)}{" "}
            <Box component="span" sx={{ fontSize: "1.1rem", fontWeight: 600 }}>
              {t("{{unit}} mean", { unit })}
            </Box>
          </Typography>
        ) : (
          <Typography sx={{ color: "text.secondary" }}>{t("no trial yet")}</Typography>
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
            {t("spread {{spread}} %", { spread: Math.round(summary.spread * 100) })}
            {summary.spread > GRIP_SPREAD && trials.length >= 3 && !full && t(", one more")}
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
            <Typography sx={{ fontWeight: 700 }}>{numberText(shown(trial.kg), 1)}</Typography>
            {trial.faults.length > 0 && (
              <Typography sx={{ ml: 0.75, color: "warm.dark", fontSize: "0.9rem" }}>
                {trial.faults.map((fault) => TRIAL_FAULTS[fault]).join(", ")}
              </Typography>
            )}
            <IconButton aria-label={t("Take out {{name}} trial {{i}}", { name, i: i + 1 })} onClick={() => onRemove(i)} sx={{ width: 44 }}>
              <Trash2 size={17} />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        {canRead &&
          (measuring ? (
            <Button variant="outlined" onClick={onStop} startIcon={<Square size={18} />} sx={{ minHeight: 56 }}>
              {t("Stop")}
            </Button>
          ) : (
            <Button
              variant={isNext ? "contained" : "outlined"}
              disabled={busy || full}
              startIcon={<Hand size={22} />}
              onClick={onBegin}
              sx={{ minHeight: 56, px: 3, fontSize: "1.1rem" }}
            >
              {rest > 0 ? t("Squeeze {{name}}, rest {{rest}} s", { name, rest }) : t("Squeeze {{name}}", { name })}
            </Button>
          ))}
        {!canRead && rest > 0 && (
          <Typography sx={{ color: "text.secondary", fontWeight: 650 }}>{t("Rest {{rest}} s", { rest })}</Typography>
        )}
        {!measuring && !full && (
          <Box sx={{ display: "flex", gap: 0.5, alignItems: "center" }}>
            <BigStepper
              label={t("{{hand}} grip, {{unit}}", { hand: hand === "left" ? t("Left") : t("Right"), unit })}
              unit={unit}
              value={typed}
              start={Math.round(shown(summary?.meanKg ?? 30))}
              min={0}
              max={onStep(shown(MOST_GRIP_KG), 0.5)}
              step={0.5}
              onChange={setTyped}
              onEnter={add}
              inputRef={fieldRef}
            />
            <IconButton
              aria-label={t("Add the {{name}} trial", { name })}
              disabled={typed === null}
              onClick={() => add(typed!)}
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
