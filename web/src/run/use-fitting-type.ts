/** Type as large as a box has room for: `--fit` is what its sizes are to be multiplied by. */
import { useLayoutEffect, type RefObject } from "react";

/** Smaller is not read from a few steps away; what does not fit then is cut. */
const SHARES = [1, 0.94, 0.88, 0.82, 0.76, 0.7, 0.64];

/** @param box as high as its content where there is room, and no higher than its parent leaves @param of changes when the content does */
export function useFittingType(box: RefObject<HTMLElement | null>, of: string): void {
  useLayoutEffect(() => {
    const shown = box.current;
    const around = shown?.parentElement;
    if (!shown || !around) return;
    const fit = () => {
      for (const share of SHARES) {
        shown.style.setProperty("--fit", String(share));
        if (shown.scrollHeight <= shown.clientHeight) return;
      }
    };
    fit();
    let next = 0;
    // In the next picture: what is watched may not be resized while it is told of.
    const watcher = new ResizeObserver(() => {
      cancelAnimationFrame(next);
      next = requestAnimationFrame(fit);
    });
    watcher.observe(around);
    // What stands beside it may take more room by itself; fitted once more, the same content comes to the same size.
    watcher.observe(shown);
    return () => {
      cancelAnimationFrame(next);
      watcher.disconnect();
    };
  }, [box, of]);
}
