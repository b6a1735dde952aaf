/** Everything that is kept of a crew as one open file (docs/formats/crew-export.md), read in one moment. */
import type { WhereOptions } from "sequelize";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inOneMoment } from "../db/transaction";
import { withoutPhoneKeys } from "../contact/contacts";
import type { ContactRow } from "../contact/tables";
import { calendarsOf } from "../booking/bookings";
import { crewAnswer, crewOf } from "./crews";

export async function exportCrew(db: Db, caller: Caller, at: Date, crewId: string): Promise<object> {
  return inOneMoment(db, async (transaction) => {
    const crew = await crewOf(db, caller, crewId, transaction);
    const { models } = db;
    const own = { crewId };
    const all = async (table: unknown, where: Record<string, unknown> = own) =>
      (await (table as typeof models.Person).findAll({ where: where as object as WhereOptions<never>, transaction })).map(
        (row) => row.get({ plain: true }) as object,
      );
    const runs = (await all(models.Run)) as { id: string }[];
    const rounds = (await all(models.Round)) as { id: string }[];
    const runId = runs.map(({ id }) => id);
    return {
      format: "kind-grip-crew",
      version: 2,
      writtenAt: at.toISOString(),
      crew: crewAnswer(crew),
      people: await all(models.Person),
      absences: await all(models.Absence),
      work: (await all(models.Work))[0] ?? null,
      observations: await all(models.Observation),
      rounds,
      baselineRecords: await all(models.Baseline, { roundId: rounds.map(({ id }) => id) }),
      restrictions: await all(models.Restriction),
      clearances: await all(models.Clearance),
      programs: await all(models.Program),
      placements: await all(models.Placement),
      standingPlan: (await all(models.StandingPlan))[0] ?? null,
      bookingRules: (await all(models.BookingBook))[0] ?? null,
      bookings: await all(models.Booking),
      // The rest of a calendar's address is as good as a password.
      bookingCalendars: await calendarsOf(db, crewId),
      bookedSessions: await all(models.BookedSession),
      placementLeaders: await all(models.PlacementLeader),
      leadApprovals: await all(models.LeadApproval),
      contacts: ((await all(models.Contact)) as ContactRow[]).map(withoutPhoneKeys),
      reminderRule: (await all(models.ReminderRule))[0] ?? null,
      reminderWishes: await all(models.ReminderWish),
      quickTestRule: (await all(models.QuickTestRule))[0] ?? null,
      quickTestWishes: await all(models.QuickTestWish),
      runs,
      runItems: await all(models.RunItem, { runId }),
      runPeople: await all(models.RunPerson, { runId }),
      personDays: await all(models.PersonDay),
      checkIns: await all(models.CheckIn),
      symptomReports: await all(models.SymptomReport),
      symptomAlerts: await all(models.SymptomAlert),
      decisions: await all(models.Decision),
      ownAnswers: await all(models.OwnAnswer),
      firstAid: (await all(models.FirstAidBook))[0] ?? null,
      // Files of notes are fetched one by one: together they may be more than a memory holds.
      notes: (await models.PersonNote.findAll({ where: own, attributes: { exclude: ["content"] }, transaction })).map((row) =>
        row.get({ plain: true }),
      ),
    };
  });
}
