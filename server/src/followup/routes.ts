/** Progress, first form: attendance and effort per person and per run. */
import { Progress } from "@kind-grip/core/api";
import { followUpByPerson, followUpByRun } from "@kind-grip/core/followup";
import * as v from "valibot";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { attendanceSince } from "../run/rows";

const Query = v.object({
  days: v.optional(
    v.pipe(
      v.string(),
      v.regex(/^\d{1,3}$/, "must be a number of days"),
      v.transform(Number),
      v.minValue(1, "must be 1 to 366 days"),
      v.maxValue(366, "must be 1 to 366 days"),
    ),
    "28",
  ),
});

export function addFollowUpRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "progress",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/progress",
    summary: "Attendance and effort of a crew over the last days",
    answer: Progress,
    params: CrewParams,
    query: Query,
    async handle({ caller, params, query }): Promise<Progress> {
      const crew = await crewOf(db, caller, params.crewId);
      const since = new Date((await now(caller)).getTime() - query.days * 86_400_000);
      const [runs, people, rows] = await attendanceSince(db, crew.id, since);
      const names = new Map(people.map(({ id, name }) => [id, name]));
      const sessions = new Map(runs.map(({ id, sessionName }) => [id, sessionName]));
      const efforts = Array<number>(11).fill(0);
      for (const { effort } of rows) if (effort !== null) efforts[effort]!++;
      return {
        days: query.days,
        runs: followUpByRun(rows).map((run) => ({ ...run, sessionName: sessions.get(run.runId)! })),
        people: followUpByPerson(rows)
          .map((person) => ({ ...person, name: names.get(person.personId)! }))
          .sort((a, b) => a.name.localeCompare(b.name)),
        efforts,
      };
    },
  });
}
