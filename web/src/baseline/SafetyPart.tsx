/** The safety questions, asked before anything else. A yes that means stop holds the person out as it is tapped. */
import { Box, Button, Typography } from "@mui/material";
import { Ban, TriangleAlert } from "lucide-react";
import { SAFETY_QUESTIONS, unasked, type QuestionId } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import type { EditedRecord } from "./use-record";

type Answer = "yes" | "no";

export function SafetyPart({ edited }: { edited: EditedRecord }) {
  const words = useWords();
  const { safety } = edited.value;
  const left = unasked(safety);
  const set = (change: Partial<Record<QuestionId, boolean>>) => edited.change({ ...edited.value, safety: { ...safety, ...change } });
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 1, flexWrap: "wrap" }}>
        <Typography sx={{ color: "text.secondary", flex: 1, minWidth: 240 }}>{t("Ask each one aloud.")}</Typography>
        {left.length > 0 && (
          <Button variant="outlined" onClick={() => set(Object.fromEntries(left.map((id) => [id, false])))}>
            {left.length === SAFETY_QUESTIONS.length
              ? t("All were asked: no to all")
              : t("No to the other {{left}}", { left: left.length })}
          </Button>
        )}
      </Box>
      {SAFETY_QUESTIONS.map(({ id, kind }, i) => {
        const answer = safety[id];
        const Icon = kind === "stop" ? Ban : TriangleAlert;
        return (
          <Box key={id}>
            {(i === 0 || SAFETY_QUESTIONS[i - 1]!.kind !== kind) && kind !== "limit" && (
              <Typography variant="h3" sx={{ mt: i === 0 ? 1 : 3, mb: 0.5 }}>
                {kind === "stop" ? t("A yes here means stop and refer") : t("A yes here means a clinician first, for some items")}
              </Typography>
            )}
            <Box
              sx={{
                display: "grid",
                gridTemplateColumns: "minmax(0, 1fr) auto",
                columnGap: 2,
                alignItems: "center",
                minHeight: 60,
                py: 0.5,
                borderTop: "1px solid",
                borderColor: "line",
              }}
            >
              <Typography
                sx={{
                  fontSize: "1.1rem",
                  lineHeight: 1.3,
                  display: "flex",
                  gap: 1,
                  alignItems: "center",
                  ...(answer === true ? { fontWeight: 750, color: kind === "stop" ? "error.main" : "warm.dark" } : {}),
                }}
              >
                {answer === true && <Icon size={22} aria-hidden style={{ flexShrink: 0 }} />}
                {words.safety(id).ask}
              </Typography>
              <Choice<Answer>
                label={words.safety(id).ask}
                value={answer === null ? null : answer ? "yes" : "no"}
                onChange={(next) => set({ [id]: next === "yes" })}
                options={[
                  { value: "no", label: t("No") },
                  { value: "yes", label: t("Yes") },
                ]}
              />
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
