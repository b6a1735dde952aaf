/** One way a shift is filled: its parts in order, its strain, and who works it. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { Coffee, Trash2, X } from "lucide-react";
import type { PersonEntry } from "@kind-grip/core/api";
import { withRest } from "@kind-grip/core/rotation";
import type { Work, WorkDay } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { PartList } from "./PartList";
import { ShiftStrain } from "./ShiftStrain";

/** A break that is put in to see what it does. */
const REST_MIN = 10;

const hoursText = (min: number) => `${Math.floor(min / 60)} h${min % 60 ? ` ${t("{{min}} min", { min: min % 60 })}` : ""}`;

interface WayOfShiftProps {
  day: WorkDay;
  first: boolean;
  work: Work;
  people: PersonEntry[];
  shiftMin: number;
  problem?: string;
  onChange(day: WorkDay, gesture?: string): void;
  onRemove?(): void;
}

export function WayOfShift({ day, first, work, people, shiftMin, problem, onChange, onRemove }: WayOfShiftProps) {
  const taken = new Set(work.days.flatMap(({ personIds }) => personIds));
  const free = people.filter((person) => !taken.has(person.id));
  const totalMin = day.parts.reduce((sum, { minutes }) => sum + minutes, 0);
  const rested = withRest(day.parts, REST_MIN);
  return (
    <Box component="section" aria-label={day.name} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 1.5, flexWrap: "wrap" }}>
        <TextField
          label={t("Name")}
          value={day.name}
          onChange={(event) => onChange({ ...day, name: event.target.value }, t("name {{id}}", { id: day.id }))}
          sx={{ width: 260 }}
        />
        <Typography
          sx={{ flex: 1, color: problem ? "error.main" : "text.secondary", fontWeight: problem ? 650 : 500 }}
          role={problem ? "alert" : undefined}
        >
          {problem
            ? t("The parts {{problem}}.", { problem })
            : t("{{totalMin}} of {{shiftMin}} in a shift", { totalMin: hoursText(totalMin), shiftMin: hoursText(shiftMin) })}
        </Typography>
        {onRemove && (
          <Button startIcon={<Trash2 size={18} />} onClick={onRemove}>
            {t("Remove")}
          </Button>
        )}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1.15fr)" },
          columnGap: 5,
          rowGap: 2,
        }}
      >
        <Box>
          <PartList
            work={work}
            parts={day.parts}
            roomMin={shiftMin}
            onChange={(parts, gesture) => onChange({ ...day, parts }, gesture && `${day.id} ${gesture}`)}
            rests
          />
          <Button
            startIcon={<Coffee size={18} />}
            disabled={rested === day.parts || rested.length > 24}
            onClick={() => onChange({ ...day, parts: rested })}
          >
            {t("A break of {{min}} min in the longest part", { min: REST_MIN })}
          </Button>
        </Box>
        <Box>
          <ShiftStrain work={work} day={day} />
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", mt: 1 }}>
            <Typography sx={{ fontWeight: 650 }}>
              {first && day.personIds.length === 0 ? t("Everybody not named elsewhere") : t("Works it:")}
            </Typography>
            {day.personIds.map((personId) => (
              <Button
                key={personId}
                variant="outlined"
                size="small"
                endIcon={<X size={16} />}
                aria-label={t("{{name}} does not work {{name2}}", {
                  name: people.find(({ id }) => id === personId)?.name ?? t("Somebody"),
                  name2: day.name,
                })}
                onClick={() => onChange({ ...day, personIds: day.personIds.filter((id) => id !== personId) })}
              >
                {people.find(({ id }) => id === personId)?.name ?? t("left the crew")}
              </Button>
            ))}
            {!first && free.length > 0 && (
              <TextField
                select
                label={t("Add a person")}
                value=""
                onChange={(event) => onChange({ ...day, personIds: [...day.personIds, event.target.value] })}
                sx={{ width: 200 }}
              >
                {free.map((person) => (
                  <MenuItem key={person.id} value={person.id}>
                    {person.name}
                  </MenuItem>
                ))}
              </TextField>
            )}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
