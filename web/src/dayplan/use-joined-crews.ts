/** Crews whose day is planned together with this one: read when they join, stored before the crew's own day. */
import { useState } from "react";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Shift } from "@kind-grip/core/calendar";
import { dayInstead, type Placement } from "@kind-grip/core/dayplan";
import { problemOf } from "../base/api";
import { useLibrary } from "../base/library";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { dayPlanApi } from "./api";
import { inShift, laidOf, readCrewDay, type OtherDay } from "./crew-day";

export function useJoinedCrews() {
  const library = useLibrary();
  const dispatch = useAppDispatch();
  const [save, { isLoading: storing }] = dayPlanApi.useSavePlanMutation();
  const [others, setOthers] = useState<readonly OtherDay[]>([]);
  const [reading, setReading] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  const join = async (other: { crew: CrewEntry; shift: Shift }) => {
    setTrouble(null);
    setReading(other.crew.id);
    try {
      const day = await readCrewDay(library, dispatch, other.crew, other.shift, { anew: true });
      if (day.sessions.length === 0) setTrouble(t("{{name}} has no session to place yet.", { name: other.crew.name }));
      else setOthers((list) => [...list, day]);
    } catch (error) {
      setTrouble(`${other.crew.name}: ${problemOf(error).message}`);
    }
    setReading(null);
  };

  /** While one of them cannot be stored, it stays joined and the dialog stays open; what was stored is not stored again. */
  const store = async (placementsOf: (crewId: string) => Placement[]): Promise<boolean> => {
    const stored: { before: OtherDay; version: number }[] = [];
    for (const other of others) {
      const { crewId, weekStart, version } = other.week;
      const led = new Set(other.kept.map(({ id }) => id));
      const onDay = inShift(laidOf(other.week, other.crew, other.shift), other.crew, other.shift);
      const next = dayInstead(other.week, onDay, led, placementsOf(crewId));
      const answer = await save({ crewId, weekStart, version, placements: [...next.placements], standing: next.standing });
      if (answer.error) {
        setTrouble(`${other.crew.name}: ${problemOf(answer.error).message}`);
        setOthers(others.filter((each) => !stored.some(({ before }) => before === each)));
        offerUndo(stored);
        return false;
      }
      stored.push({ before: other, version: answer.data.version });
    }
    offerUndo(stored);
    return true;
  };

  const offerUndo = (stored: readonly { before: OtherDay; version: number }[]) => {
    if (stored.length === 0) return;
    const undo = async () => {
      for (const { before, version } of stored) {
        const { crewId, weekStart, placements, standing } = before.week;
        const answer = await save({ crewId, weekStart, version, placements, standing });
        if (answer.error) dispatch(notify({ text: `${before.crew.name}: ${problemOf(answer.error).message}` }));
      }
    };
    dispatch(
      notify({
        text: t("Planned for {{crews}} too.", { crews: stored.map(({ before }) => before.crew.name).join(", ") }),
        undo: () => undo(),
      }),
    );
  };

  return {
    others,
    reading,
    trouble,
    storing,
    join,
    store,
    leave: (crewId: string) => setOthers(others.filter(({ crew }) => crew.id !== crewId)),
    leaveAll: () => setOthers([]),
  };
}
