/** What is done to the bookings of a day: each act is stored at once, and can be taken back. */
import { useEffect, useRef, useState } from "react";
import type { BookingDay, BookingEntry } from "@kind-grip/core/api";
import { runningLate, type Booking } from "@kind-grip/core/booking";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { bookingApi } from "./api";

export interface BookingActs {
  busy: boolean;
  /** Says what became of it; false when it was not stored. */
  save(bookings: readonly Booking[], done: string): Promise<boolean>;
  move(booking: Booking, startMs: number): void;
  late(booking: Booking, byMin: number): void;
  cancel(booking: Booking): void;
  remove(booking: Booking): void;
  undo(): void;
}

/** How it was before an act: what is put back, and what goes again. */
interface Step {
  back: BookingEntry[];
  gone: string[];
}

export function useBookings(day: BookingDay): BookingActs {
  const [send, { isLoading }] = bookingApi.useSaveBookingsMutation();
  const dispatch = useAppDispatch();
  const [steps, setSteps] = useState<Step[]>([]);
  const { crewId, date } = day;
  // Acts follow each other faster than pages are drawn.
  const known = useRef(new Map<string, BookingEntry>());
  useEffect(() => {
    known.current = new Map(day.bookings.map((booking) => [booking.id, booking]));
  }, [day]);
  /** Versions of those that went to another day: they can be taken back. */
  const elsewhere = useRef(new Map<string, number>());
  const versionOf = (id: string) => known.current.get(id)?.version ?? elsewhere.current.get(id) ?? 0;

  const store = async (bookings: readonly Booking[], removed: readonly string[]): Promise<boolean> => {
    const sent = bookings.map(({ id, personId, startsAt, lengthMin, treatmentId, cancelled }) => ({
      ...{ id, personId, startsAt, lengthMin, treatmentId, cancelled },
      version: versionOf(id),
    }));
    const answer = await send({ crewId, date, bookings: sent, removed: [...removed] });
    if (answer.data) {
      known.current = new Map(answer.data.bookings.map((booking) => [booking.id, booking]));
      for (const { id, version } of sent) elsewhere.current.set(id, version + 1);
      return true;
    }
    const { code, message, fields } = problemOf(answer.error);
    if (code === "stale") dispatch(bookingApi.util.invalidateTags(["Bookings"]));
    dispatch(
      notify({
        text:
          code === "stale"
            ? t("Somebody else changed this booking meanwhile. It is shown as it is now; do it again if you still want to.")
            : [message, ...fields.map((field) => field.message)].join(" "),
      }),
    );
    return false;
  };
  const put = async (bookings: readonly Booking[], removed: readonly string[], done: string): Promise<boolean> => {
    const ids = [...bookings.map(({ id }) => id), ...removed];
    const back = ids.flatMap((id) => known.current.get(id) ?? []);
    const step = { back, gone: ids.filter((id) => !known.current.has(id)) };
    if (!(await store(bookings, removed))) return false;
    setSteps((before) => [...before, step]);
    dispatch(notify({ text: done, undo: () => takeBack(step) }));
    return true;
  };
  const takeBack = async (step: Step) => {
    if (await store(step.back, step.gone)) setSteps((before) => before.filter((each) => each !== step));
  };
  const undo = () => {
    const last = steps.at(-1);
    if (last) void takeBack(last);
  };
  useUndoKey(undo);
  return {
    busy: isLoading,
    save: (bookings, done) => put(bookings, [], done),
    move: (booking, startMs) =>
      void put([{ ...booking, startsAt: new Date(startMs).toISOString() }], [], t("Moved; the resets went with it.")),
    late: (booking, byMin) => {
      const own = day.bookings.filter(({ personId }) => personId === booking.personId);
      const moved = runningLate(own, booking.id, byMin, day.rules.turnMin);
      void put(
        moved,
        [],
        t("{{count}} bookings begin later; the resets went with them.", {
          count: moved.length,
          defaultValue_one: "One booking begins later; the resets went with it.",
        }),
      );
    },
    cancel: (booking) =>
      void put(
        [{ ...booking, cancelled: !booking.cancelled }],
        [],
        booking.cancelled ? t("It takes place after all.") : t("Cancelled; what it leaves is used."),
      ),
    remove: (booking) => void put([], [booking.id], t("Taken out.")),
    undo,
  };
}

/** Ctrl+Z, wherever nothing is typed. */
function useUndoKey(undo: () => void): void {
  const latest = useRef(undo);
  useEffect(() => {
    latest.current = undo;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isUndo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === "z";
      if (!isUndo || (event.target as Element).closest?.('input, textarea, [role="dialog"]')) return;
      event.preventDefault();
      latest.current();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
}
