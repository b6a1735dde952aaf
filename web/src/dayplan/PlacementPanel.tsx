/** The chosen session of the plan: when it starts, leading it, taking it out; of which series it is and what changes are for. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Play, Repeat, Trash2, Undo2, X } from "lucide-react";
import { Link } from "react-router";
import { addDays, dateAt, momentAt, SHIFT_REACH_MIN, wallTime, type Shift } from "@kind-grip/core/calendar";
import { changedFrom, likeTheOthers, onGrid, type LaidPlacement, type Placed, type WeekPlanned } from "@kind-grip/core/dayplan";
import { durationText } from "@kind-grip/core/units";
import type { CrewEntry } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { useWords } from "../base/library";
import { timeText } from "../base/dates";
import { t } from "../base/words";
import { SessionFigures } from "./SessionFigures";
import { Choice } from "../parts/Choice";
import { TimeField } from "../parts/TimeField";
import { runAddress } from "../run/address";
import { Remind } from "./Remind";
import { SeriesFields } from "./SeriesFields";

interface PlacementPanelProps {
  crew: CrewEntry;
  plan: WeekPlanned;
  placed: Placed;
  laid: LaidPlacement;
  shift: Shift | undefined;
  /** Not yet stored placements cannot remind anybody. */
  stored: boolean;
  reach: "day" | "every";
  onReach(reach: "day" | "every"): void;
  onChange(plan: WeekPlanned): void;
  onMove(startMs: number): void;
  onRepeat(): void;
  onRemove(): void;
  onClose(): void;
}

export function PlacementPanel({
  crew,
  plan,
  placed,
  laid,
  shift,
  stored,
  reach,
  onReach,
  onChange,
  onMove,
  onRepeat,
  onRemove,
  onClose,
}: PlacementPanelProps) {
  const words = useWords();
  const series = plan.standing.series.find(({ id }) => id === laid.seriesId);
  const differs = series?.otherDays.some(({ date }) => date === laid.date) ?? false;
  const kindName = shift?.kind.name.toLowerCase() ?? "";
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
            {laid.groupName && `${laid.groupName} · `}
            {words.label("slot", placed.session.slot)} · {durationText((placed.endMs - placed.startMs) / 1000)}
          </Typography>
        </Box>
        <IconButton aria-label={t("Close")} onClick={onClose}>
          <X size={20} />
        </IconButton>
      </Box>
      {laid.kept ? (
        <Typography>
          {t("{{time}}. It was led, or is from before its series changed: it stays as it is.", {
            time: timeText(placed.startMs, crew.timeZone),
          })}
        </Typography>
      ) : (
        <>
          {series && (
            <Choice
              label={t("Changes are for")}
              value={reach}
              onChange={onReach}
              options={[
                { value: "day", label: t("This day") },
                { value: "every", label: t("Every {{name}} shift from here", { name: kindName }) },
              ]}
            />
          )}
          <TimeField label={t("Starts")} value={wallTime(placed.startMs, crew.timeZone)} onChange={setTime} />
        </>
      )}
      <Button
        component={Link}
        to={runAddress({ crewId: crew.id, programId: laid.programId, sessionId: placed.session.id, placementId: placed.id })}
        variant="contained"
        startIcon={<Play size={18} />}
      >
        {t("Lead it now")}
      </Button>
      {!laid.kept && (
        <Button color="error" startIcon={<Trash2 size={18} />} onClick={onRemove}>
          {series ? (reach === "day" ? t("Take out on this day") : t("Take out from here on")) : t("Take out")}
        </Button>
      )}
      {differs && (
        <Button startIcon={<Undo2 size={18} />} onClick={() => onChange(likeTheOthers(plan, laid))}>
          {t("This day differs: like the others again")}
        </Button>
      )}
      {!laid.kept && plan.standing.groups.length > 0 && <ForWhom plan={plan} laid={laid} onChange={onChange} />}
      {series && !laid.kept && <SeriesFields crew={crew} plan={plan} series={series} laid={laid} kindName={kindName} onChange={onChange} />}
      {!laid.seriesId && shift && (
        <Button variant="outlined" startIcon={<Repeat size={18} />} onClick={onRepeat}>
          {t("On every {{name}} shift from this day on", { name: kindName })}
        </Button>
      )}
      <Remind key={placed.id} crewId={crew.id} placementId={placed.id} timeZone={crew.timeZone} stored={stored} />
      <SessionFigures session={placed.session} />
    </Box>
  );
}

/** Everybody, or one of the groups: of a series from this day on, of what was placed once on that day. */
function ForWhom({ plan, laid, onChange }: Pick<PlacementPanelProps, "plan" | "laid" | "onChange">) {
  const { groups } = plan.standing;
  const own = groups.find(({ name, people }) => name === laid.groupName && people.every((id) => laid.people?.includes(id)));
  const set = (groupId: string | null) => {
    const group = groups.find(({ id }) => id === groupId);
    if (laid.seriesId !== null) return onChange(changedFrom(plan, laid.seriesId, laid.date, uuid(), (series) => ({ ...series, groupId })));
    const whom = { people: group ? [...group.people] : null, groupName: group?.name ?? null };
    return onChange({ ...plan, placements: plan.placements.map((each) => (each.id === laid.id ? { ...each, ...whom } : each)) });
  };
  return (
    <TextField
      select
      label={t("For")}
      value={own?.id ?? ""}
      onChange={({ target }) => set(target.value || null)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">{laid.people && !own ? (laid.groupName ?? t("some of them")) : t("everybody")}</MenuItem>
      {groups
        .filter(({ people }) => people.length > 0)
        .map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
    </TextField>
  );
}
