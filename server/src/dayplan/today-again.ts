/**
 * Today, asked by many in the same minute: at the start of a shift everybody opens it. What it rests on is counted up in one question to
 * the database; as long as that and the minute are the same, the answer worked out before is given again, and those who ask while it is
 * being worked out wait for the same. Where something changed, only its crew is worked out anew. Nothing has to be told of a change:
 * whichever server stored it, the count differs.
 */
import type { Today } from "@kind-grip/core/api";
import { QueryTypes } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewIdsOf } from "../crew/crews";
import { AskedTogether } from "../db/asked-together";
import type { Db } from "../db/connection";
import { WrittenAnswer } from "../http/written";
import { todayTogether, workOutToday } from "./today";

const MINUTE_MS = 60_000;
/** Answers kept, the oldest forgotten first. */
const KEPT = 300;

/** What of the rows of a crew `c` Today can tell apart. */
const OF_CREW: readonly { from: string; columns: readonly string[] }[] = [
  { from: "people t WHERE t.crewId = c.id", columns: ["id", "version"] },
  { from: "programs t WHERE t.crewId = c.id", columns: ["id", "version", "removedAt"] },
  { from: "absences t WHERE t.crewId = c.id", columns: ["id"] },
  { from: "booking_books t WHERE t.crewId = c.id", columns: ["changes"] },
  { from: "standing_plans t WHERE t.crewId = c.id", columns: ["version"] },
  { from: "restrictions t WHERE t.crewId = c.id", columns: ["id", "withdrawnAt"] },
  { from: "clearances t WHERE t.crewId = c.id", columns: ["id", "untilDay", "withdrawnAt"] },
  {
    from: "baseline_rounds r JOIN baseline_records t ON t.roundId = r.id WHERE r.crewId = c.id",
    columns: ["roundId", "personId", "version"],
  },
  { from: "symptom_alerts t WHERE t.crewId = c.id", columns: ["id", "answeredAt", "endedAt"] },
  { from: "proposals t WHERE t.crewId = c.id", columns: ["personId", "itemId", "kind"] },
  { from: "decisions t WHERE t.crewId = c.id AND t.decided = 'pauseAndRefer'", columns: ["id", "resumedAt"] },
  // Few clash: they are found first, and then whose they are; the other way round it reads everything a crew ever did.
  {
    from: "run_people t STRAIGHT_JOIN runs r ON r.id = t.runId AND r.crewId = c.id WHERE t.clash IS NOT NULL AND t.clashAnswer IS NULL",
    columns: ["runId", "personId", "clash"],
  },
  // Of the whole practice.
  { from: "custom_movements t WHERE t.practiceId = :practiceId", columns: ["id", "version"] },
];
/** Of a crew's years the days around now. For these the database needs the crews by name: looking crew by crew it would read all years. */
const AROUND_NOW: typeof OF_CREW = [
  {
    from: "placements t WHERE t.crewId IN (:crewIds) AND t.startsAt BETWEEN :from AND :until",
    columns: ["id", "programId", "sessionId", "startsAt", "people", "groupName"],
  },
  { from: "runs t WHERE t.crewId IN (:crewIds) AND t.startedAt BETWEEN :from AND :until", columns: ["id"] },
];

/** Rows counted and summed up. */
const summed = (columns: readonly string[]) =>
  `CONCAT_WS(' ', COUNT(*), SUM(CRC32(CONCAT_WS('|', ${columns.map((column) => `IFNULL(t.${column}, '-')`).join(", ")}))))`;
/** For each crew by itself: grouping them all would have the database sort. */
const ofCrews = (told: readonly string[]) =>
  `SELECT c.id AS crewId, CONCAT_WS('; ', ${told.join(", ")}) AS print FROM crews c WHERE c.id IN (:crewIds)`;
const asked = OF_CREW.map(({ from, columns }) => `(SELECT ${summed(columns)} FROM ${from})`);
/** Asked side by side: people and programs, all the others, and the days around now. */
const QUESTIONS = [
  ofCrews(asked.slice(0, 2)),
  ofCrews(["c.trainerId", "c.version", "c.name", ...asked.slice(2)]),
  ...AROUND_NOW.map(({ from, columns }) => `SELECT t.crewId AS crewId, ${summed(columns)} AS print FROM ${from} GROUP BY t.crewId`),
];

