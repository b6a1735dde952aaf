/**
 * Who should start in another form than the session's own, from what was measured and asked: one program, personal starts. Differences
 * only; the trainer decides on each.
 */
import { findingsOf, type BaselineRecord, type MainHand } from "../baseline";
import { easierForm, type Library, type Region } from "../library";
import { capFor, refusalOf, type Participation } from "../safety";
import type { Session } from "../session";
import type { HandSide } from "../units";

export type PersonalStart =
  /** Something is felt where the item works or stretches: one rung easier. */
  | { kind: "easier"; personId: string; itemId: string; movementId: string; formId: string; side: HandSide; region: Region; level: number }
  /** Left out altogether; nothing to be set. */
  | { kind: "leftOut"; personId: string; itemId: string; movementId: string }
  /** The weaker hand sets the load for both. */
  | { kind: "weakerSide"; personId: string; itemId: string; movementId: string; side: HandSide }
  /** Effort stays lower than the item's cap. */
  | { kind: "cap"; personId: string; itemId: string; movementId: string; cap: number };

export interface Measured {
  personId: string;
  record: BaselineRecord | undefined;
  mainHand: MainHand;
  participation: Participation | undefined;
}

/** In the order of the session, then of the people. Forms that are set already are not proposed again. */
export function personalStarts(library: Library, session: Session, people: readonly Measured[]): PersonalStart[] {
  return session.items.flatMap((item) => {
    const movement = library.find(item.movementId);
    if (!movement) return [];
    const { id: itemId, movementId } = item;
    const touched = [...movement.regions.worked, ...movement.regions.stretched];
    const easier = easierForm(movement, item.formId);
    return people.flatMap(({ personId, record, mainHand, participation }): PersonalStart[] => {
      if (participation && refusalOf(library, participation, movementId) !== null)
        return [{ kind: "leftOut", personId, itemId, movementId }];
      const found: PersonalStart[] = [];
      const findings = record ? findingsOf(record, mainHand) : [];
      const sorest = findings
        .flatMap((finding) => (finding.kind === "symptom" && touched.includes(finding.region) ? [finding] : []))
        .sort((a, b) => b.level - a.level)[0];
      if (sorest && easier && !item.personal[personId])
        found.push({
          kind: "easier",
          personId,
          itemId,
          movementId,
          formId: easier.id,
          side: sorest.side,
          region: sorest.region,
          level: sorest.level,
        });
      const weak = findings.find((finding) => finding.kind === "weakGrip");
      if (weak && movement.phase === "strengthen" && item.loadKg !== null)
        found.push({ kind: "weakerSide", personId, itemId, movementId, side: weak.side });
      const cap = participation ? capFor(participation, movement) : movement.effortCap;
      if (cap < movement.effortCap) found.push({ kind: "cap", personId, itemId, movementId, cap });
      return found;
    });
  });
}
