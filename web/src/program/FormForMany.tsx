/** One form of an item for several people at once: who, which, one step of undo. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { Movement } from "@kind-grip/core/library";
import type { Participations } from "@kind-grip/core/safety";
import type { Item } from "@kind-grip/core/session";
import type { PersonEntry } from "@kind-grip/core/api";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { EVERYBODY, filterPeople } from "../crew/people-filter";
import { Toggle } from "../parts/Toggle";

interface FormForManyProps {
  item: Item;
  movement: Movement;
  /** Who may do the item. */
  people: PersonEntry[];
  participations: Participations;
  /** Begun with. */
  formId: string;
  onSet(personIds: readonly string[], formId: string): void;
  onClose(): void;
}

/** More people than these are looked through. */
const SEARCHED_FROM = 12;

export function FormForMany({ item, movement, people, participations, formId: suggested, onSet, onClose }: FormForManyProps) {
  const words = useWords();
  const [formId, setFormId] = useState(suggested);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [text, setText] = useState("");
  const shown = filterPeople(people, { ...EVERYBODY, text }, participations);
  const allShown = shown.length > 0 && shown.every(({ id }) => chosen.has(id));
  const choose = (ids: readonly string[], on: boolean) =>
    setChosen(new Set(on ? [...chosen, ...ids] : [...chosen].filter((id) => !ids.includes(id))));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="form-for-many">
      <DialogTitle id="form-for-many">{t("{{movement}}: a form for several", { movement: words.movementName(movement.id) })}</DialogTitle>
      <DialogContent>
        <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "end", mt: 1, mb: 2 }}>
          <TextField select label={t("Form")} value={formId} onChange={(event) => setFormId(event.target.value)} sx={{ width: 240 }}>
            {movement.forms.map((form) => (
              <MenuItem key={form.id} value={form.id}>
                {words.formName(movement.id, form.id)}
              </MenuItem>
            ))}
          </TextField>
          {people.length > SEARCHED_FROM && (
            <TextField
              type="search"
              placeholder={t("Name or badge")}
              value={text}
              onChange={(event) => setText(event.target.value)}
              slotProps={{ htmlInput: { "aria-label": t("Find a person") } }}
              sx={{ width: 220 }}
            />
          )}
          <Button
            variant="outlined"
            disabled={shown.length === 0}
            onClick={() =>
              choose(
                shown.map(({ id }) => id),
                !allShown,
              )
            }
          >
            {allShown ? t("Nobody of these") : t("All {{count}}", { count: shown.length })}
          </Button>
        </Box>
        {shown.length === 0 && <Typography>{t("Nobody is like that.")}</Typography>}
        <Box role="group" aria-label={t("Who does it")} sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
          {shown.map(({ id, name }) => {
            const own = item.personal[id];
            return (
              <Toggle
                key={id}
                label={own ? t("{{name}} · {{form}}", { name, form: words.formName(movement.id, own.formId) }) : name}
                pressed={chosen.has(id)}
                onChange={(on) => choose([id], on)}
              />
            );
          })}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Cancel")}</Button>
        <Button
          variant="contained"
          disabled={chosen.size === 0}
          onClick={() => {
            onSet([...chosen], formId);
            onClose();
          }}
        >
          {t("Set for {{count}}", { count: chosen.size })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
