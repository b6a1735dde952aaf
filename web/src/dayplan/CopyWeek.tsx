/** What was placed once in another week, into this one. Series are in both already. */
import { Alert, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import type { CrewEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { addDays, dateAt, daysBetween, mondayOf, shiftsFrom } from "@kind-grip/core/calendar";
import { copiedWeek, layPlan, type WeekPlanned } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { dayPlanApi } from "./api";
import type { PlaceableSession } from "./placed";
import { WeekPicker } from "./WeekPicker";

interface CopyWeekProps {
  crew: CrewEntry;
  weekStart: string;
  plan: WeekPlanned;
  sessions: readonly PlaceableSession[];
  onCopy(plan: WeekPlanned): void;
  onClose(): void;
}

interface Copied {
  from: string;
  plan: WeekPlanned;
  copies: number;
  left: string[];
}

export function CopyWeek({ crew, weekStart, plan, sessions, onCopy, onClose }: CopyWeekProps) {
  const dispatch = useAppDispatch();
  const now = useNow();
  const [copied, setCopied] = useState<Copied | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const pick = async (from: string) => {
    setTrouble(null);
    const read = dispatch(
      dayPlanApi.endpoints.weekPlan.initiate({ crewId: crew.id, weekStart: from }, { forceRefetch: true, subscribe: false }),
    );
    try {
      setCopied(copiedFrom(await read.unwrap()));
    } catch (error) {
      setTrouble(problemOf(error).message);
    }
  };
  const copiedFrom = (source: WeekPlanEntry): Copied => {
    const known = source.placements.filter(({ sessionId }) => sessions.some(({ session }) => session.id === sessionId));
    const laid = layPlan({ standing: { groups: [], series: [] }, placements: known, kept: [] }, crew, source.weekStart, 7);
    const shifts = (week: string) => shiftsFrom(crew.shiftPattern, crew.timeZone, week, 7);
    const days = daysBetween(source.weekStart, weekStart);
    const slotOf = ({ sessionId }: { sessionId: string }) => sessions.find(({ session }) => session.id === sessionId)!.session.slot;
    const { plan: next, left } = copiedWeek(plan, laid, shifts(source.weekStart), shifts(weekStart), days, uuid, slotOf, crew.timeZone);
    const nameOf = (id: string) => sessions.find(({ session }) => session.id === id)!.session.name;
    return {
      from: source.weekStart,
      plan: next,
      copies: next.placements.length - plan.placements.length,
      left: left.map(({ sessionId, date }) => `${nameOf(sessionId)}, ${dateText(DateTime.fromISO(addDays(date, days)), "cccc")}`),
    };
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="copy-week">
      <DialogTitle id="copy-week">{t("Copy a week into this one")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Typography>
          {t("Takes what was placed once in that week to the same days of this one, as far into their shifts. Series are in both already.")}
        </Typography>
        <WeekPicker
          crew={crew}
          weekStart={copied?.from ?? addDays(weekStart, -7)}
          thisWeek={mondayOf(dateAt(now, crew.timeZone))}
          onPick={(week) => void pick(week)}
        />
        {trouble && (
          <Alert severity="error" variant="outlined">
            {trouble}
          </Alert>
        )}
        <Typography role="status" sx={{ minHeight: 28 }}>
          {copied &&
            (copied.copies === 0
              ? t("Nothing of that week is missing here.")
              : t("{{count}} sessions are copied.", { count: copied.copies, defaultValue_one: "{{count}} session is copied." }))}
          {copied && copied.left.length > 0 && ` ${t("Without a shift here: {{list}}.", { list: copied.left.join("; ") })}`}
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={!copied || copied.copies === 0} onClick={() => copied && onCopy(copied.plan)}>
          {t("Copy")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
