/** Who does another form of the chosen item, and whether with a smaller dose. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Ban, Plus, Users, X } from "lucide-react";
import { useState } from "react";
import { easierForm, rungOf, type Movement } from "@kind-grip/core/library";
import { refusalOf, type Participations } from "@kind-grip/core/safety";
import { compilePerson, groupWaits, setPersonalForm, type Item, type PersonalForm, type Session } from "@kind-grip/core/session";
import { spanText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { PersonEntry } from "@kind-grip/core/api";
import { Stepper } from "../parts/Stepper";
import { countOf, lengthOf } from "./dose-edit";
import { FormForMany } from "./FormForMany";
import { useEdit } from "./program-editor";

export function PersonalForms({
  session,
  item,
  movement,
  people: everybody,
  participations,
}: {
  session: Session;
  item: Item;
  movement: Movement;
  /** Nobody who is held out of everything. */
  people: PersonEntry[];
  participations: Participations;
}) {
  const library = useLibrary();
  const words = useWords();
  const { changeSession } = useEdit();
  const [adding, setAdding] = useState(false);
  const [many, setMany] = useState(false);
  const leavesOut = (person: PersonEntry) => {
    const participation = participations.get(person.id);
    return participation !== undefined && refusalOf(library, participation, movement.id) !== null;
  };
  const people = everybody.filter((person) => !leavesOut(person));
  const out = everybody.filter(leavesOut);
  const set = (personId: string, own: PersonalForm | undefined, gesture?: string) =>
    changeSession(setPersonalForm(session, item.id, personId, own), gesture);
  const withOwn = people.filter((person) => item.personal[person.id]);
  const others = people.filter((person) => !item.personal[person.id]);
  const suggested = easierForm(movement, item.formId) ?? movement.forms.find((form) => form.id !== item.formId)!;
  const one: Session = { ...session, items: [item] };
  const itemSec = compilePerson(one, library.timings).totalSec;
  const waits = groupWaits(
    one,
    library.timings,
    people.map((person) => person.id),
  );
  const groupWait = Math.max(0, ...people.filter((person) => !item.personal[person.id]).map((person) => waits.get(person.id) ?? 0));

  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {withOwn.map((person) => {
        const own = item.personal[person.id]!;
        const dose = own.dose ?? item.dose;
        const rung = rungOf(movement, own.formId) - rungOf(movement, item.formId);
        const ownSec = compilePerson(one, library.timings, person.id).totalSec;
        return (
          <Box key={person.id} sx={{ display: "flex", gap: 1.5, alignItems: "end", flexWrap: "wrap" }}>
            <Typography sx={{ width: 148, fontWeight: 700, pb: 1.25 }}>{person.name}</Typography>
            <TextField
              select
              label={rung < 0 ? t("Easier form") : rung > 0 ? t("Harder form") : t("Same form")}
              value={own.formId}
              onChange={(event) => set(person.id, { ...own, formId: event.target.value })}
              sx={{ width: 216 }}
            >
              {movement.forms.map((form) => (
                <MenuItem key={form.id} value={form.id}>
                  {words.formName(movement.id, form.id)}
                </MenuItem>
              ))}
            </TextField>
            {[countOf(dose), lengthOf(dose)].map((number) => (
              <Stepper
                key={number.key}
                label={number.label}
                unit={number.unit}
                value={number.value}
                min={number.min}
                max={number.max}
                step={number.step}
                onChange={(value) => set(person.id, { ...own, dose: number.set(value) }, `own ${person.id} ${number.key}`)}
              />
            ))}
            <Typography sx={{ color: "text.secondary", pb: 1.25 }}>
              {ownSec === itemSec
                ? t("same time")
                : ownSec > itemSec
                  ? t("{{ownSec}} longer", { ownSec: spanText(ownSec - itemSec) })
                  : t("{{itemSec}} shorter", { itemSec: spanText(itemSec - ownSec) })}
            </Typography>
            <IconButton
              aria-label={t("{{name}} does the same as everybody", { name: person.name })}
              onClick={() => set(person.id, undefined)}
            >
              <X size={20} />
            </IconButton>
          </Box>
        );
      })}
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        {adding ? (
          <TextField
            select
            label={t("Who")}
            value=""
            autoFocus
            onChange={(event) => {
              set(event.target.value, { formId: suggested.id });
              setAdding(false);
            }}
            onBlur={() => setAdding(false)}
            sx={{ width: 260 }}
            slotProps={{ select: { defaultOpen: true } }}
          >
            {others.map((person) => (
              <MenuItem key={person.id} value={person.id}>
                {person.name}
              </MenuItem>
            ))}
          </TextField>
        ) : (
          others.length > 0 && (
            <Button startIcon={<Plus size={18} />} onClick={() => setAdding(true)}>
              {easierForm(movement, item.formId) ? t("Somebody does an easier form") : t("Somebody does another form")}
            </Button>
          )
        )}
        {people.length > 1 && movement.forms.length > 1 && (
          <Button startIcon={<Users size={18} />} onClick={() => setMany(true)}>
            {t("Several at once")}
          </Button>
        )}
        {out.length > 0 && (
          <Typography sx={{ color: "error.main", display: "inline-flex", alignItems: "center", gap: 0.75 }}>
            <Ban size={18} aria-hidden /> {t("Held out of this item: {{out}}", { out: out.map(({ name }) => name).join(", ") })}
          </Typography>
        )}
        {groupWait > 0 && (
          <Typography sx={{ color: "warm.dark" }}>
            {t("The group waits {{groupWait}} here for its slowest form.", { groupWait: spanText(groupWait) })}
          </Typography>
        )}
      </Box>
      {many && (
        <FormForMany
          item={item}
          movement={movement}
          people={people}
          participations={participations}
          formId={suggested.id}
          onSet={(personIds, formId) =>
            changeSession(
              // Who has the item's own form, and neither a dose nor a load of their own, does what everybody does.
              personIds.reduce((now, personId) => setPersonalForm(now, item.id, personId, { ...item.personal[personId], formId }), session),
            )
          }
          onClose={() => setMany(false)}
        />
      )}
    </Box>
  );
}
