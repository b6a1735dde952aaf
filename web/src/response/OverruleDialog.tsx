/** Deciding otherwise: another kind, and why. The reason is kept with the decision. */
import { Alert, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { DECISION_KINDS, type DecisionKind } from "@kind-grip/core/response";
import { v7 as uuid } from "uuid";
import type { WaitingDecision } from "@kind-grip/core/api";
import { t } from "../base/words";
import { responseApi } from "./api";
import { useWords } from "../base/library";
import { problemOf } from "../base/api";
import { Choice } from "../parts/Choice";
import { DECISION_WORDS } from "./response-text";

interface OverruleDialogProps {
  crewId: string;
  /** Of one person, proposed the same; decided the same, for the same reason. */
  list: readonly WaitingDecision[];
  onClose(): void;
}

export function OverruleDialog({ crewId, list, onClose }: OverruleDialogProps) {
  const words = useWords();
  const [{ name, response }] = list as [WaitingDecision];
  const [decide, { isLoading, error }] = responseApi.useDecideMutation();
  const [decided, setDecided] = useState<DecisionKind | null>(null);
  const [why, setWhy] = useState("");
  const problem = error ? problemOf(error) : undefined;
  const store = async () => {
    const decisions = list.map(({ personId, programId, itemId }) => ({
      id: uuid(),
      personId,
      programId,
      itemId,
      proposed: response.kind,
      decided: decided!,
      why: why.trim() || null,
    }));
    if (!(await decide({ crewId, decisions })).error) onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="overrule-title" fullWidth maxWidth="sm">
      <DialogTitle id="overrule-title">
        {name}, {list.map(({ movementId }) => words.movementName(movementId).toLowerCase()).join(", ")}
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Typography>
          {t("Proposed: {{decisionWords}}. What instead?", { decisionWords: DECISION_WORDS[response.kind].toLowerCase() })}
        </Typography>
        <Choice<DecisionKind>
          label={t("Decision")}
          value={decided}
          onChange={setDecided}
          options={DECISION_KINDS.filter((kind) => kind !== response.kind).map((kind) => ({ value: kind, label: DECISION_WORDS[kind] }))}
        />
        <TextField
          label={t("Why")}
          multiline
          minRows={2}
          value={why}
          onChange={(event) => setWhy(event.target.value)}
          error={!!problem?.fields.length}
          helperText={problem?.fields[0]?.message ?? t("Kept with the decision.")}
        />
        {problem && problem.fields.length === 0 && (
          <Alert severity="warning" variant="outlined">
            {problem.message}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={isLoading || decided === null || why.trim().length < 3} onClick={() => void store()}>
          {t("Decide")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
