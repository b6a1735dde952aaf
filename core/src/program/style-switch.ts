/** What switching the style of a program would change, before it is changed. */
import { isEqual } from "es-toolkit";
import { doseFor, type Library, type Style } from "../library";
import { doseAtShare, doseLadder } from "../slot";
import { compilePerson, doseInForm, sessionTotals, type Dose, type Item, type Session } from "../session";
import type { Program } from "./program";

export interface DoseChange {
  sessionId: string;
  itemId: string;
  movementId: string;
  before: Dose;
  after: Dose;
  /** The trainer had changed this dose by hand; it is kept when asked to. */
  ownDose: boolean;
}

export interface SessionChange {
  sessionId: string;
  name: string;
  before: SessionFigures;
  after: SessionFigures;
}

export interface SessionFigures {
  totalSec: number;
  tensionSec: number;
  repetitions: number;
}

export interface StyleSwitch {
  program: Program;
  doses: DoseChange[];
  sessions: SessionChange[];
  /** Items whose dose was set by hand and stays. */
  kept: { itemId: string; movementId: string; dose: Dose }[];
}

/**
 * The program in another style. A dose that was set by rule follows, at the same share of its style's; doses the trainer set by hand
 * stay when `keepOwnDoses`. Load, form, sides and people always stay.
 */
export function switchStyle(library: Library, program: Program, style: Style, keepOwnDoses: boolean): StyleSwitch {
  const doses: DoseChange[] = [];
  const kept: StyleSwitch["kept"] = [];
  const sessions = program.sessions.map((session) => ({
    ...session,
    items: session.items.map((item) => {
      const whole = styledDose(library, item, style);
      if (!whole) return item;
      const { id: itemId, movementId, dose: before } = item;
      const ownDose = isSetByHand(library, item, program.style);
      if (ownDose && keepOwnDoses) {
        kept.push({ itemId, movementId, dose: before });
        return item;
      }
      const { doseShare = 1, ...plain } = item;
      const { dose: after, share } = ownDose ? { dose: whole, share: 1 } : doseAtShare(whole, doseShare);
      if (!isEqual(after, before)) doses.push({ sessionId: session.id, itemId, movementId, before, after, ownDose });
      return share === 1 ? { ...plain, dose: after } : { ...plain, dose: after, doseShare: share };
    }),
  }));
  return {
    program: { ...program, style, sessions },
    kept,
    doses,
    sessions: program.sessions.map((session, i) => ({
      sessionId: session.id,
      name: session.name,
      before: figuresOf(library, session),
      after: figuresOf(library, sessions[i]!),
    })),
  };
}

function styledDose(library: Library, item: Item, style: Style): Dose | undefined {
  const movement = library.find(item.movementId);
  return movement && doseInForm(doseFor(movement, style), library.timings.get(movement.id)?.get(item.formId));
}

/** Whether a dose is neither the whole one of its style nor the share of it that is written beside it. */
function isSetByHand(library: Library, item: Item, style: Style): boolean {
  const whole = styledDose(library, item, style);
  if (isEqual(item.dose, whole)) return false;
  const { doseShare } = item;
  if (!whole || doseShare === undefined) return true;
  return !doseLadder(whole, true).some(({ dose, share }) => Math.abs(share - doseShare) < 1e-6 && isEqual(dose, item.dose));
}

function figuresOf(library: Library, session: Session): SessionFigures {
  const totals = sessionTotals(session, compilePerson(session, library.timings), library.tensionRegions);
  return {
    totalSec: totals.totalSec,
    tensionSec: totals.tensionSec.left + totals.tensionSec.right,
    repetitions: totals.repetitions.left + totals.repetitions.right,
  };
}
