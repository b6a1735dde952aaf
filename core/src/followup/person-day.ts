/** A person's day, rolled up: what was due, what was done, how it felt. Written together with each run. */

export interface PersonDay {
  personId: string;
  /** Day at the crew's place. */
  day: string;
  /** Items of the sessions that were led for the crew and that this person may do. */
  itemsDue: number;
  itemsDone: number;
  /** Seconds of work and holds done. */
  doneSec: number;
  /** Runs the person took part in. */
  runs: number;
  effortSum: number;
  /** Answers behind `effortSum`. */
  efforts: number;
  marks: number;
}

/** Items done ÷ items due; null when nothing was due. More than was asked for counts as all of it. */
export function adherenceOf(days: readonly Pick<PersonDay, "itemsDue" | "itemsDone">[]): number | null {
  const due = days.reduce((sum, each) => sum + each.itemsDue, 0);
  const done = days.reduce((sum, each) => sum + Math.min(each.itemsDone, each.itemsDue), 0);
  return due === 0 ? null : done / due;
}
