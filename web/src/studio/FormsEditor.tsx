/** The forms of a custom movement, easiest first: what somebody is eased to, and what they are raised to. */
import { Box, Button, FormControlLabel, IconButton, Radio, RadioGroup, TextField, Typography } from "@mui/material";
import { ListStart, Trash2 } from "lucide-react";
import type { CustomMovement, CustomProblem, Form } from "@kind-grip/core/library";
import { t } from "../base/words";

const MOST_FORMS = 6;

interface FormsEditorProps {
  custom: CustomMovement;
  /** Forms that are stored: programs may hold them, so they stay. */
  storedForms: readonly string[];
  problems: readonly CustomProblem[];
  onChange(what: string, custom: CustomMovement): void;
}

export function FormsEditor({ custom, storedForms, problems, onChange }: FormsEditorProps) {
  const { movement, words } = custom;
  const nameForm = (id: string, name: string) =>
    onChange(`form-${id}`, { ...custom, words: { ...words, forms: { ...words.forms, [id]: name } } });
  const add = () => {
    const id = freeId(movement.forms);
    const easier: Form = { id, extraReadySec: 0, extraSwitchSec: 0, kit: [], needsCleanWeek: false };
    onChange("", {
      ...custom,
      movement: { ...movement, forms: [easier, ...movement.forms] },
      words: { ...words, forms: { ...words.forms, [id]: "" } },
    });
  };
  const remove = (id: string) => {
    const forms = movement.forms.filter((form) => form.id !== id);
    const startForm = movement.startForm === id ? forms[0]!.id : movement.startForm;
    const { [id]: _, ...names } = words.forms;
    onChange("", { ...custom, movement: { ...movement, forms, startForm }, words: { ...words, forms: names } });
  };
  return (
    <Box component="section" aria-label={t("Forms")}>
      <Typography variant="h3">{t("Forms, easiest first")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 1 }}>
        {t("What somebody is eased to, and what they come to. New items start with the one that is marked.")}
      </Typography>
      <RadioGroup
        aria-label={t("Form that new items start with")}
        value={movement.startForm}
        onChange={(_, startForm) => onChange("", { ...custom, movement: { ...movement, startForm } })}
        sx={{ display: "grid", gap: 1 }}
      >
        {movement.forms.map(({ id }, i) => {
          const problem = problems.find(({ path }) => path === `words.forms.${id}`)?.message;
          return (
            <Box key={id} sx={{ display: "flex", alignItems: "start", gap: 1 }}>
              <TextField
                label={t("Form {{i}}", { i: i + 1 })}
                value={words.forms[id] ?? ""}
                onChange={(event) => nameForm(id, event.target.value)}
                error={problem !== undefined}
                helperText={problem}
                slotProps={{ htmlInput: { maxLength: 160 } }}
              />
              <FormControlLabel value={id} control={<Radio />} label={t("Start")} sx={{ mr: 0 }} />
              <IconButton
                aria-label={t("Take form {{i}} out", { i: i + 1 })}
                disabled={movement.forms.length === 1 || storedForms.includes(id)}
                onClick={() => remove(id)}
              >
                <Trash2 size={20} />
              </IconButton>
            </Box>
          );
        })}
      </RadioGroup>
      <Button startIcon={<ListStart size={20} />} onClick={add} disabled={movement.forms.length >= MOST_FORMS} sx={{ mt: 1 }}>
        {t("Add an easier form")}
      </Button>
    </Box>
  );
}

function freeId(forms: readonly Form[]): string {
  for (let n = forms.length + 1; ; n++) if (!forms.some(({ id }) => id === `form-${n}`)) return `form-${n}`;
}
