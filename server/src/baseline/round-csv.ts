/** A measuring round as a table: a row a person (docs/formats/csv.md). */
import type { RecordEntry } from "@kind-grip/core/api";
import { gripOf, MOTIONS } from "@kind-grip/core/baseline";
import { writeCsv } from "@kind-grip/core/exchange";
import { HAND_SIDES } from "@kind-grip/core/units";
import type { PersonRow } from "../crew/tables";

const SIDED = MOTIONS.flatMap((motion) =>
  HAND_SIDES.flatMap((side) => (["active", "assisted"] as const).map((kind) => ({ motion, side, kind }))),
);
const HEAD = [
  "name",
  "badge",
  "mainHand",
  "safetyYes",
  "symptoms",
  ...SIDED.map(({ motion, side, kind }) => `${motion} ${side} ${kind} deg`),
  "grip left kg",
  "grip right kg",
  "functionTest",
  "function left effort",
  "function right effort",
  "note",
];

/** @param people everybody of the crew; who has no record is left out */
export function roundCsv(people: readonly PersonRow[], records: readonly RecordEntry[]): string {
  const rows = people.flatMap((person) => {
    const record = records.find(({ personId }) => personId === person.id)?.record;
    if (!record) return [];
    const yes = Object.entries(record.safety).flatMap(([question, answer]) => (answer === true ? [question] : []));
    const grip = (side: "left" | "right") => gripOf(record.grip[side].map(({ kg }) => kg))?.meanKg ?? null;
    return [
      [
        person.name,
        person.badge,
        person.handedness,
        yes.join("; "),
        record.symptomsAsked ? record.symptoms.map(({ region, side, level }) => `${region} ${side} ${level}`).join("; ") || "none" : null,
        ...SIDED.map(({ motion, side, kind }) => record.range[motion][side][kind]),
        grip("left"),
        grip("right"),
        record.functionTest.test,
        record.functionTest.left,
        record.functionTest.right,
        record.note,
      ],
    ];
  });
  return writeCsv(HEAD, rows);
}
