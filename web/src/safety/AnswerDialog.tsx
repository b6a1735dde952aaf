/** The one answer to what a person reported: give back, ease, keep paused, or refer and hold out; with a reply that reaches their phone. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { PersonAlert } from "@kind-grip/core/api";
import { RESTRICTION_REASONS, type AlertAnswer, type RestrictionReason } from "@kind-grip/core/safety";
import { t } from "../base/words";
import { safetyApi } from "./api";
import { useWords } from "../base/library";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { radioProps } from "../parts/radio-props";
import { ANSWER_NAMES } from "./answer-names";
import { isSaid, ownWords, ReasonWords } from "./ReasonWords";
import { pausedWords, reportWords } from "./report-words";

type Answer = AlertAnswer["answer"];

const ANSWERS: readonly { answer: Answer; name: string; does: string }[] = [
  { answer: "giveBack", name: ANSWER_NAMES.giveBack, does: t("Everything is theirs again, as it was.") },
  {
    answer: "ease",
    name: ANSWER_NAMES.ease,
    does: t("What touches the place goes one form or dose easier; what has nothing easier stays out."),
  },
  { answer: "keepPaused", name: ANSWER_NAMES.keepPaused, does: t("It stays as it is until you give it back.") },
  { answer: "refer", name: ANSWER_NAMES.refer, does: t("Out of everything until a clinician has cleared it.") },
];

/** What is usually said; the trainer's own words take its place. */
const REPLIES: Readonly<Record<Answer, string>> = {
  giveBack: t("Go on as before. Mild pull, never pain; stop and tell me if it comes back."),
  ease: t("Go on with the easier form. Stop and tell me if it comes back."),
  keepPaused: t("Leave it alone for now. I will come to see you."),
  refer: t("Please have it looked at before you go on. I have a note for you to take along."),
};

interface AnswerDialogProps {
  alert: Pick<PersonAlert, "crewId" | "personId" | "name" | "timeZone" | "reports">;
  onClose(): void;
}

export default function AnswerDialog({ alert: { crewId, personId, name, timeZone, reports }, onClose }: AnswerDialogProps) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [reply, setReply] = useState<string | null>(null);
  const [reason, setReason] = useState<RestrictionReason | "">(reports.some(({ kind }) => kind === "sharpPain") ? "sharpPain" : "");
  const [own, setOwn] = useState("");
  const [send, { isLoading, error }] = safetyApi.useAnswerAlertsMutation();
  const radio = radioProps(
    ANSWERS.map((each) => each.answer),
    answer,
    setAnswer,
  );
  const said = reply ?? (answer ? REPLIES[answer] : "");
  const ready = answer !== null && (answer !== "refer" || (reason !== "" && isSaid(reason, own)));
  const store = async () => {
    const done = await send({
      crewId,
      personId,
      alertIds: reports.map(({ alertId }) => alertId),
      answer: {
        answer: answer!,
        reply: said.trim() || null,
        reason: answer === "refer" ? (reason as RestrictionReason) : null,
        words: answer === "refer" && reason !== "" ? ownWords(reason, own) : null,
      },
    });
    if (done.error) return;
    dispatch(
      notify({
        text: t("{{name}}: {{name2}}. The reply is on its way to the phone.", {
          name,
          name2: ANSWERS.find((each) => each.answer === answer)!.name.toLowerCase(),
        }),
      }),
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="answer-title" fullWidth maxWidth="sm">
      <DialogTitle id="answer-title">{t("Answer {{name}}", { name })}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Box>
          {reports.map((report) => (
            <Typography key={report.alertId}>{reportWords(report, words, timeZone)}</Typography>
          ))}
          <Typography sx={{ fontWeight: 700, mt: 0.5 }}>{pausedWords(reports, words)}</Typography>
        </Box>
        <Box role="radiogroup" aria-label={t("Answer")} sx={{ display: "grid", gap: 0.75 }}>
          {ANSWERS.map((each) => (
            <Button
              key={each.answer}
              {...radio(each.answer)}
              variant={answer === each.answer ? "contained" : "outlined"}
              color={each.answer === "refer" ? "error" : "primary"}
              sx={{
                justifyContent: "flex-start",
                textAlign: "left",
                minHeight: 60,
                display: "grid",
                justifyItems: "start",
                lineHeight: 1.25,
              }}
            >
              <Box component="span" sx={{ fontWeight: 750 }}>
                {each.name}
              </Box>
              <Box component="span" sx={{ fontWeight: 450 }}>
                {each.does}
              </Box>
            </Button>
          ))}
        </Box>
        {answer === "refer" && (
          <>
            <TextField
              select
              label={t("Why they are held out")}
              value={reason}
              onChange={(event) => setReason(event.target.value as RestrictionReason)}
            >
              {RESTRICTION_REASONS.map((each) => (
                <MenuItem key={each} value={each}>
                  {words.safety(each).short}
                </MenuItem>
              ))}
            </TextField>
            <ReasonWords reason={reason || null} words={own} onChange={setOwn} />
          </>
        )}
        {answer !== null && (
          <TextField
            label={t("Reply to {{name}}", { name })}
            multiline
            minRows={2}
            value={said}
            onChange={(event) => setReply(event.target.value.slice(0, 600))}
            helperText={t("On their phone as soon as it is reached.")}
          />
        )}
        {error !== undefined && (
          <Typography role="alert" sx={{ color: "error.main" }}>
            {problemOf(error).message}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={!ready || isLoading} onClick={() => void store()}>
          {t("Answer")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
