/** Planning a day for groups: who with whom, when, with the fewest minutes lost; pins stay, the rest is planned again. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";
import type { Placement, PlanGroup, Series } from "@kind-grip/core/dayplan";
import { wholeDayText } from "../base/dates";
import { weekdayText } from "../base/weekdays";
import { t } from "../base/words";
import { DayAnswer } from "./DayAnswer";
import { DayQuestion } from "./DayQuestion";
import { patternOfDay } from "./pattern-of-day";
import { usePlanOfDay, type PlannedCrew } from "./use-plan-of-day";

interface PlanDayProps extends PlannedCrew {
  onUse(date: string, placements: Placement[]): void;
  /** As the pattern of its kind of shift from that day on. */
  onUseEvery(date: string, series: Series[], groups: PlanGroup[]): void;
  onClose(): void;
}

export function PlanDayDialog({ onUse, onUseEvery, onClose, ...planned }: PlanDayProps) {
  const { crew, sessions, groups: keptGroups } = planned;
  const plan = usePlanOfDay(planned);
  const { asked, shift, groups, joined, placementsOf } = plan;
  const { date } = asked;
  const use = async () => {
    if (await joined.store(placementsOf)) onUse(date, placementsOf(crew.id));
  };
  const useEvery = () => {
    const named = groups.filter(({ day, whole }) => day.crew.id === crew.id && !whole);
    const made = patternOfDay(crew, shift, placementsOf(crew.id), named, asked.takesKept ? keptGroups : [], sessions);
    onUseEvery(date, made.series, made.groups);
  };
  const nothing = plan.plan.size === 0;
  const alone = joined.others.length === 0 && plan.kept.length === 0;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="plan-day">
      <DialogTitle id="plan-day">{t("Plan a day for groups")}</DialogTitle>
      <DialogContent
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "270px minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <DayQuestion of={planned} plan={plan} />
        <DayAnswer of={planned} plan={plan} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        {alone && (
          <Button variant="contained" disabled={nothing} onClick={useEvery}>
            {t("Use it for every {{shift}} shift from {{date}} on", { shift: shift.kind.name.toLowerCase(), date: wholeDayText(date) })}
          </Button>
        )}
        <Button variant={alone ? "outlined" : "contained"} disabled={nothing || joined.storing} onClick={() => void use()}>
          {t("Use it for {{shift}} {{date}}", { shift: weekdayText(date), date: Number(date.slice(8)) })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
