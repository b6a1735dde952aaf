/** Every method, in the order they are shown. */
import { acceptableShareMethod } from "./acceptable-share";
import { handActivity } from "./hand-activity";
import { heldEffort } from "./held-effort";
import type { Method } from "./method";
import { strainIndexMethod } from "./strain-index";
import { vibration } from "./vibration";

export const METHODS: readonly Method[] = [strainIndexMethod, handActivity, acceptableShareMethod, heldEffort, vibration];
