/**
 * What is paused on this phone: what the server said, and what was reported here and has not reached it yet. A report acts at once, also
 * without a connection: the phone pauses by itself before the server knows.
 */
import {
  consequenceOf,
  restrictionsCalledFor,
  restrictionsOfReport,
  symptomsAlarm,
  type QuestionId,
  markAlarm,
  morningAlarm,
  pauseScope,
  reportPauses,
  sessionWithout,
  type ItemScope,
} from "@kind-grip/core/safety";
import type { Library } from "@kind-grip/core/library";
import { compilePerson } from "@kind-grip/core/session";
import type { MemberAlert, MemberDay, MemberSession } from "@kind-grip/core/api";
import type { Sending } from "./phone-store";

export interface PhoneAlert extends MemberAlert {
  /** It waits on this phone: nobody else knows of it. */
  unsent: boolean;
}

export interface PhoneDay {
  /** Own reports, newest first; those that wait to be sent among them. */
  alerts: PhoneAlert[];
  /** Out of everything: by a hold, or because a report named no place. */
  out: "clinician" | "paused" | null;
  /** So many degrees short of the end of each stretch; null for nobody who has to. */
  shortOfEndDeg: number | null;
  sessions: MemberSession[];
  anyTime: MemberSession[];
  home: MemberSession[];
}

/**
 * @param waiting what is in the outbox, refused ones too: what was felt was felt
 * @param sent what the server has and this day does not know yet
 */
export function phoneDay(library: Library, day: MemberDay, waiting: readonly Sending[], sent: readonly Sending[]): PhoneDay {
  const known = new Set(day.alerts.map(({ causeId }) => causeId));
  const happened = [...sent, ...waiting];
  const own = happened.flatMap((sending) => alertOf(sending, day)).filter(({ causeId }) => !known.has(causeId));
  const unsent = new Set(waiting.map(({ body }) => body.id));
  const alerts = [...own.reverse(), ...day.alerts].map((alert) => ({ ...alert, unsent: unsent.has(alert.causeId) }));
  const said = happened.flatMap(restrictionsOf).map(consequenceOf);
  const held = said.some(({ kind }) => kind === "stop");
  const scopes = [
    ...alerts.filter(({ pauses }) => pauses).map(({ regions }) => pauseScope(regions)),
    ...said.flatMap((question) => (question.kind === "ask" ? [question.outOf] : [])),
  ];
  const everything = scopes.includes(null);
  const out = held || day.clinicianFirst ? "clinician" : everything || day.heldOut ? "paused" : null;
  const within = (list: readonly MemberSession[]) =>
    out
      ? []
      : list.flatMap((entry) =>
          entryWithout(
            library,
            entry,
            scopes.filter((scope) => scope !== null),
          ),
        );
  const short = [day.shortOfEndDeg ?? 0, ...said.map((question) => (question.kind === "limit" ? question.shortOfEndDeg : 0))];
  const shortOfEndDeg = Math.max(...short) || null;
  return { alerts, out, shortOfEndDeg, sessions: within(day.sessions), anyTime: within(day.anyTime), home: within(day.home) };
}

function entryWithout(library: Library, entry: MemberSession, scopes: readonly ItemScope[]): MemberSession[] {
  if (scopes.length === 0) return [entry];
  const session = sessionWithout(library, entry.session, scopes);
  if (session.items.length === 0) return [];
  return [
    session.items.length === entry.session.items.length
      ? entry
      : { ...entry, session, totalSec: compilePerson(session, library.timings).totalSec },
  ];
}

/** What the server will hold them out for. */
function restrictionsOf(sending: Sending): QuestionId[] {
  if (sending.kind === "symptom-reports") return restrictionsOfReport(sending.body);
  return sending.kind === "self-checks" ? restrictionsCalledFor(sending.body.safety, sending.body.symptoms) : [];
}

/** The alert that the server will make of something that waits. */
function alertOf(sending: Sending, { usualLevel, alarmMorning, now }: MemberDay): MemberAlert[] {
  const alert = (change: Pick<MemberAlert, "kind" | "side" | "regions" | "at" | "pauses">): MemberAlert => ({
    id: sending.body.id,
    causeId: sending.body.id,
    answer: null,
    reply: null,
    answeredAt: null,
    ...change,
  });
  switch (sending.kind) {
    case "symptom-reports": {
      const { kind, side, regions, at } = sending.body;
      return [alert({ kind, side, regions, at, pauses: reportPauses(sending.body) })];
    }
    case "check-ins": {
      const kind = morningAlarm(sending.body, usualLevel, alarmMorning);
      return kind ? [alert({ kind, side: null, regions: sending.body.regions, at: now, pauses: true })] : [];
    }
    case "self-checks": {
      const told = symptomsAlarm(sending.body.symptoms);
      return told ? [alert({ ...told, at: sending.body.at, pauses: true })] : [];
    }
    case "arrivals":
    case "efforts":
      return [];
    case "runs": {
      const kind = markAlarm(sending.body.people.flatMap(({ marks }) => marks));
      return kind ? [alert({ kind, side: null, regions: [], at: sending.body.endedAt, pauses: true })] : [];
    }
  }
}
