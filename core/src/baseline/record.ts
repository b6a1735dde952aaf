/** What one person's baseline holds. Everything may be missing: a round is stopped anywhere and gone on with later. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { SafetyAnswers, Symptom } from "../safety";
import { Handedness, Id, IsoInstant } from "../units";
import { FUNCTION_TESTS } from "./function-tests";
import { LikeThem } from "./people-like-them";
import { MOST_GRIP_KG, MOST_GRIP_TRIALS } from "./thresholds";
import { MOTION_FACTS, MOTIONS, OVER_REFERENCE_DEG, type Motion } from "./motions";

const between = (min: number, max: number, unit: string) => {
  const message = `must be ${min} to ${max}${unit}`;
  return v.pipe(v.number("must be a number"), v.minValue(min, message), v.maxValue(max, message));
};

const angle = (motion: Motion) =>
  v.optional(
    v.nullable(v.pipe(between(0, MOTION_FACTS[motion].referenceDeg + OVER_REFERENCE_DEG, "°"), v.integer("must be a whole degree"))),
    null,
  );

const motionAngles = (motion: Motion) => {
  const side = v.optional(
    v.pipe(
      v.strictObject({ active: angle(motion), assisted: angle(motion) }),
      v.forward(
        v.check(({ active, assisted }) => active === null || assisted === null || assisted >= active, "is less than without help"),
        ["assisted"],
      ),
    ),
    { active: null, assisted: null },
  );
  return v.optional(v.strictObject({ left: side, right: side }), {});
};

export const GripReading = v.strictObject({
  kg: between(0, MOST_GRIP_KG, " kg"),
  /** What the meter saw wrong with the trial; empty for a good one, and for one typed in. */
  faults: v.array(v.picklist(["dropOut", "tooShort", "unsteady", "weak"])),
  from: v.picklist(["meter", "typed"]),
});
export type GripReading = v.InferOutput<typeof GripReading>;
const trials = v.optional(v.pipe(v.array(GripReading), v.maxLength(MOST_GRIP_TRIALS, `at most ${MOST_GRIP_TRIALS} trials a hand`)), []);

const effort = v.optional(v.nullable(v.pipe(between(0, 10, ""), v.integer("must be a whole number"))), null);

export const BaselineRecord = v.strictObject({
  safety: v.optional(SafetyAnswers, {}),
  symptoms: v.optional(v.pipe(v.array(Symptom), v.maxLength(40, "at most 40 places")), []),
  /** "Nothing anywhere" is an answer too. */
  symptomsAsked: v.optional(v.boolean(), false),
  range: v.optional(
    v.strictObject(
      Object.fromEntries(MOTIONS.map((motion) => [motion, motionAngles(motion)])) as Record<Motion, ReturnType<typeof motionAngles>>,
    ),
    {},
  ),
  grip: v.optional(v.strictObject({ left: trials, right: trials }), {}),
  functionTest: v.optional(
    v.strictObject({ test: v.optional(v.nullable(v.picklist(FUNCTION_TESTS)), null), left: effort, right: effort }),
    {},
  ),
  /** Only where levers or tape need it. */
  palmMm: v.optional(v.nullable(between(50, 140, " mm")), null),
  /** Only if the person agrees to be weighed. */
  bodyMass: v.optional(
    v.strictObject({ agreed: v.optional(v.boolean(), false), kg: v.optional(v.nullable(between(30, 250, " kg")), null) }),
    {},
  ),
  /** Age and sex, given by whoever wants to be compared with people like them; null for whoever does not. */
  likeThem: v.optional(v.nullable(LikeThem), null),
  /** What the person answered on their own phone is in the record; this says that, and when. */
  selfCheck: v.optional(v.nullable(v.strictObject({ id: Id, at: IsoInstant, handedness: v.nullable(Handedness) })), null),
  note: v.optional(v.nullable(v.pipe(v.string(), v.maxLength(1000, "is longer than 1000 characters"))), null),
});
export type BaselineRecord = v.InferOutput<typeof BaselineRecord>;

/** Safety questions were called otherwise once: format 1 has the older names. */
const RENAMED: Readonly<Record<string, string>> = { thinBlood: "anticoagulants", veryMobile: "hypermobility" };

function withTodaysQuestions(record: unknown): unknown {
  const { safety = {}, ...rest } = record as { safety?: Record<string, unknown> };
  return { ...rest, safety: Object.fromEntries(Object.entries(safety).map(([id, answer]) => [RENAMED[id] ?? id, answer])) };
}

/** Motions of the wrist to the sides have their standard names since format 3. */
const RENAMED_MOTIONS: Readonly<Record<string, string>> = { thumbSide: "radialDeviation", littleSide: "ulnarDeviation" };

function withStandardMotions(record: unknown): unknown {
  const { range = {}, ...rest } = record as { range?: Record<string, unknown> };
  return {
    ...rest,
    range: Object.fromEntries(Object.entries(range).map(([motion, angles]) => [RENAMED_MOTIONS[motion] ?? motion, angles])),
  };
}

/** Format 4 may say what came from the person's own phone; before, nothing did. */
const withoutSelfCheck = (record: unknown): unknown => record;

/** Format 5 may say whom somebody wants to be compared with; before, nobody did. */
const comparedWithNobody = (record: unknown): unknown => ({ ...(record as object), likeThem: null });

/** As it is stored, and as a draft. */
export const RECORD_DOCUMENT = documentFormat<BaselineRecord>({
  name: "baseline record",
  format: 5,
  steps: [withTodaysQuestions, withStandardMotions, withoutSelfCheck, comparedWithNobody],
  schema: BaselineRecord,
});

/** A record nothing has been entered in yet. */
export function emptyRecord(): BaselineRecord {
  return v.parse(BaselineRecord, {});
}
