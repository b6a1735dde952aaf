/** Parts of the application whose code is fetched when they are first shown, or before that. */
import { use, type ComponentType } from "react";
import { fetched } from "./lost-code";

export interface FetchedPart<Props extends object = object> {
  /** Waits for its code (Suspense); throws {@link CodeNotFetched} where it cannot be had. */
  Shown: ComponentType<Props>;
  /** Begins to fetch it; once more where it could not be had at another visit. @param visit the location's key */
  fetch(visit: string): void;
}

export function fetchedPart<Props extends object>(load: () => Promise<{ default: ComponentType<Props> }>): FetchedPart<Props> {
  let there: ComponentType<Props> | undefined;
  let asked: Promise<ComponentType<Props>> | undefined;
  let isLost = false;
  let lastVisit: string | undefined;
  const ask = () =>
    (asked ??= fetched(load).then(
      ({ default: part }) => (there = part),
      (error: unknown) => {
        isLost = true;
        throw error;
      },
    ));
  return {
    Shown(props) {
      // What is there already is shown at once.
      const Part = there ?? use(ask());
      return <Part {...props} />;
    },
    fetch(visit) {
      // What could not be had stays so until somebody goes there again: within a visit it may be shown several times.
      if (isLost && visit !== lastVisit) {
        asked = undefined;
        isLost = false;
      }
      lastVisit = visit;
      void ask().catch(() => undefined);
    },
  };
}
