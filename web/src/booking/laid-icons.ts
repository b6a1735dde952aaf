/** A sign for each thing that is laid on a day of bookings. */
import { Dumbbell, Flame, Leaf, Moon, Waves } from "lucide-react";
import type { LaidKind } from "@kind-grip/core/booking";

export const LAID_ICONS: Readonly<Record<LaidKind, typeof Flame>> = {
  warmUp: Flame,
  reset: Waves,
  longer: Leaf,
  strength: Dumbbell,
  closing: Moon,
};
