import type { MarkKind } from "@kind-grip/core/run";

export const MARK_NAMES: Record<MarkKind, string> = {
  tooMuch: "Too much",
  tingling: "Tingling",
  sharpPain: "Sharp pain",
  elsewhere: "Felt elsewhere",
  stopped: "Stopped",
};
