import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";
import type { ReactNode } from "react";
import { t } from "../base/words";

interface ConfirmDialogProps {
  open: boolean;
  title: string;
  children?: ReactNode;
  confirm: string;
  onConfirm(): void;
  onClose(): void;
}

/** Asks once before something that cannot be taken back. */
export function ConfirmDialog({ open, title, children, confirm, onConfirm, onClose }: ConfirmDialogProps) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="confirm-title">
      <DialogTitle id="confirm-title">{title}</DialogTitle>
      <DialogContent>{children}</DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" color="warm" onClick={onConfirm} autoFocus>
          {confirm}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
