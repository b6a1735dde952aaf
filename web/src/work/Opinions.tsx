/** What several methods say of a task or a shift, each on the same scale of fine, look and change, and why they differ. */
import { Box, Typography } from "@mui/material";
import {
  isReading,
  placeOnScale,
  UNSEEN,
  VERDICTS,
  type Opinion,
  type Reading,
  type ShiftReading,
  type Verdict,
} from "@kind-grip/core/strain";
import type { HandSide } from "@kind-grip/core/units";
import { listText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { Why } from "../parts/Why";
import { ASPECT_NAMES, METHOD_NAMES, SILENCE_TEXT, stepText, VERDICT_NAMES } from "./opinion-text";

export interface HandOpinions {
  side: HandSide;
  opinions: readonly Opinion<Reading | ShiftReading>[];
}

interface OpinionsProps {
  hands: readonly HandOpinions[];
  /** Of a task a shift's reading is taken from. */
  taskName?(taskId: string): string;
}

const GROUND: Readonly<Record<Verdict, string>> = { fine: "background.paper", look: "warm.light", change: "warm.main" };

export function Opinions({ hands, taskName }: OpinionsProps) {
  const methods = hands[0]?.opinions.map(({ method }) => method) ?? [];
  return (
    <Box>
      <Box component="ul" aria-label={t("Opinions")} sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1.25 }}>
        <Box component="li" aria-hidden sx={{ display: "grid", gridTemplateColumns: COLUMNS, columnGap: 2 }}>
          <span />
          <Box
            sx={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", fontWeight: 650, color: "text.secondary", fontSize: "0.95rem" }}
          >
            {VERDICTS.map((verdict) => (
              <span key={verdict}>{VERDICT_NAMES[verdict]}</span>
            ))}
          </Box>
        </Box>
        {methods.map((method, i) => {
          const said = hands.map(({ side, opinions }) => ({ side, of: opinions[i]!.of }));
          const found = said.flatMap(({ side, of }) => (isReading(of) ? [{ side, of }] : []));
          return (
            <Box
              component="li"
              key={method.id}
              sx={{ display: "grid", gridTemplateColumns: COLUMNS, columnGap: 2, rowGap: 0.25, alignItems: "center" }}
            >
              <Typography sx={{ fontWeight: 650, lineHeight: 1.2 }}>{METHOD_NAMES[method.id]}</Typography>
              {found.length > 0 ? (
                <Scale found={found} taskName={taskName} />
              ) : (
                <Typography sx={{ color: "text.secondary" }}>
                  {t("nothing to say: {{why}}", {
                    why: SILENCE_TEXT[
                      (said.find(({ of }) => "silent" in of && of.silent !== "noEfforts") ?? said[0]!).of["silent" as never]
                    ],
                  })}
                </Typography>
              )}
            </Box>
          );
        })}
      </Box>
      <Why label={t("What each of them sees, and its figures")}>
        {methods.map((method, i) => (
          <Box key={method.id} component="span" sx={{ display: "block", mb: 1 }}>
            <strong>{METHOD_NAMES[method.id]}</strong>{" "}
            {t("sees {{sees}}.", { sees: listText(method.sees.map((aspect) => ASPECT_NAMES[aspect])) })}{" "}
            {hands.map(({ side, opinions }) => {
              const { of } = opinions[i]!;
              return isReading(of)
                ? `${t("{{side}}: {{working}}.", { side: sideWord(side), working: of.working.map(stepText).join(" · ") })} `
                : "";
            })}
            {method.twoLimits ? "" : `${t("One limit; looked at from three quarters of it on, a margin of this practice.")} `}
            {method.source}.
          </Box>
        ))}
        <Box component="span" sx={{ display: "block" }}>
          {t("None of them sees {{unseen}}.", { unseen: listText(UNSEEN.map((aspect) => ASPECT_NAMES[aspect])) })}
        </Box>
      </Why>
    </Box>
  );
}

const COLUMNS = { xs: "minmax(0, 1fr)", sm: "minmax(0, 210px) minmax(0, 1fr)" };

interface ScaleProps {
  found: readonly { side: HandSide; of: Reading | ShiftReading }[];
  taskName?(taskId: string): string;
}

/** Three equal fields with a mark a hand. */
function Scale({ found, taskName }: ScaleProps) {
  const told = found.map(({ side, of }) => t("{{side}} hand: {{verdict}}", { side: sideWord(side), verdict: VERDICT_NAMES[of.verdict] }));
  const tasks = [...new Set(found.flatMap(({ of }) => ("taskId" in of && of.taskId && taskName ? [taskName(of.taskId)] : [])))];
  return (
    <Box>
      <Box role="img" aria-label={told.join(", ")} className="keeps-colour" sx={{ position: "relative", height: 18 * found.length + 14 }}>
        <Box
          sx={{
            position: "absolute",
            inset: 0,
            display: "grid",
            gridTemplateColumns: "repeat(3, 1fr)",
            border: "2px solid",
            borderColor: "edge",
            borderRadius: 2,
            overflow: "hidden",
          }}
        >
          {VERDICTS.map((verdict) => (
            <Box
              key={verdict}
              sx={{
                bgcolor: GROUND[verdict],
                opacity: verdict === "change" ? 0.55 : 1,
                borderLeft: verdict === "fine" ? 0 : "2px solid",
                borderColor: "edge",
              }}
            />
          ))}
        </Box>
        {found.map(({ side, of }, i) => (
          <Box
            key={side}
            sx={{
              position: "absolute",
              top: 4 + i * 18,
              left: `calc(${(placeOnScale(of) / 3) * 100}% - 13px)`,
              width: 26,
              height: 22,
              borderRadius: 1,
              bgcolor: `hand.${side}`,
              color: "hand.on",
              border: "2px solid",
              borderColor: "background.paper",
              fontWeight: 800,
              fontSize: "0.85rem",
              lineHeight: "18px",
              textAlign: "center",
            }}
          >
            {side === "left" ? "L" : "R"}
          </Box>
        ))}
      </Box>
      {tasks.length > 0 && (
        <Typography sx={{ color: "text.secondary", fontSize: "0.95rem" }}>
          {t("by the task it finds hardest: {{tasks}}", { tasks: listText(tasks) })}
        </Typography>
      )}
    </Box>
  );
}
