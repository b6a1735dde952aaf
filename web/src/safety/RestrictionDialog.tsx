/** Holds somebody out at once, for something said outside a round. */
import { Box, Button, ButtonBase, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { consequenceOf, RESTRICTION_REASONS, type RestrictionReason } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { useWords } from "../base/library";
import type { PersonEntry } from "@kind-grip/core/api";
import { safetyApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { radioProps } from "../parts/radio-props";
import { isSaid, ownWords, ReasonWords } from "./ReasonWords";
import { useAppDispatch } from "../base/store";

export function RestrictionDialog({ crewId, people, onClose }: { crewId: string; people: PersonEntry[]; onClose(): void }) {
  const words = useWords();
  const [personId, setPersonId] = useState("");
  const [question, setQuestion] = useState<RestrictionReason | null>(null);
  const [own, setOwn] = useState("");
  const [enter, { isLoading, error }] = safetyApi.useEnterRestrictionMutation();
  const dispatch = useAppDispatch();
  const radio = radioProps(RESTRICTION_REASONS, question, setQuestion);
  const store = async () => {
    const answer = await enter({ crewId, personId, question: question!, words: ownWords(question!, own) });
    if (!answer.data) return;
    dispatch(notify({ text: t("{{name}} is held out from now on.", { name: people.find(({ id }) => id === personId)!.name }) }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="hold-title" fullWidth maxWidth="sm">
      <DialogTitle id="hold-title">{t("Hold somebody out")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <TextField select label={t("Who")} value={personId} onChange={(event) => setPersonId(event.target.value)} sx={{ mt: 1 }}>
          {people.map((person) => (
            <MenuItem key={person.id} value={person.id}>
              {person.name}
            </MenuItem>
          ))}
        </TextField>
        <Box role="radiogroup" aria-label={t("What was said")} sx={{ display: "grid", gap: 0.5 }}>
          {RESTRICTION_REASONS.map(consequenceOf).map(({ id, kind }) => (
            <ButtonBase
              key={id}
              {...radio(id)}
              sx={{
                justifyContent: "space-between",
                textAlign: "left",
                gap: 2,
                minHeight: 44,
                px: 1.5,
                borderRadius: 2,
                border: "2px solid",
                borderColor: question === id ? "primary.main" : "transparent",
                bgcolor: question === id ? "primary.light" : "transparent",
              }}
            >
              <span>{words.safety(id).short}</span>
              <Box
                component="span"
                sx={{ color: kind === "stop" ? "error.main" : "text.secondary", fontWeight: 650, whiteSpace: "nowrap" }}
              >
                {kind === "stop" ? t("out of everything") : kind === "ask" ? t("out of some items") : t("kept short of the end")}
              </Box>
            </ButtonBase>
          ))}
        </Box>
        <ReasonWords reason={question} words={own} onChange={setOwn} />
        {error !== undefined && (
          <Typography role="alert" sx={{ color: "error.main" }}>
            {problemOf(error).message}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button
          variant="contained"
          color="warm"
          disabled={!personId || !question || !isSaid(question, own) || isLoading}
          onClick={() => void store()}
        >
          {t("Hold out now")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
