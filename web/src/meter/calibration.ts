/** What this device was found to read for a right angle; kept in this browser, it is of this device. */
import * as v from "valibot";
import { Calibration } from "@kind-grip/core/meter";

const KEPT = "kind-grip.phone-calibration";

export function keptCalibration(): Calibration | null {
  try {
    return v.parse(v.nullable(Calibration), JSON.parse(localStorage.getItem(KEPT) ?? "null"));
  } catch {
    return null;
  }
}

export function keepCalibration(calibration: Calibration): void {
  localStorage.setItem(KEPT, JSON.stringify(calibration));
}
