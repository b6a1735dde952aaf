/** What a page about one round stands on: the crew's rounds, its people, and the records of the round in the address. */
import type { ReactNode } from "react";
import { useParams } from "react-router";
import type { CrewEntry, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { Loaded } from "../parts/Loaded";
import { baselineApi } from "./api";

export interface RoundRead {
  crew: CrewEntry;
  /** Newest first; of second sittings only the one in the address. */
  rounds: RoundEntry[];
  roundId: string;
  people: PersonEntry[];
  entries: RecordEntry[];
}

export function RoundRecords({ children }: { children(read: RoundRead): ReactNode }) {
  const roundId = useParams().roundId!;
  const crew = useCrew();
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const records = baselineApi.useRecordsQuery(roundId, { refetchOnMountOrArgChange: true });
  return (
    <Loaded query={rounds}>
      {(list) => (
        <Loaded query={people}>
          {(everybody) => (
            <Loaded query={records}>
              {(entries) =>
                children({
                  crew,
                  rounds: list.filter(({ id, repeats }) => !repeats || id === roundId),
                  roundId,
                  people: everybody,
                  entries,
                })
              }
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}
