/** The review of a block, as the server answers it. */
import type { Change } from "../baseline";
import type { DecisionKind } from "../response";
import type { NextBlock } from "./next-block";
import type { LoadRise } from "./weekly-load";

export interface ReviewAnswer {
  from: string;
  until: string;
  days: {
    day: string;
    people: number;
    /** Minutes of work and holds for each person who took part. */
    minPerPerson: number;
    itemsDue: number;
    itemsDone: number;
    meanEffort: number | null;
    meanMorning: number | null;
    mornings: number;
  }[];
  adherence: number | null;
  raised: number | null;
  answers: number;
  people: {
    personId: string;
    name: string;
    adherence: number | null;
    meanEffort: number | null;
    /** Points a week; null under five answers. */
    morningTrend: number | null;
    answers: number;
    decisions: Partial<Record<DecisionKind, number>>;
    changes: Change[];
  }[];
  rounds: { first: string; last: string } | null;
  /** Weeks in which the load of strengthening rose by more than a tenth. */
  rises: LoadRise[];
  next: NextBlock;
}