/** Crew id → what differs as soon as anything of its Today does. */
type Prints = ReadonlyMap<string, string>;

async function printsOf({ sequelize }: Db, practiceId: string, crewIds: readonly string[], now: Date): Promise<Prints> {
  const [from, until] = [-48, 48].map((hours) => new Date(now.getTime() + hours * 60 * MINUTE_MS));
  const replacements = { crewIds: [...crewIds], practiceId, from, until };
  const answers = await Promise.all(
    QUESTIONS.map((question) => sequelize.query<{ crewId: string; print: string }>(question, { replacements, type: QueryTypes.SELECT })),
  );
  const found = answers.map((rows) => new Map(rows.map(({ crewId, print }) => [crewId, print])));
  return new Map(crewIds.map((id) => [id, found.map((rows) => rows.get(id) ?? "").join("; ")]));
}

const prints = new AskedTogether<Prints>();

/** Of one crew alone. */
interface Part {
  print: string;
  told: Promise<Today>;
}
interface Known {
  parts: Map<string, Part>;
  whole?: { print: string; answer: Promise<WrittenAnswer<Today>> };
}

/** One a process; by the database too, for a process that opens several. */
const known = new Map<string, Known>();

/** Only the crews of which something changed are worked out anew. Its `now` is the moment it was worked out for, in this minute. */
export async function today(db: Db, caller: Caller, now: Date): Promise<WrittenAnswer<Today>> {
  const crewIds = await crewIdsOf(db, caller);
  if (crewIds.length === 0) return new WrittenAnswer(await workOutToday(db, caller, now, []));
  const minute = Math.floor(now.getTime() / MINUTE_MS);
  // A colleague's crew says whose it is: the answer is an account's own for trainers, a role's for leads.
  const whose = caller.role === "trainer" ? caller.accountId : caller.role;
  const key = [db.url, caller.practiceId, whose, minute, ...crewIds].join(" ");
  const found = await prints.ask(key, () => printsOf(db, caller.practiceId, crewIds, now));
  const mine = knownBy(key);
  const print = crewIds.map((id) => found.get(id)).join("; ");
  if (mine.whole?.print === print) return mine.whole.answer;
  const changed = crewIds.filter((id) => mine.parts.get(id)?.print !== found.get(id));
  if (changed.length > 0) workOut(db, caller, now, mine, changed, found);
  const answer = Promise.all(crewIds.map((id) => mine.parts.get(id)!.told)).then((parts) => new WrittenAnswer(todayTogether(parts)));
  const whole = { print, answer };
  mine.whole = whole;
  answer.catch(() => {
    if (mine.whole === whole) delete mine.whole;
  });
  return answer;
}

function knownBy(key: string): Known {
  let mine = known.get(key);
  if (!mine) {
    known.set(key, (mine = { parts: new Map() }));
    if (known.size > KEPT) known.delete(known.keys().next().value!);
  }
  return mine;
}

/** Each of the crews becomes a part of what is known, at once: whoever asks meanwhile waits for the same. */
function workOut(db: Db, caller: Caller, now: Date, mine: Known, crewIds: readonly string[], found: Prints): void {
  const work = workOutToday(db, caller, now, crewIds);
  const parts = crewIds.map((id): [string, Part] => [id, { print: found.get(id)!, told: work.then((all) => ofCrew(all, id)) }]);
  for (const [id, part] of parts) mine.parts.set(id, part);
  const forget = (differs: (id: string) => boolean) => {
    for (const [id, part] of parts) if (differs(id) && mine.parts.get(id) === part) mine.parts.delete(id);
    if (crewIds.some(differs)) delete mine.whole;
  };
  // Something changed and changed back while it was worked out: nobody is given what was between.
  void work
    .then(() => printsOf(db, caller.practiceId, crewIds, now))
    .then((after) => forget((id) => after.get(id) !== found.get(id)))
    .catch(() => forget(() => true));
}

function ofCrew(all: Today, id: string): Today {
  const own = <Entry extends { crewId: string }>(list: readonly Entry[]) => list.filter(({ crewId }) => crewId === id);
  return {
    now: all.now,
    crews: all.crews.filter((crew) => crew.id === id),
    entries: own(all.entries),
    heldOut: own(all.heldOut),
    endingSoon: own(all.endingSoon),
    decisions: own(all.decisions),
    alerts: own(all.alerts),
    clashes: own(all.clashes),
  };
}
