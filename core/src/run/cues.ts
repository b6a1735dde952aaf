/** What is sounded and said to keep the count, and when: a list made once from the timeline. What is said between it is the coach's. */
import type { Words } from "../language";
import { tempoSec, type Segment, type Timeline } from "../session";
import { coached, type Coach } from "./coach";
import type { Cue, Sound } from "./cue";
import { speechSec } from "./speech";

/** A hold or bout of at least this many seconds gets a countdown over its last three. */
const COUNTDOWN_FROM_SEC = 6;

/** Cues in the order they come. @param coach who says more than the count, where there is time for it */
export function cuesOf(timeline: Timeline, words: Words, coach?: Coach): Cue[] {
  const cues: Cue[] = [];
  timeline.segments.forEach((segment, i) => {
    const { startSec, leadSec, lengthSec, dose } = segment;
    const side = words.label("side", segment.side);
    const say = (text: string, sound: Sound | null = null, atSec = startSec) => cues.push({ atSec, sound, say: text });
    /** An assisted hold is let go of slowly, before anything else is asked. */
    const afterHold = (text: string): string => {
      if (!coach?.isAssistedHold(timeline.segments[i - 1])) return text;
      const both = `${words.cue("release")} ${text}`;
      if (speechSec(both, words.language) / coach.rate <= lengthSec) return both;
      return segment.kind === "rest" ? words.cue("release") : text;
    };
    switch (segment.kind) {
      case "ready": {
        const movement = words.movementName(segment.movementId);
        say(afterHold(segment.side === "both" ? words.cue("readyTogether", { movement }) : words.cue("ready", { movement, side })));
        break;
      }
      case "switch":
        say(afterHold(words.cue("switch", { side })), "turn");
        break;
      case "rest":
        say(afterHold(words.cue("rest")), "end");
        break;
      case "hold":
      case "work": {
        const last = segment.setCount > 1 && segment.set === segment.setCount;
        const begin = words.cue(segment.kind === "hold" ? "hold" : "work");
        say(last ? `${begin} ${words.cue("lastOne")}` : begin, "start");
        if (dose.kind === "reps") cues.push(...counted(segment, dose.reps, tempoSec(dose.tempo), words, coach));
        else if (dose.kind === "steps") {
          for (let step = 1; step < dose.stepsUsed; step++)
            cues.push({ atSec: startSec + step * dose.stepSec, sound: "tick", say: words.cue("step", { count: step + 1 }) });
        } else if (leadSec >= COUNTDOWN_FROM_SEC) {
          for (const left of [3, 2, 1]) cues.push({ atSec: startSec + leadSec - left, sound: "tick", say: null });
        }
        break;
      }
    }
  });
  const last = !coach || coach.level === "count" ? "finished" : "closing";
  cues.push({ atSec: timeline.totalSec, sound: "finish", say: words.cue(last) });
  const inOrder = cues.sort((a, b) => a.atSec - b.atSec);
  return coach ? coached(inOrder, timeline, words, coach) : inOrder;
}

/** Repetitions aloud; where a round goes the other way from its middle on, that is said with the count. */
function counted({ startSec, movementId, formId }: Segment, reps: number, oneSec: number, words: Words, coach?: Coach): Cue[] {
  const turnsAt = coach?.turnsRound(movementId, formId) ? Math.ceil(reps / 2) : -1;
  return Array.from({ length: Math.max(0, reps - 1) }, (_, i) => {
    const rep = i + 1;
    const count = words.digits(rep + 1);
    const withTurn = `${count}. ${words.cue("otherWay")}`;
    const say = rep === turnsAt && speechSec(withTurn, words.language) / coach!.rate <= oneSec ? withTurn : count;
    return { atSec: startSec + rep * oneSec, sound: "tick" as const, say };
  });
}
