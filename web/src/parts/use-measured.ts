/** What is measured of a part of the page, anew whenever it changes its size. */
import { useLayoutEffect, useState, type RefObject } from "react";

/**
 * @param measure a function that stays the same
 * @param usual until it is laid out
 * @param of changes when what is in it does, where that does not change its size
 */
export function useMeasured<T>(part: RefObject<HTMLElement | null>, measure: (element: HTMLElement) => T, usual: T, of = ""): T {
  const [measured, setMeasured] = useState(usual);
  useLayoutEffect(() => {
    const shown = part.current;
    if (!shown) return;
    const look = () => setMeasured(measure(shown));
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(shown);
    return () => watcher.disconnect();
  }, [part, measure, of]);
  return measured;
}

const widthOf = ({ clientWidth }: HTMLElement) => clientWidth;

/** Pixels; 0 until it is laid out. */
export function useWidth(part: RefObject<HTMLElement | null>): number {
  return useMeasured(part, widthOf, 0);
}
