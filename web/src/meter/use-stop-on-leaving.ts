/** A reading belongs to the part of the page that asked for it. */
import { useEffect, useRef } from "react";
import type { Meter } from "./use-meter";

/**
 * Ends what is being read when its part goes away: another part, another person, a dialog closed. What came in later would be written
 * with what was on the page then, over everything entered since.
 */
export function useStopOnLeaving({ stop }: Pick<Meter, "stop">, isReading: boolean): void {
  const now = useRef(isReading);
  useEffect(() => {
    now.current = isReading;
  });
  useEffect(
    () => () => {
      if (now.current) stop();
    },
    [stop],
  );
}
