/** What sending an answer of the bench has in common, wherever it goes: the button, and a dialog that asks for the crew first. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField } from "@mui/material";
import { CornerDownRight } from "lucide-react";
import { useState, type ReactNode } from "react";
import { t } from "../base/words";
import { problemOf } from "../base/api";
import { crewApi } from "../crew/api";

export function SendButton({ label, dialog }: { label: string; dialog(onClose: () => void): ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="outlined"
        startIcon={<CornerDownRight size={20} />}
        sx={{ whiteSpace: { sm: "nowrap" }, textAlign: "start" }}
        onClick={() => setOpen(true)}
      >
        {label}
      </Button>
      {open && dialog(() => setOpen(false))}
    </>
  );
}

interface SendFrameProps {
  title: string;
  crewId: string;
  onCrew(crewId: string): void;
  ready: boolean;
  error: unknown;
  onSend(): void;
  onClose(): void;
  children: ReactNode;
}

export function SendFrame({ title, crewId, onCrew, ready, error, onSend, onClose, children }: SendFrameProps) {
  const crews = crewApi.useCrewsQuery();
  const unread = crews.data === undefined ? crews.error : undefined;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="send-title">
      <DialogTitle id="send-title">{title}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1 }}>
          <TextField select label={t("Crew")} value={crewId} onChange={(event) => onCrew(event.target.value)}>
            {(crews.data ?? []).map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {Boolean(unread) && (
            <Alert
              severity="error"
              variant="outlined"
              action={
                <Button color="inherit" onClick={() => void crews.refetch()}>
                  {t("Try again")}
                </Button>
              }
            >
              {t("Your crews could not be read.")}
            </Alert>
          )}
          {children}
          {Boolean(error) && (
            <Alert severity="error" variant="outlined">
              {problemOf(error).message}
            </Alert>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={!ready} onClick={onSend}>
          {t("Use it")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
