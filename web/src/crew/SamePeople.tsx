/** Names that are known already: the same person, or somebody else? Nothing is added before each is answered. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { Choice } from "../parts/Choice";

/** What the server asks about one new person. */
export interface SameQuestion {
  id: string;
  name: string;
  candidates: { personId: string; name: string; crewName: string; leftOn: string | null; limited: boolean }[];
}

export interface SameAnswer {
  id: string;
  sameAs: string | null;
}

const ELSE = "else";

interface SamePeopleProps {
  questions: readonly SameQuestion[];
  busy: boolean;
  onAnswer(answers: SameAnswer[]): void;
}

export function SamePeople({ questions, busy, onAnswer }: SamePeopleProps) {
  const [chosen, setChosen] = useState<Record<string, string>>({});
  const open = questions.filter(({ id }) => chosen[id] === undefined).length;
  return (
    <Box
      role="group"
      aria-label="Known already?"
      sx={{ borderLeft: "5px solid", borderColor: "warm.main", pl: 2, py: 0.5, display: "grid", gap: 2 }}
    >
      {questions.map(({ id, name, candidates }) => (
        <Box key={id}>
          <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{name}: is this somebody you know already?</Typography>
          <Choice
            label={`${name}: who is it?`}
            value={chosen[id] ?? null}
            onChange={(value) => setChosen({ ...chosen, [id]: value })}
            options={[
              ...candidates.map((each) => ({
                value: each.personId,
                label: `The same: ${each.name}`,
                note: [
                  each.crewName,
                  each.leftOn && `left ${each.leftOn}`,
                  each.limited && "something keeps them out of items; it comes along",
                ]
                  .filter(Boolean)
                  .join(", "),
              })),
              { value: ELSE, label: "Somebody else" },
            ]}
          />
        </Box>
      ))}
      <Box>
        <Button
          variant="contained"
          disabled={open > 0 || busy}
          onClick={() => onAnswer(questions.map(({ id }) => ({ id, sameAs: chosen[id] === ELSE ? null : chosen[id]! })))}
        >
          {open > 0 ? `${open} to answer` : "Go on"}
        </Button>
      </Box>
    </Box>
  );
}
