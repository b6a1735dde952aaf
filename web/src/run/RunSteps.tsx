/** What to do, in short, and the commonest slip: the step that is on now stands out, a second language beside each. */
import { Box, Typography } from "@mui/material";
import type { Words } from "@kind-grip/core/language";
import { useRef } from "react";
import { InLanguage } from "./InLanguage";
import { useFittingType } from "./use-fitting-type";

/** A telephone, upright or lying. */
const SMALL_SCREENS = ["@media (max-width: 899.95px)", "@media (max-height: 520px)"];
/** A caption says the steps too. */
const WITH_A_CAPTION = "@media (max-height: 900px)";

/** @param style what holds where the steps have no room beside the count, and are shown over the figure when asked for */
export const whereStepsHaveNoRoom = (hasCaption: boolean, style: object) =>
  Object.fromEntries([...SMALL_SCREENS, ...(hasCaption ? [WITH_A_CAPTION] : [])].map((media) => [media, style]));

interface StepsProps {
  steps: readonly string[];
  /** The same steps in a second language. */
  beside: { words: Words; steps: readonly string[] } | null;
  watch: readonly string[];
  /** The step that is on now, from 1; 0 when the count is of something else. */
  now: number;
}
interface RunStepsProps extends StepsProps {
  hasCaption: boolean;
}

/** Few words are written large, many as large as there is room for: read across a yard, not at a desk. */
const SIZES = [
  { most: 150, steps: "min(2.5vw, 4.6vh)", watch: "min(2vw, 3.8vh)" },
  { most: 260, steps: "min(1.9vw, 3.6vh)", watch: "min(1.6vw, 3.1vh)" },
  { most: Infinity, steps: "min(1.5vw, 2.9vh)", watch: "min(1.3vw, 2.5vh)" },
];

const fitting = (size: string) => `calc(${size} * var(--fit, 1))`;

export function RunSteps({ hasCaption, ...told }: RunStepsProps) {
  const { steps, beside, watch } = told;
  const all = [...steps, ...(beside?.steps ?? []), ...watch].join(" ");
  const size = SIZES.find(({ most }) => all.length <= most)!;
  const box = useRef<HTMLDivElement>(null);
  useFittingType(box, all);
  return (
    <Box
      ref={box}
      sx={{
        mt: 1.5,
        display: "grid",
        gap: 1,
        minHeight: 0,
        overflow: "hidden",
        ...whereStepsHaveNoRoom(hasCaption, { display: "none" }),
      }}
    >
      <StepList {...told} size={fitting(size.steps)} watchSize={fitting(size.watch)} />
    </Box>
  );
}

/** The steps as a list, and what to watch for after them. */
export function StepList({ steps, beside, watch, now, size, watchSize }: StepsProps & { size: string; watchSize: string }) {
  return (
    <>
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, fontSize: size, lineHeight: 1.28, display: "grid", gap: "0.4vh" }}>
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
            fontSize: watchSize,
            borderInlineStart: "4px solid",
            borderColor: "warm.main",
            paddingInlineStart: 1.5,
            lineHeight: 1.28,
          }}
        >
          {watch.join(" ")}
        </Typography>
      )}
    </>
  );
}
