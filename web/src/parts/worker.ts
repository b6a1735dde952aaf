/** Workers that may break: one that cannot be loaded, say after the server got a new version, would be waited for in vain. */
import { wrap, type Remote } from "comlink";

export interface StartedWorker<T> {
  remote: Remote<T>;
  /** An answer of this worker, refused when it breaks. */
  unlessBroken<A>(answer: Promise<A>): Promise<A>;
  stop(): void;
}

/** @param onBroken is told once, also when nothing was asked yet */
export function startWorker<T>(worker: Worker, onBroken: () => void = () => undefined): StartedWorker<T> {
  const broken = new Promise<never>((_, reject) =>
    worker.addEventListener(
      "error",
      ({ message }) => {
        onBroken();
        reject(new Error(message || "the worker could not be loaded"));
      },
      { once: true },
    ),
  );
  // Nobody may be waiting when it breaks.
  broken.catch(() => undefined);
  return {
    remote: wrap<T>(worker),
    unlessBroken: (answer) => Promise.race([answer, broken]),
    stop: () => worker.terminate(),
  };
}
