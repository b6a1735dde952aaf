/** A shift by every method, and each of its tasks by each. */
import { Box, ButtonBase, Typography } from "@mui/material";
import {
  isReading,
  METHODS,
  minutesByTask,
  opinionsOfShift,
  placeOnScale,
  type Task,
  type Verdict,
  type Work,
  type WorkDay,
} from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { t } from "../base/words";
import { Table } from "../parts/Table";
import { Opinions } from "./Opinions";
import { METHOD_NAMES, VERDICT_NAMES } from "./opinion-text";

export function ShiftOpinions({ work, day, onTask }: { work: Work; day: WorkDay; onTask(taskId: string): void }) {
  const hands = HAND_SIDES.map((side) => ({ side, opinions: opinionsOfShift(work, day, side) })).filter(({ opinions }) =>
    opinions.some(({ of }) => isReading(of)),
  );
  const minutes = minutesByTask(day);
  const tasks = work.tasks.filter(({ id }) => minutes.has(id));
  const name = (id: string) => work.tasks.find((task) => task.id === id)?.name ?? t("a task that is gone");
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 980 }}>
      <Opinions hands={hands} taskName={name} />
      <Table
        caption={t("Each task by each method")}
        head={[t("Task"), ...METHODS.map(({ id }) => METHOD_NAMES[id])]}
        rows={tasks.map((task) => ({
          key: task.id,
          cells: [
            <ButtonBase
              key="task"
              onClick={() => onTask(task.id)}
              sx={{ font: "inherit", fontWeight: 650, textDecoration: "underline", textAlign: "left", minHeight: 32 }}
            >
              {task.name}
            </ButtonBase>,
            ...strictestOf(task, (minutes.get(task.id) ?? 0) / 60).map((verdict, m) =>
              verdict ? <VerdictWord key={METHODS[m]!.id} verdict={verdict} /> : "–",
            ),
          ],
        }))}
      />
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "The harder hand of each. The strain index and vibration make a figure of the whole shift; the others judge task by task, and the one they find hardest speaks.",
        )}
      </Typography>
    </Box>
  );
}

/** By each method, the verdict on the hand it finds harder. */
function strictestOf(task: Task, hours: number): (Verdict | null)[] {
  return METHODS.map((method) => {
    const found = HAND_SIDES.map((side) => method.ofTask(task, side, hours)).filter(isReading);
    return found.sort((a, b) => placeOnScale(b) - placeOnScale(a))[0]?.verdict ?? null;
  });
}

function VerdictWord({ verdict }: { verdict: Verdict }) {
  const marks = { fine: "", look: "warm.light", change: "warm.dark" } as const;
  return (
    <Box
      component="span"
      className="keeps-colour"
      sx={{
        px: 1,
        py: 0.25,
        borderRadius: 1,
        fontWeight: verdict === "fine" ? 500 : 750,
        bgcolor: marks[verdict] || undefined,
        color: verdict === "change" ? "background.paper" : "text.primary",
      }}
    >
      {VERDICT_NAMES[verdict]}
    </Box>
  );
}
