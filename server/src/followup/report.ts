/** The crew report: for the trainer and for the employer contact, by whole weeks, from the roll-ups. */
import { changesBetween } from "@kind-grip/core/baseline";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { crewReport, type CrewReport, type ReportChange, type ReportMorning } from "@kind-grip/core/followup";
import { writeCsv } from "@kind-grip/core/exchange";
import { Op } from "sequelize";
import * as v from "valibot";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CheckInRow, CrewRow, PersonDayRow } from "../db/models";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { reviewOf } from "./review";
import { latestSymptoms } from "../safety/participations";

export interface ReportAnswer extends CrewReport {
  crew: { id: string; name: string; trade: string };
  from: string;
  until: string;
}

/** Blocks of these lengths only: with free dates two reports could be subtracted from one another. */
const Query = v.object({
  weeks: v.optional(v.pipe(v.picklist(["4", "8"], "must be 4 or 8"), v.transform(Number)), "4"),
});
const READERS = ["trainer", "employer"] as const;

export function addReportRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/report",
    summary: "Crew figures of the last whole weeks; none of fewer than five people",
    roles: READERS,
    params: CrewParams,
    query: Query,
    handle: async ({ caller, params, query }) => reportOf(db, caller, await now(caller), params.crewId, query.weeks),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/review",
    summary: "The review of a block, down to the person",
    params: CrewParams,
    query: Query,
    handle: async ({ caller, params, query }) => reviewOf(db, caller, await now(caller), params.crewId, query.weeks),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/report.csv",
    summary: "The same as CSV",
    roles: READERS,
    params: CrewParams,
    query: Query,
    async handle({ caller, params, query, response }) {
      const report = await reportOf(db, caller, await now(caller), params.crewId, query.weeks);
      const figures = ({ people, adherence, secPerPersonDay, meanEffort, morningsRaised }: CrewReport["whole"]) => [
        people,
        adherence,
        secPerPersonDay,
        meanEffort,
        morningsRaised,
      ];
      const csv = writeCsv(
        ["week", "people", "adherence", "secPerPersonDay", "meanEffort", "morningsRaised"],
        [
          [`${report.from} to ${report.until}`, ...figures(report.whole)],
          ...report.weeks.map(({ weekStart, figures: of }) => [weekStart, ...figures(of)]),
        ],
      );
      sendFile(response, `${report.crew.name} report.csv`, "text/csv", csv);
    },
  });
}

async function reportOf(db: Db, caller: Caller, at: Date, crewId: string, weeks: number): Promise<ReportAnswer> {
  const crew = await crewOf(db, caller, crewId);
  const thisWeek = mondayOf(dateAt(at.getTime(), crew.detail.timeZone));
  const from = addDays(thisWeek, -7 * weeks);
  const until = addDays(thisWeek, -1);
  const weekStarts = Array.from({ length: weeks }, (_, i) => addDays(from, 7 * i));
  const day = { [Op.between]: [from, until] as [string, string] };
  const [days, mornings, changes] = await Promise.all([
    // Plain rows, here and below: weeks of a crew are thousands of them.
    db.models.PersonDay.findAll({ where: { crewId, day }, raw: true }) as unknown as Promise<PersonDayRow[]>,
    raisedMornings(db, crew, from, until),
    measuredChanges(db, crewId),
  ]);
  const report = crewReport(weekStarts, days, mornings, changes);
  return { crew: { id: crew.id, name: crew.name, trade: crew.detail.trade }, from, until, ...report };
}

/** Mornings above the person's usual level: what was felt when they were last asked. */
async function raisedMornings(db: Db, crew: CrewRow, from: string, until: string): Promise<ReportMorning[]> {
  const [rows, felt] = await Promise.all([
    db.models.CheckIn.findAll({
      where: { crewId: crew.id, day: { [Op.between]: [from, until] } },
      attributes: ["personId", "day", "level"],
      raw: true,
    }) as unknown as Promise<Pick<CheckInRow, "personId" | "day" | "level">[]>,
    latestSymptoms(db, [crew.id]),
  ]);
  const usual = new Map(felt.map(({ personId, symptoms }) => [personId, Math.max(0, ...symptoms.map(({ level }) => level))]));
  return rows.map(({ personId, day, level }) => ({ personId, day, raised: level > (usual.get(personId) ?? 0) }));
}

/** First round against the latest, people measured in both. Function effort is turned round so that up is better. */
async function measuredChanges(db: Db, crewId: string): Promise<ReportChange[]> {
  const rounds = await db.models.Round.findAll({ where: { crewId }, order: ["startedOn"] });
  const [first, last] = [rounds[0]?.get(), rounds.at(-1)?.get()];
  if (!first || !last || first.id === last.id) return [];
  const records = (await db.models.Baseline.findAll({ where: { roundId: [first.id, last.id] } })).map((row) => row.get({ plain: true }));
  return records
    .filter(({ roundId }) => roundId === last.id)
    .flatMap((after) => {
      const before = records.find(({ roundId, personId }) => roundId === first.id && personId === after.personId);
      if (!before) return [];
      return changesBetween(before.document, after.document).map(({ measure, before: was, after: is, verdict }): ReportChange => {
        const kind = measure === "grip" || measure === "function" ? measure : "range";
        return { personId: after.personId, measure: kind, change: kind === "function" ? was - is : is - was, counts: verdict !== "noise" };
      });
    });
}
