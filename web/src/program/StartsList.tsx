/** Who starts otherwise, a block a person: each movement once, with why; what can be declined has a mark of its own. */
import { Box, Typography } from "@mui/material";
import type { PersonalStart } from "@kind-grip/core/program";
import type { PersonEntry } from "@kind-grip/core/api";
import type { Participations } from "@kind-grip/core/safety";
import { listText } from "../base/measures";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";
import { startText } from "./start-text";

/** A person and a movement: the same in every session. */
export const startKey = ({ personId, movementId }: Pick<PersonalStart, "personId" | "movementId">) => `${personId} ${movementId}`;

interface StartsListProps {
  people: readonly PersonEntry[];
  starts: readonly PersonalStart[];
  participations: Participations;
  declined: ReadonlySet<string>;
  onDecline(declined: ReadonlySet<string>): void;
}

export function StartsList({ people, starts, participations, declined, onDecline }: StartsListProps) {
  return people
    .filter(({ id }) => starts.some(({ personId }) => personId === id))
    .map((person) => (
      <Box
        key={person.id}
        role="group"
        aria-label={person.name}
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "180px minmax(0, 1fr)" },
          columnGap: 2,
          py: 1,
          borderTop: "1px solid",
          borderColor: "line",
        }}
      >
        <Typography sx={{ fontWeight: 750 }}>{person.name}</Typography>
        <StartsOfPerson
          starts={starts.filter(({ personId }) => personId === person.id)}
          isOut={participations.get(person.id)?.heldOut ?? false}
          declined={declined}
          onDecline={(key, off) => onDecline(new Set(off ? [...declined, key] : [...declined].filter((each) => each !== key)))}
        />
      </Box>
    ));
}

function StartsOfPerson({
  starts,
  isOut,
  declined,
  onDecline,
}: {
  starts: readonly PersonalStart[];
  /** Of everything, not only of what is in these sessions. */
  isOut: boolean;
  declined: ReadonlySet<string>;
  onDecline(key: string, off: boolean): void;
}) {
  const words = useWords();
  const name = ({ movementId }: PersonalStart) => words.movementName(movementId);
  // The same movement in two sessions is one line.
  const once = starts.filter(
    (start, i) => starts.findIndex((other) => other.kind === start.kind && other.movementId === start.movementId) === i,
  );
  const leftOut = once.filter(({ kind }) => kind === "leftOut");
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      {leftOut.length > 0 && (
        <Typography>
          {isOut
            ? t("Held out of everything until cleared")
            : t("Until cleared leaves out: {{movements}}", { movements: listText(leftOut.map((start) => name(start))) })}
        </Typography>
      )}
      {once
        .filter(({ kind }) => kind !== "leftOut")
        .map((start) => (
          <Box key={`${startKey(start)} ${start.kind}`} sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
            {start.kind === "own" && (
              <Toggle label={t("Easier")} pressed={!declined.has(startKey(start))} onChange={(on) => onDecline(startKey(start), !on)} />
            )}
            <Typography sx={{ flex: "1 1 240px" }}>
              <strong>{name(start)}</strong>, {startText(words, start)}
            </Typography>
          </Box>
        ))}
    </Box>
  );
}
