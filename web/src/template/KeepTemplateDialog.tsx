/** A program, or one of its sessions, kept as a template of the practice: for whom and why, without its people. */
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { Program } from "@kind-grip/core/program";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { NameField } from "../parts/NameField";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { templateApi } from "./api";

const WHOLE = "whole";

export function KeepTemplateDialog({ program, onClose }: { program: Program; onClose(): void }) {
  const dispatch = useAppDispatch();
  const [keep, { isLoading, error }] = templateApi.useKeepTemplateMutation();
  const [remove] = templateApi.useRemoveTemplateMutation();
  // One id however often it is pressed: it is kept once.
  const [id] = useState(() => uuid());
  const [of, setOf] = useState<string>(WHOLE);
  const [name, setName] = useState(program.name);
  const [why, setWhy] = useState("");
  const missing = name.trim() === "";
  const sessions = of === WHOLE ? program.sessions : program.sessions.filter((session) => session.id === of);
  const save = async () => {
    const kept = await keep({ id, name: name.trim(), why: why.trim(), program: { ...program, name: name.trim(), sessions } });
    if (!kept.data) return;
    dispatch(notify({ text: t("{{name}} is kept as a template of the practice.", { name: name.trim() }), undo: () => remove(id) }));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="keep-template-title" maxWidth="sm" fullWidth>
      <DialogTitle id="keep-template-title">{t("Keep as a template")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5 }}>
        <Typography>{t("Everybody in the practice can start with it. People, their own forms and the first day are left out.")}</Typography>
        {program.sessions.length > 1 && (
          <Choice
            label={t("What to keep")}
            value={of}
            onChange={setOf}
            options={[
              { value: WHOLE, label: t("The whole program") },
              ...program.sessions.map((session) => ({ value: session.id, label: session.name })),
            ]}
          />
        )}
        <NameField value={name} onName={setName} />
        <TextField
          label={t("For whom, and why it is as it is")}
          value={why}
          multiline
          minRows={3}
          onChange={(event) => setWhy(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 600 } }}
        />
        {error !== undefined && (
          <Typography role="alert" sx={{ color: "error.main" }}>
            {[problemOf(error).message, ...problemOf(error).fields.map(({ message }) => message)].join(" ")}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button variant="contained" disabled={missing || isLoading || sessions.length === 0} onClick={() => void save()}>
          {t("Keep")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
