/** Asks for the rotation that leaves the hardest hand with the least: people at each task, turns, who may not do what. */
import { Alert, Box, Button, CircularProgress, MenuItem, TextField, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import {
  askedOf,
  daysOfRotation,
  gapOfRotation,
  minutesToShare,
  problemOf,
  type NoRotation,
  type Rotation,
} from "@kind-grip/core/rotation";
import type { RotationAsked, Work, WorkDay } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { t } from "../base/words";
import { nearnessText } from "../parts/nearness-text";
import { Stepper } from "../parts/Stepper";
import { MayNot } from "./MayNot";
import { startLeveller, type StartedLeveller } from "./start-leveller";
import { strainText } from "./strain-text";

const WHY_NOT: Readonly<Record<NoRotation, string>> = {
  tooFewPeople: t("More people are wanted at the tasks than the crew has."),
  notAllowed: t("A task has fewer people who may do it than it wants."),
  tooManyWays: t("So many tasks in so many turns cannot all be looked through: take fewer, longer turns, or fewer tasks."),
};

const TURNS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

interface LevelHandsProps {
  work: Work;
  people: readonly PersonEntry[];
  shiftMin: number;
  /** The ways that come of it, and what was asked for them. */
  onFound(days: WorkDay[], asked: RotationAsked): void;
}

export function LevelHands({ work, people, shiftMin, onFound }: LevelHandsProps) {
  const ids = people.map(({ id }) => id);
  const [changed, setAsked] = useState<RotationAsked | null>(null);
  const min = minutesToShare(work, ids, shiftMin);
  const asked = changed ?? askedOf(work, ids, min);
  const [found, setFound] = useState<Rotation | NoRotation | "broken" | null>(null);
  const [looking, setLooking] = useState(false);
  const started = useRef<StartedLeveller>(null);
  useEffect(() => () => started.current?.stop(), []);
  const set = (change: Partial<RotationAsked>) => {
    setFound(null);
    setAsked({ ...asked, ...change });
  };
  const wanted = asked.needed.reduce((sum, each) => sum + each.people, 0);
  const spare = people.length - wanted;
  const problem = problemOf(work, asked, ids, min);

  const stop = () => {
    started.current?.stop();
    setLooking(false);
  };
  const look = async () => {
    setFound(null);
    setLooking(true);
    const own = startLeveller(problem);
    started.current = own;
    const answer = await own.answer.catch(() => "broken" as const);
    if (started.current !== own) return;
    setLooking(false);
    setFound(answer);
    if (typeof answer !== "string")
      onFound(
        daysOfRotation(answer, problem.turnMin, (n) => t("Rotation {{days}}", { days: n }), uuid),
        asked,
      );
  };

  return (
    <Box component="section" aria-label={t("Level the hardest hand")} sx={{ display: "grid", gap: 2 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2.5, alignItems: "flex-end" }}>
        {work.tasks.map((task) => {
          const people = asked.needed.find(({ taskId }) => taskId === task.id)?.people ?? 0;
          return (
            <Stepper
              key={task.id}
              label={t("People at {{task}}", { task: task.name })}
              value={people}
              min={0}
              max={ids.length}
              onChange={(people) =>
                set({ needed: [...asked.needed.filter(({ taskId }) => taskId !== task.id), { taskId: task.id, people }] })
              }
            />
          );
        })}
        <TextField
          select
          label={t("Turns in a shift")}
          value={asked.turns}
          onChange={(event) => set({ turns: Number(event.target.value) })}
          sx={{ width: 190 }}
        >
          {TURNS.map((turns) => (
            <MenuItem key={turns} value={turns}>
              {t("{{turns}} of {{min}} min", { turns, min: Math.floor(min / turns) })}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography role={spare < 0 ? "alert" : undefined} sx={{ fontWeight: 600, color: spare < 0 ? "error.main" : "text.secondary" }}>
        {spare < 0
          ? t("{{wanted}} are wanted at a time; the crew has {{people}}.", { wanted, people: people.length })
          : spare === 0
            ? t("Everybody is at a task all the time.")
            : t("{{count}} people at a time are at nothing that strains the hands.", {
                count: spare,
                defaultValue_one: "{{count}} person at a time is at nothing that strains the hands.",
              })}
      </Typography>
      <MayNot work={work} people={people} not={asked.not} onChange={(not) => set({ not })} />
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Button variant="contained" onClick={() => void look()} disabled={looking || spare < 0 || wanted === 0}>
          {t("Find the rotation")}
        </Button>
        {looking && (
          <>
            <CircularProgress size={22} aria-label={t("Looking")} />
            <Button onClick={stop}>{t("Stop looking")}</Button>
          </>
        )}
        <Box role="status">
          {found !== null && typeof found !== "string" && (
            <Typography>
              {t("No rotation leaves the hardest hand below {{bound}}; this one is at {{hardest}}.", {
                bound: strainText(found.bound),
                hardest: strainText(found.hardest),
              })}{" "}
              {nearnessText(gapOfRotation(found))}.
            </Typography>
          )}
        </Box>
      </Box>
      {typeof found === "string" && (
        <Alert severity="error" variant="outlined">
          {found === "broken"
            ? t("It could not be worked out. What works it out is loaded when it is first asked: is there a connection? Then try again.")
            : WHY_NOT[found]}
        </Alert>
      )}
    </Box>
  );
}
