/** How far the proposal is, and how much of what the work needs it meets. */
import { Box, Typography } from "@mui/material";
import { MET, type Proposal } from "@kind-grip/core/compose";
import { t } from "../base/words";
import { nearnessText } from "../parts/nearness-text";
import type { ProposalState } from "./use-proposal";

export function Status({ state: { stage, proposal }, shown }: { state: ProposalState; shown: Proposal | undefined }) {
  const text = {
    working: t("Working it out …"),
    first: t("A first answer; looking for a better one …"),
    best: shown === proposal ? nearnessText(proposal?.gap ?? Infinity) : t("Another program, nearly as good"),
    none: "",
    failed: "",
  }[stage];
  const has = shown && stage !== "none" && stage !== "failed";
  return (
    <Box
      sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", mb: 1, opacity: stage === "working" ? 0.6 : 1 }}
      role="status"
    >
      {has && (
        <Typography component="p" sx={{ fontSize: "2.4rem", fontWeight: 800, lineHeight: 1 }}>
          {t("{{met}} of {{all}}", { met: shown.met.filter(({ covered }) => covered >= MET).length, all: shown.met.length })}
        </Typography>
      )}
      <Typography>{has ? t("needs of the work are met. {{text}}.", { text }) : text}</Typography>
    </Box>
  );
}
