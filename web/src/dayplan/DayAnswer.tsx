/** The plan of a day for groups: how good it is, what found no place and what would help, a row a group to pin and move. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { PinOff } from "lucide-react";
import { t } from "../base/words";
import { nearnessText } from "../parts/nearness-text";
import { GroupRow } from "./GroupRow";
import { relaxationText } from "./relaxation-text";
import type { PlannedCrew, PlanOfDay } from "./use-plan-of-day";

interface DayAnswerProps {
  of: PlannedCrew;
  plan: PlanOfDay;
}

export function DayAnswer({ of: { crew, sessions, now }, plan }: DayAnswerProps) {
  const { asked, shift, groups, problem, joined, stage, gap, saved, relaxations, ungrouped } = plan;
  const { others } = joined;
  const missing = problem.requests.filter(({ id }) => !plan.plan.has(id));
  const everySession = [...sessions, ...others.flatMap((day) => day.sessions)];
  const nameOf = (sessionId: string) => everySession.find(({ session }) => session.id === sessionId)!.session.name;
  const axis = {
    startMs: Math.min(...groups.map(({ day }) => day.shift.startMs), shift.startMs),
    endMs: Math.max(...groups.map(({ day }) => day.shift.endMs), shift.endMs),
  };
  return (
    <Box>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1, flexWrap: "wrap" }}>
        <Typography role="status" sx={{ flex: 1, fontWeight: 650 }}>
          {stage === "first"
            ? t("First answer; looking for a better one …")
            : `${nearnessText(gap)}.${saved > 0.005 ? ` ${t("{{saved}} % less lost than the first answer.", { saved: Math.round(saved * 100) })}` : ""}`}
        </Typography>
        {plan.pinned.size > 0 && (
          <Button onClick={plan.letGo} startIcon={<PinOff size={18} />}>
            {t("Let go of {{count}} pins", { count: plan.pinned.size, defaultValue_one: "Let go of {{count}} pin" })}
          </Button>
        )}
      </Box>
      {shift.endMs <= now && (
        <Alert severity="info" variant="outlined" sx={{ mb: 1.5 }}>
          {t("This shift is over.")}
        </Alert>
      )}
      {joined.trouble && (
        <Alert severity="error" variant="outlined" sx={{ mb: 1.5 }}>
          {joined.trouble}
        </Alert>
      )}
      {ungrouped.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
          {t("In no group, so nothing is planned for them: {{names}}.", { names: ungrouped.map(({ name }) => name).join(", ") })}
        </Alert>
      )}
      {missing.length > 0 && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
          {t("{{missing}} of {{requests}} sessions find no place within {{count}} leaders, {{what}} and the spacing. {{relaxations}}", {
            missing: missing.length,
            requests: problem.requests.length,
            count: asked.leaders,
            what: others.length === 0 ? t("{{mostOffJob}} off the job", { mostOffJob: asked.mostOffJob }) : t("what each job can spare"),
            relaxations: relaxations
              .map((each) =>
                relaxationText(
                  each,
                  [crew, ...others.map((day) => day.crew)].map(({ name }) => name),
                ),
              )
              .join(" "),
            defaultValue_one:
              "{{missing}} of {{requests}} sessions find no place within one leader, {{what}} and the spacing. {{relaxations}}",
          })}
        </Alert>
      )}
      {groups.map(({ day, name, people: inGroup, whole }, g) => (
        <GroupRow
          key={`${day.crew.id} ${name}`}
          day={day}
          axis={axis}
          name={others.length === 0 ? name : whole ? day.crew.name : `${day.crew.name}, ${name.toLowerCase()}`}
          people={inGroup.map((id) => day.people.find((person) => person.id === id)?.name ?? "")}
          parts={day.partsOf(inGroup)}
          requests={problem.requests.filter((request) => request.group === g)}
          plan={plan.plan}
          pinned={plan.pinned}
          nameOf={nameOf}
          onPin={plan.togglePin}
          onMove={plan.pin}
        />
      ))}
      <Typography sx={{ color: "text.secondary", mt: 1 }}>
        {t("Drag a session, or tap it to pin it and move it with the arrow keys; the rest is planned round it.")}
      </Typography>
    </Box>
  );
}
