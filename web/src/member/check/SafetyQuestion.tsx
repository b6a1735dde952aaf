/** One safety question, two large answers. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { consequenceOf, type QuestionId } from "@kind-grip/core/safety";
import { useWords } from "../../base/library";
import { StepTitle } from "./StepTitle";

interface SafetyQuestionProps {
  id: QuestionId;
  value: boolean | undefined;
  onAnswer(yes: boolean): void;
}

export function SafetyQuestion({ id, value, onAnswer }: SafetyQuestionProps) {
  const words = useWords();
  const consequence = consequenceOf(id);
  return (
    <Box component="section" aria-label={words.safety(id).ask}>
      <StepTitle tall>{words.safety(id).ask}</StepTitle>
      {value === true && consequence.kind === "stop" && consequence.emergency && (
        <Typography role="alert" sx={{ color: "error.main", fontWeight: 800, fontSize: "1.25rem", mb: 2 }}>
          {words.member("emergency")}
        </Typography>
      )}
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {[false, true].map((yes) => (
          <ButtonBase
            key={String(yes)}
            aria-pressed={value === yes}
            onClick={() => onAnswer(yes)}
            sx={{
              minHeight: 84,
              borderRadius: 3,
              border: "3px solid",
              fontSize: "1.5rem",
              fontWeight: 750,
              ...(value === yes
                ? { bgcolor: "primary.main", color: "primary.contrastText", borderColor: "primary.main" }
                : { bgcolor: "background.paper", borderColor: "edge" }),
            }}
          >
            {words.member(yes ? "yes" : "no")}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
