/** A movement in words: its steps, where it is felt, what to watch for and to take care of. */
import { Box, Typography } from "@mui/material";
import { useWords } from "../base/library";
import { t } from "../base/words";

export function HowTo({ movementId }: { movementId: string }) {
  const text = useWords().movement(movementId);
  return (
    <>
      <Box>
        <Steps steps={text.steps} />
        <Typography sx={{ mt: 1.5, fontSize: "1.1rem" }}>
          <strong>{t("You feel it:")}</strong> {text.feel}
        </Typography>
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, gap: 3 }}>
        <Lines title={t("Watch for")} lines={text.watch} />
        <Lines title={t("Care")} lines={text.care} tone="warm.dark" />
      </Box>
    </>
  );
}

function Steps({ steps }: { steps: readonly string[] }) {
  return (
    <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none", counterReset: "step" }}>
      {steps.map((step, i) => (
        <Box
          component="li"
          key={i}
          sx={{
            counterIncrement: "step",
            display: "grid",
            gridTemplateColumns: "36px 1fr",
            alignItems: "baseline",
            py: 0.5,
            fontSize: "1.2rem",
            lineHeight: 1.35,
            "&::before": { content: "counter(step)", fontWeight: 750, color: "primary.main", fontSize: "1.4rem" },
          }}
        >
          {step}
        </Box>
      ))}
    </Box>
  );
}

function Lines({ title, lines, tone }: { title: string; lines: readonly string[]; tone?: string }) {
  if (lines.length === 0) return null;
  return (
    <Box sx={{ borderLeft: "4px solid", borderColor: tone ?? "primary.main", pl: 2 }}>
      <Typography variant="h3">{title}</Typography>
      {lines.map((line) => (
        <Typography key={line}>{line}</Typography>
      ))}
    </Box>
  );
}
