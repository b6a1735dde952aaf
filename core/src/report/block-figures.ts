/** The figures of four weeks of a crew, as they are given out: of at least five people, rounded, never to be subtracted from others. */
import { addDays } from "../calendar";
import {
  BLOCK_DAYS,
  FEWEST_PEOPLE,
  readableSet,
  roundedMean,
  type Behind,
  type CrewFigure,
  type CrewFigures,
  type PersonDay,
  type ReportedPeople,
  type ReportedSymptom,
  type ReportMorning,
} from "../followup";
import { REGIONS } from "../library";
import { grouped } from "../units";
import { meanEstimate } from "./estimate";

/** What a figure may be rounded to, in its own unit, finest first. */
const SHARE_STEPS = [0.01, 0.02, 0.05, 0.1, 0.2, 0.25];
const SECOND_STEPS = [6, 12, 30, 60, 120, 300];
const EFFORT_STEPS = [0.1, 0.2, 0.5, 1, 2];
const MINUTE_STEPS = [5, 10, 20, 50, 100, 200, 500, 1000];

/** What is known of the days of a crew; what lies outside the block is left out. */
export interface BlockFacts {
  days: readonly PersonDay[];
  mornings: readonly ReportMorning[];
  reported?: readonly ReportedSymptom[];
  /** Mornings of the first block, for the change since; none while this is the first. */
  firstMornings?: readonly ReportMorning[];
  /** Of the work as it was described by the end of the block; null where that is not known. */
  workStrain?: number | null;
}

/** @param earlier who stood behind figures that were given out before */
export function blockFigures(
  blockStart: string,
  { days, mornings, reported = [], firstMornings = [], workStrain = null }: BlockFacts,
  earlier: readonly Behind<CrewFigure>[],
): { figures: CrewFigures; behind: Behind<CrewFigure> } {
  const isIn = ({ day }: { day: string }) => day >= blockStart && day < addDays(blockStart, BLOCK_DAYS);
  const inBlock = days.filter(isIn);
  const answered = mornings.filter(isIn);
  const behind: Behind<CrewFigure> = {};
  /** Who may stand behind a figure, noted; null when it would show too few. */
  const readable = (figure: CrewFigure, people: Iterable<string>) => {
    const set = readableSet(people, setsOf(earlier, figure));
    if (set) behind[figure] = [...set];
    return set;
  };
  const mean = <Row extends { personId: string }>(
    figure: CrewFigure,
    rows: readonly Row[],
    part: (row: Row) => Part,
    steps: readonly number[],
  ): number | null => {
    const byPerson = grouped(rows, ({ personId }) => personId);
    const set = readable(figure, byPerson.keys());
    return set && roundedMean(partsOf(byPerson, set, part), steps);
  };
  const due = inBlock.filter(({ itemsDue }) => itemsDue > 0);
  const led = inBlock.filter(({ runs }) => runs > 0);
  const adherence = mean(
    "adherence",
    due,
    ({ itemsDone, itemsDue }) => ({ sum: Math.min(itemsDone, itemsDue), weight: itemsDue }),
    SHARE_STEPS,
  );
  const raisedShare = ({ raised }: ReportMorning) => ({ sum: raised ? 1 : 0, weight: 1 });
  const minutesGiven = () => {
    const byPerson = grouped(led, ({ personId }) => personId);
    const set = readable("minutesGiven", byPerson.keys());
    return (
      set &&
      roundedSum(
        partsOf(byPerson, set, ({ doneSec }) => ({ sum: doneSec / 60, weight: 1 })),
        MINUTE_STEPS,
      )
    );
  };
  const reportedPeople = () => {
    const told = reported.filter(isIn);
    const set = readable("reported", new Set([...due, ...told].map(({ personId }) => personId)));
    return set && peopleWhoReported(told.filter(({ personId }) => set.has(personId)));
  };
  const morningsChange = () => {
    const [first, now] = [firstMornings, answered].map((list) => grouped(list, ({ personId }) => personId));
    const set = readable(
      "morningsChange",
      [...first!.keys()].filter((id) => now!.has(id)),
    );
    if (!set) return null;
    const shareOf = (list: readonly ReportMorning[]) => list.filter(({ raised }) => raised).length / list.length;
    return meanEstimate(
      [...set].map((id) => shareOf(now!.get(id)!) - shareOf(first!.get(id)!)),
      SHARE_STEPS,
    );
  };
  const figures: CrewFigures = {
    people: behind.adherence?.length ?? null,
    adherence,
    secPerPersonDay: mean("secPerPersonDay", led, ({ doneSec }) => ({ sum: doneSec, weight: 1 }), SECOND_STEPS),
    meanEffort: mean(
      "meanEffort",
      inBlock.filter(({ efforts }) => efforts > 0),
      ({ effortSum, efforts }) => ({ sum: effortSum, weight: efforts }),
      EFFORT_STEPS,
    ),
    morningsRaised: mean("morningsRaised", answered, raisedShare, SHARE_STEPS),
    minutesGiven: minutesGiven(),
    reported: reportedPeople(),
    workStrain: workStrain === null ? null : Math.round(workStrain * 10) / 10,
    morningsChange: morningsChange(),
  };
  return { figures, behind };
}

interface Part {
  sum: number;
  weight: number;
}

function partsOf<Row>(byPerson: ReadonlyMap<string, readonly Row[]>, set: ReadonlySet<string>, part: (row: Row) => Part): Part[] {
  return [...byPerson].flatMap(([id, list]) => (set.has(id) ? [summed(list.map(part))] : []));
}

function summed(parts: readonly Part[]): Part {
  return parts.reduce((all, part) => ({ sum: all.sum + part.sum, weight: all.weight + part.weight }), { sum: 0, weight: 0 });
}

/** A sum, rounded so that no one person's part is more than one step of what can be read. */
function roundedSum(parts: readonly Part[], steps: readonly number[]): number {
  const most = Math.max(...parts.map(({ sum }) => sum));
  const step = steps.find((each) => each >= most) ?? steps.at(-1)!;
  return Math.round(summed(parts).sum / step) * step;
}

/** How many people reported something, and something of each place; fewer than five, none among them, are not told apart. */
function peopleWhoReported(told: readonly ReportedSymptom[]): ReportedPeople {
  const count = (rows: readonly ReportedSymptom[]) => new Set(rows.map(({ personId }) => personId)).size;
  const all = count(told);
  return {
    people: all >= FEWEST_PEOPLE ? all : null,
    regions: REGIONS.map((region) => ({ region, people: count(told.filter(({ regions }) => regions.includes(region))) })).filter(
      ({ people }) => people >= FEWEST_PEOPLE,
    ),
  };
}

export function setsOf<Key extends string>(earlier: readonly Behind<Key>[], key: Key): Set<string>[] {
  return earlier.flatMap((behind) => (behind[key] ? [new Set(behind[key])] : []));
}
