/** This device as angle meter, checked against a right angle: flat on the table, stood against its edge, four times. */
import { Box, Button, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import { CALIBRATION_READINGS, calibrationOf, canMeasure, MOST_OFF_DEG, steadyMean } from "@kind-grip/core/meter";
import { dateText } from "../base/dates";
import { numberText } from "../base/measures";
import { useNow } from "../base/now";
import { t } from "../base/words";
import type { Meter } from "./use-meter";
import { useStopOnLeaving } from "./use-stop-on-leaving";

/** It has to have been stood up before it can stand still. */
const STOOD_UP_DEG = 45;

export function PhoneCheck({ meter }: { meter: Meter }) {
  const [readings, setReadings] = useState<readonly number[]>([]);
  const [reading, setReading] = useState(false);
  useStopOnLeaving(meter, reading);
  const { calibration } = meter;
  const today = DateTime.fromMillis(useNow()).toISODate()!;
  const deg = (value: number) => `${numberText(value, 1)}°`;
  const read = () => {
    setReading(true);
    meter.start(
      "angle",
      (list) => {
        const stood = list.some(({ value }) => value >= STOOD_UP_DEG);
        const angle = stood ? steadyMean(list) : undefined;
        if (angle === undefined) return;
        meter.stop();
        setReading(false);
        // What was read by an earlier check is not in it: the meter reads uncorrected while it is checked.
        const all = [...readings, angle];
        setReadings(all.length === CALIBRATION_READINGS ? [] : all);
        if (all.length === CALIBRATION_READINGS) meter.calibrate(calibrationOf(all, today));
      },
      { uncorrected: true },
    );
  };
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "Check it first: lay it flat on the table, press, stand it against the table's edge or a book's corner, hold still. {{count}} times.",
          { count: CALIBRATION_READINGS },
        )}
      </Typography>
      <Button variant={calibration ? "outlined" : "contained"} disabled={reading} onClick={read}>
        {reading
          ? t("Stand it up and hold still …")
          : t("Lies flat: {{next}} of {{all}}", { next: readings.length + 1, all: CALIBRATION_READINGS })}
      </Button>
      {calibration ? (
        <Typography role="status" sx={canMeasure(calibration) ? {} : { color: "error.main", fontWeight: 650 }}>
          {t("It reads {{reads}} for a right angle and repeats within {{repeats}}, checked {{date}}.", {
            reads: deg(calibration.readsDeg),
            repeats: deg(calibration.repeatsWithinDeg),
            date: dateText(DateTime.fromISO(calibration.on), "d LLLL"),
          })}{" "}
          {canMeasure(calibration)
            ? t("Readings are corrected by it.")
            : t("More than {{most}} off: nothing is read from it. Check again, or use another.", { most: deg(MOST_OFF_DEG) })}
        </Typography>
      ) : (
        <Typography role="status">{t("Not checked yet: what it is off by cannot be said.")}</Typography>
      )}
    </Box>
  );
}
