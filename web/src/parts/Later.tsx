/** What the eye meets second is drawn in the time that is left once the page stands. */
import { useDeferredValue, type ReactNode } from "react";

/** @param meanwhile keeps its place */
export function Later({ children, meanwhile = null }: { children: ReactNode; meanwhile?: ReactNode }) {
  return useDeferredValue(true, false) ? children : meanwhile;
}
