/** Who may not do which task: people who may do everything are not shown. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import type { PersonEntry } from "@kind-grip/core/api";
import type { RotationAsked, Work } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { Toggle } from "../parts/Toggle";

interface MayNotProps {
  work: Work;
  people: readonly PersonEntry[];
  not: RotationAsked["not"];
  onChange(not: RotationAsked["not"]): void;
}

export function MayNot({ work, people, not, onChange }: MayNotProps) {
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? t("left the crew");
  const set = (personId: string, taskIds: string[]) =>
    onChange(not.map((each) => (each.personId === personId ? { personId, taskIds } : each)).filter((each) => each.taskIds.length > 0));
  const others = people.filter(({ id }) => !not.some(({ personId }) => personId === id));
  return (
    <Box component="section" aria-label={t("Who may not do what")}>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {not.map(({ personId, taskIds }) => (
          <Box component="li" key={personId} sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center", mb: 1 }}>
            <Typography component="span" sx={{ fontWeight: 650, mr: 0.5 }}>
              {t("{{name}} may not do", { name: nameOf(personId) })}
            </Typography>
            {work.tasks.map(({ id, name }) => (
              <Toggle
                key={id}
                label={name}
                pressed={taskIds.includes(id)}
                onChange={(pressed) => set(personId, pressed ? [...taskIds, id] : taskIds.filter((each) => each !== id))}
              />
            ))}
          </Box>
        ))}
      </Box>
      {others.length > 0 && work.tasks.length > 0 && (
        <TextField
          select
          label={not.length === 0 ? t("Somebody may not do every task") : t("Somebody else")}
          value=""
          onChange={(event) => onChange([...not, { personId: event.target.value, taskIds: [work.tasks[0]!.id] }])}
          sx={{ width: 300, maxWidth: "100%" }}
        >
          {others.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Box>
  );
}
