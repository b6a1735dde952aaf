/** People of the practice: who signs in, for which crews, and who is invited. */
import { Box, Button, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { useState } from "react";
import type { CrewListEntry, StaffEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { useTellFailure } from "../base/tell-failure";
import { practiceApi } from "./api";
import { crewApi } from "../crew/api";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Loaded } from "../parts/Loaded";
import { Toggle } from "../parts/Toggle";
import { InviteDialog } from "./InviteDialog";
import { PendingInvitations } from "./PendingInvitations";
import { ROLE_NAMES } from "./role-names";

export function Staff() {
  const staff = practiceApi.useStaffQuery();
  const crews = crewApi.useCrewsQuery();
  const [inviting, setInviting] = useState(false);
  return (
    <Box component="section" aria-label={t("Staff")}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t("Staff")}
        </Typography>
        <Button variant="outlined" startIcon={<Plus size={20} />} onClick={() => setInviting(true)}>
          {t("Invite somebody")}
        </Button>
      </Box>
      <Loaded query={staff}>
        {(list) => (
          <Loaded query={crews}>{(all) => list.map((person) => <Person key={person.id} person={person} crews={ownOf(all)} />)}</Loaded>
        )}
      </Loaded>
      <PendingInvitations />
      {inviting && <InviteDialog crews={ownOf(crews.data ?? [])} onClose={() => setInviting(false)} />}
    </Box>
  );
}

/** A colleague's crew is given by that colleague. */
const ownOf = (crews: readonly CrewListEntry[]) => crews.filter(({ sharedBy }) => sharedBy === null);

function Person({ person, crews }: { person: StaffEntry; crews: readonly CrewListEntry[] }) {
  const [change] = practiceApi.useChangeStaffMutation();
  const told = useTellFailure();
  const [remove] = practiceApi.useRemoveStaffMutation();
  const [asking, setAsking] = useState(false);
  return (
    <Box sx={{ borderTop: "1px solid", borderColor: "line", py: 1.25 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
        <Typography sx={{ flex: 1, minWidth: 220 }}>
          <strong>{person.name}</strong> · {ROLE_NAMES[person.role]}
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
                void told(change({ id: person.id, crewIds: on ? [...person.crewIds, id] : person.crewIds.filter((each) => each !== id) }))
              }
            />
          ))}
        </Box>
      )}
      <ConfirmDialog
        open={asking}
        title={t("End the sign-in of {{name}}?", { name: person.name })}
        confirm={t("End it")}
        onConfirm={() => {
          setAsking(false);
          void told(remove(person.id));
        }}
        onClose={() => setAsking(false)}
      >
        {t("They are signed out at once. What they led stays in the record.")}
      </ConfirmDialog>
    </Box>
  );
}
