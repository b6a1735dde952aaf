/** Names that are known already: the same person, or somebody else? Nothing is added before each is answered. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
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
      aria-label={t("Known already?")}
      sx={{ borderLeft: "5px solid", borderColor: "warm.main", pl: 2, py: 0.5, display: "grid", gap: 2 }}
    >
      {questions.map(({ id, name, candidates }) => (
        <Box key={id}>
          <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{t("{{name}}: is this somebody you know already?", { name })}</Typography>
          <Choice
            label={t("{{name}}: who is it?", { name })}
            value={chosen[id] ?? null}
            onChange={(value) => setChosen({ ...chosen, [id]: value })}
            options={[
              ...candidates.map((each) => ({
                value: each.personId,
                label: t("The same: {{name}}", { name: each.name }),
                note: [
                  each.crewName,
                  each.leftOn && t("left {{leftOn}}", { leftOn: wholeDayText(each.leftOn) }),
                  each.limited && t("something keeps them out of items; it comes along"),
                ]
                  .filter(Boolean)
                  .join(", "),
              })),
              { value: ELSE, label: t("Somebody else") },
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
          {open > 0 ? t("{{open}} to answer", { open }) : t("Go on")}
        </Button>
      </Box>
    </Box>
  );
}
