/** A hand in plain clinical degrees: fingers and thumb. */
import * as v from "valibot";

const degrees = v.pipe(v.number(), v.finite());

/** One finger: bend at the base, middle and end joint; spread away from the middle finger's line towards the thumb side (+). */
export const FingerPose = v.strictObject({ base: degrees, middle: degrees, end: degrees, spread: degrees });
export type FingerPose = v.InferOutput<typeof FingerPose>;

/** The thumb: base away from the hand in its plane (radial) and out of it (palmar), roll towards the fingers (opposition), two hinges. */
export const ThumbPose = v.strictObject({ radial: degrees, palmar: degrees, opposition: degrees, middle: degrees, end: degrees });
export type ThumbPose = v.InferOutput<typeof ThumbPose>;

export const FINGERS = ["index", "middle", "ring", "little"] as const;
export type FingerName = (typeof FINGERS)[number];

export const HandPose = v.strictObject({
  index: FingerPose,
  middle: FingerPose,
  ring: FingerPose,
  little: FingerPose,
  thumb: ThumbPose,
});
export type HandPose = v.InferOutput<typeof HandPose>;
