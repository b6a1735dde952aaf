/** The chosen session of the plan: exact time, repeat, lead, take out. */
import { Box, Button, IconButton, Typography } from "@mui/material";
import { BellRing, Play, Repeat, Trash2, X } from "lucide-react";
import { Link } from "react-router";
import { addDays, dateAt, momentAt, SHIFT_REACH_MIN, wallTime, type Shift } from "@kind-grip/core/calendar";
import { onGrid, type Placed } from "@kind-grip/core/dayplan";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { dayPlanApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { SessionFigures } from "../figure/SessionFigures";
import { TimeField } from "../parts/TimeField";
import { runAddress } from "../run/address";

interface PlacementPanelProps {
  crew: CrewEntry;
  placed: Placed;
  shift: Shift | undefined;
  programId: string;
  groupName: string | null;
  /** Not yet stored placements cannot remind anybody. */
  stored: boolean;
  onMove(startMs: number): void;
  onRepeat(): void;
  onRemove(): void;
  onClose(): void;
}

export function PlacementPanel({
  crew,
  placed,
  shift,
  programId,
  groupName,
  stored,
  onMove,
  onRepeat,
  onRemove,
  onClose,
}: PlacementPanelProps) {
  const words = useWords();
  const [remind, reminding] = dayPlanApi.useRemindMutation();
  const dispatch = useAppDispatch();
  const tell = async () => {
    const { data, error } = await remind({ crewId: crew.id, placementId: placed.id });
    const text = !data
      ? problemOf(error).message
      : data.queued === 0
        ? t("All {{people}} were reminded before.", { people: data.people })
        : t("{{count}} of {{people}} get a reminder.", {
            count: data.queued,
            people: data.people,
            defaultValue_one: "{{count}} of {{people}} gets a reminder.",
          });
    dispatch(notify({ text }));
  };
  const setTime = (text: string) => {
    const from = (shift?.startMs ?? placed.startMs) - SHIFT_REACH_MIN * 60_000;
    // The typed time is the first such time after the shift's approach: half past one in a night shift is the next morning.
    const date = dateAt(from, crew.timeZone);
    const at = momentAt(date, text, 0, crew.timeZone);
    onMove(onGrid(at < from ? momentAt(addDays(date, 1), text, 0, crew.timeZone) : at));
  };
  return (
    <Box
      component="section"
      aria-label={t("Chosen session")}
      sx={{ bgcolor: "background.paper", borderRadius: 3, p: 2, display: "grid", gap: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "start" }}>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h3">{placed.session.name}</Typography>
          <Typography sx={{ color: "text.secondary" }}>
            {groupName && `${groupName} · `}
            {words.label("slot", placed.session.slot)} · {durationText((placed.endMs - placed.startMs) / 1000)}
          </Typography>
        </Box>
        <IconButton aria-label={t("Close")} onClick={onClose}>
          <X size={20} />
        </IconButton>
      </Box>
      <SessionFigures session={placed.session} />
      <TimeField label={t("Starts")} value={wallTime(placed.startMs, crew.timeZone)} onChange={setTime} />
      {shift && (
        <Button variant="outlined" startIcon={<Repeat size={18} />} onClick={onRepeat}>
          {t("On every {{name}} shift", { name: shift.kind.name.toLowerCase() })}
        </Button>
      )}
      <Button
        component={Link}
        to={runAddress({ crewId: crew.id, programId, sessionId: placed.session.id, placementId: placed.id })}
        variant="outlined"
        startIcon={<Play size={18} />}
      >
        {t("Lead it now")}
      </Button>
      <Button variant="outlined" startIcon={<BellRing size={18} />} disabled={!stored || reminding.isLoading} onClick={() => void tell()}>
        {t("Remind everybody")}
      </Button>
      <Button color="error" startIcon={<Trash2 size={18} />} onClick={onRemove}>
        {t("Take out")}
      </Button>
    </Box>
  );
}
