/** What a proposal has to keep to, beside the rules that protect people. Everything here is the trainer's to change. */
import type { KitEntry } from "../crew";
import type { Setting, Style } from "../library";
import type { SlotKind } from "../session";

export interface ComposeLimits {
  style: Style;
  /** Load-led: strengthening is the program. Relief-led: stretching and mobility are, and nothing is strengthened. */
  aim: "loadLed" | "reliefLed";
  weeks: number;
  /** Length of each session, s; 0 leaves it out. */
  slotSec: Readonly<Record<SlotKind, number>>;
  /** The stretch break is done so many times a shift. */
  breaksADay: number;
  /** Days of work a week. */
  daysAWeek: number;
  /** Days a week with the post-shift session. */
  strengthDays: number;
  settings: readonly Setting[];
  kit: readonly KitEntry[];
  /** How many do it at the same moment: kit is shared among them. */
  people: number;
  /** Most different movements in the whole program: people remember five, not fifteen. */
  mostMovements: number;
  /** Most items in a session. */
  mostItems: number;
}

export const USUAL_LIMITS = { breaksADay: 1, daysAWeek: 5, strengthDays: 3, mostMovements: 12, mostItems: 7 } as const;
