/** What is asked of a day for groups: which day and sessions, how many groups at once, together with whom. */
import { Box, Typography } from "@mui/material";
import { durationText } from "@kind-grip/core/units";
import { timeText } from "../base/dates";
import { weekdayText } from "../base/weekdays";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { meeting } from "./crew-day";
import type { PlannedCrew, PlanOfDay } from "./use-plan-of-day";

interface DayQuestionProps {
  of: PlannedCrew;
  plan: PlanOfDay;
}

export function DayQuestion({ of: { crew, shifts, sessions, groups: keptGroups, now }, plan }: DayQuestionProps) {
  const { asked, ask, shift, begun, kept, groups, needed, joined, there } = plan;
  const couldJoin = meeting(crewApi.useCrewsQuery().data ?? [], crew, shift);
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Choice
        label={t("Day")}
        value={asked.date}
        onChange={plan.askDay}
        options={shifts.map((each) => ({ value: each.date, label: `${weekdayText(each.date)} ${Number(each.date.slice(8))}` }))}
      />
      <Box>
        <Typography sx={{ mb: 0.5 }}>{t("Sessions")}</Typography>
        <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
          {sessions.map(({ session, lengthSec }) => (
            <Toggle
              key={session.id}
              label={`${session.name} ${durationText(lengthSec)}`}
              pressed={!asked.left.has(session.id)}
              onChange={(on) => {
                const next = new Set(asked.left);
                if (on) next.delete(session.id);
                else next.add(session.id);
                ask({ left: next });
              }}
            />
          ))}
        </Box>
      </Box>
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        <Stepper label={t("Stretch breaks")} value={asked.breaks} min={1} max={3} onChange={(breaks) => ask({ breaks })} />
        {!asked.takesKept && (
          <Stepper
            label={t("Groups")}
            value={groups.filter(({ day }) => day.crew.id === crew.id).length}
            min={1}
            max={Math.max(1, there.length)}
            onChange={(groupCount) => ask({ groupCount })}
          />
        )}
        <Stepper
          label={t("Off the job at once")}
          value={asked.mostOffJob}
          min={1}
          max={200}
          onChange={(mostOffJob) => ask({ mostOffJob, groupCount: null })}
        />
        <Stepper label={t("Leaders")} value={asked.leaders} min={1} max={10} onChange={(leaders) => ask({ leaders })} />
      </Box>
      {keptGroups.length > 0 && (
        <Box>
          <Toggle label={t("The crew's own groups")} pressed={asked.takesKept} onChange={(takesKept) => ask({ takesKept })} />
        </Box>
      )}
      {begun && (
        <Toggle
          label={t("Only from now, {{time}}", { time: timeText(now, crew.timeZone) })}
          pressed={asked.fromNow}
          onChange={(fromNow) => ask({ fromNow })}
        />
      )}
      {couldJoin.length > 0 && (
        <Box>
          <Typography sx={{ mb: 0.5 }}>{t("Led together with")}</Typography>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
            {couldJoin.map((other) => (
              <Toggle
                key={other.crew.id}
                label={`${other.crew.name}${joined.reading === other.crew.id ? " …" : ""}`}
                pressed={joined.others.some(({ crew: { id } }) => id === other.crew.id)}
                onChange={(on) => {
                  if (on) void joined.join(other);
                  else joined.leave(other.crew.id);
                }}
              />
            ))}
          </Box>
        </Box>
      )}
      <Typography sx={{ color: "text.secondary" }}>
        {t("{{people}} people; {{count}} groups are needed for the job and the kit.", {
          people: there.length,
          count: needed,
          defaultValue_one: "{{people}} people; {{count}} group is needed for the job and the kit.",
        })}
        {kept.length > 0 &&
          ` ${t("{{count}} sessions of this day led already: they stay.", { count: kept.length, defaultValue_one: "{{count}} session of this day led already: they stay." })}`}
      </Typography>
    </Box>
  );
}
