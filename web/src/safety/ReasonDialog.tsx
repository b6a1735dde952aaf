/** Asks for a reason before something in the trail is undone; closes when it is undone, not before. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { problemOf } from "../base/api";
import { t } from "../base/words";

interface ReasonDialogProps {
  title: string;
  text: string;
  confirm: string;
  onConfirm(why: string): Promise<{ error?: unknown }>;
  onClose(): void;
}

const LEAST = 3;

export function ReasonDialog({ title, text, confirm, onConfirm, onClose }: ReasonDialogProps) {
  const [why, setWhy] = useState("");
  const [state, setState] = useState<"asked" | "sent" | { problem: string }>("asked");
  const send = async () => {
    setState("sent");
    const { error } = await onConfirm(why.trim());
    if (error === undefined) onClose();
    else setState({ problem: problemOf(error).message });
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="reason-title" fullWidth maxWidth="sm">
      <DialogTitle id="reason-title">{title}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{text}</Typography>
        <TextField
          label={t("Why")}
          value={why}
          onChange={(event) => setWhy(event.target.value)}
          autoFocus
          multiline
          minRows={2}
          slotProps={{ htmlInput: { maxLength: 600 } }}
        />
        {typeof state === "object" && (
          <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
            {state.problem}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" color="warm" disabled={why.trim().length < LEAST || state === "sent"} onClick={() => void send()}>
          {confirm}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
