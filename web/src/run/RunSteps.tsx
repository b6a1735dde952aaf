/** What to do, in short, and the commonest slip: the step that is on now stands out, a second language beside each. */
import { Box, Typography } from "@mui/material";
import type { Words } from "@kind-grip/core/language";
import { InLanguage } from "./InLanguage";

interface RunStepsProps {
  /** The caption says them; on a low screen there is no room for both. */
  isShort: boolean;
  steps: readonly string[];
  /** The same steps in a second language. */
  beside: { words: Words; steps: readonly string[] } | null;
  watch: readonly string[];
  /** The step that is on now, from 1; 0 when the count is of something else. */
  now: number;
}

export function RunSteps({ isShort, steps, beside, watch, now }: RunStepsProps) {
  return (
    <Box
      sx={{
        mt: 1.5,
        display: { xs: "none", md: "grid" },
        gap: 1,
        minHeight: 0,
        overflow: "hidden",
        ...(isShort && { "@media (max-height: 900px)": { display: "none" } }),
      }}
    >
      <Box
        component="ol"
        sx={{ listStyle: "none", m: 0, p: 0, fontSize: "min(1.35vw, 2.6vh)", lineHeight: 1.28, display: "grid", gap: "0.4vh" }}
      >
        {steps.map((step, i) => (
          <Box
            component="li"
            key={i}
            sx={{
              display: "grid",
              gridTemplateColumns: "1.4em 1fr",
              fontWeight: now === i + 1 ? 750 : 400,
              color: now > 0 && now !== i + 1 ? "text.secondary" : "text.primary",
            }}
          >
            <strong>{i + 1}</strong>
            <span>
              {step}
              {beside?.steps[i] && (
                <Box component="span" sx={{ display: "block", color: "text.secondary", fontWeight: 400 }}>
                  <InLanguage words={beside.words} text={beside.steps[i]} />
                </Box>
              )}
            </span>
          </Box>
        ))}
      </Box>
      {watch.length > 0 && (
        <Typography
          sx={{
            fontSize: "min(1.3vw, 2.5vh)",
            borderInlineStart: "4px solid",
            borderColor: "warm.main",
            paddingInlineStart: 1.5,
            lineHeight: 1.28,
          }}
        >
          {watch.join(" ")}
        </Typography>
      )}
    </Box>
  );
}
