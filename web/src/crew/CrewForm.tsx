/** The crew's facts on one page: who and where, how they can move, how long, which shifts. */
import { valibotResolver } from "@hookform/resolvers/valibot";
import { Alert, Autocomplete, Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { isEqual } from "es-toolkit";
import { Plus, Trash2 } from "lucide-react";
import { type ReactNode, useMemo } from "react";
import { Controller, useFieldArray, useForm, useWatch } from "react-hook-form";
import * as v from "valibot";
import { CONDITIONS, Crew } from "@kind-grip/core/crew";
import { SLOT_KINDS } from "@kind-grip/core/session";
import { KIT_KINDS, SETTINGS } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { FIELD_UNITS } from "../base/measures";
import { AmountField } from "../parts/AmountField";
import { CrewLanguage } from "./CrewLanguage";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { useFilledFrom } from "../parts/use-filled-from";
import type { ProblemBody } from "../base/api";
import { ShiftPatternFields } from "./ShiftPatternFields";

const CONDITION_NAMES: Record<(typeof CONDITIONS)[number], string> = {
  gloves: t("Gloves on"),
  shoes: t("Work shoes on"),
  wet: t("Wet"),
  cold: t("Cold"),
  noChairs: t("No chairs"),
};

interface CrewVersion {
  version: number;
  crew: Crew;
}

interface CrewFormProps {
  /** What the fields begin with, and follow until something is typed. */
  from: CrewVersion;
  submitLabel: string;
  busy: boolean;
  problem?: ProblemBody;
  onSubmit(crew: Crew, filledFrom: CrewVersion): void;
  extra?: ReactNode;
}

export function CrewForm({ from, submitLabel, busy, problem, onSubmit, extra }: CrewFormProps) {
  const words = useWords();
  const zones = useMemo(() => ["UTC", ...Intl.supportedValuesOf("timeZone")], []);
  const form = useForm<Crew>({ resolver: valibotResolver(Crew), defaultValues: from.crew });
  const { register, control, handleSubmit, setValue, formState } = form;
  const filledFrom = useFilledFrom(from, {
    isAsIn: ({ crew }) => isEqual(v.safeParse(Crew, form.getValues()).output, v.parse(Crew, crew)),
    fill: ({ crew }) => form.reset(crew),
  });
  const kit = useFieldArray({ control, name: "kit" });
  const { errors } = formState;
  const settings = useWatch({ control, name: "settings" });
  const conditions = useWatch({ control, name: "conditions" });
  const byBookings = useWatch({ control, name: "byBookings" });
  const toggled = <T,>(list: readonly T[], value: T, on: boolean) => (on ? [...list, value] : list.filter((each) => each !== value));
  const serverMessage = (path: string) => problem?.fields.find((field) => field.path === `crew.${path}`)?.message;

  return (
    <Box
      component="form"
      noValidate
      onSubmit={handleSubmit((crew) => onSubmit(crew, filledFrom))}
      sx={{ maxWidth: 920, display: "grid", gap: 4 }}
    >
      {problem && (
        <Alert severity="error" variant="outlined">
          {problem.message} {problem.fields.map((field) => `${field.path.replace("crew.", "")} ${field.message}.`).join(" ")}
        </Alert>
      )}
      <Part title={t("Who and where")}>
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, gap: 2 }}>
          {(["name", "trade", "place"] as const).map((field) => (
            <TextField
              key={field}
              label={{ name: t("Name of the crew"), trade: t("Trade"), place: t("Place") }[field]}
              {...register(field)}
              error={!!errors[field] || !!serverMessage(field)}
              helperText={errors[field]?.message ?? serverMessage(field)}
            />
          ))}
          <Controller
            control={control}
            name="timeZone"
            render={({ field, fieldState }) => (
              <Autocomplete
                options={zones}
                value={field.value}
                disableClearable
                onChange={(_, zone) => field.onChange(zone)}
                renderInput={(props) => (
                  <TextField {...props} label={t("Time zone")} error={!!fieldState.error} helperText={fieldState.error?.message} />
                )}
              />
            )}
          />
        </Box>
      </Part>

      <Part
        title={t("What they read")}
        text={t("Phone, hand-outs, reminders, the run screen and its voice; each person may have another one.")}
      >
        <Controller
          control={control}
          name="language"
          render={({ field }) => (
            <CrewLanguage label={t("Language of the crew")} value={field.value} none={t("as the practice")} onChange={field.onChange} />
          )}
        />
      </Part>

      <Part title={t("How they can move")} text={t("Decides which movements of the library fit.")}>
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }} role="group" aria-label={t("Surroundings")}>
          {SETTINGS.filter((setting) => setting !== "any" && setting !== "home").map((setting) => (
            <Toggle
              key={setting}
              label={words.label("setting", setting)}
              pressed={settings.includes(setting)}
              onChange={(on) => setValue("settings", toggled(settings, setting, on), { shouldDirty: true })}
            />
          ))}
          {CONDITIONS.map((condition) => (
            <Toggle
              key={condition}
              label={CONDITION_NAMES[condition]}
              pressed={conditions.includes(condition)}
              onChange={(on) => setValue("conditions", toggled(conditions, condition, on), { shouldDirty: true })}
            />
          ))}
        </Box>
        <Box>
          <Typography sx={{ fontWeight: 700, mb: 1 }}>{t("Kit at hand")}</Typography>
          {kit.fields.map((entry, i) => (
            <Box
              key={entry.id}
              sx={{
                display: "grid",
                gridTemplateColumns: {
                  xs: "minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 0.8fr) 44px",
                  sm: "minmax(130px,220px) 130px 110px 44px",
                },
                gap: 1,
                mb: 1,
              }}
            >
              <TextField select label={t("Kind")} {...register(`kit.${i}.kind`)} defaultValue={entry.kind}>
                {KIT_KINDS.map((kind) => (
                  <MenuItem key={kind} value={kind}>
                    {words.label("kit", kind)}
                  </MenuItem>
                ))}
              </TextField>
              <Controller
                control={control}
                name={`kit.${i}.massKg`}
                render={({ field }) => (
                  <AmountField
                    label={t("{{unit}} each", { unit: FIELD_UNITS.mass.unit })}
                    quantity="mass"
                    value={field.value}
                    onChange={field.onChange}
                    problem={errors.kit?.[i]?.massKg?.message}
                  />
                )}
              />
              <TextField
                label={t("Count")}
                {...register(`kit.${i}.count`, { valueAsNumber: true })}
                error={!!errors.kit?.[i]?.count}
                helperText={errors.kit?.[i]?.count?.message}
              />
              <IconButton aria-label={t("Remove kit line {{i}}", { i: i + 1 })} onClick={() => kit.remove(i)}>
                <Trash2 size={20} />
              </IconButton>
            </Box>
          ))}
          <Button startIcon={<Plus size={18} />} onClick={() => kit.append({ kind: "dumbbell", massKg: 1, count: 4 })}>
            {t("Add kit")}
          </Button>
        </Box>
      </Part>

      <Part title={t("How long, how many")} text={t("The slots sessions are measured against.")}>
        <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
          {SLOT_KINDS.map((slot) => (
            <Controller
              key={slot}
              control={control}
              name={`slots.${slot}`}
              render={({ field }) => (
                <Stepper
                  label={words.label("slot", slot)}
                  unit={t("min")}
                  value={field.value / 60}
                  min={1}
                  max={60}
                  step={0.5}
                  onChange={(minutes) => field.onChange(minutes * 60)}
                />
              )}
            />
          ))}
          <Controller
            control={control}
            name="mostOffJob"
            render={({ field }) => (
              <Stepper label={t("Most off the job at once")} value={field.value} min={1} max={500} onChange={field.onChange} />
            )}
          />
        </Box>
      </Part>

      <Part
        title={byBookings ? t("Opening hours") : t("Shifts")}
        text={
          byBookings
            ? t("When the place is open. What is worked when is told by the bookings.")
            : t("A shift belongs to the day it starts on, also across midnight.")
        }
      >
        <Controller
          control={control}
          name="byBookings"
          render={({ field }) => (
            <Box>
              <Choice
                label={t("What days are made of")}
                value={field.value ? "bookings" : "shifts"}
                onChange={(value) => field.onChange(value === "bookings")}
                options={[
                  { value: "shifts", label: t("Shifts with breaks") },
                  { value: "bookings", label: t("Bookings, one after the other") },
                ]}
              />
            </Box>
          )}
        />
        <Controller
          control={control}
          name="shiftPattern"
          render={({ field }) => (
            <ShiftPatternFields value={field.value} onChange={field.onChange} problem={deepMessage(errors.shiftPattern)} />
          )}
        />
      </Part>

      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? t("Saving …") : submitLabel}
        </Button>
        {Object.keys(errors).length > 0 && <Typography color="error">{t("Some fields need another look.")}</Typography>}
        <Box sx={{ ml: "auto" }}>{extra}</Box>
      </Box>
    </Box>
  );
}

function Part({ title, text, children }: { title: string; text?: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 2, borderTop: "2px solid", borderColor: "line", pt: 2 }}
    >
      <Box>
        <Typography variant="h2">{title}</Typography>
        {text && <Typography sx={{ color: "text.secondary" }}>{text}</Typography>}
      </Box>
      {children}
    </Box>
  );
}

/** The first message anywhere below a nested field. */
function deepMessage(errors: unknown): string | undefined {
  if (!errors || typeof errors !== "object") return undefined;
  if ("message" in errors && typeof errors.message === "string") return errors.message;
  for (const value of Object.values(errors)) {
    const found = deepMessage(value);
    if (found) return found;
  }
  return undefined;
}
