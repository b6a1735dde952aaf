/** What the lying and the upright ribbon of a shift have in common: how thick, what is named, which hours, what clashes. */
import { DateTime } from "luxon";
import type { Shift } from "@kind-grip/core/calendar";
import type { Clash, RibbonPiece } from "@kind-grip/core/dayplan";
import { dateText } from "../base/dates";

/** Thickness of the ribbon, px, and the strain index it is thickest at. */
const THINNEST = 5;
const THICKEST_AT = 25;
export const THICKEST = 26;

export function thicknessOf(strain: number): number {
  return THINNEST + Math.min(1, strain / THICKEST_AT) * (THICKEST - THINNEST);
}

/** Pieces of one task after another as one: it is named once. */
export function namedRuns(pieces: readonly RibbonPiece[]): RibbonPiece[] {
  return pieces.reduce<RibbonPiece[]>((runs, piece) => {
    const last = runs.at(-1);
    return last?.name === piece.name ? [...runs.slice(0, -1), { ...last, endMs: piece.endMs }] : [...runs, piece];
  }, []);
}

/** Full hours of the wall clock inside a shift. */
export function hoursIn(shift: Shift, timeZone: string): { ms: number; label: string }[] {
  const list: { ms: number; label: string }[] = [];
  let time = DateTime.fromMillis(shift.startMs, { zone: timeZone }).startOf("hour");
  if (time.toMillis() < shift.startMs) time = time.plus({ hours: 1 });
  for (; time.toMillis() <= shift.endMs; time = time.plus({ hours: 1 })) list.push({ ms: time.toMillis(), label: dateText(time, "H") });
  return list;
}

/** @returns whether a rule forbids what is placed, or several together */
export function stoppedBy(clashes: readonly Clash[]): (...ids: string[]) => boolean {
  return (...ids) => clashes.some(({ weight, placementIds }) => weight === "stop" && ids.every((id) => placementIds.includes(id)));
}
