/**
 * What a grip meter or an angle meter and this application say to each other: JSON text messages over a WebSocket
 * (docs/formats/meter.md). Types here, so that neither side depends on the other.
 */
import * as v from "valibot";

const number = v.pipe(v.number(), v.finite());

export const METER_KINDS = ["grip", "angle"] as const;
export const MeterKind = v.picklist(METER_KINDS);
export type MeterKind = v.InferOutput<typeof MeterKind>;

/** A joint that goes out and comes back again and again: the seconds of each part of it. */
const part = v.pipe(number, v.minValue(0), v.maxValue(600));
export const Repeated = v.strictObject({ restSec: part, outSec: part, holdSec: part, backSec: part });
export type Repeated = v.InferOutput<typeof Repeated>;

/** How a simulated meter behaves. A real one has none of these. */
export const MeterSettings = v.strictObject({
  /** How strong the simulated hand is. */
  gripKg: v.pipe(number, v.minValue(0), v.maxValue(120)),
  /** Share of its full range that the simulated joint reaches by itself, 0–1.2. */
  rangeShare: v.pipe(number, v.minValue(0), v.maxValue(1.2)),
  /** Standard deviation of the noise, in kg and degrees. */
  noise: v.pipe(number, v.minValue(0), v.maxValue(10)),
  /** Share of the time in which readings get lost, 0–1. */
  dropOuts: v.pipe(number, v.minValue(0), v.maxValue(1)),
  /** The next squeeze is given half-heartedly. */
  weakTrial: v.boolean(),
});
export type MeterSettings = v.InferOutput<typeof MeterSettings>;

/** From the meter. */
export const FromMeter = v.variant("type", [
  v.strictObject({ type: v.literal("hello"), name: v.string(), kinds: v.array(MeterKind), settings: v.optional(MeterSettings) }),
  /** `value` is kg for grip, degrees for angle; `atMs` counts from the start of the stream on the meter's own clock. */
  v.strictObject({ type: v.literal("reading"), kind: MeterKind, atMs: number, value: number }),
  v.strictObject({ type: v.literal("settings"), settings: MeterSettings }),
  v.strictObject({ type: v.literal("problem"), message: v.string() }),
]);
export type FromMeter = v.InferOutput<typeof FromMeter>;

/**
 * To the meter. `squeeze` and `set` are understood by a simulated meter only: somebody has to close the hand. `fullDeg` tells an angle
 * meter the full range of the joint it is held to, `repeated` that it is to go there and back all along; a real one has no use for them.
 */
export const ToMeter = v.variant("type", [
  v.strictObject({
    type: v.literal("start"),
    kind: MeterKind,
    fullDeg: v.optional(number),
    assisted: v.optional(v.boolean()),
    repeated: v.optional(Repeated),
  }),
  v.strictObject({ type: v.literal("stop") }),
  v.strictObject({ type: v.literal("zero") }),
  v.strictObject({ type: v.literal("set"), settings: v.partial(MeterSettings) }),
  v.strictObject({ type: v.literal("squeeze") }),
]);
export type ToMeter = v.InferOutput<typeof ToMeter>;

/** A message as text → what it says; undefined for anything else. */
export function readMessage<S extends v.GenericSchema>(schema: S, text: string): v.InferOutput<S> | undefined {
  try {
    const parsed = v.safeParse(schema, JSON.parse(text));
    return parsed.success ? parsed.output : undefined;
  } catch {
    return undefined;
  }
}
