/** The chosen item: form, sides with what alternating saves, every number of its dose, and who does another form. */
import { Box, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { ArrowLeft, ArrowRight, Copy, Trash2, X } from "lucide-react";
import { Link } from "react-router";
import { rungOf } from "@kind-grip/core/library";
import { heldTorqueNm, toolIn, usualGripM } from "@kind-grip/core/program";
import {
  alternatingSaving,
  doseInForm,
  duplicateItem,
  heldIn,
  moveItem,
  removeItem,
  type Item,
  type Session,
  type Sides,
} from "@kind-grip/core/session";
import { v7 as uuid } from "uuid";
import type { Participations } from "@kind-grip/core/safety";
import { torqueText } from "../base/measures";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { PersonEntry } from "@kind-grip/core/api";
import { Choice } from "../parts/Choice";
import { QuantityStepper } from "../parts/QuantityStepper";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { numbersOf } from "./dose-edit";
import { PersonalForms } from "./PersonalForms";
import { useEdit } from "./program-editor";

const SIDE_LABELS: Record<Sides, string> = { together: t("Together"), inTurn: t("In turn"), alternating: t("Alternating") };

interface InspectorProps {
  session: Session;
  item: Item;
  people: PersonEntry[];
  participations: Participations;
}

export function Inspector({ session, item, people, participations }: InspectorProps) {
  const library = useLibrary();
  const words = useWords();
  const { changeItem, changeSession, chooseItem } = useEdit();
  const movement = library.find(item.movementId);
  if (!movement) return null;
  const index = session.items.findIndex((each) => each.id === item.id);
  const change = (part: Partial<Omit<Item, "id">>, gesture?: string) => changeItem(session, item.id, part, gesture);
  const setForm = (formId: string) =>
    // A load that no hand holds in the new form is put down, and not kept where nobody sees it.
    change({
      formId,
      dose: doseInForm(item.dose, library.timings.get(movement.id)?.get(formId)),
      ...heldIn({ ...item, formId }, library.timings),
    });
  const form = movement.forms[rungOf(movement, item.formId)];
  const takesLoad = (form?.kit ?? []).some(isWeight) || movement.kit.some(isWeight);
  const held = heldIn(item, library.timings);
  const tool = toolIn(movement, held);
  const gripM = tool?.kind === "lever" ? (held.gripM ?? usualGripM(movement, item.formId, tool)) : null;
  const torque = heldTorqueNm(movement, item.formId, held);
  const saving =
    movement.sideModes.includes("alternating") && movement.sideModes.includes("inTurn") ? alternatingSaving(item, library.timings) : 0;
  const note = (sides: Sides) =>
    sides === "alternating" && saving !== 0
      ? saving > 0
        ? t("saves {{saving}} s", { saving })
        : t("costs {{saving}} s", { saving: -saving })
      : undefined;

  return (
    <Box
      component="section"
      aria-label={t("Chosen item")}
      sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, mt: 0.5, display: "grid", gap: 1.75 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap" }}>
        <Typography variant="h2" sx={{ mr: 1 }}>
          {index + 1}.{" "}
          <Link to={`/library/${movement.id}`} style={{ color: "inherit" }}>
            {words.movementName(movement.id)}
          </Link>
        </Typography>
        <Typography sx={{ color: "text.secondary", mr: "auto" }}>
          {t("stay under {{effortCap}} of 10", { effortCap: movement.effortCap })}
        </Typography>
        <IconButton
          aria-label={t("Move earlier")}
          disabled={index === 0}
          onClick={() => changeSession(moveItem(session, item.id, index - 1))}
        >
          <ArrowLeft size={20} />
        </IconButton>
        <IconButton
          aria-label={t("Move later")}
          disabled={index === session.items.length - 1}
          onClick={() => changeSession(moveItem(session, item.id, index + 1))}
        >
          <ArrowRight size={20} />
        </IconButton>
        <IconButton aria-label={t("Double the item")} onClick={() => changeSession(duplicateItem(session, item.id, uuid()))}>
          <Copy size={19} />
        </IconButton>
        <IconButton
          aria-label={t("Take the item out")}
          onClick={() => {
            chooseItem((session.items[index + 1] ?? session.items[index - 1])?.id ?? null);
            changeSession(removeItem(session, item.id));
          }}
        >
          <Trash2 size={19} />
        </IconButton>
        <IconButton aria-label={t("Close the item")} onClick={() => chooseItem(null)}>
          <X size={20} />
        </IconButton>
      </Box>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "end" }}>
        {numbersOf(item.dose).map((number) => (
          <Stepper
            key={number.key}
            label={number.label}
            unit={number.unit}
            value={number.value}
            min={number.min}
            max={number.max}
            step={number.step}
            onChange={(value) => change({ dose: number.set(value) }, `step ${item.id} ${number.key}`)}
          />
        ))}
        {takesLoad && (
          <QuantityStepper
            label={t("Load in each hand")}
            quantity="mass"
            value={item.loadKg ?? 0}
            min={0}
            max={40}
            step={0.5}
            onChange={(kg) => change({ loadKg: kg === 0 ? null : kg, tool: null, gripM: null }, `step ${item.id} load`)}
          />
        )}
        {gripM !== null && (
          <QuantityStepper
            label={t("Hand at")}
            quantity="length"
            value={gripM}
            min={0.04}
            max={1.16}
            step={0.5}
            onChange={(metres) => change({ gripM: metres }, `step ${item.id} grip`)}
          />
        )}
        {torque > 0 && <Typography sx={{ color: "text.secondary" }}>{torqueText(torque)}</Typography>}
      </Box>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center" }}>
        {movement.forms.length > 1 && (
          <TextField select label={t("Form")} value={item.formId} onChange={(event) => setForm(event.target.value)} sx={{ width: 250 }}>
            {movement.forms.map((each) => (
              <MenuItem key={each.id} value={each.id}>
                {words.formName(movement.id, each.id)}
              </MenuItem>
            ))}
          </TextField>
        )}
        {movement.sideModes.length > 1 && (
          <Choice<Sides>
            label={t("Sides")}
            value={item.sides}
            onChange={(sides) => change({ sides })}
            options={movement.sideModes.map((value) => ({ value, label: SIDE_LABELS[value], note: note(value) }))}
          />
        )}
        {item.sides !== "together" && (
          <Choice
            label={t("First side")}
            value={item.firstSide}
            onChange={(firstSide) => change({ firstSide })}
            options={[
              { value: "left", label: t("L first") },
              { value: "right", label: t("R first") },
            ]}
          />
        )}
        {index < session.items.length - 1 && (
          <Toggle
            label={t("Paired with the next")}
            pressed={item.pairedWithNext}
            onChange={(pairedWithNext) => change({ pairedWithNext })}
          />
        )}
      </Box>
      {movement.forms.length > 1 && people.length > 0 && (
        <PersonalForms session={session} item={item} movement={movement} people={people} participations={participations} />
      )}
    </Box>
  );
}

function isWeight(kind: string): boolean {
  return ["dumbbell", "bottle", "hammer", "plate"].includes(kind);
}
