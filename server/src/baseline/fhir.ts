/**
 * What was asked and measured of a person, for a therapist's own system: HL7 FHIR R4, a bundle of one Patient, an Observation for each
 * thing measured and a QuestionnaireResponse for each time the safety questions were answered (docs/formats/fhir.md). Codes are given
 * where one is certain; everything else is named in words and by codes of our own.
 */
import { v5 as uuidV5 } from "uuid";
import { gripOf, MOTION_FACTS, MOTIONS, type BaselineRecord, type FunctionTest, type Motion } from "@kind-grip/core/baseline";
import { wordsOf } from "@kind-grip/core/language";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { SAFETY_QUESTIONS } from "@kind-grip/core/safety";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import type { PersonRow } from "../crew/tables";

/** Codes of our own; a name, nothing is there to be fetched. */
const OWN = "https://kind-grip.example/fhir";
const UCUM = "http://unitsofmeasure.org";
const LOINC = "http://loinc.org";

const MOTION_NAMES: Readonly<Record<Motion, string>> = {
  wristFlexion: "Wrist flexion",
  wristExtension: "Wrist extension",
  radialDeviation: "Wrist radial deviation",
  ulnarDeviation: "Wrist ulnar deviation",
  palmUp: "Forearm supination",
  palmDown: "Forearm pronation",
  elbowBend: "Elbow flexion",
};
const TEST_NAMES: Readonly<Record<FunctionTest, string>> = {
  twistLid: "Twisting a tight lid",
  holdTool: "Holding a tool",
  stapleLever: "Pressing a staple lever",
  wringTowel: "Wringing a towel",
  pressThumb: "Pressing with the thumb",
  turnKey: "Turning a key",
};
const SIDE_NAMES: Readonly<Record<HandSide, string>> = { left: "left", right: "right" };

interface Coded {
  text: string;
  coding: { system: string; code: string; display?: string }[];
}
const own = (code: string, text: string): Coded => ({ text, coding: [{ system: `${OWN}/measure`, code, display: text }] });
const quantity = (value: number, unit: string, code = unit) => ({ value: Math.round(value * 100) / 100, unit, system: UCUM, code });
const scored = (value: number) => quantity(value, "of 10", "{score}");

/** A record of a round. */
export interface FhirRecord {
  roundId: string;
  roundName: string;
  changedAt: Date;
  document: BaselineRecord;
}

/** @returns the bundle; whoever was never measured is a Patient alone */
export function fhirBundle(person: Pick<PersonRow, "id" | "name">, records: readonly FhirRecord[], at: Date): object {
  const subject = { reference: `urn:uuid:${person.id}`, display: person.name };
  const resources = [
    { id: person.id, resource: { resourceType: "Patient", id: person.id, active: true, name: [{ text: person.name }] } },
    ...records.flatMap((record) => resourcesOf(record, subject)),
  ];
  return {
    resourceType: "Bundle",
    type: "collection",
    timestamp: at.toISOString(),
    entry: resources.map(({ id, resource }) => ({ fullUrl: `urn:uuid:${id}`, resource })),
  };
}

interface Measured {
  /** Told apart within a record. */
  key: string;
  code: Coded;
  category: "exam" | "survey" | "vital-signs";
  side?: HandSide;
  site?: string;
  method?: string;
  value: object;
  normal?: number;
  note?: string;
}

function resourcesOf({ roundId, roundName, changedAt, document }: FhirRecord, subject: object) {
  const when = changedAt.toISOString();
  const observations = measuredIn(document).map(({ key, code, category, side, site, method, value, normal, note }) => {
    const id = idOf(roundId, key, subject);
    const bodySite = site ?? side;
    const resource = {
      resourceType: "Observation",
      id,
      status: "final",
      category: [{ coding: [{ system: "http://terminology.hl7.org/CodeSystem/observation-category", code: category }] }],
      code,
      subject,
      effectiveDateTime: when,
      ...(bodySite ? { bodySite: { text: site && side ? `${site}, ${SIDE_NAMES[side]}` : bodySite } } : {}),
      ...(method ? { method: { text: method } } : {}),
      valueQuantity: value,
      ...(normal === undefined ? {} : { referenceRange: [{ high: quantity(normal, "deg"), text: "Full range (AAOS 1965)" }] }),
      ...(note ? { note: [{ text: note }] } : {}),
    };
    return { id, resource };
  });
  const answered = answersOf(roundId, roundName, document, when, subject);
  return answered ? [...observations, answered] : observations;
}

