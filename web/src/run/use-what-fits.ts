/** How many children of a wrapping box stand in it whole; the others are out of sight below it. */
import type { RefObject } from "react";
import { useMeasured } from "../parts/use-measured";

/** @param box what the children's places are told from @param of changes when the children do @returns Infinity where all of them fit */
export function useWhatFits(box: RefObject<HTMLElement | null>, of: string): number {
  return useMeasured(box, fittingIn, Infinity, of);
}

function fittingIn(box: HTMLElement): number {
  const children = [...box.children] as HTMLElement[];
  const below = children.findIndex(({ offsetTop, offsetHeight }) => offsetTop + offsetHeight > box.clientHeight);
  return below < 0 ? Infinity : below;
}
