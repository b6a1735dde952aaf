/** Tasks one after the other with their minutes: how a shift or a treatment is filled. */
import { Box, Button, IconButton, MenuItem, TextField } from "@mui/material";
import { ArrowDown, ArrowUp, Plus, X } from "lucide-react";
import type { Work, WorkDay } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";

type Parts = WorkDay["parts"];

interface PartListProps {
  work: Work;
  parts: Parts;
  /** Minutes there are for all of them. */
  roomMin: number;
  onChange(parts: Parts, gesture?: string): void;
  /** A part may be a rest. */
  rests?: boolean;
}

/** The value of a rest in the list of tasks. */
const REST = "rest";

export function PartList({ work, parts, roomMin, onChange, rests = false }: PartListProps) {
  const totalMin = parts.reduce((sum, { minutes }) => sum + minutes, 0);
  const setPart = (index: number, change: Partial<Parts[number]>, gesture?: string) =>
    onChange(
      parts.map((part, i) => (i === index ? { ...part, ...change } : part)),
      gesture,
    );
  const swap = (a: number, b: number) => {
    const next = [...parts];
    [next[a], next[b]] = [next[b]!, next[a]!];
    onChange(next);
  };
  return (
    <>
      {parts.map((part, i) => (
        <Box key={i} sx={{ display: "flex", gap: 1, alignItems: "flex-end", mb: 1 }}>
          <TextField
            select
            label={t("Part {{i}}", { i: i + 1 })}
            value={part.taskId ?? REST}
            onChange={(event) => setPart(i, { taskId: event.target.value === REST ? null : event.target.value })}
          >
            {(rests || part.taskId === null) && <MenuItem value={REST}>{t("Rest, or nothing for the hands")}</MenuItem>}
            {work.tasks.map((task) => (
              <MenuItem key={task.id} value={task.id}>
                {task.name}
              </MenuItem>
            ))}
          </TextField>
          <Stepper
            label={t("Minutes")}
            value={part.minutes}
            min={5}
            max={960}
            step={5}
            onChange={(minutes) => setPart(i, { minutes }, String(i))}
          />
          <IconButton aria-label={t("Part {{i}} earlier", { i: i + 1 })} disabled={i === 0} onClick={() => swap(i, i - 1)}>
            <ArrowUp size={18} />
          </IconButton>
          <IconButton aria-label={t("Part {{i}} later", { i: i + 1 })} disabled={i === parts.length - 1} onClick={() => swap(i, i + 1)}>
            <ArrowDown size={18} />
          </IconButton>
          <IconButton aria-label={t("Take part {{i}} out", { i: i + 1 })} onClick={() => onChange(parts.filter((_, at) => at !== i))}>
            <X size={18} />
          </IconButton>
        </Box>
      ))}
      <Button
        startIcon={<Plus size={18} />}
        disabled={work.tasks.length === 0}
        onClick={() => onChange([...parts, { taskId: work.tasks[0]!.id, minutes: Math.max(5, Math.min(60, roomMin - totalMin)) }])}
      >
        {t("Another part")}
      </Button>
    </>
  );
}
