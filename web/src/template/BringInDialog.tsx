/** A program that is to become one of this crew: its name, what does not fit to answer, and how long its sessions are then. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { slotSecOf, surroundingsOf } from "@kind-grip/core/crew";
import type { CrewEntry } from "@kind-grip/core/api";
import type { Program } from "@kind-grip/core/program";
import { compilePerson } from "@kind-grip/core/session";
import { answered, unfitting, type FitAnswer } from "@kind-grip/core/template";
import { durationText } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { NameField } from "../parts/NameField";
import { t } from "../base/words";
import { useOffered } from "../library/use-offered";
import { answersFor, FitAnswers } from "./FitAnswers";

interface BringInDialogProps {
  title: string;
  /** With ids of its own already. */
  program: Program;
  crew: Pick<CrewEntry, "name" | "settings" | "kit" | "slots">;
  /** What the press is called. */
  action: string;
  busy: boolean;
  error: string | null;
  /** Left out where only sessions are brought in. */
  named?: boolean;
  onBringIn(program: Program): void;
  onClose(): void;
}

export function BringInDialog({ title, program, crew, action, busy, error, named = true, onBringIn, onClose }: BringInDialogProps) {
  const library = useLibrary();
  const offered = useOffered();
  const [name, setName] = useState(program.name);
  const [said, setSaid] = useState<ReadonlyMap<string, FitAnswer>>(new Map());
  const misfitting = useMemo(
    () => unfitting(library, program.sessions, (slot) => surroundingsOf(crew, slot), offered),
    [library, program, crew, offered],
  );
  const result = useMemo(() => answered(library, program, answersFor(misfitting, said)), [library, program, misfitting, said]);
  const missing = named && name.trim() === "";
  return (
    <Dialog open onClose={onClose} aria-labelledby="bring-in-title" maxWidth="md" fullWidth>
      <DialogTitle id="bring-in-title">{title}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5 }}>
        {named && <NameField value={name} onName={setName} sx={{ mt: 1 }} />}
        <FitAnswers unfitting={misfitting} answers={said} onAnswer={setSaid} />
        <Box component="ul" aria-label={t("Sessions")} sx={{ listStyle: "none", m: 0, p: 0 }}>
          {result.sessions.map((session) => {
            const sec = compilePerson(session, library.timings).totalSec;
            const slotSec = slotSecOf(crew, session.slot);
            return (
              <Typography component="li" key={session.id}>
                <strong>{durationText(sec)}</strong> {session.name}{" "}
                <Box component="span" sx={{ color: sec > slotSec ? "warm.dark" : "text.secondary" }}>
                  {sec > slotSec
                    ? t("over its {{time}}: it can be fitted afterwards", { time: durationText(slotSec) })
                    : t("of {{time}}", { time: durationText(slotSec) })}
                </Box>
              </Typography>
            );
          })}
        </Box>
        {error && (
          <Typography role="alert" sx={{ color: "error.main" }}>
            {error}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button
          variant="contained"
          disabled={missing || busy || result.sessions.every(({ items }) => items.length === 0)}
          onClick={() => onBringIn({ ...result, name: named ? name.trim() : result.name })}
        >
          {action}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
