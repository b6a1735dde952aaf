/** The keys of watching at a desk: hold F for the left hand and J for the right, the space bar to pause, 1 to 5 for a posture. */
import { TAPPED_POSTURES } from "@kind-grip/core/observe";
import type { HandSide } from "@kind-grip/core/units";
import { useEffect, useRef } from "react";

const HAND_KEYS: Readonly<Record<string, HandSide>> = { f: "left", j: "right" };

export interface WatchKeys {
  press(side: HandSide, moment: number): void;
  release(side: HandSide, moment: number): void;
  posture(side: HandSide, flexionDeg: number, moment: number): void;
  toggle(moment: number): void;
}

/** @param letters whether single letters and digits count; the space bar always does */
export function useWatchKeys(keys: WatchKeys, sides: readonly HandSide[], letters: boolean): void {
  const now = useRef({ keys, last: sides[0] });
  useEffect(() => {
    now.current.keys = keys;
  });
  useEffect(() => {
    const onDown = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const { current } = now;
      const side = letters ? HAND_KEYS[event.key.toLowerCase()] : undefined;
      const posture = letters ? TAPPED_POSTURES[Number(event.key) - 1] : undefined;
      if (side) {
        current.last = side;
        if (!event.repeat) current.keys.press(side, event.timeStamp);
      } else if (posture !== undefined && current.last) current.keys.posture(current.last, posture, event.timeStamp);
      else if (event.key === " " && !(event.target as Element).closest?.("button")) current.keys.toggle(event.timeStamp);
      else return;
      event.preventDefault();
    };
    const onUp = (event: KeyboardEvent) => {
      const side = HAND_KEYS[event.key.toLowerCase()];
      if (side) now.current.keys.release(side, event.timeStamp);
    };
    addEventListener("keydown", onDown);
    addEventListener("keyup", onUp);
    return () => {
      removeEventListener("keydown", onDown);
      removeEventListener("keyup", onUp);
    };
  }, [letters]);
}
