/** A clinician's clearance: by whom, for what, from when until when. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { addDays } from "@kind-grip/core/calendar";
import { PHASES, type Phase } from "@kind-grip/core/library";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { v7 as uuid } from "uuid";
import type { RestrictionEntry } from "@kind-grip/core/api";
import { safetyApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Toggle } from "../parts/Toggle";

const USUAL_DAYS = 28;

interface ClearanceDialogProps {
  crewId: string;
  restriction: RestrictionEntry;
  name: string;
  today: string;
  onClose(): void;
}

export function ClearanceDialog({ crewId, restriction, name, today, onClose }: ClearanceDialogProps) {
  const words = useWords();
  const [id] = useState(() => uuid());
  const [form, setForm] = useState({ givenBy: "", profession: "", from: today, until: addDays(today, USUAL_DAYS), note: "" });
  const [allows, setAllows] = useState<readonly Phase[]>(PHASES);
  const [enter, { isLoading, error }] = safetyApi.useEnterClearanceMutation();
  const dispatch = useAppDispatch();
  const problem = error ? problemOf(error) : undefined;
  const at = (path: string) => problem?.fields.find((field) => field.path === path)?.message;
  const store = async () => {
    const clearance = {
      id,
      restrictionId: restriction.id,
      ...form,
      note: form.note.trim() || null,
      allows: PHASES.filter((phase) => allows.includes(phase)),
    };
    const answer = await enter({ crewId, clearance });
    if (!answer.data) return;
    dispatch(notify({ text: t("{{name}} is cleared until {{until}}.", { name, until: wholeDayText(form.until) }) }));
    onClose();
  };
  const field = (key: keyof typeof form, label: string, type = "text") => (
    <TextField
      label={label}
      type={type}
      value={form[key]}
      onChange={(event) => setForm({ ...form, [key]: event.target.value })}
      error={!!at(key)}
      helperText={at(key)}
      slotProps={{ inputLabel: type === "date" ? { shrink: true } : {} }}
    />
  );
  return (
    <Dialog open onClose={onClose} aria-labelledby="clearance-title" fullWidth maxWidth="sm">
      <DialogTitle id="clearance-title">{t("Clearance for {{name}}", { name })}</DialogTitle>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void store();
        }}
      >
        <DialogContent sx={{ display: "grid", gap: 2 }}>
          <Typography>
            {t("{{short}}. Enter what the clinician said in writing; the clearance runs out by itself after its last day.", {
              short: words.safety(restriction.question).short,
            })}
          </Typography>
          <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, gap: 2 }}>
            {field("givenBy", t("Name of the clinician"))}
            {field("profession", t("Profession"))}
            {field("from", t("First day"), "date")}
            {field("until", t("Last day"), "date")}
          </Box>
          <Box>
            <Typography sx={{ mb: 1 }}>{t("Cleared for")}</Typography>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
              {PHASES.map((phase) => (
                <Toggle
                  key={phase}
                  label={words.label("phase", phase)}
                  pressed={allows.includes(phase)}
                  onChange={(on) => setAllows(on ? [...allows, phase] : allows.filter((each) => each !== phase))}
                />
              ))}
            </Box>
            {at("allows") && <Typography sx={{ color: "error.main", mt: 0.5 }}>{at("allows")}</Typography>}
          </Box>
          {field("note", t("Note"))}
          {problem && problem.fields.length === 0 && (
            <Typography role="alert" sx={{ color: "error.main" }}>
              {problem.message}
            </Typography>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>{t("Cancel")}</Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t("Enter the clearance")}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
