/** Where the names of a lane stand: above the line of its times, or below it where one above would cut another. All in pixels of the row. */

/** Between two names. */
const GAP = 3;
/** A letter of a name on the average, and what a tab has round its name. */
const LETTER = 7.7;
const ROUND_NAME = 16;
const LOCK = 20;

/** What a name takes, in pixels. */
export const nameWidth = (text: string, kept: boolean): number => text.length * LETTER + ROUND_NAME + (kept ? LOCK : 0);

interface TabSpan {
  /** Where the session begins and ends. */
  left: number;
  right: number;
  /** What its name takes. */
  need: number;
}

export interface TabPlace {
  below: boolean;
  /** The name ends where the session does: it would run out of the row. */
  hangsLeft: boolean;
  /** What the name may take. */
  from: number;
  until: number;
}

/** @param spans in order of their beginnings @param width of the row */
export function tabPlaces(spans: readonly TabSpan[], width: number): TabPlace[] {
  const rows: [TabPlace[], TabPlace[]] = [[], []];
  const endOf = (row: readonly TabPlace[]) => row.at(-1)?.until ?? -Infinity;
  return spans.map(({ left, right, need }) => {
    const hangsLeft = left + need > width;
    const until = hangsLeft ? right : left + need;
    const from = hangsLeft ? Math.min(left, right - need) : left;
    const free = rows.findIndex((row) => endOf(row) + GAP <= from);
    // Where neither has room, the row with more of it: one name gives way to the other there.
    const row = rows[free >= 0 ? free : endOf(rows[1]) < endOf(rows[0]) ? 1 : 0]!;
    const last = row.at(-1);
    if (free < 0 && last) last.until = Math.max(last.from, Math.min(last.until, left - GAP));
    const place = { below: row === rows[1], hangsLeft, from: Math.min(left, Math.max(from, (last?.until ?? -Infinity) + GAP)), until };
    row.push(place);
    return place;
  });
}
