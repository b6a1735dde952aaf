/** A session's name and slot, and removing it. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";
import { useState } from "react";
import { SESSION_SLOTS, type Session, type SessionSlot } from "@kind-grip/core/session";
import { NameField } from "../parts/NameField";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { useAppDispatch } from "../base/store";
import { notify } from "../base/notices";
import { Choice } from "../parts/Choice";
import { useEdit } from "./program-editor";

export function SessionDialog({ session, onClose }: { session: Session; onClose(): void }) {
  const words = useWords();
  const { program, change, changeSession, undo, chooseSession } = useEdit();
  const dispatch = useAppDispatch();
  const [name, setName] = useState(session.name);
  const [slot, setSlot] = useState<SessionSlot>(session.slot);
  const missing = name.trim() === "";
  const save = () => {
    if (missing) return;
    changeSession({ ...session, name: name.trim(), slot });
    onClose();
  };
  const remove = () => {
    change({ ...program, sessions: program.sessions.filter((each) => each.id !== session.id) });
    chooseSession(null);
    dispatch(notify({ text: t("{{name}} is out of the program.", { name: session.name }), undo: undo }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="session-title" fullWidth maxWidth="sm">
      <DialogTitle id="session-title">{session.name}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gap: 2, pt: 1 }}>
          <NameField value={name} onName={setName} autoFocus onKeyDown={(event) => event.key === "Enter" && save()} />
          <Choice<SessionSlot>
            label={t("Slot")}
            value={slot}
            onChange={setSlot}
            options={SESSION_SLOTS.map((value) => ({ value, label: words.label("slot", value) }))}
          />
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="error" onClick={remove} sx={{ mr: "auto" }}>
          {t("Take out")}
        </Button>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button variant="contained" onClick={save} disabled={missing}>
          {t("Keep")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
