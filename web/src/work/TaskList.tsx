/** The tasks of a crew with their minutes and strain in one way of the shift. */
import { Box, ButtonBase } from "@mui/material";
import { hoursOfTask, minutesByTask, minutesOverWays, RAISED_STRAIN, taskStrain, type Work, type WorkDay } from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { t } from "../base/words";
import { strainText } from "./strain-text";

export function TaskList({ work, day, chosen, onChoose }: { work: Work; day?: WorkDay; chosen: string; onChoose(id: string): void }) {
  const minutes = day ? minutesByTask(day) : new Map<string, number>();
  const overall = minutesOverWays(work);
  return (
    <Box component="ul" aria-label={t("Tasks")} sx={{ listStyle: "none", m: 0, p: 0, mb: 1 }}>
      {work.tasks.map((task) => {
        const min = minutes.get(task.id) ?? 0;
        const elsewhere = overall.get(task.id)?.most ?? 0;
        return (
          <li key={task.id}>
            <ButtonBase
              aria-current={task.id === chosen}
              onClick={() => onChoose(task.id)}
              sx={{
                display: "grid",
                gridTemplateColumns: "1fr auto",
                textAlign: "left",
                width: "100%",
                px: 1.5,
                py: 1,
                minHeight: 56,
                borderRadius: 2,
                bgcolor: task.id === chosen ? "primary.light" : "transparent",
                columnGap: 1,
              }}
            >
              <Box component="span">
                <Box component="span" sx={{ display: "block", fontWeight: 700 }}>
                  {task.name}
                </Box>
                <Box component="span" sx={{ color: "text.secondary", fontSize: "0.95rem" }}>
                  {min > 0
                    ? t("{{min}} min a shift", { min })
                    : elsewhere > 0
                      ? t("not in this shift; up to {{min}} min in another", { min: elsewhere })
                      : t("in no shift yet")}
                </Box>
              </Box>
              <Box component="span" sx={{ display: "flex", gap: 1.25 }}>
                {HAND_SIDES.map((side) => {
                  const { index } = taskStrain(task, side, hoursOfTask(work, task.id, day));
                  return (
                    <Box key={side} component="span" sx={{ fontWeight: index > RAISED_STRAIN ? 800 : 500 }}>
                      {side === "left" ? "L" : "R"} {strainText(index)}
                    </Box>
                  );
                })}
              </Box>
            </ButtonBase>
          </li>
        );
      })}
    </Box>
  );
}
