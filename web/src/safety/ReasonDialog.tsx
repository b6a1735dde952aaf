/** Asks for a reason before something in the trail is undone. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { t } from "../base/words";

interface ReasonDialogProps {
  title: string;
  text: string;
  confirm: string;
  onConfirm(why: string): void;
  onClose(): void;
}

const LEAST = 3;

export function ReasonDialog({ title, text, confirm, onConfirm, onClose }: ReasonDialogProps) {
  const [why, setWhy] = useState("");
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
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" color="warm" disabled={why.trim().length < LEAST} onClick={() => onConfirm(why.trim())}>
          {confirm}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
