/**
 * Plans that keep themselves: a crew's groups and series in one document beside its weeks. Placements that are still to come and repeat
 * become series that end with the last of them, so that every moment stays what it was; the rest stay placed once, what is past or was led
 * is not touched. Re-runnable: a crew that has a standing plan already is left alone.
 */
import { ShiftPattern } from "@kind-grip/core/calendar";
import { layPlan, NOTHING_STANDING, seriesOf, type Placement } from "@kind-grip/core/dayplan";
import { isOfShift, type SlotKind } from "@kind-grip/core/session";
import { QueryTypes, type QueryInterface, type Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import * as v from "valibot";

const UP = [
  `CREATE TABLE IF NOT EXISTS standing_plans (
    crewId CHAR(36) NOT NULL PRIMARY KEY,
    version INT NOT NULL,
    changedAt DATETIME(3) NOT NULL,
    document JSON NOT NULL,
    format SMALLINT NOT NULL,
    CONSTRAINT standing_plans_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  "ALTER TABLE placements ADD COLUMN IF NOT EXISTS seriesId CHAR(36) NULL",
];
const DOWN = ["ALTER TABLE placements DROP COLUMN IF EXISTS seriesId", "DROP TABLE IF EXISTS standing_plans"];
/** Of the document as it is written here. */
const FORMAT = 1;

interface CrewRow {
  id: string;
  detail: unknown;
  demoNow: Date | null;
}

async function up({ sequelize }: QueryInterface): Promise<void> {
  for (const statement of UP) await sequelize.query(statement);
  const crews = await sequelize.query<CrewRow>(
    `SELECT c.id, c.detail, p.demoNow FROM crews c JOIN accounts a ON a.id = c.trainerId JOIN practices p ON p.id = a.practiceId
     WHERE c.id NOT IN (SELECT crewId FROM standing_plans)`,
    { type: QueryTypes.SELECT },
  );
  for (const { id, detail, demoNow } of crews) await plansOfCrew(sequelize, id, parsed(detail), demoNow ? new Date(demoNow) : new Date());
}

async function down({ sequelize }: QueryInterface): Promise<void> {
  for (const statement of DOWN) await sequelize.query(statement);
}

export const standingPlans = { up, down };

function parsed(json: unknown): Record<string, unknown> {
  return (typeof json === "string" ? JSON.parse(json) : json) as Record<string, unknown>;
}

/** In one transaction: a start that is killed leaves the crew as it was. @param from what comes before stays as it is */
export async function plansOfCrew(sequelize: Sequelize, crewId: string, detail: Record<string, unknown>, from: Date): Promise<void> {
  const pattern = v.safeParse(ShiftPattern, detail.shiftPattern);
  if (!pattern.success) return;
  const calendar = { shiftPattern: pattern.output, timeZone: String(detail.timeZone) };
  await sequelize.transaction(async (transaction) => {
    const ask = <Row extends object>(sql: string, replacements: object) =>
      sequelize.query<Row>(sql, { replacements: replacements as Record<string, unknown>, type: QueryTypes.SELECT, transaction });
    const rows = await ask<Omit<Placement, "startsAt" | "people"> & { startsAt: Date; people: unknown }>(
      `SELECT id, programId, sessionId, startsAt, people, groupName FROM placements t WHERE crewId = :crewId AND startsAt >= :from
       AND ledUntil IS NULL AND NOT EXISTS (SELECT 1 FROM runs r WHERE r.placementId = t.id) ORDER BY startsAt, id`,
      { crewId, from },
    );
    const programs = await ask<{ id: string; document: unknown }>("SELECT id, document FROM programs WHERE crewId = :crewId", { crewId });
    const slots = new Map(
      programs.flatMap(({ id, document }) =>
        (parsed(document).sessions as { id: string; slot: SlotKind }[]).map((session) => [`${id} ${session.id}`, session.slot] as const),
      ),
    );
    const ahead = rows.map(({ startsAt, people, ...row }): Placement => ({
      ...row,
      startsAt: new Date(startsAt).toISOString(),
      people: typeof people === "string" ? (JSON.parse(people) as string[] | null) : (people as string[] | null),
    }));
    const slotOf = ({ programId, sessionId }: Placement) => {
      const slot = slots.get(`${programId} ${sessionId}`);
      return slot && isOfShift(slot) ? slot : null;
    };
    const found = seriesOf(ahead, calendar, slotOf, uuid);
    if (found.standing.series.length === 0) return;
    await sequelize.query(
      "INSERT INTO standing_plans (crewId, version, changedAt, document, format) VALUES (:crewId, 1, :at, :document, :format)",
      {
        replacements: { crewId, at: from, document: JSON.stringify(found.standing), format: FORMAT },
        transaction,
      },
    );
    const once = new Set(found.placements.map(({ id }) => id));
    const gone = ahead.filter(({ id }) => !once.has(id));
    // Who was reminded of one of them is not reminded of it again.
    for (const { placement, laid } of renamed(found.standing, gone, calendar))
      await sequelize.query("UPDATE messages SET placementId = :now WHERE placementId = :was", {
        replacements: { was: placement.id, now: laid.id },
        transaction,
      });
    await sequelize.query("DELETE FROM placements WHERE id IN (:ids)", { replacements: { ids: gone.map(({ id }) => id) }, transaction });
  });
}

/** Which day of which series each placement has become. */
function renamed(standing: typeof NOTHING_STANDING, gone: readonly Placement[], calendar: Parameters<typeof layPlan>[1]) {
  const first = standing.series.map(({ fromDate }) => fromDate).sort()[0]!;
  const last = standing.series
    .map(({ untilDate }) => untilDate!)
    .sort()
    .at(-1)!;
  const days = Math.round((Date.parse(last) - Date.parse(first)) / 86_400_000) + 1;
  const key = ({ programId, sessionId, startsAt, people }: Placement) =>
    [programId, sessionId, startsAt, [...(people ?? [])].sort()].join(" ");
  const laid = new Map(layPlan({ standing, placements: [], kept: [] }, calendar, first, days).map((each) => [key(each), each]));
  return gone.flatMap((placement) => {
    const each = laid.get(key(placement));
    return each ? [{ placement, laid: each }] : [];
  });
}
