/** The review of a block: for the trainer, down to the person. */
import { changesBetween, isEmpty, knownRecord, type Change, type MeasuringNoise } from "@kind-grip/core/baseline";
import { addDays, dateAt, momentAt, mondayOf } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { adherenceOf, loadRises, MIN_ANSWERS, nextBlock, trendOf, type LoadedRun, type ReviewAnswer } from "@kind-grip/core/followup";
import type { Library } from "@kind-grip/core/library";
import { grouped } from "@kind-grip/core/units";
import { sortBy } from "es-toolkit";
import { Op } from "sequelize";
import { noteSeen } from "../audit/audit";
import { usedNoise } from "../baseline/measuring";
import type { Caller } from "../auth/caller";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { practiceLibrary } from "../library/practice-library";
import { personDaysOf } from "./days";
import { raisedMornings } from "./mornings";
import { dayOfRun } from "../run/person-days";

export async function reviewOf(db: Db, caller: Caller, at: Date, crewId: string, weeks: number): Promise<ReviewAnswer> {
  const crew = await crewOf(db, caller, crewId);
  const until = dateAt(at.getTime(), crew.detail.timeZone);
  const first = (await db.models.PersonDay.min("day", { where: { crewId } })) as string | null;
  // Nothing is said of weeks before anything was done.
  const asked = addDays(until, -7 * weeks + 1);
  const from = first && first > asked ? first : asked;
  const mondays = Array.from({ length: weeks }, (_, week) => addDays(mondayOf(until), 7 * (week + 1 - weeks)));
  const [days, mornings, people, decisionRows, rounds, library] = await Promise.all([
    personDaysOf(db, { crewId, from, until }),
    raisedMornings(db, { crewId, from, until }),
    db.models.Person.findAll({ where: { crewId }, order: ["name"] }),
    db.models.Decision.findAll({ where: { crewId, decidedAt: { [Op.gte]: momentAt(from, "00:00", 0, crew.detail.timeZone) } } }),
    changesOf(db, crewId, await usedNoise(db, caller.practiceId)),
    practiceLibrary(db, caller.practiceId),
  ]);
  const runs = await loadedRuns(db, library, crewId, mondays[0]!, until, crew.detail.timeZone);
  await noteSeen(db, caller, at, { crewId, personId: null, subject: "decision", what: "review of a block" });
  const morningsByDay = grouped(mornings, (each) => each.day);
  const daysByPerson = grouped(days, (each) => each.personId);
  const morningsByPerson = grouped(mornings, (each) => each.personId);
  const decided = grouped(
    decisionRows.map((row) => row.get()),
    (each) => each.personId,
  );
  const raised = mornings.length === 0 ? null : mornings.filter((morning) => morning.raised).length / mornings.length;
  const adherence = adherenceOf(days);
  const verdicts = [...rounds.changes.values()];
  return {
    from: first === null ? until : from,
    until,
    days: [...grouped(days, (each) => each.day)].map(([date, list]) => {
      const ran = list.filter(({ runs }) => runs > 0);
      const felt = morningsByDay.get(date) ?? [];
      return {
        day: date,
        people: ran.length,
        minPerPerson: ran.length === 0 ? 0 : sum(ran, ({ doneSec }) => doneSec) / 60 / ran.length,
        itemsDue: sum(list, ({ itemsDue }) => itemsDue),
        itemsDone: sum(list, ({ itemsDue, itemsDone }) => Math.min(itemsDue, itemsDone)),
        meanEffort: ratio(
          sum(list, ({ effortSum }) => effortSum),
          sum(list, ({ efforts }) => efforts),
        ),
        meanMorning: ratio(
          sum(felt, ({ level }) => level),
          felt.length,
        ),
        mornings: felt.length,
      };
    }),
    adherence,
    raised,
    answers: mornings.length,
    people: people
      .filter((row) => isHere(row.get(), until))
      .map((row) => {
        const { id: personId, name } = row.get();
        const own = daysByPerson.get(personId) ?? [];
        const felt = morningsByPerson.get(personId) ?? [];
        const trend =
          felt.length < MIN_ANSWERS ? undefined : trendOf(felt.map((each) => ({ x: Date.parse(each.day) / 86_400_000, y: each.level })));
        return {
          personId,
          name,
          adherence: adherenceOf(own),
          meanEffort: ratio(
            sum(own, ({ effortSum }) => effortSum),
            sum(own, ({ efforts }) => efforts),
          ),
          morningTrend: trend ? trend.slope * 7 : null,
          answers: felt.length,
          decisions: Object.fromEntries(
            [...grouped(decided.get(personId) ?? [], (each) => each.decided)].map(([kind, list]) => [kind, list.length]),
          ),
          changes: (rounds.changes.get(personId) ?? []).filter(({ verdict }) => verdict !== "noise"),
        };
      }),
    rounds: rounds.names,
    rises: loadRises(library, runs, mondays, first ?? undefined),
    next: nextBlock({
      adherence,
      raised,
      measured: verdicts.length,
      better: verdicts.filter((list) => count(list, "better") > count(list, "worse")).length,
      worse: verdicts.filter((list) => count(list, "worse") > count(list, "better")).length,
    }),
  };
}

