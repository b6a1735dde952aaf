/** The practice: its name. Staff, thresholds and the audit trail join it with later work. */
import { NonEmptyText } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import type { Routes } from "../http/route";

export function addPracticeRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    method: "put",
    path: "/api/practice",
    summary: "Rename the practice",
    body: v.strictObject({ name: NonEmptyText }),
    async handle({ body, caller }) {
      await db.models.Practice.update({ name: body.name }, { where: { id: caller.practiceId } });
      return { name: body.name };
    },
  });
}
