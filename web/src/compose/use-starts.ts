import { useMemo } from "react";
import type { KnownRecord, PersonEntry } from "@kind-grip/core/api";
import { personalStarts, type PersonalStart, type Program } from "@kind-grip/core/program";
import type { Participations } from "@kind-grip/core/safety";
import { useLibrary } from "../base/library";
import { useNoise } from "../baseline/use-noise";
import { mainHandOf } from "../crew/main-hand";

/** Who would start a program otherwise than it is written, by what their rounds found and by what holds now. */
export function useStarts(
  program: Program | undefined,
  people: readonly PersonEntry[],
  records: readonly KnownRecord[],
  participations: Participations,
): PersonalStart[] {
  const library = useLibrary();
  const noise = useNoise();
  return useMemo(() => {
    const measured = people.map(({ id }) => ({
      personId: id,
      mainHand: mainHandOf(people, id),
      record: records.find(({ personId }) => personId === id)?.record,
      participation: participations.get(id),
    }));
    return (program?.sessions ?? []).flatMap((session) => personalStarts(library, session, measured, noise));
  }, [library, program, people, records, participations, noise]);
}