function measuredIn(record: BaselineRecord): Measured[] {
  const words = wordsOf(SHIPPED_LIBRARY);
  const ranges = MOTIONS.flatMap((motion) =>
    HAND_SIDES.flatMap((side) =>
      (["active", "assisted"] as const).flatMap((kind): Measured[] => {
        const degrees = record.range[motion][side][kind];
        if (degrees === null) return [];
        const method = kind === "active" ? "Active range of motion" : "Active-assisted range of motion";
        const name = `${MOTION_NAMES[motion]}, ${kind === "active" ? "active" : "with help"}`;
        return [
          {
            key: `${motion}.${side}.${kind}`,
            code: own(`${motion}-${kind}`, name),
            category: "exam",
            side,
            method,
            value: quantity(degrees, "deg"),
            normal: MOTION_FACTS[motion].referenceDeg,
          },
        ];
      }),
    ),
  );
  const grips = HAND_SIDES.flatMap((side): Measured[] => {
    const trials = record.grip[side].map(({ kg }) => kg);
    const grip = gripOf(trials);
    if (!grip) return [];
    const note = `Trials: ${trials.map((kg) => `${Math.round(kg * 10) / 10} kg`).join(", ")}`;
    const method = "Mean of the trials, seated, elbow bent";
    return [
      { key: `grip.${side}`, code: own("grip", "Grip strength"), category: "exam", side, method, value: quantity(grip.meanKg, "kg"), note },
    ];
  });
  const { test } = record.functionTest;
  const tests = HAND_SIDES.flatMap((side): Measured[] => {
    const effort = record.functionTest[side];
    if (test === null || effort === null) return [];
    return [
      {
        key: `function.${side}`,
        code: own(`function-${test}`, `Effort of ${TEST_NAMES[test].toLowerCase()}`),
        category: "survey",
        side,
        value: scored(effort),
      },
    ];
  });
  const felt = record.symptoms.map(({ id, side, region, kind, level, since, nights, constant }): Measured => ({
    key: `symptom.${id}`,
    code: own(`symptom-${kind}`, words.symptomKind(kind)),
    category: "survey",
    side,
    site: words.label("region", region),
    value: scored(level),
    note:
      [since && `Since ${since}`, constant && "All the time", nights !== "never" && words.nights(nights)].filter(Boolean).join(". ") ||
      undefined,
  }));
  const { agreed, kg } = record.bodyMass;
  const mass: Measured[] =
    agreed && kg !== null
      ? [
          {
            key: "mass",
            code: { text: "Body weight", coding: [{ system: LOINC, code: "29463-7", display: "Body weight" }] },
            category: "vital-signs",
            value: quantity(kg, "kg"),
            note: "As the person said it",
          },
        ]
      : [];
  return [...ranges, ...grips, ...tests, ...felt, ...mass];
}

/** Undefined where nobody asked. */
function answersOf(roundId: string, roundName: string, { safety }: BaselineRecord, authored: string, subject: object) {
  const words = wordsOf(SHIPPED_LIBRARY);
  const item = SAFETY_QUESTIONS.flatMap(({ id }) => {
    const answer = safety[id];
    return answer === null ? [] : [{ linkId: id, text: words.safety(id).ask, answer: [{ valueBoolean: answer }] }];
  });
  if (item.length === 0) return undefined;
  const id = idOf(roundId, "safety", subject);
  const identifier = { system: `${OWN}/round`, value: roundId };
  return {
    id,
    resource: {
      resourceType: "QuestionnaireResponse",
      id,
      identifier,
      questionnaire: `${OWN}/Questionnaire/safety`,
      status: "completed",
      subject,
      authored,
      item: [{ linkId: "safety", text: `Safety questions, ${roundName}`, item }],
    },
  };
}

/** The same each time the same record is given out. */
function idOf(roundId: string, key: string, subject: object): string {
  return uuidV5(`${roundId}/${(subject as { reference: string }).reference}/${key}`, NAMESPACE);
}
const NAMESPACE = "6f1d1f0e-6a6e-4a55-9d0b-2f9c1b5a7e10";
