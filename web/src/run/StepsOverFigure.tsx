/** Where there is no room for the steps beside the count: a button on the figure's pane, and the steps in words over it. */
import { Box, ButtonBase } from "@mui/material";
import { Image, ListOrdered } from "lucide-react";
import { useState } from "react";
import { LANGUAGE_FACTS, type Words } from "@kind-grip/core/language";
import { t } from "../base/words";
import { StepList, whereStepsHaveNoRoom } from "./RunSteps";

interface StepsOverFigureProps {
  title: string;
  steps: readonly string[];
  beside: { words: Words; steps: readonly string[] } | null;
  watch: readonly string[];
  now: number;
  words: Words;
  hasCaption: boolean;
}

export function StepsOverFigure({ title, words, hasCaption, ...told }: StepsOverFigureProps) {
  const [shown, setShown] = useState(false);
  const whereNoRoom = (display: string) => ({ display: "none", ...whereStepsHaveNoRoom(hasCaption, { display }) });
  return (
    <>
      {shown && (
        <Box
          key={title}
          id="steps-over-figure"
          role="region"
          aria-label={title}
          tabIndex={0}
          lang={words.language}
          dir={LANGUAGE_FACTS[words.language].direction}
          sx={{
            position: "absolute",
            inset: 0,
            overflowY: "auto",
            bgcolor: "background.paper",
            pl: 2.5,
            // Nothing is written where the button is, whichever way the language runs.
            pr: 8,
            py: 1.5,
            alignContent: "start",
            gap: 1,
            ...whereNoRoom("grid"),
          }}
        >
          <StepList {...told} size="max(1.05rem, 2vh)" watchSize="max(1rem, 1.9vh)" />
        </Box>
      )}
      <ButtonBase
        aria-expanded={shown}
        aria-label={shown ? t("The picture") : undefined}
        aria-controls={shown ? "steps-over-figure" : undefined}
        onClick={() => setShown(!shown)}
        sx={{
          position: "absolute",
          right: 8,
          bottom: 8,
          minHeight: 44,
          minWidth: 44,
          px: shown ? 0 : 1.25,
          justifyContent: "center",
          gap: 0.75,
          borderRadius: 2,
          border: "2px solid",
          borderColor: "edge",
          bgcolor: "background.paper",
          color: "primary.main",
          fontWeight: 650,
          alignItems: "center",
          ...whereNoRoom("inline-flex"),
        }}
      >
        {shown ? <Image size={20} aria-hidden /> : <ListOrdered size={20} aria-hidden />}
        {!shown && t("In words")}
      </ButtonBase>
    </>
  );
}
