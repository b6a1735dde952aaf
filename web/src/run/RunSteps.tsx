/** What to do, in short, and the commonest slip: the step that is on now stands out, a second language beside each. */
import { Box, Typography } from "@mui/material";
import type { Words } from "@kind-grip/core/language";
import { useRef } from "react";
import { InLanguage } from "./InLanguage";
import { useFittingType } from "./use-fitting-type";

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

/** Few words are written large, many as large as there is room for: read across a yard, not at a desk. */
const SIZES = [
  { most: 150, steps: "min(2.5vw, 4.6vh)", watch: "min(2vw, 3.8vh)" },
  { most: 260, steps: "min(1.9vw, 3.6vh)", watch: "min(1.6vw, 3.1vh)" },
  { most: Infinity, steps: "min(1.5vw, 2.9vh)", watch: "min(1.3vw, 2.5vh)" },
];

const fitting = (size: string) => `calc(${size} * var(--fit, 1))`;

export function RunSteps({ isShort, steps, beside, watch, now }: RunStepsProps) {
  const letters = [...steps, ...(beside?.steps ?? []), ...watch].join(" ").length;
  const size = SIZES.find(({ most }) => letters <= most)!;
  const box = useRef<HTMLDivElement>(null);
  useFittingType(box, [...steps, ...(beside?.steps ?? []), ...watch].join(" "));
  return (
    <Box
      ref={box}
      sx={{
        mt: 1.5,
        display: { xs: "none", md: "grid" },
        gap: 1,
        minHeight: 0,
        overflow: "hidden",
        // What the hands do is seen and heard; on a telephone that lies there is no room to read it as well.
        "@media (max-height: 520px)": { display: "none" },
        ...(isShort && { "@media (max-height: 900px)": { display: "none" } }),
      }}
    >
      <Box
        component="ol"
        sx={{ listStyle: "none", m: 0, p: 0, fontSize: fitting(size.steps), lineHeight: 1.28, display: "grid", gap: "0.4vh" }}
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
            fontSize: fitting(size.watch),
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
