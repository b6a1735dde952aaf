/**
 * Who should start otherwise than the program says, from what was measured and asked: one program, personal starts. Differences only;
 * the trainer decides on each. The levels are practice rules: what is felt slightly asks for an easier form, what is felt more for less
 * of it as well, and what is felt strongly for the easiest form there is and nothing in the hand.
 */
import { findingsOf, type BaselineRecord, type Finding, type MainHand, type MeasuringNoise } from "../baseline";
import { easierForm, rungOf, type Library, type Movement, type Region } from "../library";
import { capFor, refusalOf, type Participation } from "../safety";
import { doseInForm, type Item, type PersonalForm, type Session } from "../session";
import type { HandSide } from "../units";
import { settlingDose } from "./settling";

/** A symptom of this level or more, 0–10, asks for a lighter dose as well. Practice rule. */
export const LIGHTER_FROM = 4;
/** A symptom of this level or more asks for the easiest form, without a load. Practice rule. */
export const EASIEST_FROM = 6;

/** Why somebody starts otherwise. */
export type StartReason =
  | { kind: "symptom"; side: HandSide; region: Region; level: number }
  /** A stretch of what is short: the end comes early. */
  | Extract<Finding, { kind: "shortRange" }>
  /** Strength work of what cannot use the range it has. */
  | Extract<Finding, { kind: "rangeWithoutStrength" }>
  /** The weaker hand sets the dose for both. */
  | Extract<Finding, { kind: "weakGrip" }>;

interface Of {
  personId: string;
  itemId: string;
  movementId: string;
}
export type PersonalStart =
  /** A form or dose of their own. */
  | (Of & { kind: "own"; own: PersonalForm; because: StartReason[] })
  /** Left out altogether; nothing to be set. */
  | (Of & { kind: "leftOut" })
  /** The weaker hand sets the load for both. */
  | (Of & { kind: "weakerSide"; side: HandSide })
  /** Effort stays lower than the item's cap. */
  | (Of & { kind: "cap"; cap: number })
  /** Held this far short of the end, degrees. */
  | (Of & { kind: "shortOfEnd"; deg: number });

export interface Measured {
  personId: string;
  record: BaselineRecord | undefined;
  mainHand: MainHand;
  participation: Participation | undefined;
}

/** In the order of the session, then of the people. Who has an own form already is not proposed another. */
export function personalStarts(library: Library, session: Session, people: readonly Measured[], noise: MeasuringNoise): PersonalStart[] {
  const found = new Map(people.map(({ personId, record, mainHand }) => [personId, record ? findingsOf(record, mainHand, noise) : []]));
  return session.items.flatMap((item) => {
    const movement = library.find(item.movementId);
    if (!movement) return [];
    return people.flatMap(({ personId, participation }): PersonalStart[] => {
      const of: Of = { personId, itemId: item.id, movementId: movement.id };
      if (participation && refusalOf(library, participation, movement.id) !== null) return [{ ...of, kind: "leftOut" }];
      const findings = found.get(personId)!;
      const starts: PersonalStart[] = [];
      const own = item.personal[personId] ? undefined : ownStart(library, item, movement, findings);
      if (own) starts.push({ ...of, kind: "own", ...own });
      const weak = findings.find((finding) => finding.kind === "weakGrip");
      if (weak && movement.phase === "strengthen" && item.loadKg !== null && own?.own.loadKg !== null)
        starts.push({ ...of, kind: "weakerSide", side: weak.side });
      const cap = participation ? capFor(participation, movement) : movement.effortCap;
      if (cap < movement.effortCap) starts.push({ ...of, kind: "cap", cap });
      if (participation?.shortOfEndDeg && movement.phase === "stretch")
        starts.push({ ...of, kind: "shortOfEnd", deg: participation.shortOfEndDeg });
      return starts;
    });
  });
}

/** The session with every proposed form and dose set. */
export function withStarts(session: Session, starts: readonly PersonalStart[]): Session {
  return {
    ...session,
    items: session.items.map((item) => {
      const own = starts.flatMap((start) =>
        start.kind === "own" && start.itemId === item.id ? [[start.personId, start.own] as const] : [],
      );
      return own.length === 0 ? item : { ...item, personal: { ...item.personal, ...Object.fromEntries(own) } };
    }),
  };
}

/** What the findings of one person ask for; undefined where they ask for nothing, or nothing easier is left. */
function ownStart(
  library: Library,
  item: Item,
  movement: Movement,
  findings: readonly Finding[],
): { own: PersonalForm; because: StartReason[] } | undefined {
  const { worked, stretched, released } = movement.regions;
  const sorest = findings
    .flatMap((finding) => (finding.kind === "symptom" && [...worked, ...stretched, ...released].includes(finding.region) ? [finding] : []))
    .sort((a, b) => b.level - a.level)[0];
  const short = findings.find(
    (finding) => finding.kind === "shortRange" && movement.phase === "stretch" && stretched.includes(finding.region),
  );
  const weak = findings.filter(
    (finding) =>
      movement.phase === "strengthen" &&
      (finding.kind === "rangeWithoutStrength" || finding.kind === "weakGrip") &&
      worked.includes(finding.region),
  );
  const because = [sorest, short, ...weak].filter((reason) => reason !== undefined) as StartReason[];
  if (because.length === 0) return undefined;
  const level = sorest?.level ?? 0;
  const easier = easierForm(movement, item.formId);
  const form =
    level >= EASIEST_FROM ? movement.forms[0] : (level > 0 || short) && easier ? easier : movement.forms[rungOf(movement, item.formId)];
  if (!form) return undefined;
  // Where no easier form is left, less of it is what is left to give.
  // Getting ready is never much.
  const lighter = movement.phase !== "getReady" && (level >= LIGHTER_FROM || weak.length > 0 || form.id === item.formId);
  const unloaded = level >= EASIEST_FROM && item.loadKg !== null;
  const dose = doseInForm(lighter ? settlingDose(item.dose) : item.dose, library.timings.get(movement.id)?.get(form.id));
  const changed = JSON.stringify(dose) !== JSON.stringify(doseInForm(item.dose, library.timings.get(movement.id)?.get(form.id)));
  if (form.id === item.formId && !changed && !unloaded) return undefined;
  return { own: { formId: form.id, ...(changed && { dose }), ...(unloaded && { loadKg: null }) }, because };
}
