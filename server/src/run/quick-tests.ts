/** Before and after a run: what is asked of a crew and of a person, and what the pairs of the last weeks tell. */
import type { MemberDay, QuickSeries, QuickTestRule, QuickTestsEntry } from "@kind-grip/core/api";
import type { OwnQuickTest, QuickResult, QuickTest } from "@kind-grip/core/quicktest";
import { QUICK_TESTS, QUICK_TESTS_OF_CREW } from "@kind-grip/core/quicktest";
import { crewAnswer, pairedAnswer } from "@kind-grip/core/repeat";
import { groupBy } from "es-toolkit";
import { QueryTypes } from "sequelize";
import type { Caller } from "../auth/caller";
import { usedNoise } from "../baseline/measuring";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import { decryptedFrom } from "../db/encrypted";

/** What is told of is not older. */
const WEEKS = 12;

export async function quickRuleOf({ models }: Db, crewId: string): Promise<QuickTestRule> {
  return { test: ((await models.QuickTestRule.findByPk(crewId))?.get().test ?? null) as QuickTestRule["test"] };
}

export async function changeQuickRule(db: Db, caller: Caller, crewId: string, { test }: QuickTestRule): Promise<QuickTestRule> {
  await crewOf(db, caller, crewId);
  await db.models.QuickTestRule.upsert({ crewId, test });
  return quickRuleOf(db, crewId);
}

export async function quickChoiceOf(db: Db, crewId: string, personId: string): Promise<NonNullable<MemberDay["quickTest"]>> {
  const [{ test }, wish] = await Promise.all([quickRuleOf(db, crewId), db.models.QuickTestWish.findByPk(personId)]);
  return { crew: test, own: (wish?.get().test ?? null) as OwnQuickTest | null };
}

export async function chooseQuickTest({ models }: Db, { accountId, crewId }: Caller, own: OwnQuickTest | null): Promise<void> {
  if (own === null) await models.QuickTestWish.destroy({ where: { personId: accountId } });
  else await models.QuickTestWish.upsert({ personId: accountId, crewId: crewId!, test: own });
}

interface Pair {
  runId: string;
  personId: string;
  at: string;
  quick: QuickResult & { before: number; after: number };
}

/** Oldest first. Whose run clashes with what they were held out of is not evidence. */
async function pairsOf({ sequelize }: Db, crewId: string, at: Date, personId?: string): Promise<Pair[]> {
  const rows = await sequelize.query<{ runId: string; personId: string; startedAt: Date; quick: string }>(
    `SELECT rp.runId, rp.personId, r.startedAt, rp.quick
     FROM run_people rp JOIN runs r ON r.id = rp.runId
     WHERE r.crewId = :crewId AND r.startedAt >= :since AND rp.quick IS NOT NULL AND rp.clash IS NULL ${personId ? "AND rp.personId = :personId" : ""}
     ORDER BY r.startedAt, rp.runId`,
    { replacements: { crewId, personId, since: new Date(at.getTime() - WEEKS * 7 * 86_400_000) }, type: QueryTypes.SELECT },
  );
  return rows.flatMap(({ runId, personId: of, startedAt, quick: stored }) => {
    const quick = decryptedFrom<QuickResult>(sequelize, { table: "run_people", key: [runId, of] }, "quick", stored)!;
    const { before, after } = quick;
    if (before === null || after === null) return [];
    return [{ runId, personId: of, at: new Date(startedAt).toISOString(), quick: { ...quick, before, after } }];
  });
}

const ofTest = (pairs: readonly Pair[], test: QuickTest) => pairs.filter(({ quick }) => quick.test === test);

/** A person's own, each test by itself. */
export async function quickSeriesOf(
  db: Db,
  { crewId, personId, practiceId }: { crewId: string; personId: string; practiceId: string },
  at: Date,
): Promise<QuickSeries[]> {
  const [pairs, noise] = await Promise.all([pairsOf(db, crewId, at, personId), usedNoise(db, practiceId)]);
  return seriesOf(pairs, noise);
}

function seriesOf(pairs: readonly Pair[], noise: Parameters<typeof pairedAnswer>[2]): QuickSeries[] {
  return QUICK_TESTS.flatMap((test) => {
    const own = ofTest(pairs, test);
    if (own.length === 0) return [];
    const runs = own.map(({ runId, at, quick: { before, after } }) => ({ runId, at, before, after }));
    return [
      {
        test,
        runs,
        answer: pairedAnswer(
          test,
          own.map(({ quick }) => quick),
          noise,
        ),
      },
    ];
  });
}

/** @param personId only of this one; what the crew comes to is then left out */
export async function quickTestsOf(db: Db, caller: Caller, crewId: string, at: Date, personId?: string): Promise<QuickTestsEntry> {
  await crewOf(db, caller, crewId);
  const [pairs, noise] = await Promise.all([pairsOf(db, crewId, at, personId), usedNoise(db, caller.practiceId)]);
  return {
    people: Object.entries(groupBy(pairs, ({ personId }) => personId)).map(([personId, own]) => ({
      personId,
      series: seriesOf(own, noise),
    })),
    crew: (personId ? [] : QUICK_TESTS_OF_CREW).flatMap((test) => {
      const all = ofTest(pairs, test).map(({ personId, quick }) => ({ ...quick, personId }));
      return all.length === 0 ? [] : [{ test, answer: crewAnswer(test, all, noise) }];
    }),
  };
}
