/** Who does what when: everybody's shift as a strip on the clock, the hardest hand first, and how it was before. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { ribbonOf, type RibbonPiece } from "@kind-grip/core/dayplan";
import type { Shift } from "@kind-grip/core/calendar";
import type { PersonStrain } from "@kind-grip/core/rotation";
import { RAISED_STRAIN, type Work } from "@kind-grip/core/strain";
import { timeText } from "../base/dates";
import { ribbonOfDay } from "../dayplan/work-ribbon";
import { sideWord, t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { strainText } from "./strain-text";

interface PeopleRowsProps {
  work: Work;
  rows: readonly PersonStrain[];
  /** What each was before, where something is tried. */
  before?: ReadonlyMap<string, number>;
  shift: Shift;
  timeZone: string;
  nameOf(personId: string): string;
  /** Opens the way somebody works. */
  onOpen(dayId: string): void;
}

export function PeopleRows({ work, rows, before, shift, timeZone, nameOf, onOpen }: PeopleRowsProps) {
  const lengthMs = shift.endMs - shift.startMs;
  const x = (ms: number) => ((ms - shift.startMs) / lengthMs) * 100;
  const ribbons = new Map(rows.map(({ day }) => [day.id, ribbonOf(shift, ribbonOfDay(work, day))]));
  const most = Math.max(RAISED_STRAIN, ...[...ribbons.values()].flat().map(({ strain }) => strain));
  const taskName = (taskId: string | null) => work.tasks.find(({ id }) => id === taskId)?.name ?? t("rest");
  const everyHour = Array.from({ length: Math.floor(lengthMs / 3_600_000) + 1 }, (_, i) => shift.startMs + i * 3_600_000);
  return (
    <Box component="section" aria-label={t("Who does what when")}>
      <Box
        aria-hidden
        sx={{ display: { xs: "none", sm: "block" }, position: "relative", height: 24, ml: "196px", mr: "176px", color: "text.secondary" }}
      >
        {everyHour.map((ms) => (
          <Box
            component="span"
            key={ms}
            sx={{ position: "absolute", left: `${x(ms)}%`, transform: "translateX(-50%)", fontSize: "0.85rem", whiteSpace: "nowrap" }}
          >
            {timeText(ms, timeZone)}
          </Box>
        ))}
      </Box>
      <Box component="ul" aria-label={t("People, the hardest hand first")} sx={{ listStyle: "none", m: 0, p: 0 }}>
        {rows.map(({ personId, day, strain, side }) => {
          const raised = strain > RAISED_STRAIN;
          const was = before?.get(personId);
          return (
            <Box component="li" key={personId}>
              <ButtonBase
                onClick={() => onOpen(day.id)}
                aria-label={t("{{name}}, {{way}}: {{strain}} in the {{side}} hand. {{parts}}", {
                  name: nameOf(personId),
                  way: day.name,
                  strain: strainText(strain),
                  side: sideWord(side),
                  parts: day.parts
                    .map(({ taskId, minutes }) => t("{{task}} {{minutes}} min", { task: taskName(taskId), minutes }))
                    .join(", "),
                })}
                sx={{
                  width: "100%",
                  display: "grid",
                  gridTemplateColumns: { xs: "minmax(0, 1fr) auto", sm: "184px minmax(0, 1fr) 164px" },
                  columnGap: 1.5,
                  rowGap: 0.5,
                  alignItems: "center",
                  textAlign: "left",
                  font: "inherit",
                  py: 0.5,
                  borderTop: "1px solid",
                  borderColor: "line",
                }}
              >
                <Typography component="span" noWrap sx={{ fontWeight: 650 }}>
                  {nameOf(personId)}
                </Typography>
                <Box
                  component="span"
                  sx={{
                    position: "relative",
                    height: 34,
                    gridRow: { xs: 2, sm: 1 },
                    gridColumn: { xs: "1 / -1", sm: 2 },
                    bgcolor: "background.paper",
                    borderRadius: 1,
                    overflow: "hidden",
                  }}
                >
                  {ribbons.get(day.id)!.map((piece) => (
                    <Box
                      component="span"
                      key={piece.startMs}
                      title={t("{{name}}, {{from}} to {{to}}", {
                        name: piece.name,
                        from: timeText(piece.startMs, timeZone),
                        to: timeText(piece.endMs, timeZone),
                      })}
                      sx={{
                        position: "absolute",
                        left: `${x(piece.startMs)}%`,
                        width: `${x(piece.endMs) - x(piece.startMs)}%`,
                        top: 0,
                        bottom: 0,
                        px: 0.5,
                        borderRight: "2px solid",
                        borderColor: "background.default",
                        color: "text.primary",
                        fontSize: "0.85rem",
                        lineHeight: "34px",
                        overflow: "hidden",
                        textOverflow: "ellipsis",
                        whiteSpace: "nowrap",
                      }}
                    >
                      {/* As high as the task is hard, as the ribbon of a day plan is thick. */}
                      <Box
                        className="keeps-colour"
                        component="span"
                        sx={{
                          position: "absolute",
                          inset: 0,
                          top: `${100 - (piece.strain / most) * 100}%`,
                          bgcolor: piece.strain > RAISED_STRAIN ? "warm.light" : "primary.light",
                        }}
                      />
                      <Box component="span" sx={{ position: "relative", display: "block", overflow: "hidden", textOverflow: "ellipsis" }}>
                        {piece.name}
                      </Box>
                    </Box>
                  ))}
                </Box>
                <Box
                  component="span"
                  sx={{ display: "flex", alignItems: "center", gap: 1, justifyContent: "flex-end", whiteSpace: "nowrap" }}
                >
                  {was !== undefined && strainText(was) !== strainText(strain) && (
                    <Box component="span" sx={{ color: "text.secondary", fontWeight: 600 }}>
                      {strainText(was)} →
                    </Box>
                  )}
                  <SideMark side={side} size={24} />
                  <Box
                    component="span"
                    sx={{ fontSize: "1.35rem", fontWeight: 800, minWidth: 52, color: raised ? "warm.dark" : "text.primary" }}
                  >
                    {strainText(strain)}
                  </Box>
                </Box>
                {/* On paper nothing can be pressed to read what does not fit. */}
                <Box
                  component="span"
                  sx={{ display: "none", gridColumn: "1 / -1", fontSize: "0.95rem", "@media print": { display: "block" } }}
                >
                  {runsOf(ribbons.get(day.id)!)
                    .map(({ name, startMs }) => `${timeText(startMs, timeZone)} ${name}`)
                    .join(" · ")}
                </Box>
              </ButtonBase>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** What is done without a change, breaks or not, as one. */
function runsOf(pieces: readonly RibbonPiece[]): RibbonPiece[] {
  return pieces.filter(({ name }, i) => name !== pieces[i - 1]?.name);
}
