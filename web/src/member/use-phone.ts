/** The crew member's day on this phone: from its store at once, from the server when there is one; and the sender. */
import { liveQuery } from "dexie";
import { useEffect, useReducer, useState } from "react";
import type { MemberDay } from "@kind-grip/core/api";
import { METRIC } from "@kind-grip/core/units";
import { memberApi } from "./api";
import { problemOf } from "../base/api";
import { isFinal } from "../base/final";
import { useAppDispatch } from "../base/store";
import { sendInBackground } from "./background";
import { sendOutbox } from "./outbox";
import { isInDay, keep, kept, notInDay, phone, type Sending, type Waiting } from "./phone-store";
import type { Outcome } from "./send-waiting";
import { workdayAt } from "./workday";

export interface Phone {
  /** Undefined while the store is read, null when nobody is signed in here. */
  day: MemberDay | null | undefined;
  /** Real time of the phone when the day was fetched, ms. */
  fetchedMs: number;
  done: readonly string[];
  /** The last working day whose morning was answered, here or elsewhere. */
  checkedInOn: string | null;
  /** What was answered here and is not in the day yet. */
  answered: readonly string[];
  waiting: readonly Waiting[];
  /** What the server has and the day does not know yet. */
  sent: readonly Sending[];
}

const LATER = {
  ramp: null,
  shifts: [],
  home: [],
  offDays: [],
  bookings: [],
  changes: null,
  language: "en",
  usualLanguage: "en",
  measures: METRIC,
  corrections: {},
  selfCheck: null,
  here: [],
  said: [],
  efforts: [],
} satisfies Partial<MemberDay>;

/** Follows the store; every page of the phone sees the same. */
export function usePhone(): Phone {
  const [state, setState] = useState<Phone>({
    day: undefined,
    fetchedMs: 0,
    checkedInOn: null,
    done: [],
    answered: [],
    sent: [],
    waiting: [],
  });
  useEffect(() => {
    const subscription = liveQuery(async (): Promise<Phone> => {
      const stored = await kept("day");
      // A day that an earlier version of the page kept lacks what came later.
      const day = stored ? { ...LATER, ...stored } : null;
      return {
        day,
        fetchedMs: (await kept("fetchedMs")) ?? 0,
        ...(await notInDay()),
        checkedInOn: later((await kept("checkedIn")) ?? null, day?.checkedIn ? workdayAt(day, Date.parse(day.now)) : null),
        waiting: (await phone.outbox.toArray()).filter(({ owner }) => owner === day?.person.id),
      };
    }).subscribe({ next: setState });
    return () => subscription.unsubscribe();
  }, []);
  return state;
}

function later(a: string | null, b: string | null): string | null {
  return a !== null && (b === null || a > b) ? a : b;
}

/** The same as {@link practiceTime} for what is drawn: it goes on while nothing else changes. */
export function usePracticeTime(phone: Pick<Phone, "day" | "fetchedMs">): number {
  const [, tick] = useReducer((count: number) => count + 1, 0);
  useEffect(() => {
    const timer = setInterval(tick, DRAWN_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return practiceTime(phone);
}

/** The moment it is at the practice, carried on from when the day was fetched. */
export function practiceTime({ day, fetchedMs }: Pick<Phone, "day" | "fetchedMs">): number {
  return day ? Date.parse(day.now) + (Date.now() - fetchedMs) : Date.now();
}

export async function takeDay(day: MemberDay): Promise<void> {
  await phone.transaction("rw", phone.kept, async () => {
    await keep("day", day);
    await keep("fetchedMs", Date.now());
  });
}

const DRAWN_EVERY_MS = 20_000;
const EVERY_MS = 8000;
/** Whether bookings moved is asked more often: it is one number. */
const PULSE_MS = 1200;

export interface Sender {
  /** Whether the server was reached last time. */
  reached: boolean;
  signedOut: boolean;
  /** Something waits that could not be sent when it was tried last. */
  cannotSend: boolean;
}

/** Sends what waits, then fetches the day, again and again while the page is open. */
export function useSender(): Sender {
  const dispatch = useAppDispatch();
  const [state, setState] = useState<Sender>({ reached: true, signedOut: false, cannotSend: false });
  useEffect(() => {
    let gone = false;
    let busy = false;
    let again = false;
    const send = async (waiting: Waiting): Promise<Outcome> => {
      const { data, error } = await dispatch(memberApi.endpoints.memberSend.initiate(waiting));
      if (data) return { done: true };
      const status = (error as { status?: number | string } | undefined)?.status;
      return { done: false, final: isFinal(status), message: problemOf(error).message };
    };
    const once = async () => {
      const { done, answered } = await notInDay();
      const everything = await sendOutbox(send);
      if (!gone) setState((before) => ({ ...before, cannotSend: !everything }));
      const { sent } = await notInDay();
      const asked = await dispatch(memberApi.endpoints.memberDay.initiate(undefined, { forceRefetch: true, subscribe: false }));
      const status = (asked.error as { status?: number } | undefined)?.status;
      // Whatever cannot be sent, what the trainer says now is shown.
      if (asked.data) await takeDay(asked.data);
      if (asked.data && everything) await isInDay({ done, answered, sent });
      if (!gone)
        setState((now) => ({ ...now, reached: asked.error === undefined || typeof status === "number", signedOut: status === 401 }));
    };
    const round = async () => {
      if (busy) return;
      busy = true;
      do {
        again = false;
        await once();
      } while (again && !gone);
      busy = false;
    };
    /** Also where a round is under way: another follows it. */
    const atOnce = () => {
      again = true;
      void round();
    };
    void round();
    const pulse = async () => {
      const changes = (await kept("day"))?.changes ?? null;
      if (busy || changes === null || document.hidden) return;
      const { data } = await dispatch(memberApi.endpoints.memberPulse.initiate(undefined, { forceRefetch: true, subscribe: false }));
      if (data && data.changes !== changes && !gone) await round();
    };
    const timer = setInterval(() => void round(), EVERY_MS);
    const heart = setInterval(() => void pulse(), PULSE_MS);
    let waited = 0;
    const subscription = liveQuery(() => phone.outbox.count()).subscribe({
      next: (count) => {
        // Put away while a day was being fetched, it goes out right after.
        if (count > waited) {
          void sendInBackground();
          atOnce();
        }
        waited = count;
      },
    });
    addEventListener("online", atOnce);
    return () => {
      gone = true;
      clearInterval(timer);
      clearInterval(heart);
      subscription.unsubscribe();
      removeEventListener("online", atOnce);
    };
  }, [dispatch]);
  return state;
}
