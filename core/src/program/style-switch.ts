/** What switching the style of a program would change, before it is changed. */
import { isEqual } from "es-toolkit";
import { doseFor, type Library, type Style } from "../library";
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
}

/** The program in another style. Doses the trainer set by hand stay when `keepOwnDoses`; load, form, sides and people always stay. */
export function switchStyle(library: Library, program: Program, style: Style, keepOwnDoses: boolean): StyleSwitch {
  const doses: DoseChange[] = [];
  const sessions = program.sessions.map((session) => ({
    ...session,
    items: session.items.map((item) => {
      const after = styledDose(library, item, style);
      const ownDose = !sameDose(item.dose, styledDose(library, item, program.style));
      if (!after || sameDose(after, item.dose) || (ownDose && keepOwnDoses)) return item;
      doses.push({ sessionId: session.id, itemId: item.id, movementId: item.movementId, before: item.dose, after, ownDose });
      return { ...item, dose: after };
    }),
  }));
  return {
    program: { ...program, style, sessions },
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

function sameDose(a: Dose | undefined, b: Dose | undefined): boolean {
  return isEqual(a, b);
}

function figuresOf(library: Library, session: Session): SessionFigures {
  const totals = sessionTotals(session, compilePerson(session, library.timings), library.tensionRegions);
  return {
    totalSec: totals.totalSec,
    tensionSec: totals.tensionSec.left + totals.tensionSec.right,
    repetitions: totals.repetitions.left + totals.repetitions.right,
  };
}
