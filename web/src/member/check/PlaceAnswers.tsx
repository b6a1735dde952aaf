/** What is asked of one place: what it is, how much, at night, all the time. */
import { Box, Button, ButtonBase, Typography } from "@mui/material";
import { NIGHTS, SYMPTOM_KINDS, type Symptom } from "@kind-grip/core/safety";
import { useWords } from "../../base/library";
import { Choice } from "../../parts/Choice";
import { Toggle } from "../../parts/Toggle";
import { ZeroToTen } from "../../parts/ZeroToTen";
import { StepTitle } from "./StepTitle";

/** What was tapped and is still being asked. */
export type PlaceDraft = Omit<Symptom, "kind" | "level" | "nights"> & Partial<Pick<Symptom, "kind" | "level" | "nights">>;

interface PlaceAnswersProps {
  name: string;
  draft: PlaceDraft;
  onChange(draft: PlaceDraft): void;
  onKeep(symptom: Symptom): void;
  onNothing(): void;
}

export function PlaceAnswers({ name, draft, onChange, onKeep, onNothing }: PlaceAnswersProps) {
  const words = useWords();
  const { kind, level, nights } = draft;
  return (
    <Box component="section" aria-label={name} sx={{ display: "grid", gap: 2 }}>
      <StepTitle>{name}</StepTitle>
      <Box>
        <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{words.member("checkWhat")}</Typography>
        <Box role="group" aria-label={words.member("checkWhat")} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
          {SYMPTOM_KINDS.map((each) => (
            <ButtonBase
              key={each}
              aria-pressed={kind === each}
              onClick={() => onChange({ ...draft, kind: each })}
              sx={{
                minHeight: 52,
                px: 1,
                borderRadius: 2,
                border: "2px solid",
                fontSize: "1.05rem",
                fontWeight: 700,
                ...(kind === each
                  ? { bgcolor: "text.primary", color: "background.paper", borderColor: "text.primary" }
                  : { bgcolor: "background.paper", borderColor: "edge" }),
              }}
            >
              {words.symptomKind(each)}
            </ButtonBase>
          ))}
        </Box>
      </Box>
      <Box>
        <Typography sx={{ fontWeight: 700 }}>{words.member("checkHowMuch")}</Typography>
        <Typography sx={{ color: "text.secondary", mb: 0.5 }}>{words.member("morningWorst")}</Typography>
        <ZeroToTen
          label={words.member("checkHowMuch")}
          nameOf={words.digits}
          written={words.digits}
          value={level}
          onChange={(next) => onChange({ ...draft, level: next })}
          size="thumb"
        />
      </Box>
      <Box>
        <Typography sx={{ fontWeight: 700, mb: 0.5 }}>{words.member("checkNight")}</Typography>
        <Choice
          label={words.member("checkNight")}
          value={nights ?? null}
          onChange={(next) => onChange({ ...draft, nights: next })}
          options={NIGHTS.map((value) => ({ value, label: words.nights(value) }))}
        />
      </Box>
      <Box>
        <Toggle label={words.member("checkAlways")} pressed={draft.constant} onChange={(constant) => onChange({ ...draft, constant })} />
      </Box>
      <Button
        variant="contained"
        fullWidth
        disabled={kind === undefined || level === undefined || nights === undefined}
        onClick={() => onKeep({ ...draft, kind: kind!, level: level!, nights: nights! })}
        sx={{ minHeight: 60, fontSize: "1.2rem" }}
      >
        {words.member("checkAdd")}
      </Button>
      <Button fullWidth onClick={onNothing}>
        {words.member("checkNothingThere")}
      </Button>
    </Box>
  );
}
