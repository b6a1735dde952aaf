/** First-aid cases over time, and their rate before and after the program began. */
import { addDays, daysBetween } from "../calendar";
import { BLOCK_DAYS, blockStartOf, FEWEST_PEOPLE, type FirstAidBook, type FirstAidCase } from "../followup";
import { REGIONS, type Region } from "../library";
import { rateChange, type Rate, type RateChange } from "./estimate";

/** When somebody was of the crew; null where it is not known. */
export interface Employment {
  startedOn: string | null;
  leftOn: string | null;
}

export interface FirstAidBlock {
  from: string;
  until: string;
  cases: number;
  byRegion: { region: Region | null; cases: number }[];
}

export interface FirstAidFigures {
  since: string;
  /** Four weeks at a time that are over, newest first; those with fewer than five people at work are left out. */
  blocks: FirstAidBlock[];
  /** Null while one of both times is missing. */
  change: { programSince: string; before: Rate; after: Rate; change: RateChange | null } | null;
}

/** Days at work of all people together, both ends included; weekends and holidays are in it, before as after. */
export function personDaysBetween(people: readonly Employment[], from: string, until: string): number {
  return people.reduce((sum, { startedOn, leftOn }) => {
    const first = startedOn && startedOn > from ? startedOn : from;
    const last = leftOn && leftOn < until ? leftOn : until;
    return sum + Math.max(0, daysBetween(first, last) + 1);
  }, 0);
}

/**
 * @param people everybody who is or was in the crew's list @param programSince first day anything was led; null before
 * @param today the last day counted is the one before
 * @returns null while the book is empty
 */
export function firstAidFigures(
  { since, cases }: FirstAidBook,
  people: readonly Employment[],
  programSince: string | null,
  today: string,
): FirstAidFigures | null {
  if (since === null) return null;
  const yesterday = addDays(today, -1);
  const rate = (from: string, until: string): Rate => ({
    cases: cases.filter(({ day }) => day >= from && day <= until).length,
    personDays: personDaysBetween(people, from, until),
  });
  const blocks: FirstAidBlock[] = [];
  for (let start = blockStartOf(since); addDays(start, BLOCK_DAYS) <= today; start = addDays(start, BLOCK_DAYS)) {
    const until = addDays(start, BLOCK_DAYS - 1);
    // The book begins in the middle of one: that one is not whole.
    if (start < since || people.filter((person) => personDaysBetween([person], start, until) > 0).length < FEWEST_PEOPLE) continue;
    const inBlock = cases.filter(({ day }) => day >= start && day <= until);
    blocks.unshift({ from: start, until, cases: inBlock.length, byRegion: byRegion(inBlock) });
  }
  if (programSince === null || programSince <= since || programSince > yesterday) return { since, blocks, change: null };
  const [before, after] = [rate(since, addDays(programSince, -1)), rate(programSince, yesterday)];
  const few = people.length < FEWEST_PEOPLE;
  return { since, blocks, change: few ? null : { programSince, before, after, change: rateChange(before, after) } };
}

function byRegion(cases: readonly FirstAidCase[]): FirstAidBlock["byRegion"] {
  return [...REGIONS, null]
    .map((region) => ({ region, cases: cases.filter((each) => each.region === region).length }))
    .filter(({ cases: count }) => count > 0);
}
