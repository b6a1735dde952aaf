/** The keys of a run that is led. */
import { useEffect } from "react";
import type { RunScreenProps } from "./BeforeRun";

/** @param letters whether single letters count; the space bar and the arrows always do */
export function useRunKeys(run: RunScreenProps["run"], letters: boolean): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || (event.target as Element).closest?.('[role="menu"]')) return;
      const key = event.key.toLowerCase();
      if (key === " ") {
        if (event.target instanceof HTMLButtonElement && event.target.matches(":focus-visible")) return;
        run.toggle();
      } else if (key === "arrowleft") run.back();
      else if (key === "arrowright") run.skip();
      else if (!letters) return;
      else if (key === "l") run.toSide("left");
      else if (key === "r") run.toSide("right");
      else if (key === "e") run.easeAll();
      else if (key === "c") run.toClose?.();
      else if (key === "s") run.stop();
      else return;
      event.preventDefault();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  });
}
