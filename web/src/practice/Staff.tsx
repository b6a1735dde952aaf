/** Crew leads and employer contacts: who signs in, for which crews; the first password is shown once. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { GIVEN_ROLES, type CrewListEntry, type NewStaff, type StaffEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { practiceApi } from "./api";
import { crewApi } from "../crew/api";
import { problemOf } from "../base/api";
import { Choice } from "../parts/Choice";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";

const ROLE: Readonly<Record<StaffEntry["role"], string>> = { trainer: t("Trainer"), lead: t("Crew lead"), employer: t("Employer contact") };
const SEES: Readonly<Record<NewStaff["role"], string>> = {
  lead: t("Leads runs; sees names and forms, no health answers."),
  employer: t("Sees crew figures of at least five people, never a person."),
};

export function Staff() {
  const staff = practiceApi.useStaffQuery();
  const crews = crewApi.useCrewsQuery();
  const [adding, setAdding] = useState(false);
  return (
    <Box component="section" aria-label={t("Staff")}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t("Staff")}
        </Typography>
        <Button variant="outlined" startIcon={<Plus size={20} />} onClick={() => setAdding(true)}>
          {t("Give somebody a sign-in")}
        </Button>
      </Box>
      <Loaded query={staff}>
        {(list) => (
          <Loaded query={crews}>{(all) => list.map((person) => <Person key={person.id} person={person} crews={ownOf(all)} />)}</Loaded>
        )}
      </Loaded>
      {adding && <AddDialog crews={ownOf(crews.data ?? [])} onClose={() => setAdding(false)} />}
    </Box>
  );
}

/** A colleague's crew is given by that colleague. */
const ownOf = (crews: readonly CrewListEntry[]) => crews.filter(({ sharedBy }) => sharedBy === null);

function Person({ person, crews }: { person: StaffEntry; crews: readonly CrewListEntry[] }) {
  const [change] = practiceApi.useChangeStaffMutation();
  const [remove] = practiceApi.useRemoveStaffMutation();
  const [asking, setAsking] = useState(false);
  return (
    <Box sx={{ borderTop: "1px solid", borderColor: "line", py: 1.25 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
        <Typography sx={{ flex: 1, minWidth: 220 }}>
          <strong>{person.name}</strong> · {ROLE[person.role]}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {" "}
            {person.email}
          </Box>
        </Typography>
        {person.role !== "trainer" && <Button onClick={() => setAsking(true)}>{t("End sign-in")}</Button>}
      </Box>
      {person.role !== "trainer" && (
        <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.75 }}>
          {crews.map(({ id, name }) => (
            <Toggle
              key={id}
              label={name}
              pressed={person.crewIds.includes(id)}
              onChange={(on) =>
                void change({ id: person.id, crewIds: on ? [...person.crewIds, id] : person.crewIds.filter((each) => each !== id) })
              }
            />
          ))}
        </Box>
      )}
      <ConfirmDialog
        open={asking}
        title={t("End the sign-in of {{name}}?", { name: person.name })}
        confirm={t("End it")}
        onConfirm={() => void remove(person.id)}
        onClose={() => setAsking(false)}
      >
        {t("They are signed out at once. What they led stays in the record.")}
      </ConfirmDialog>
    </Box>
  );
}

function AddDialog({ crews, onClose }: { crews: readonly CrewListEntry[]; onClose(): void }) {
  const [add, { isLoading, error, data }] = practiceApi.useAddStaffMutation();
  const [id] = useState(() => uuid());
  const [role, setRole] = useState<NewStaff["role"]>("lead");
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [crewIds, setCrewIds] = useState<string[]>([]);
  const problem = error ? problemOf(error) : undefined;
  const field = (path: string) => problem?.fields.find((each) => each.path === path)?.message;
  if (data)
    return (
      <Dialog open onClose={onClose} aria-labelledby="password-title">
        <DialogTitle id="password-title">{t("{{name}} can sign in", { name })}</DialogTitle>
        <DialogContent>
          <Typography>{t("With {{email}} and this first password, shown only now:", { email })}</Typography>
          <Typography component="p" sx={{ fontSize: "1.8rem", fontWeight: 700, my: 1, userSelect: "all" }}>
            {data.password}
          </Typography>
          <Typography sx={{ color: "text.secondary" }}>{t("They change it after signing in.")}</Typography>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={onClose}>
            {t("Done")}
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="staff-title" fullWidth maxWidth="sm">
      <DialogTitle id="staff-title">{t("Give somebody a sign-in")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Box>
          <Choice<NewStaff["role"]>
            label={t("Role")}
            value={role}
            onChange={setRole}
            options={GIVEN_ROLES.map((value) => ({ value, label: ROLE[value] }))}
          />
          <Typography sx={{ mt: 1, color: "text.secondary" }}>{SEES[role]}</Typography>
        </Box>
        <TextField
          label={t("Name")}
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={!!field("name")}
          helperText={field("name")}
        />
        <TextField
          label={t("E-mail")}
          type="email"
          value={email}
          onChange={(event) => setEmail(event.target.value)}
          error={!!field("email")}
          helperText={field("email")}
        />
        <Box>
          <Typography sx={{ mb: 0.5 }}>{t("Crews")}</Typography>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
            {crews.map((crew) => (
              <Toggle
                key={crew.id}
                label={crew.name}
                pressed={crewIds.includes(crew.id)}
                onChange={(on) => setCrewIds(on ? [...crewIds, crew.id] : crewIds.filter((each) => each !== crew.id))}
              />
            ))}
          </Box>
          {field("crewIds") && <Typography sx={{ color: "error.main" }}>{field("crewIds")}</Typography>}
        </Box>
        {problem && problem.fields.length === 0 && (
          <Alert severity="error" variant="outlined">
            {problem.message}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={isLoading} onClick={() => void add({ id, name, email, role, crewIds })}>
          {t("Make the sign-in")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
