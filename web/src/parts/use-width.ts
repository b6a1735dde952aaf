/** How wide a part of the page is, in pixels, at any time. */
import { useLayoutEffect, useState, type RefObject } from "react";

/** @returns 0 until it is laid out */
export function useWidth(part: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const shown = part.current;
    if (!shown) return;
    const look = () => setWidth(shown.clientWidth);
    look();
    const watcher = new ResizeObserver(look);
    watcher.observe(shown);
    return () => watcher.disconnect();
  }, [part]);
  return width;
}