/** Runs with strengthening in them, as the weekly load is counted from. */
async function loadedRuns(
  { models }: Db,
  library: Library,
  crewId: string,
  from: string,
  until: string,
  timeZone: string,
): Promise<LoadedRun[]> {
  const runs = (
    await models.Run.findAll({
      where: {
        crewId,
        startedAt: { [Op.between]: [new Date(`${addDays(from, -1)}T00:00:00Z`), new Date(`${addDays(until, 2)}T00:00:00Z`)] },
      },
      attributes: ["id", "startedAt", "workingDay", "session", "format"],
    })
  )
    .map((row) => row.get({ plain: true }))
    .filter(({ session }) => session.items.some(({ movementId }) => library.find(movementId)?.phase === "strengthen"));
  const runId = runs.map(({ id }) => id);
  const [items, people] = await Promise.all([
    models.RunItem.findAll({ where: { runId }, attributes: ["runId", "itemId", "status", "plannedSec", "doneSec"] }),
    models.RunPerson.findAll({ where: { runId }, attributes: ["runId", "personId", "present", "effort", "leftOut"] }),
  ]);
  const itemsOf = grouped(
    items.map((row) => row.get({ plain: true })),
    (each) => each.runId,
  );
  const peopleOf = grouped(
    people.map((row) => row.get({ plain: true })),
    (each) => each.runId,
  );
  return runs.map(({ id, startedAt, workingDay, session }) => ({
    day: dayOfRun({ workingDay, startedAt }, timeZone),
    session,
    items: itemsOf.get(id) ?? [],
    people: peopleOf.get(id) ?? [],
  }));
}

/** Of everybody what their first round found against what was last found since, whichever rounds those were; the oldest and newest of them by name. */
async function changesOf(
  db: Db,
  crewId: string,
  noise: MeasuringNoise,
): Promise<{ names: { first: string; last: string } | null; changes: Map<string, Change[]> }> {
  const rounds = (await db.models.Round.findAll({ where: { crewId, repeats: null }, order: ["startedOn", "id"] })).map((row) => row.get());
  const placeOf = new Map(rounds.map(({ id }, place) => [id, place]));
  const rows = (await db.models.Baseline.findAll({ where: { roundId: rounds.map(({ id }) => id) } })).map((row) =>
    row.get({ plain: true }),
  );
  const measured = grouped(
    sortBy(
      rows.filter(({ document }) => !isEmpty(document)),
      [({ roundId }) => placeOf.get(roundId)!],
    ),
    ({ personId }) => personId,
  );
  const twice = [...measured].filter(([, own]) => own.length > 1);
  if (twice.length === 0) return { names: null, changes: new Map() };
  const places = (of: (own: typeof rows) => (typeof rows)[number]) => twice.map(([, own]) => placeOf.get(of(own).roundId)!);
  const names = {
    first: rounds[Math.min(...places((own) => own[0]!))]!.name,
    last: rounds[Math.max(...places((own) => own.at(-1)!))]!.name,
  };
  const changes = twice.map(([personId, [first, ...since]]) => {
    const now = knownRecord(since.toReversed().map(({ document }) => document));
    return [personId, changesBetween(first!.document, now, noise)] as const;
  });
  return { names, changes: new Map(changes) };
}

function count(list: readonly Change[], verdict: Change["verdict"]): number {
  return list.filter((change) => change.verdict === verdict).length;
}

function sum<Row>(rows: readonly Row[], of: (row: Row) => number): number {
  return rows.reduce((total, row) => total + of(row), 0);
}

function ratio(over: number, under: number): number | null {
  return under === 0 ? null : over / under;
}
