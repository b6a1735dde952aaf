/** Before it begins: which task, who, and what each hand is watched at. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { Film, Play } from "lucide-react";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { effortsOf, type Task } from "@kind-grip/core/strain";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { useNow } from "../base/now";
import { sideWord, t } from "../base/words";
import { FilePick } from "../parts/FilePick";
import { SideMark } from "../parts/SideMark";
import { Watch } from "./watch";

interface WhatToWatchProps {
  crew: CrewEntry;
  tasks: Task[];
  people: PersonEntry[];
  onStart(begun: { watch: Watch; film: File | null }): void;
}

export function WhatToWatch({ crew, tasks, people, onStart }: WhatToWatchProps) {
  const [search, setSearch] = useSearchParams();
  const task = tasks.find(({ id }) => id === search.get("task")) ?? tasks[0]!;
  const [personId, setPersonId] = useState("");
  const [chosen, setChosen] = useState<Partial<Record<HandSide, string>>>({});
  const today = dateAt(useNow(), crew.timeZone);
  const here = people.filter((person) => isHere(person, today));
  const efforts = (side: HandSide) => effortsOf(task, side);
  // A hand is watched at its first effort until another is said.
  const effortAt = (side: HandSide) => {
    const said = chosen[side];
    return said === NOBODY ? undefined : (efforts(side).find(({ id }) => id === said) ?? efforts(side)[0]);
  };
  const watchedHands = HAND_SIDES.filter((side) => effortAt(side));
  const begin = (film: File | null) => {
    const effortIds = Object.fromEntries(watchedHands.map((side) => [side, effortAt(side)!.id]));
    const watched = {
      id: uuid(),
      crewId: crew.id,
      taskId: task.id,
      personId: personId || null,
      from: film ? "video" : "line",
      effortIds,
    } as const;
    // The way back is there when the connection is not.
    void import("../work/WorkPage").catch(() => undefined);
    onStart({ watch: new Watch(watched), film });
  };
  return (
    <Box sx={{ display: "grid", gap: 2.5 }}>
      <TextField
        select
        label={t("Task")}
        value={task.id}
        onChange={(event) => {
          setSearch({ task: event.target.value }, { replace: true });
          setChosen({});
        }}
      >
        {tasks.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField select label={t("Who is watched")} value={personId} onChange={(event) => setPersonId(event.target.value)}>
        <MenuItem value="">{t("Somebody of the crew")}</MenuItem>
        {here.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {HAND_SIDES.map((side) => (
        <Box key={side} sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
          <SideMark side={side} size={34} />
          <TextField
            select
            fullWidth
            label={t("What the {{side}} hand is watched at", { side: sideWord(side) })}
            value={effortAt(side)?.id ?? NOBODY}
            onChange={(event) => setChosen({ ...chosen, [side]: event.target.value })}
          >
            {efforts(side).map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
            <MenuItem value={NOBODY}>{t("not watched")}</MenuItem>
          </TextField>
        </Box>
      ))}
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        <Button
          variant="contained"
          size="large"
          startIcon={<Play size={22} />}
          disabled={watchedHands.length === 0}
          onClick={() => begin(null)}
          sx={{ flex: 1, minWidth: 220, minHeight: 64 }}
        >
          {t("Watch at the line")}
        </Button>
        {watchedHands.length > 0 && (
          <FilePick label={t("Film of the work")} accept="video/*" onPick={begin} startIcon={<Film size={20} />} sx={{ minHeight: 64 }}>
            {t("Watch a film")}
          </FilePick>
        )}
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "At a desk: hold F for the left hand and J for the right. A film stays on this device. Without a connection everything is kept here and sent later.",
        )}
      </Typography>
    </Box>
  );
}

const NOBODY = "nobody";
