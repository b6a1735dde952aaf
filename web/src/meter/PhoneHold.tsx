/** How the forearm is laid and the phone held for a motion, so that gravity sees it, and how far one reading may be off. */
import { Typography } from "@mui/material";
import type { Motion } from "@kind-grip/core/baseline";
import { phoneErrorOf } from "@kind-grip/core/meter";
import { numberText } from "../base/measures";
import { t } from "../base/words";
import type { Meter } from "./use-meter";

const OVER_THE_EDGE = t("Forearm flat on the table, palm down, hand over the edge. Phone flat on the back of the hand.");
const THUMB_UP = t("Forearm on its little-finger side, thumb up, hand over the table's edge. Phone held like a cup.");
const UPRIGHT_IN_FIST = t("Elbow at the side, forearm level. Phone upright in the fist, thumb up.");

const HOLDS: Readonly<Record<Motion, string>> = {
  wristFlexion: OVER_THE_EDGE,
  wristExtension: OVER_THE_EDGE,
  radialDeviation: THUMB_UP,
  ulnarDeviation: THUMB_UP,
  palmUp: UPRIGHT_IN_FIST,
  palmDown: UPRIGHT_IN_FIST,
  elbowBend: t("Upper arm hanging still at the side. Phone along the forearm, held there by the other hand."),
};

export function PhoneHold({ motion, fullDeg, meter: { calibration } }: { motion: Motion; fullDeg: number; meter: Meter }) {
  const error = calibration && phoneErrorOf(fullDeg, calibration);
  const deg = (value: number) => numberText(value, 1);
  return (
    <Typography sx={{ gridColumn: "1 / -1", color: "text.secondary", textAlign: "center", mt: 0.5 }}>
      {HOLDS[motion]}{" "}
      {error
        ? t("A reading near {{full}}° may be {{above}}° too little or {{below}}° too much.", {
            full: fullDeg,
            above: deg(error.above),
            below: deg(error.below),
          })
        : t("How far a reading may be off is not known before the phone is checked.")}
    </Typography>
  );
}
