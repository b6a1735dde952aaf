/** Brings the database to the current shape. Every change of shape is a migration; nothing is synchronised by guess. */
import { SequelizeStorage, Umzug } from "umzug";
import type { QueryInterface } from "sequelize";
import type { Db } from "./connection";
import { proveKeys } from "./key-proofs";
import { wholePath } from "./migrations/0001-the-whole-path";
import { ownMovements } from "./migrations/0002-own-movements";
import { workAndBaseline } from "./migrations/0003-work-and-baseline";
import { fromPlanToHabit } from "./migrations/0004-from-plan-to-habit";
import { theLoopCloses } from "./migrations/0005-the-loop-closes";
import { customMovements } from "./migrations/0006-custom-movements";
import { documentFormats } from "./migrations/0007-document-formats";
import { restrictions } from "./migrations/0008-restrictions";
import { signIns } from "./migrations/0009-sign-ins";
import { secondFactor } from "./migrations/0010-second-factor";
import { jobs } from "./migrations/0011-jobs";
import { colleagues } from "./migrations/0013-colleagues";
import { trail } from "./migrations/0014-trail";
import { passkeys } from "./migrations/0015-passkeys";
import { crewTurn } from "./migrations/0017-crew-turn";
import { templates } from "./migrations/0018-templates";
import { ramps } from "./migrations/0019-ramps";
import { languages } from "./migrations/0020-languages";
import { notes } from "./migrations/0021-notes";
import { ownAnswers } from "./migrations/0022-own-answers";
import { firstAid } from "./migrations/0023-first-aid";
import { standingPlans } from "./migrations/0024-standing-plans";
import { ownWeek } from "./migrations/0025-own-week";
import { reminderWishes } from "./migrations/0026-reminder-wishes";
import { bookings } from "./migrations/0027-bookings";
import { observations } from "./migrations/0028-observations";
import { measuringNoise } from "./migrations/0029-measuring-noise";
import { quickTests } from "./migrations/0030-quick-tests";
import { counted } from "./migrations/0031-counted";
import { oneTimeLinks } from "./migrations/0032-one-time-links";
import { contacts } from "./migrations/0033-contacts";
import { personalData } from "./migrations/0035-personal-data";
import { apiTokens } from "./migrations/0036-api-tokens";
import { pushKeys } from "./migrations/0037-push-keys";
import { workingDays } from "./migrations/0038-working-days";
import { toldAgain } from "./migrations/0039-told-again";
import { askedOn } from "./migrations/0040-asked-on";
import { encryptedColumns } from "./migrations/0034-encrypted";
import { todayIndex } from "./migrations/0016-today-index";
import { recordProgress } from "./migrations/0012-record-progress";

const MIGRATIONS = {
  "0001-the-whole-path": wholePath,
  "0002-own-movements": ownMovements,
  "0003-work-and-baseline": workAndBaseline,
  "0004-from-plan-to-habit": fromPlanToHabit,
  "0005-the-loop-closes": theLoopCloses,
  "0006-custom-movements": customMovements,
  "0007-document-formats": documentFormats,
  "0008-restrictions": restrictions,
  "0009-sign-ins": signIns,
  "0010-second-factor": secondFactor,
  "0011-jobs": jobs,
  "0012-record-progress": recordProgress,
  "0013-colleagues": colleagues,
  "0014-trail": trail,
  "0015-passkeys": passkeys,
  "0016-today-index": todayIndex,
  "0017-crew-turn": crewTurn,
  "0018-templates": templates,
  "0019-ramps": ramps,
  "0020-languages": languages,
  "0021-notes": notes,
  "0022-own-answers": ownAnswers,
  "0023-first-aid": firstAid,
  "0024-standing-plans": standingPlans,
  "0025-own-week": ownWeek,
  "0026-reminder-wishes": reminderWishes,
  "0027-bookings": bookings,
  "0028-observations": observations,
  "0029-measuring-noise": measuringNoise,
  "0030-quick-tests": quickTests,
  "0031-counted": counted,
  "0032-one-time-links": oneTimeLinks,
  "0033-contacts": contacts,
  "0034-encrypted": encryptedColumns,
  "0035-personal-data": personalData,
  "0036-api-tokens": apiTokens,
  "0037-push-keys": pushKeys,
  "0038-working-days": workingDays,
  "0039-told-again": toldAgain,
  "0040-asked-on": askedOn,
};

function migrations({ sequelize, keys }: Db) {
  return new Umzug({
    migrations: Object.entries(MIGRATIONS).map(([name, { up, down }]) => ({
      name,
      up: ({ context }: { context: QueryInterface }) => up(context, keys),
      down: ({ context }: { context: QueryInterface }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
}

/** Brings the database up to date. @returns the steps that were taken @throws Error where it was written with data keys that are not here */
export async function migrate(db: Db): Promise<string[]> {
  const taken = (await migrations(db).up()).map(({ name }) => name);
  await proveKeys(db.sequelize, db.keys);
  return taken;
}

/** Steps the database has been through, in order. */
export async function ranMigrations(db: Db): Promise<string[]> {
  return (await migrations(db).executed()).map(({ name }) => name);
}
