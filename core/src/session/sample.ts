/** Builders for tests and the bench: one item or session with only what matters written out. */
import type { Dose } from "./dose";
import type { Item, ShiftSession } from "./item";
import type { FormTimings } from "./form-timing";

let made = 0;

export function sampleId(): string {
  made += 1;
  return `00000000-0000-7000-8000-${made.toString(16).padStart(12, "0")}`;
}

export function sampleItem(dose: Dose, change: Partial<Item> = {}): Item {
  return {
    id: sampleId(),
    movementId: "palm-away",
    formId: "elbow-soft",
    dose,
    sides: "together",
    firstSide: "left",
    loadKg: null,
    pairedWithNext: false,
    personal: {},
    ...change,
  };
}

export function sampleSession(items: Item[], change: Partial<ShiftSession> = {}): ShiftSession {
  return { id: sampleId(), name: "Sample", slot: "preShift", items, ...change };
}

/** Every form of `palm-away` ready in `readySec`, sides changed in `switchSec`. */
export function sampleTimings(readySec: number, switchSec: number): FormTimings {
  const forms = new Map(["elbow-90", "elbow-soft", "elbow-straight", "blade-back"].map((id) => [id, { readySec, switchSec }]));
  return new Map([["palm-away", forms]]);
}
