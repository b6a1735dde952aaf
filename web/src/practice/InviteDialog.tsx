/** Inviting a trainer, a crew lead or an employer contact: who, as what, for which crews; then the address that is passed on. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import { STAFF_ROLES, type CrewListEntry, type NewStaffInvitation } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import { practiceApi } from "./api";
import { InvitationAddress } from "./InvitationAddress";
import { ROLE_NAMES } from "./role-names";
import { WholeProblem } from "../parts/WholeProblem";

const SEES: Readonly<Record<NewStaffInvitation["role"], string>> = {
  trainer: t("Has crews of their own, and those that are shared with them."),
  lead: t("Leads runs; sees names and forms, no health answers."),
  employer: t("Sees crew figures of at least five people, never a person."),
};

export function InviteDialog({ crews, onClose }: { crews: readonly CrewListEntry[]; onClose(): void }) {
  const [invite, { isLoading, error, data }] = practiceApi.useInviteStaffMutation();
  // One id for as long as it is open: pressing twice is one invitation.
  const [id] = useState(() => uuid());
  const [role, setRole] = useState<NewStaffInvitation["role"]>("lead");
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [crewIds, setCrewIds] = useState<string[]>([]);
  const problem = error ? problemOf(error) : undefined;
  const field = (path: string) => problem?.fields.find((each) => each.path === path)?.message;
  if (data)
    return (
      <Dialog open onClose={onClose} aria-labelledby="address-title" fullWidth maxWidth="sm">
        <DialogTitle id="address-title">{t("{{name}} is invited", { name })}</DialogTitle>
        <DialogContent>
          <InvitationAddress made={data} email={email} />
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={onClose}>
            {t("Done")}
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <Dialog open onClose={onClose} aria-labelledby="invite-title" fullWidth maxWidth="sm">
      <DialogTitle id="invite-title">{t("Invite somebody")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Box>
          <Choice<NewStaffInvitation["role"]>
            label={t("Role")}
            value={role}
            onChange={setRole}
            options={STAFF_ROLES.map((value) => ({ value, label: ROLE_NAMES[value] }))}
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
          helperText={field("email") ?? t("They sign in with it.")}
        />
        {role !== "trainer" && (
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
            {crews.length === 0 && <Typography>{t("There is no crew of yours yet: make one first.")}</Typography>}
            {field("crewIds") && <Typography sx={{ color: "error.main" }}>{field("crewIds")}</Typography>}
          </Box>
        )}
        <WholeProblem problem={problem} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button
          variant="contained"
          disabled={isLoading}
          onClick={() => void invite({ id, name, email, role, crewIds: role === "trainer" ? [] : crewIds })}
        >
          {t("Invite")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
