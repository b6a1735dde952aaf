/** Sounded and spoken cues. Sounds are laid ahead on the audio clock, so that a busy page does not make them late. */
import { LANGUAGE_FACTS, type Language } from "@kind-grip/core/language";
import type { CoachLevel, Cue, Sound } from "@kind-grip/core/run";

const TONES: Record<Sound, { hertz: number; lengthSec: number; times: number }> = {
  start: { hertz: 784, lengthSec: 0.22, times: 1 },
  turn: { hertz: 587, lengthSec: 0.14, times: 2 },
  end: { hertz: 440, lengthSec: 0.3, times: 1 },
  tick: { hertz: 988, lengthSec: 0.06, times: 1 },
  finish: { hertz: 659, lengthSec: 0.3, times: 3 },
};

/** The same in the hand or in a pocket, milliseconds on and off; a tick is not felt. */
const BUZZES: Partial<Record<Sound, number[]>> = { start: [220], turn: [120, 90, 120], end: [320], finish: [220, 120, 220, 120, 220] };

/** A calm voice as the model of its length has it (core/run/speech.ts). */
const USUAL_RATE = 1.05;
const AHEAD_SEC = 0.35;
const LOOK_MS = 100;

export interface SoundChoice {
  sounds: boolean;
  voice: boolean;
  /** How much the voice says. */
  coach: CoachLevel;
  /** What it says is shown as well. */
  captions: boolean;
  /** How fast it speaks: 1 as usual. */
  rate: number;
  /** The phone buzzes at changes as well; left out by an earlier version. */
  buzz?: boolean;
  /** The voice of this browser that was chosen for a language, by its address. */
  voices: Partial<Record<Language, string>>;
}

/** The voices of this browser that speak a language. The list is made on being asked for the first time. */
export function voicesOf(language: Language): SpeechSynthesisVoice[] {
  if (typeof speechSynthesis === "undefined") return [];
  return speechSynthesis.getVoices().filter(({ lang }) => lang.toLowerCase().split(/[-_]/)[0] === language);
}

/** Whether this browser can speak a language. */
export function hasVoice(language: Language): boolean {
  return voicesOf(language).length > 0;
}

/** Whether this device is one that can buzz: a browser says so of a desk too, which has nothing to buzz with. */
export function canBuzz(): boolean {
  return typeof navigator.vibrate === "function" && matchMedia("(pointer: coarse)").matches;
}

/** Plays the cues of one timeline while the run goes; `placeAt` tells where it is, in seconds. */
export class CuePlayer {
  private context: AudioContext | undefined;
  private timer: ReturnType<typeof setInterval> | undefined;
  private laid: OscillatorNode[] = [];
  private spoken: ReturnType<typeof setTimeout>[] = [];
  private next = 0;

  constructor(
    private readonly cues: readonly Cue[],
    private choice: SoundChoice,
    private readonly language: Language,
  ) {}

  /** Needs a tap or key of the person first: browsers allow sound only then. */
  play(placeAt: () => number): void {
    this.stop();
    if (typeof AudioContext !== "undefined") this.context ??= new AudioContext();
    void this.context?.resume();
    const from = placeAt();
    // A cue due this very moment is given; older ones were given or slept through.
    this.next = this.cues.findIndex((cue) => cue.atSec >= from - 0.05);
    if (this.next < 0) return;
    const look = () => this.layAhead(placeAt());
    look();
    this.timer = setInterval(look, LOOK_MS);
  }

  stop(): void {
    clearInterval(this.timer);
    for (const node of this.laid) node.stop();
    for (const timeout of this.spoken) clearTimeout(timeout);
    this.laid = [];
    this.spoken = [];
    if (typeof speechSynthesis !== "undefined") speechSynthesis.cancel();
  }

  choose(choice: SoundChoice): void {
    this.choice = choice;
    if (!choice.voice && typeof speechSynthesis !== "undefined") speechSynthesis.cancel();
  }

  private layAhead(placeSec: number): void {
    for (; this.next < this.cues.length && this.cues[this.next]!.atSec <= placeSec + AHEAD_SEC; this.next++) {
      const cue = this.cues[this.next]!;
      const inSec = cue.atSec - placeSec;
      // The tab slept: what is long past is not caught up on.
      if (inSec < -1) continue;
      if (cue.sound && this.choice.sounds) this.sound(cue.sound, Math.max(0, inSec));
      const buzz = cue.sound && this.choice.buzz ? BUZZES[cue.sound] : undefined;
      if (buzz) this.spoken.push(setTimeout(() => void navigator.vibrate?.(buzz), Math.max(0, inSec * 1000)));
      if (cue.say) this.spoken.push(setTimeout(() => this.say(cue.say!), Math.max(0, inSec * 1000)));
    }
  }

  private sound(sound: Sound, inSec: number): void {
    if (!this.context) return;
    const { hertz, lengthSec, times } = TONES[sound];
    for (let i = 0; i < times; i++) {
      const at = this.context.currentTime + inSec + i * (lengthSec + 0.08);
      const tone = this.context.createOscillator();
      const gain = this.context.createGain();
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(0.25, at + 0.01);
      gain.gain.exponentialRampToValueAtTime(0.001, at + lengthSec);
      tone.connect(gain).connect(this.context.destination);
      tone.start(at);
      tone.stop(at + lengthSec);
      this.laid = [...this.laid.slice(-12), tone];
    }
  }

  /** Before the cues: a line of its own. */
  say(text: string): void {
    if (!this.choice.voice || typeof speechSynthesis === "undefined") return;
    const speech = new SpeechSynthesisUtterance(text);
    const voices = voicesOf(this.language);
    speech.lang = LANGUAGE_FACTS[this.language].locale.split("-u-")[0]!;
    speech.voice = voices.find(({ voiceURI }) => voiceURI === this.choice.voices[this.language]) ?? voices[0] ?? null;
    speech.rate = USUAL_RATE * this.choice.rate;
    speechSynthesis.cancel();
    speechSynthesis.speak(speech);
  }
}
