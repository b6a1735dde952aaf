/** What people reported, as the trainer is shown it: one entry a person, with everything that waits or still pauses. */
import type { PersonAlert } from "@kind-grip/core/api";
import { grouped } from "@kind-grip/core/units";
import { Op } from "sequelize";
import type { Db } from "../db/connection";
import type { SymptomAlertRow } from "./tables";

export type AlertReport = PersonAlert["reports"][number];

/**
 * Person id → their reports, newest first.
 * @param kept also those that were answered with "keep paused" and still pause
 */
export async function reportsByPerson(db: Db, crewIds: readonly string[], kept: boolean): Promise<Map<string, AlertReport[]>> {
  const waits = kept ? { [Op.or]: [{ answeredAt: null }, { endedAt: null }] } : { answeredAt: null };
  const rows = await db.models.SymptomAlert.findAll({
    where: { crewId: { [Op.in]: [...crewIds] }, ...waits },
    order: [["since", "DESC"]],
    limit: 500,
  });
  const alerts = rows.map((row) => row.get({ plain: true }));
  const told = await toldReports(db, alerts);
  const by = grouped(
    alerts.map(({ personId }, i) => ({ personId, report: told[i]! })),
    ({ personId }) => personId,
  );
  return new Map([...by].map(([personId, list]) => [personId, list.map(({ report }) => report)]));
}

/** Alerts with what was said to raise them, in their order. */
export async function toldReports({ models }: Db, alerts: readonly SymptomAlertRow[]): Promise<AlertReport[]> {
  if (alerts.length === 0) return [];
  const causes = { [Op.in]: alerts.map(({ causeId }) => causeId) };
  const [reports, mornings] = await Promise.all([
    models.SymptomReport.findAll({ where: { id: causes }, attributes: ["id", "movementId", "words"] }),
    models.CheckIn.findAll({ where: { id: causes }, attributes: ["id", "level"] }),
  ]);
  const reportOf = (id: string) => reports.find((row) => row.get().id === id)?.get();
  const levelOf = (id: string) => mornings.find((row) => row.get().id === id)?.get().level ?? null;
  return alerts.map(({ id, cause, causeId, kind, side, regions, since, endedAt, answer }) => ({
    alertId: id,
    cause,
    kind,
    side,
    regions,
    movementId: reportOf(causeId)?.movementId ?? null,
    words: reportOf(causeId)?.words ?? null,
    at: since.toISOString(),
    level: levelOf(causeId),
    pauses: endedAt === null,
    answer,
  }));
}
