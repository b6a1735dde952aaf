/** One person: add, change, leave, come back. */
import { valibotResolver } from "@hookform/resolvers/valibot";
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { isEqual } from "es-toolkit";
import { useMemo } from "react";
import { Controller, useForm } from "react-hook-form";
import { hasLeft, Person } from "@kind-grip/core/crew";
import { v7 as uuid } from "uuid";
import type { PersonEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Choice } from "../parts/Choice";
import { CrewLanguage } from "./CrewLanguage";
import { useFilledFrom } from "../parts/use-filled-from";
import { personOf } from "./person-of";
import { changesText } from "./entered-text";
import { Excused } from "./Excused";
import { SamePeople, type SameAnswer, type SameQuestion } from "./SamePeople";
import { DateField } from "../parts/DateField";

interface PersonDialogProps {
  crewId: string;
  person: PersonEntry | null;
  today: string;
  onClose(): void;
}

const emptyToNull = (text: unknown) => (typeof text === "string" && text.trim() !== "" ? text : null);

/** How somebody new begins. */
const emptyPerson = (today: string): Person => ({
  name: "",
  badge: null,
  handedness: null,
  startedOn: today,
  leftOn: null,
  language: null,
});

export function PersonDialog({ crewId, person: newest, today, onClose }: PersonDialogProps) {
  const [add, adding] = crewApi.useKeepPeopleMutation();
  const [change, changing] = crewApi.useChangePersonMutation();
  const [remove, removing] = crewApi.useRemovePersonMutation();
  const dispatch = useAppDispatch();
  const newId = useMemo(() => uuid(), []);
  const { register, control, handleSubmit, formState, getValues, reset } = useForm<Person>({
    resolver: valibotResolver(Person),
    defaultValues: newest ? personOf(newest) : emptyPerson(today),
  });
  const person = useFilledFrom(newest, {
    isAsIn: (known) => known !== null && isEqual(getValues(), personOf(known)),
    fill: (known) => known && reset(personOf(known)),
  });
  const error = adding.error ?? changing.error ?? removing.error;
  const problem = error ? problemOf(error) : undefined;
  const message = (field: keyof Person) =>
    formState.errors[field]?.message ?? problem?.fields.find(({ path }) => path.endsWith(`.${field}`))?.message;

  const theirChanges = person && problem?.code === "stale" ? changesText(person, problem.detail as PersonEntry) : "";
  const asked = problem?.code === "similar" ? (problem.detail as SameQuestion[]) : undefined;
  const store = async (next: Person, done: string, answers: SameAnswer[] = []) => {
    if (!person) {
      const added = await add({ crewId, people: [{ id: newId, ...next }], answers });
      if (added.data) onClose();
      return;
    }
    // A newer version is overwritten only after its arrival was shown, and undo brings that one back.
    const before = problem?.code === "stale" ? (problem.detail as PersonEntry) : person;
    const changed = await change({ crewId, personId: person.id, version: before.version, person: next });
    if (!changed.data) return;
    dispatch(
      notify({
        text: done,
        undo: () => change({ crewId, personId: person.id, version: changed.data.version, person: personOf(before) }),
      }),
    );
    onClose();
  };
  const removePerson = async () => {
    const gone = await remove({ crewId, personId: person!.id });
    if ("error" in gone) return;
    dispatch(
      notify({
        text: t("{{name}} is removed.", { name: person!.name }),
        undo: () => add({ crewId, people: [{ id: person!.id, ...personOf(person!) }] }),
      }),
    );
    onClose();
  };
  const leaving = person && !hasLeft(person, today);

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="person-title">
      <Box component="form" noValidate onSubmit={handleSubmit((next) => store(next, t("{{name}} is saved.", { name: next.name })))}>
        <DialogTitle id="person-title">{person ? person.name : t("Add a person")}</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2, pt: "12px !important" }}>
          {asked && (
            <SamePeople
              questions={asked}
              busy={adding.isLoading}
              onAnswer={(answers) => void handleSubmit((next) => store(next, "", answers))()}
            />
          )}
          {problem && !asked && (
            <Alert severity="error" variant="outlined">
              {problem.code !== "stale"
                ? problem.message
                : theirChanges
                  ? t("Somebody else changed this person meanwhile: {{theirChanges}}. Saving again replaces their change.", {
                      theirChanges,
                    })
                  : t("Somebody else changed this person meanwhile, and back again. Saving again keeps yours.")}
            </Alert>
          )}
          <TextField label={t("Name")} autoFocus {...register("name")} error={!!message("name")} helperText={message("name")} />
          <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr" }, gap: 2 }}>
            <TextField
              label={t("Badge")}
              {...register("badge", { setValueAs: emptyToNull })}
              error={!!message("badge")}
              helperText={message("badge")}
            />
            <Box>
              <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{t("Main hand")}</Typography>
              <Controller
                control={control}
                name="handedness"
                render={({ field }) => (
                  <Choice
                    label={t("Main hand")}
                    value={field.value ?? "unknown"}
                    onChange={(hand) => field.onChange(hand === "unknown" ? null : hand)}
                    options={[
                      { value: "left", label: "L" },
                      { value: "right", label: "R" },
                      { value: "both", label: "LR" },
                      { value: "unknown", label: "?" },
                    ]}
                  />
                )}
              />
            </Box>
            {(["startedOn", "leftOn"] as const).map((day) => (
              <Controller
                key={day}
                control={control}
                name={day}
                render={({ field }) => (
                  <DateField
                    label={day === "startedOn" ? t("First day") : t("Last day")}
                    value={field.value ?? null}
                    onChange={field.onChange}
                    inForm
                    error={!!message(day)}
                    helperText={message(day)}
                  />
                )}
              />
            ))}
          </Box>
          <Controller
            control={control}
            name="language"
            render={({ field }) => (
              <CrewLanguage label={t("Reads and hears")} value={field.value} none={t("as the crew")} onChange={field.onChange} />
            )}
          />
          {person && (
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
              {leaving ? (
                <Button
                  variant="outlined"
                  onClick={() => void store({ ...personOf(person), leftOn: today }, t("{{name}} leaves today.", { name: person.name }))}
                >
                  {t("Leaves today")}
                </Button>
              ) : (
                <Button
                  variant="outlined"
                  onClick={() => void store({ ...personOf(person), leftOn: null }, t("{{name}} is back.", { name: person.name }))}
                >
                  {t("Comes back")}
                </Button>
              )}
              <Button color="error" onClick={() => void removePerson()}>
                {t("Added by mistake")}
              </Button>
            </Box>
          )}
          {person && <Excused crewId={crewId} personId={person.id} today={today} />}
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>{t("Cancel")}</Button>
          <Button type="submit" variant="contained" disabled={adding.isLoading || changing.isLoading}>
            {t("Save")}
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
