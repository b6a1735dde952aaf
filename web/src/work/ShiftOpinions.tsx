/** A shift by every method, and each of its tasks by each. */
import { Box, ButtonBase, Typography } from "@mui/material";
import {
  isReading,
  minutesByTask,
  opinionsOfShift,
  opinionsOfTask,
  placeOnScale,
  type Task,
  type Verdict,
  type Work,
  type WorkDay,
} from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { t } from "../base/words";
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
      <Box sx={{ overflowX: "auto" }}>
        <Box
          component="table"
          aria-label={t("Each task by each method")}
          sx={{
            borderCollapse: "collapse",
            width: "100%",
            "& th, & td": { textAlign: "left", py: 0.75, pr: 1.5, verticalAlign: "top", borderBottom: "2px solid", borderColor: "line" },
          }}
        >
          <thead>
            <tr>
              <th>{t("Task")}</th>
              {hands[0]?.opinions.map(({ method }) => (
                <Box component="th" key={method.id} sx={{ fontWeight: 650, lineHeight: 1.2 }}>
                  {METHOD_NAMES[method.id]}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {tasks.map((task) => (
              <tr key={task.id}>
                <th scope="row">
                  <ButtonBase
                    onClick={() => onTask(task.id)}
                    sx={{ font: "inherit", fontWeight: 650, textDecoration: "underline", textAlign: "left", minHeight: 32 }}
                  >
                    {task.name}
                  </ButtonBase>
                </th>
                {strictestOf(task, (minutes.get(task.id) ?? 0) / 60).map(({ id, verdict }) => (
                  <td key={id}>{verdict ? <VerdictWord verdict={verdict} /> : "–"}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "The harder hand of each. The strain index and vibration make a figure of the whole shift; the others judge task by task, and the one they find hardest speaks.",
        )}
      </Typography>
    </Box>
  );
}

/** By each method, the verdict on the hand it finds harder. */
function strictestOf(task: Task, hours: number): { id: string; verdict: Verdict | null }[] {
  const [left, right] = HAND_SIDES.map((side) => opinionsOfTask(task, side, hours));
  return left!.map(({ method, of }, i) => {
    const found = [of, right![i]!.of].filter(isReading).sort((a, b) => placeOnScale(b) - placeOnScale(a));
    return { id: method.id, verdict: found[0]?.verdict ?? null };
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
