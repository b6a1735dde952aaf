/** Next-morning check-ins, sent from phones that may be offline: stored once, in whatever order they come. A bad morning pauses by itself. */
import { addDays, dateAt, SHIFT_REACH_MIN } from "@kind-grip/core/calendar";
import type { CheckIn } from "@kind-grip/core/response";
import { morningAlarm } from "@kind-grip/core/safety";
import type { Caller } from "../auth/caller";
import { lockCrew } from "../crew/crews";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid } from "../http/problem";
import { settingsOf } from "../practice/settings";
import { mostFelt, symptomHistory, symptomsOn } from "../safety/participations";
import { raiseAlert } from "../safety/symptom-alerts";
import { refreshProposals } from "./decisions";

/** A phone that was off for a while still brings these; older ones are refused. */
const OLDEST_DAYS = 14;

/** One answer a working day: what came first stays. @throws Problem 400 for a day that has not come yet or is long gone */
export async function storeCheckIn(
  db: Db,
  caller: Caller,
  at: Date,
  place: { crewId: string; personId: string },
  { id, day, level, regions, tingling, stillThere }: CheckIn,
): Promise<{ id: string; stored: "new" | "already" }> {
  return inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, place.crewId, transaction);
    const today = dateAt(at.getTime(), crew.detail.timeZone);
    // Before a shift that begins after midnight it is that shift's day already.
    if (day > dateAt(at.getTime() + SHIFT_REACH_MIN * 60_000, crew.detail.timeZone))
      throw invalid([{ path: "day", message: "has not come yet" }]);
    if (Date.parse(day) < Date.parse(today) - OLDEST_DAYS * 86_400_000) throw invalid([{ path: "day", message: "is too long ago" }]);
    const known = await db.models.CheckIn.findOne({ where: { personId: place.personId, day }, transaction });
    if (known) return { id: known.get().id, stored: "already" };
    await db.models.CheckIn.create({ id, ...place, day, level, regions, tingling, stillThere, at }, { transaction });
    const { settings } = await settingsOf(db, caller.practiceId, transaction);
    const history = await symptomHistory(db, { crewId: crew.id, personId: place.personId }, transaction);
    const alarm = morningAlarm({ level, tingling, stillThere }, mostFelt(symptomsOn(history, day)), settings.thresholds.alarmMorning);
    // A morning that comes days later is no news of now.
    if (alarm && day >= addDays(today, -1)) {
      const told = { cause: "checkIn" as const, causeId: id, kind: alarm, side: null, regions, pauses: true };
      await raiseAlert(db, caller, crew, at, { personId: place.personId, since: at }, told, transaction);
    }
    await refreshProposals(db, caller.practiceId, crew, at, [place.personId], transaction);
    return { id, stored: "new" };
  });
}
