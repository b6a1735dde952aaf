/** What a shift comes to for each hand: a bar to scale, its tasks in it, the line at which strain is read as raised. */
import { Box, Typography, useMediaQuery } from "@mui/material";
import { RAISED_STRAIN, shiftStrain, STRAIN_SOURCE, type Work, type WorkDay } from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { fixedText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { SideMark } from "../parts/SideMark";
import { Why } from "../parts/Why";
import { strainText } from "./strain-text";

/** Share of a narrow bar from which a part is wide enough to be pressed; the task is chosen from the list of tasks as well. */
const LEAST_PRESSED = 0.17;

export function ShiftStrain({ work, day, onTask }: { work: Work; day: WorkDay; onTask?(taskId: string): void }) {
  const hands = HAND_SIDES.map((side) => ({ side, strain: shiftStrain(work, day, side) }));
  const scale = Math.max(RAISED_STRAIN * 1.6, ...hands.map(({ strain }) => strain.value * 1.06));
  const narrow = useMediaQuery("(max-width: 599.95px)");
  return (
    <Box component="section" aria-label={t("Strain of the shift")}>
      {hands.map(({ side, strain }) => {
        const raised = strain.decisive > RAISED_STRAIN;
        return (
          <Box
            key={side}
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "34px minmax(0, 1fr) minmax(0, 96px)", sm: "34px minmax(0, 1fr) 150px" },
              alignItems: "center",
              columnGap: 1.5,
              mb: 0.75,
            }}
          >
            <SideMark side={side} size={32} />
            <Box
              sx={{
                position: "relative",
                height: 46,
                bgcolor: "background.paper",
                borderRadius: 2,
                border: "2px solid",
                borderColor: "line",
              }}
            >
              <Box sx={{ display: "flex", height: "100%", borderRadius: 1.5, overflow: "hidden" }}>
                {strain.parts.map(({ of, adds }) => {
                  const choose = narrow && adds / scale < LEAST_PRESSED ? undefined : onTask;
                  return (
                    <Box
                      className="keeps-colour"
                      key={of.task.id}
                      component={choose ? "button" : "div"}
                      type={choose ? "button" : undefined}
                      onClick={choose && (() => choose(of.task.id))}
                      aria-label={
                        choose &&
                        t("{{name}} adds {{adds}} to the {{side}} hand", {
                          name: of.task.name,
                          adds: fixedText(adds, 1),
                          side: sideWord(side),
                        })
                      }
                      title={t("{{name}}: {{index}} by itself over {{hours}} h, adds {{adds}}", {
                        name: of.task.name,
                        index: fixedText(of.index, 1),
                        hours: fixedText(of.hours, 1),
                        adds: fixedText(adds, 1),
                      })}
                      sx={{
                        width: `${(adds / scale) * 100}%`,
                        bgcolor: `hand.${side}`,
                        color: "hand.on",
                        border: 0,
                        borderRight: "2px solid",
                        borderColor: "background.paper",
                        px: 0.75,
                        font: "inherit",
                        fontWeight: 650,
                        fontSize: "0.95rem",
                        textAlign: "left",
                        whiteSpace: "nowrap",
                        overflow: "hidden",
                        textOverflow: "ellipsis",
                        display: "flex",
                        alignItems: "center",
                        cursor: choose ? "pointer" : "default",
                      }}
                    >
                      {adds / scale > 0.05 && (
                        <Box component="span" sx={{ overflow: "hidden", textOverflow: "ellipsis" }}>
                          {of.task.name}
                        </Box>
                      )}
                    </Box>
                  );
                })}
              </Box>
              <Box
                aria-hidden
                sx={{
                  position: "absolute",
                  top: -5,
                  bottom: -5,
                  left: `${(RAISED_STRAIN / scale) * 100}%`,
                  borderLeft: "3px dashed",
                  borderColor: "text.primary",
                }}
              />
            </Box>
            <Typography
              component="p"
              sx={{
                display: "flex",
                alignItems: "baseline",
                columnGap: 1,
                flexWrap: { xs: "wrap", sm: "nowrap" },
                lineHeight: 1.1,
                whiteSpace: { sm: "nowrap" },
              }}
            >
              <Box component="span" sx={{ fontSize: "2rem", fontWeight: 800, lineHeight: 1, color: raised ? "warm.dark" : "text.primary" }}>
                {strainText(strain.value)}
              </Box>
              <Box component="span" sx={{ fontWeight: 650, color: raised ? "warm.dark" : "text.secondary" }}>
                {strain.value === 0 ? t("idle") : raised ? t("raised") : t("not raised")}
              </Box>
            </Typography>
          </Box>
        );
      })}
      {hands
        .filter(({ strain }) => strain.disagree)
        .map(({ side, strain }) => (
          <Typography key={side} sx={{ color: "warm.dark", fontWeight: 650 }}>
            {t(
              "{{what}}: the published order gives {{strain}}, the order in which more work never reads as less {{steady}}. They fall on different sides of {{raisedStrain}}: the larger decides.",
              {
                what: side === "left" ? t("Left") : t("Right"),
                strain: strainText(strain.value),
                steady: fixedText(strain.steady, 1),
                raisedStrain: RAISED_STRAIN,
              },
            )}
          </Typography>
        ))}
      <Why label={t("Why these figures")}>
        {t(
          "The cumulative Strain Index of the shift: the hardest task counts whole, each further one adds what its hours add. Above {{raisedStrain}} (dashed) is read as raised strain. {{strainSource}}. It is about the work, not about any one person.",
          { raisedStrain: RAISED_STRAIN, strainSource: STRAIN_SOURCE },
        )}
      </Why>
    </Box>
  );
}
