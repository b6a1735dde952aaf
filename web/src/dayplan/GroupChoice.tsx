/** The group of the chosen people, set for all of them at once; the groups are those of the crew's plan. */
import { MenuItem, TextField, Typography } from "@mui/material";
import { dateAt, mondayOf } from "@kind-grip/core/calendar";
import { inGroup, withGroup, type StandingPlan } from "@kind-grip/core/dayplan";
import type { CrewEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { dayPlanApi } from "./api";

const NONE = "none";
const NEW = "new";

export function GroupChoice({ crew, personIds }: { crew: CrewEntry; personIds: readonly string[] }) {
  const now = useNow();
  const dispatch = useAppDispatch();
  const weekStart = mondayOf(dateAt(now, crew.timeZone));
  const { data: week } = dayPlanApi.useWeekPlanQuery({ crewId: crew.id, weekStart });
  const [save, { error }] = dayPlanApi.useSavePlanMutation();
  if (!week) return null;
  const { groups } = week.standing;
  const own = new Set(personIds.map((id) => groups.find(({ people }) => people.includes(id))?.id ?? NONE));
  const store = (from: WeekPlanEntry, standing: StandingPlan) =>
    save({ crewId: crew.id, weekStart, version: from.version, placements: from.placements, standing });
  const set = async (choice: string) => {
    const before = { standing: week.standing, placements: week.placements };
    const group = { id: uuid(), name: t("Group {{nr}}", { nr: groups.length + 1 }), people: [] };
    const there = choice === NEW ? withGroup(before, group) : before;
    const next = inGroup(there, personIds, choice === NEW ? group.id : choice === NONE ? null : choice);
    const stored = await store(week, next.standing);
    if (!stored.data) return;
    const { data } = stored;
    dispatch(
      notify({
        text: t("{{count}} people are in another group.", {
          count: personIds.length,
          defaultValue_one: "{{count}} person is in another group.",
        }),
        undo: () => store(data, before.standing),
      }),
    );
  };
  return (
    <>
      <TextField
        select
        label={t("Group")}
        value={own.size === 1 ? [...own][0] : ""}
        onChange={({ target }) => void set(target.value)}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        sx={{ width: 150 }}
      >
        <MenuItem value="" disabled>
          {t("differs")}
        </MenuItem>
        <MenuItem value={NONE}>{t("in none")}</MenuItem>
        {groups.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value={NEW}>{t("a new one")}</MenuItem>
      </TextField>
      {error && (
        <Typography role="alert" color="error" sx={{ width: "100%" }}>
          {problemOf(error).message}
        </Typography>
      )}
    </>
  );
}
