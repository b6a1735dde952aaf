/** What a practice sets for itself: the style its new programs begin with, and the thresholds decisions are taken by. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { DEFAULT_STYLE, Style } from "../library";
import { ResponseThresholds } from "./thresholds";

export const PracticeSettings = v.strictObject({
  style: v.optional(Style, DEFAULT_STYLE),
  thresholds: v.optional(ResponseThresholds, {}),
});
export type PracticeSettings = v.InferOutput<typeof PracticeSettings>;
/** As they are stored. */
export const SETTINGS_DOCUMENT = documentFormat<PracticeSettings>({ name: "settings", format: 1, steps: [], schema: PracticeSettings });

export const USUAL_SETTINGS: PracticeSettings = v.parse(PracticeSettings, {});
