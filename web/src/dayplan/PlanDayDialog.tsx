/** Planning a day for groups: who with whom, when, with the fewest minutes lost; pins stay, the rest is planned again. */
import { Alert, Box, Button, ButtonBase, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { Pin, PinOff } from "lucide-react";
import { useMemo, useState } from "react";
import {
  dayProblem,
  formGroups,
  GRID_MIN,
  hardMoments,
  mostWithKit,
  REACH_MIN,
  relaxationText,
  ribbonOf,
  wallTime,
  type Placement,
  type RibbonPart,
  type Shift,
  type WantedSession,
  type Wish,
} from "@kind-grip/core/dayplan";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { nearnessText } from "@kind-grip/core/solver";
import { clockText } from "@kind-grip/core/units";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "../app/api";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import type { PlaceableSession } from "./placed";
import { useDayPlanner } from "./use-day-planner";

interface PlanDayProps {
  crew: CrewEntry;
  shifts: readonly Shift[];
  sessions: readonly PlaceableSession[];
  people: readonly PersonEntry[];
  parts: readonly RibbonPart[];
  now: number;
  today: string;
  /** Placements of a day that were led already: they stay as they are. */
  keptOn(date: string): Placement[];
  onUse(date: string, placements: Placement[]): void;
  onClose(): void;
}

export function PlanDayDialog({ crew, shifts, sessions, people, parts, now, today, keptOn, onUse, onClose }: PlanDayProps) {
  const [date, setDate] = useState((shifts.find((shift) => shift.date >= today) ?? shifts[0])!.date);
  const shift = shifts.find((each) => each.date === date)!;
  const begun = shift.startMs < now && now < shift.endMs;
  const over = shift.endMs <= now;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [breaks, setBreaks] = useState(1);
  const [mostOffJob, setMostOffJob] = useState(crew.mostOffJob);
  const [leaders, setLeaders] = useState(1);
  const [count, setCount] = useState<number | null>(null);
  const [fromNow, setFromNow] = useState(true);
  const [pinned, setPinned] = useState<ReadonlyMap<string, number>>(new Map());

  // The moment matters to the minute only.
  const notBeforeMs = begun && fromNow ? Math.floor(now / 60_000) * 60_000 : 0;
  const { problem, withReach, groups, needed } = useMemo(() => {
    const chosen = sessions.filter(({ session }) => !left.has(session.id));
    const wanted = chosen.map(({ session, lengthSec }): WantedSession => ({
      session,
      lengthMs: lengthSec * 1000,
      times: session.slot === "break" ? breaks : 1,
    }));
    const inSessions = chosen.map(({ session }) => session);
    const ids = people.map(({ id }) => id);
    const least = formGroups(ids, inSessions, Math.min(mostOffJob, mostWithKit(inSessions, crew.kit)));
    const made = count === null ? least : formGroups(ids, inSessions, mostOffJob, count);
    const make = (addMin: number) =>
      dayProblem(
        shift,
        made,
        wanted,
        { mostOffJob, leaders },
        {
          notBeforeMs,
          hardFrom: hardMoments(ribbonOf(shift, parts), RAISED_STRAIN),
          pinned,
          reach: { preShift: REACH_MIN.preShift + addMin, break: REACH_MIN.break + addMin, postShift: REACH_MIN.postShift + addMin },
        },
      );
    return { problem: make(0), withReach: make, groups: made, needed: least.length };
  }, [sessions, left, breaks, people, mostOffJob, leaders, count, shift, parts, pinned, crew.kit, notBeforeMs]);
  const { plan, stage, gap, saved, relaxations } = useDayPlanner(problem, withReach);
  const missing = problem.wishes.filter(({ id }) => !plan.has(id));
  const nameOf = (sessionId: string) => sessions.find(({ session }) => session.id === sessionId)!.session.name;

  const use = () => {
    const placements = problem.wishes.flatMap((wish): Placement[] => {
      const at = plan.get(wish.id);
      const found = sessions.find(({ session }) => session.id === wish.sessionId)!;
      if (at === undefined) return [];
      const whole = groups.length === 1;
      return [
        {
          id: uuid(),
          programId: found.programId,
          sessionId: wish.sessionId,
          startsAt: new Date(at).toISOString(),
          people: whole ? null : groups[wish.group]!.people,
          groupName: whole ? null : groups[wish.group]!.name,
        },
      ];
    });
    onUse(date, placements);
  };
  const togglePin = (wish: Wish) => {
    const next = new Map(pinned);
    if (next.has(wish.id)) next.delete(wish.id);
    else if (plan.has(wish.id)) next.set(wish.id, plan.get(wish.id)!);
    setPinned(next);
  };
  const nudge = (wish: Wish, steps: number) => {
    const at = (plan.get(wish.id) ?? wish.idealMs) + steps * GRID_MIN * 60_000;
    setPinned(new Map(pinned).set(wish.id, at));
  };
  const again = () => setPinned(new Map());
  const kept = keptOn(date).length;

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="plan-day">
      <DialogTitle id="plan-day">Plan a day for groups</DialogTitle>
      <DialogContent
        sx={{ display: "grid", gridTemplateColumns: { md: "270px minmax(0, 1fr)" }, columnGap: 4, rowGap: 3, alignItems: "start" }}
      >
        <Box sx={{ display: "grid", gap: 2 }}>
          <Choice
            label="Day"
            value={date}
            onChange={(next) => {
              setDate(next);
              again();
            }}
            options={shifts.map((each) => ({ value: each.date, label: `${weekday(each)} ${Number(each.date.slice(8))}` }))}
          />
          <Box>
            <Typography sx={{ mb: 0.5 }}>Sessions</Typography>
            <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
              {sessions.map(({ session, lengthSec }) => (
                <Toggle
                  key={session.id}
                  label={`${session.name} ${clockText(lengthSec)}`}
                  pressed={!left.has(session.id)}
                  onChange={(on) => {
                    const next = new Set(left);
                    if (on) next.delete(session.id);
                    else next.add(session.id);
                    setLeft(next);
                    again();
                  }}
                />
              ))}
            </Box>
          </Box>
          <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
            <Stepper
              label="Stretch breaks"
              value={breaks}
              min={1}
              max={3}
              onChange={(next) => {
                setBreaks(next);
                again();
              }}
            />
            <Stepper
              label="Groups"
              value={groups.length}
              min={1}
              max={Math.max(1, people.length)}
              onChange={(next) => {
                setCount(next);
                again();
              }}
            />
            <Stepper
              label="Off the job at once"
              value={mostOffJob}
              min={1}
              max={200}
              onChange={(next) => {
                setMostOffJob(next);
                setCount(null);
                again();
              }}
            />
            <Stepper label="Leaders" value={leaders} min={1} max={10} onChange={setLeaders} />
          </Box>
          {begun && <Toggle label={`Only from now, ${wallTime(now, crew.timeZone)}`} pressed={fromNow} onChange={setFromNow} />}
          <Typography sx={{ color: "text.secondary" }}>
            {people.length} people; {needed} {needed === 1 ? "group is" : "groups are"} needed for the job and the kit.
            {kept > 0 && ` ${kept} sessions of this day were led already and stay.`}
          </Typography>
        </Box>
        <Box>
          <Box sx={{ display: "flex", alignItems: "baseline", gap: 2, mb: 1, flexWrap: "wrap" }}>
            <Typography role="status" sx={{ flex: 1, fontWeight: 650 }}>
              {stage === "first"
                ? "First answer; looking for a better one …"
                : `${nearnessText(gap)}.${saved > 0.005 ? ` ${Math.round(saved * 100)} % less lost than the first answer.` : ""}`}
            </Typography>
            <Button disabled={pinned.size === 0} onClick={again} startIcon={<PinOff size={18} />}>
              Let go of {pinned.size || "no"} {pinned.size === 1 ? "pin" : "pins"}
            </Button>
          </Box>
          {over && (
            <Alert severity="info" variant="outlined" sx={{ mb: 1.5 }}>
              This shift is over.
            </Alert>
          )}
          {missing.length > 0 && (
            <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
              {missing.length} of {problem.wishes.length} sessions find no place within one leader a session, {mostOffJob} off the job and
              the spacing. {relaxations.map(relaxationText).join(" ")}
            </Alert>
          )}
          {groups.map((group, g) => (
            <GroupRow
              key={group.name}
              shift={shift}
              crew={crew}
              name={group.name}
              people={group.people.map((id) => people.find((person) => person.id === id)?.name ?? "")}
              wishes={problem.wishes.filter((wish) => wish.group === g)}
              plan={plan}
              pinned={pinned}
              parts={parts}
              nameOf={nameOf}
              onPin={togglePin}
              onNudge={nudge}
            />
          ))}
          <Typography sx={{ color: "text.secondary", mt: 1 }}>
            Tap a session to pin it, arrow keys move it; the rest is planned round it.
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Not now</Button>
        <Button variant="contained" disabled={plan.size === 0} onClick={use}>
          Use it for {weekday(shift)} {Number(date.slice(8))}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface GroupRowProps {
  shift: Shift;
  crew: CrewEntry;
  name: string;
  people: readonly string[];
  wishes: readonly Wish[];
  plan: ReadonlyMap<string, number>;
  pinned: ReadonlyMap<string, number>;
  parts: readonly RibbonPart[];
  nameOf(sessionId: string): string;
  onPin(wish: Wish): void;
  onNudge(wish: Wish, steps: number): void;
}

function GroupRow({ shift, crew, name, people, wishes, plan, pinned, parts, nameOf, onPin, onNudge }: GroupRowProps) {
  const x = (ms: number) => ((ms - shift.startMs) / (shift.endMs - shift.startMs)) * 100;
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1, pb: 1.5 }}>
      <Typography>
        <strong>{name}</strong> · {people.join(", ")}
      </Typography>
      <Box sx={{ position: "relative", height: 26, mt: 0.5 }} aria-hidden>
        <Box sx={{ position: "absolute", left: 0, right: 0, top: 12, height: 2, bgcolor: "line" }} />
        {ribbonOf(shift, parts).map((piece, i) => (
          <Box
            key={i}
            sx={{
              position: "absolute",
              left: `${x(piece.startMs)}%`,
              width: `${x(piece.endMs) - x(piece.startMs)}%`,
              height: `${4 + Math.min(1, piece.strain / 25) * 18}px`,
              top: `${13 - (4 + Math.min(1, piece.strain / 25) * 18) / 2}px`,
              bgcolor: piece.strain > RAISED_STRAIN ? "warm.light" : "primary.light",
            }}
          />
        ))}
        {[...shift.breaks, ...shift.away].map((pause) => (
          <Box
            key={pause.startMs}
            sx={{
              position: "absolute",
              left: `${x(pause.startMs)}%`,
              width: `${x(pause.endMs) - x(pause.startMs)}%`,
              top: 0,
              height: 26,
              bgcolor: "background.paper",
              borderInline: "2px solid",
              borderColor: "line",
            }}
          />
        ))}
        {wishes.flatMap((wish) => {
          const at = plan.get(wish.id);
          return at === undefined
            ? []
            : [
                <Box
                  key={wish.id}
                  sx={{
                    position: "absolute",
                    left: `${x(at)}%`,
                    width: `max(6px, ${x(at + wish.lengthMs) - x(at)}%)`,
                    top: 1,
                    height: 24,
                    bgcolor: pinned.has(wish.id) ? "text.primary" : "warm.main",
                    borderRadius: 1,
                  }}
                />,
              ];
        })}
      </Box>
      <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.75 }}>
        {[...wishes]
          .sort((a, b) => (plan.get(a.id) ?? Infinity) - (plan.get(b.id) ?? Infinity))
          .map((wish) => {
            const at = plan.get(wish.id);
            const pin = pinned.has(wish.id);
            return (
              <ButtonBase
                key={wish.id}
                aria-pressed={pin}
                onClick={() => onPin(wish)}
                onKeyDown={(event) => {
                  if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
                  event.preventDefault();
                  onNudge(wish, event.key === "ArrowLeft" ? -1 : 1);
                }}
                sx={{
                  minHeight: 40,
                  px: 1.25,
                  borderRadius: 2,
                  border: "2px solid",
                  borderColor: pin ? "text.primary" : "line",
                  bgcolor: "background.paper",
                  gap: 0.75,
                  fontSize: "1rem",
                }}
              >
                {pin && <Pin size={16} aria-label="pinned" />}
                <strong>{at === undefined ? "no place" : wallTime(at, crew.timeZone)}</strong> {nameOf(wish.sessionId)}
              </ButtonBase>
            );
          })}
      </Box>
    </Box>
  );
}

function weekday({ date }: Shift): string {
  return ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"][new Date(`${date}T00:00:00Z`).getUTCDay()]!;
}
