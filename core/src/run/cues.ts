/** What is said and sounded during a run, and when: a list made once from the timeline. */
import { tempoSec, type Timeline } from "../session";
import type { Words } from "../language";

export type Sound = "start" | "turn" | "end" | "tick" | "finish";

export interface Cue {
  atSec: number;
  sound: Sound | null;
  /** Spoken text; null for a sound alone. */
  say: string | null;
}

/** A hold or bout of at least this many seconds gets a countdown over its last three. */
const COUNTDOWN_FROM_SEC = 6;

/** Cues in the order they come. */
export function cuesOf(timeline: Timeline, words: Words): Cue[] {
  const cues: Cue[] = [];
  for (const segment of timeline.segments) {
    const { startSec, leadSec, dose } = segment;
    const side = words.label("side", segment.side);
    const say = (text: string, sound: Sound | null = null, atSec = startSec) => cues.push({ atSec, sound, say: text });
    switch (segment.kind) {
      case "ready": {
        const movement = words.movementName(segment.movementId);
        say(segment.side === "both" ? words.cue("readyTogether", { movement }) : words.cue("ready", { movement, side }));
        break;
      }
      case "switch":
        say(words.cue("switch", { side }), "turn");
        break;
      case "rest":
        say(words.cue("rest"), "end");
        break;
      case "hold":
      case "work": {
        const last = segment.setCount > 1 && segment.set === segment.setCount;
        const begin = words.cue(segment.kind === "hold" ? "hold" : "work");
        say(last ? `${begin} ${words.cue("lastOne")}` : begin, "start");
        if (dose.kind === "reps") {
          const oneSec = tempoSec(dose.tempo);
          for (let rep = 1; rep < dose.reps; rep++) cues.push({ atSec: startSec + rep * oneSec, sound: "tick", say: String(rep + 1) });
        } else if (dose.kind === "steps") {
          for (let step = 1; step < dose.stepsUsed; step++)
            cues.push({ atSec: startSec + step * dose.stepSec, sound: "tick", say: words.cue("step", { count: step + 1 }) });
        } else if (leadSec >= COUNTDOWN_FROM_SEC) {
          for (const left of [3, 2, 1]) cues.push({ atSec: startSec + leadSec - left, sound: "tick", say: null });
        }
        break;
      }
    }
  }
  cues.push({ atSec: timeline.totalSec, sound: "finish", say: words.cue("finished") });
  return cues.sort((a, b) => a.atSec - b.atSec);
}
