/**
 * Eight weeks, or four where it is narrow, of one person's hands at a glance: how hard each run was as a bar upwards, on the working day
 * it counts for, how the hands were each morning as a bar downwards, with a foot where that is more than usual, and above them what was reported, decided, measured, and when they were out.
 */
import { Box, useMediaQuery } from "@mui/material";
import type { RecordEvent } from "@kind-grip/core/api";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { wholeDayText } from "../base/dates";
import { weeksText } from "../base/amounts";
import { t } from "../base/words";

const WEEKS = { wide: 8, narrow: 4 };
/** What it needs to know of. */
export const LIFE_LINE_DAYS = WEEKS.wide * 7;
const STEP = 16;
/** Heights of the marks, of runs above the line, of mornings below it. */
const MARKS = 26;
const RUNS = 62;
const MORNINGS = 46;
const LINE = MARKS + RUNS;
const HEIGHT = LINE + MORNINGS + 22;

interface LifeLineProps {
  events: readonly RecordEvent[];
  timeZone: string;
  today: string;
}

export function LifeLine({ events, timeZone, today }: LifeLineProps) {
  const narrow = useMediaQuery("(max-width: 719.95px)");
  const shownWeeks = WEEKS[narrow ? "narrow" : "wide"];
  const days = shownWeeks * 7;
  const width = days * STEP;
  const first = addDays(today, 1 - days);
  const dayOf = (event: RecordEvent) =>
    event.kind === "morning" || event.kind === "run" ? event.day : dateAt(Date.parse(event.at), timeZone);
  const x = (day: string) => ((Date.parse(day) - Date.parse(first)) / 86_400_000) * STEP;
  const within = events.filter((event) => dayOf(event) >= first && dayOf(event) <= today);
  const efforts = new Map<string, number[]>();
  for (const event of within)
    if (event.kind === "run" && event.present)
      efforts.set(dayOf(event), [...(efforts.get(dayOf(event)) ?? []), ...(event.effort === null ? [] : [event.effort])]);
  const mornings = within.flatMap((event) => (event.kind === "morning" ? [event] : []));
  const signs = within.filter(({ kind }) => ["report", "restriction", "decision", "round"].includes(kind));
  const weeks = Array.from({ length: days }, (_, i) => addDays(first, i)).filter((day) => new Date(`${day}T12:00:00Z`).getUTCDay() === 1);
  const told = t(
    "{{weeks}} at a glance. Days with a session: {{runs}}. Mornings answered: {{mornings}}. Reports, holds, decisions and measurements: {{signs}}.",
    {
      weeks: weeksText(shownWeeks),
      runs: efforts.size,
      mornings: mornings.length,
      signs: signs.length,
    },
  );
  return (
    <Box>
      <Box
        component="svg"
        role="img"
        aria-label={told}
        viewBox={`-34 0 ${width + 40} ${HEIGHT}`}
        sx={{
          width: "100%",
          maxWidth: 1120,
          height: "auto",
          display: "block",
          "& text": { fill: "var(--mui-palette-text-secondary)", fontSize: 12 },
        }}
      >
        <title>{told}</title>
        {weeks.map((day) => (
          <g key={day}>
            <line x1={x(day)} x2={x(day)} y1={MARKS - 4} y2={LINE + MORNINGS} stroke="var(--mui-palette-line)" />
            <text x={x(day) + 3} y={HEIGHT - 5}>
              {wholeDayText(day).replace(/\s?\d{4}$/, "")}
            </text>
          </g>
        ))}
        <line x1={0} x2={width} y1={LINE} y2={LINE} stroke="var(--mui-palette-edge)" strokeWidth={2} />
        <text x={-32} y={LINE - 6}>
          {t("effort")}
        </text>
        <text x={-32} y={LINE + 16}>
          {t("hands")}
        </text>
        {[...efforts].map(([day, of]) => {
          const height = of.length === 0 ? 5 : Math.max(5, (Math.max(...of) / 10) * (RUNS - 4));
          return (
            <rect
              key={day}
              className="keeps-colour"
              x={x(day) + 2}
              width={STEP - 4}
              y={LINE - height}
              height={height}
              rx={2}
              fill={of.length === 0 ? "var(--mui-palette-primary-light)" : "var(--mui-palette-primary-main)"}
            />
          );
        })}
        {mornings.map((event) => (
          <Morning key={event.id} event={event} x={x(event.day)} />
        ))}
        {signs.map((event, i) => (
          <Sign key={i} event={event} x={x(dayOf(event)) + STEP / 2} />
        ))}
      </Box>
    </Box>
  );
}

/** Above what is usual for the person, or with tingling, it has a foot as wide as its day. */
function Morning({ event: { level, raised, tingling }, x }: { event: Extract<RecordEvent, { kind: "morning" }>; x: number }) {
  const height = Math.max(2, (level / 10) * (MORNINGS - 6));
  const told = raised || tingling;
  const fill = told ? "var(--mui-palette-error-main)" : "var(--mui-palette-warm-main)";
  return (
    <g className="keeps-colour" fill={fill}>
      <rect x={x + 4} width={STEP - 8} y={LINE + 1} height={height} rx={2} />
      {told && <rect x={x + 1} width={STEP - 2} y={LINE + 1 + height} height={3} />}
    </g>
  );
}

/** Told apart by shape: an octagon for what was reported or held, a triangle for a decision, a ring for a measurement. */
function Sign({ event, x }: { event: RecordEvent; x: number }) {
  const y = 13;
  if (event.kind === "round") return <circle cx={x} cy={y} r={5} fill="none" stroke="var(--mui-palette-text-primary)" strokeWidth={2} />;
  if (event.kind === "decision") {
    const up = event.decision.decided === "progress";
    const points = up ? `${x - 6},${y + 5} ${x + 6},${y + 5} ${x},${y - 6}` : `${x - 6},${y - 5} ${x + 6},${y - 5} ${x},${y + 6}`;
    return (
      <polygon className="keeps-colour" points={points} fill={up ? "var(--mui-palette-primary-main)" : "var(--mui-palette-warm-dark)"} />
    );
  }
  const corners = Array.from({ length: 8 }, (_, i) => {
    const angle = (Math.PI / 4) * i + Math.PI / 8;
    return `${x + 7 * Math.cos(angle)},${y + 7 * Math.sin(angle)}`;
  });
  return <polygon className="keeps-colour" points={corners.join(" ")} fill="var(--mui-palette-error-main)" />;
}
