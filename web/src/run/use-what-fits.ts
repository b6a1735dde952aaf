/** How many children of a wrapping box stand in it whole; the others are out of sight below it. */
import { useLayoutEffect, useState, type RefObject } from "react";

/** @param box what the children's places are told from @param of changes when the children do @returns Infinity where all of them fit */
export function useWhatFits(box: RefObject<HTMLElement | null>, of: string): number {
  const [count, setCount] = useState(Infinity);
  useLayoutEffect(() => {
    const shown = box.current;
    if (!shown) return;
    const look = () => {
      const children = [...shown.children] as HTMLElement[];
      const below = children.findIndex(({ offsetTop, offsetHeight }) => offsetTop + offsetHeight > shown.clientHeight);
      setCount(below < 0 ? Infinity : below);
    };
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(shown);
    return () => watcher.disconnect();
  }, [box, of]);
  return count;
}
