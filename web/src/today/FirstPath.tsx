/** The way of a new practice from nothing to its first run: what is done, what is next, what may wait. Gone once a run was led. */
import { Box, Button, Link as TextLink, Typography } from "@mui/material";
import { ArrowRight, Check } from "lucide-react";
import { Link } from "react-router";
import { FIRST_STEPS, type FirstStep } from "@kind-grip/core/api";
import { t } from "../base/words";
import { practiceApi } from "../practice/api";

interface Step {
  name: string;
  why: string;
  go: string;
  /** Of the crew; not for the first step. */
  at: string;
  /** A run can be led without it. */
  mayWait?: boolean;
}

const STEPS: Readonly<Record<FirstStep, Step>> = {
  crew: { name: t("A crew"), why: t("Who they are, when they work, how much room and kit there is."), go: t("Make a crew"), at: "" },
  people: { name: t("Its people"), why: t("By name, one by one or from a file."), go: t("Add people"), at: "people" },
  work: {
    name: t("Their work"),
    why: t("What the hands do decides what they are given."),
    go: t("Describe the work"),
    at: "work",
    mayWait: true,
  },
  baseline: {
    name: t("A first round"),
    why: t("Safety questions, range and grip: who is held out of what, and what changes later."),
    go: t("Begin a round"),
    at: "baseline",
    mayWait: true,
  },
  program: {
    name: t("A program"),
    why: t("Composed from their work, from a template, or by hand."),
    go: t("Make a program"),
    at: "program",
  },
  plan: { name: t("A place in the day"), why: t("Sessions on the crew's own shifts."), go: t("Plan the day"), at: "day-plan" },
  run: { name: t("The first run"), why: t("You lead, the screen counts; what was done is on record."), go: t("Lead it"), at: "program" },
};

export function FirstPath() {
  const { data } = practiceApi.useFirstStepsQuery();
  if (!data || data.done.includes("run")) return null;
  const { crewId, done } = data;
  const next = FIRST_STEPS.find((step) => !done.includes(step) && !STEPS[step].mayWait)!;
  const addressOf = (step: FirstStep) => (step === "crew" ? "/crews/new" : `/crews/${crewId}/${STEPS[step].at}`);
  const canGo = (step: FirstStep) => step === "crew" || crewId !== null;
  return (
    <Box component="section" aria-label={t("The way to your first run")} sx={{ maxWidth: 760, mb: 4 }}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        {t("The way to your first run")}
      </Typography>
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {FIRST_STEPS.map((step, i) => {
          const { name, why, go, mayWait } = STEPS[step];
          const isDone = done.includes(step);
          const isNext = step === next;
          return (
            <Box
              component="li"
              key={step}
              {...(isNext ? { "aria-current": "step" as const } : {})}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "40px minmax(0, 1fr)", sm: "40px minmax(0, 1fr) auto" },
                columnGap: 1.5,
                alignItems: "center",
                borderTop: "1px solid",
                borderColor: "line",
                py: isNext ? 2 : 1,
              }}
            >
              <Box
                aria-hidden
                sx={{
                  width: 34,
                  height: 34,
                  borderRadius: "50%",
                  display: "grid",
                  placeItems: "center",
                  fontWeight: 700,
                  border: "2px solid",
                  ...(isDone
                    ? { bgcolor: "primary.main", borderColor: "primary.main", color: "primary.contrastText" }
                    : { borderColor: isNext ? "warm.main" : "edge", color: isNext ? "warm.dark" : "text.secondary" }),
                }}
              >
                {isDone ? <Check size={20} strokeWidth={3} /> : i + 1}
              </Box>
              <Box>
                <Typography sx={{ fontWeight: isNext ? 750 : 600, fontSize: isNext ? "1.2rem" : "1rem", lineHeight: 1.25 }}>
                  {name}
                  {isDone && <Box component="span" sx={{ color: "text.secondary", fontWeight: 400 }}>{` – ${t("done")}`}</Box>}
                  {!isDone && mayWait && (
                    <Box component="span" sx={{ color: "text.secondary", fontWeight: 400 }}>{` – ${t("may wait")}`}</Box>
                  )}
                </Typography>
                {!isDone && <Typography sx={{ color: "text.secondary", lineHeight: 1.3 }}>{why}</Typography>}
              </Box>
              <Box sx={{ gridColumn: { xs: 2, sm: 3 }, mt: { xs: isNext ? 1 : 0, sm: 0 } }}>
                {isNext ? (
                  <Button component={Link} to={addressOf(step)} variant="contained" endIcon={<ArrowRight size={18} />}>
                    {go}
                  </Button>
                ) : (
                  !isDone &&
                  mayWait &&
                  canGo(step) && (
                    <TextLink component={Link} to={addressOf(step)}>
                      {go}
                    </TextLink>
                  )
                )}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
