/** Which hand somebody writes and works with. */
import { Box, ButtonBase, Typography } from "@mui/material";
import type { Handedness } from "@kind-grip/core/units";
import { useWords } from "../../base/library";
import { StepTitle } from "./StepTitle";

interface MainHandProps {
  value: Handedness | null | undefined;
  onAnswer(handedness: Handedness | null): void;
}

export function MainHand({ value, onAnswer }: MainHandProps) {
  const words = useWords();
  const options: [Handedness | null, string][] = [
    ["left", words.label("side", "left")],
    ["right", words.label("side", "right")],
    ["both", words.member("checkBothHands")],
    [null, words.member("checkCannotSay")],
  ];
  return (
    <Box component="section" aria-label={words.member("checkHand")}>
      <StepTitle>{words.member("checkHand")}</StepTitle>
      <Typography sx={{ color: "text.secondary", mt: 0.5, mb: 2.5 }}>{words.member("checkHandNote")}</Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {options.map(([hand, label]) => (
          <ButtonBase
            key={label}
            aria-pressed={value === hand}
            onClick={() => onAnswer(hand)}
            sx={{
              minHeight: 76,
              px: 1,
              borderRadius: 3,
              border: "3px solid",
              fontSize: "1.2rem",
              fontWeight: 700,
              ...(value === hand
                ? { bgcolor: "primary.main", color: "primary.contrastText", borderColor: "primary.main" }
                : { bgcolor: "background.paper", borderColor: "edge" }),
            }}
          >
            {label}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
