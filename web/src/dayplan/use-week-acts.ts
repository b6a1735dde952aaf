/** What is chosen in the week, and what is done to it: placed, moved, taken out, made a series; on its day or from that day on. */
import { useState } from "react";
import type { CrewEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import {
  laidId,
  layPlan,
  movedEvery,
  movedOnce,
  placedEvery,
  placedOnce,
  placeIn,
  suggestStart,
  takenOutEvery,
  takenOutOnce,
  type LaidPlacement,
  type Series,
} from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import type { PlaceableSession } from "./placed";
import type { Planned } from "./use-plan";

interface ActsOptions {
  crew: CrewEntry;
  entry: WeekPlanEntry;
  sessions: readonly PlaceableSession[];
  planned: Planned;
  /** Ids of what was led: it stays. */
  led: ReadonlySet<string>;
}

export function useWeekActs({ crew, entry, sessions, planned, led }: ActsOptions) {
  const { plan, change, placed, laidById, shiftAt, shifts: around } = planned;
  const { weekStart } = entry;
  const [chosenId, setChosenId] = useState<string | null>(null);
  /** Whether changes of what is chosen are for its day only, or for every such shift from that day on. */
  const [reach, setReach] = useState<"day" | "every">("day");
  /** Whether what is placed is placed on every shift of its kind. */
  const [every, setEvery] = useState(true);
  const shifts = around.filter(({ date }) => date >= weekStart && date < addDays(weekStart, 7));
  const choose = (id: string | null) => {
    if (id !== chosenId) setReach("day");
    setChosenId(id);
  };
  const seriesAt = (found: PlaceableSession, id: string, date: string, startMs: number): Series => {
    const shift = shifts.find((each) => each.date === date)!;
    return {
      id,
      programId: found.programId,
      sessionId: found.session.id,
      shift: shift.kind.id,
      at: placeIn(shift, startMs, found.session.slot, crew.timeZone),
      only: null,
      groupId: null,
      leaderId: null,
      fromDate: date,
      untilDate: null,
      otherDays: [],
    };
  };
  /** One that was just made: what is changed of it next is for all of it. */
  const chooseSeries = ({ id, fromDate }: Series) => {
    setChosenId(laidId(id, fromDate));
    setReach("every");
  };
  const place = (found: PlaceableSession, date: string) => {
    const shift = shifts.find((each) => each.date === date);
    if (!shift) return;
    const taken = placed.filter((each) => shiftAt(each.startMs) === shift).map((each) => each.startMs);
    const startMs = suggestStart(
      found.session.slot,
      found.lengthSec,
      shift,
      found.session.slot === "break" && taken.length === 0 ? [shift.startMs] : taken,
    );
    const { programId, session } = found;
    if (every) {
      const series = seriesAt(found, uuid(), date, startMs);
      change(placedEvery(plan, series, crew, led));
      chooseSeries(series);
    } else {
      const id = uuid();
      change(
        placedOnce(plan, {
          id,
          people: null,
          groupName: null,
          programId,
          sessionId: session.id,
          startsAt: new Date(startMs).toISOString(),
        }),
      );
      choose(id);
    }
  };
  const chosen = placed.find((each) => each.id === chosenId);
  const chosenLaid = chosen && laidById.get(chosen.id);
  /** A series that changes from a day on goes on under another id, and may leave the day: what is chosen stays chosen, or the next of it. */
  const changeChosen = (next: typeof plan) => {
    change(next);
    if (!chosenLaid?.seriesId) return;
    const before = new Set(plan.standing.series.map(({ id }) => id));
    const id = next.standing.series.find((each) => !before.has(each.id))?.id ?? chosenLaid.seriesId;
    const own = layPlan({ standing: next.standing, placements: [], kept: entry.kept }, crew, weekStart, 7).filter(
      (each) => each.seriesId === id,
    );
    setChosenId((own.find(({ date }) => date === chosenLaid.date) ?? own.find(({ date }) => date > chosenLaid.date) ?? own[0])?.id ?? null);
  };
  const move = (id: string, startMs: number) => {
    const how = id === chosenId ? reach : "day";
    const each = laidById.get(id);
    const shift = each && around.find(({ date }) => date === each.date);
    const session = placed.find((one) => one.id === id)?.session;
    if (!each || each.kept) return;
    const isEvery = how === "every" && each.seriesId !== null && shift && session;
    changeChosen(
      isEvery
        ? movedEvery(plan, each, placeIn(shift, startMs, session.slot, crew.timeZone), uuid())
        : movedOnce(plan, each, new Date(startMs).toISOString()),
    );
  };
  const remove = (...ids: string[]) => {
    const gone = ids.flatMap((id) => laidById.get(id) ?? []);
    const isEvery = reach === "every" && gone.length === 1 && gone[0]!.id === chosenId && gone[0]!.seriesId !== null;
    change(isEvery ? takenOutEvery(plan, gone[0]!) : takenOutOnce(plan, ...gone));
    choose(null);
  };
  const toSeries = (each: LaidPlacement) => {
    const found = sessions.find(({ session }) => session.id === each.sessionId);
    if (!found) return;
    const series = seriesAt(found, uuid(), each.date, Date.parse(each.startsAt));
    change(placedEvery(takenOutOnce(plan, each), series, crew, led));
    chooseSeries(series);
  };
  return { chosenId, chosen, chosenLaid, reach, setReach, every, setEvery, choose, changeChosen, place, move, remove, toSeries };
}
