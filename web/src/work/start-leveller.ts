/** A leveller in a worker of its own, for one question: stopped, it ends at once. */
import type { NoRotation, Rotation, RotationProblem } from "@kind-grip/core/rotation";
import { startWorker } from "../parts/worker";
import type { LevellerWorker } from "./rotation.worker";

export interface StartedLeveller {
  /** Refused once its worker broke. */
  answer: Promise<Rotation | NoRotation>;
  stop(): void;
}

export function startLeveller(problem: RotationProblem): StartedLeveller {
  const { remote, unlessBroken, stop } = startWorker<LevellerWorker>(
    new Worker(new URL("./rotation.worker.ts", import.meta.url), { type: "module", name: "leveller" }),
  );
  return { answer: unlessBroken<Rotation | NoRotation>(remote.level(problem)).finally(stop), stop };
}
