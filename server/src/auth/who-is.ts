/** Who is signed in, as the interface is told, and how a sign-in begins whichever way it was proven. */
import type { Me } from "@kind-grip/core/api";
import { USUAL_NOISE } from "@kind-grip/core/baseline";
import { METRIC } from "@kind-grip/core/units";
import type { Request, Response } from "express";
import { noteSignIn } from "../audit/audit";
import { usedNoise } from "../baseline/measuring";
import type { AppContext } from "../context";
import type { Db } from "../db/connection";
import { rememberDevice } from "./attempts";
import { csrfToken, freshSession } from "./session";
import { needsSecondStep, standingOf } from "./standing";
import type { AccountRow } from "./tables";

export async function whoIs(db: Db, now: AppContext["now"], request: Request): Promise<Me> {
  const caller = request.session.caller;
  // Without a sign-in nothing else would notice that the records are away.
  if (!caller) await db.sequelize.authenticate();
  const account = caller && (await db.models.Account.findByPk(caller.accountId));
  const person = caller?.role === "member" ? await db.models.Person.findByPk(caller.accountId) : undefined;
  const practice = caller && (await db.models.Practice.findByPk(caller.practiceId));
  return {
    csrfToken: csrfToken(request),
    account:
      caller && (account || person) && practice
        ? {
            role: caller.role,
            name: (account ?? person)!.get().name,
            email: account?.get().email ?? "",
            practice: practice.get().name,
            demo: practice.get().demoNow !== null,
            now: (await now(caller)).toISOString(),
            language: practice.get().language ?? "en",
            measures: account?.get().measures ?? practice.get().measures ?? METRIC,
            ownMeasures: account?.get().measures ?? null,
            noise: caller.role === "member" ? USUAL_NOISE : await usedNoise(db, caller.practiceId),
            needsSecondStep: needsSecondStep(await standingOf(db, caller)),
          }
        : null,
  };
}

export async function openSession(
  db: Db,
  { id, role, practiceId, firstSignInAt }: AccountRow,
  how: string,
  { request, response, at }: { request: Request; response: Response; at: Date },
): Promise<void> {
  if (!firstSignInAt) await db.models.Account.update({ firstSignInAt: at }, { where: { id } });
  await rememberDevice(db, request, response, id, at);
  await freshSession(request, { role, accountId: id, practiceId });
  await noteSignIn(db, { accountId: id, practiceId }, how);
}
