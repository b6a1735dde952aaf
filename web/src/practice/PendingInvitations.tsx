/** Who is invited and has not accepted yet; one's own can be sent anew and taken back. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { useState } from "react";
import type { MadeInvitation, StaffInvitation } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { useTellFailure } from "../base/tell-failure";
import { practiceApi } from "./api";
import { InvitationAddress } from "./InvitationAddress";
import { ROLE_NAMES } from "./role-names";

export function PendingInvitations() {
  const { data: invitations = [] } = practiceApi.useStaffInvitationsQuery();
  const [renewed, setRenewed] = useState<{ made: MadeInvitation; of: StaffInvitation } | null>(null);
  return (
    <>
      {invitations.map((invitation) => (
        <Pending key={invitation.id} invitation={invitation} onRenewed={(made) => setRenewed({ made, of: invitation })} />
      ))}
      {renewed && (
        <Dialog open onClose={() => setRenewed(null)} aria-labelledby="renewed-title" fullWidth maxWidth="sm">
          <DialogTitle id="renewed-title">{t("A new address for {{name}}", { name: renewed.of.name })}</DialogTitle>
          <DialogContent>
            <InvitationAddress made={renewed.made} email={renewed.of.email} />
          </DialogContent>
          <DialogActions>
            <Button variant="contained" onClick={() => setRenewed(null)}>
              {t("Done")}
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  );
}

function Pending({ invitation, onRenewed }: { invitation: StaffInvitation; onRenewed(made: MadeInvitation): void }) {
  const { id, name, email, role, crewIds, by, own, until, expired } = invitation;
  const [invite, { isLoading }] = practiceApi.useInviteStaffMutation();
  const told = useTellFailure();
  const [withdraw] = practiceApi.useWithdrawInvitationMutation();
  const dispatch = useAppDispatch();
  const renew = async () => {
    const { data, error } = await invite({ id, name, email, role, crewIds });
    if (data) onRenewed(data);
    else dispatch(notify({ text: error ? (problemOf(error).fields[0]?.message ?? problemOf(error).message) : "" }));
  };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap", borderTop: "1px solid", borderColor: "line", py: 1 }}>
      <Typography sx={{ flex: 1, minWidth: 220 }}>
        <strong>{name}</strong> · {ROLE_NAMES[role]}
        <Box component="span" sx={{ color: "text.secondary" }}>
          {" "}
          {email},{" "}
        </Box>
        <Box component="span" sx={{ color: expired ? "error.main" : "warm.dark", fontWeight: 600 }}>
          {expired
            ? t("invitation of {{by}} ran out", { by: by || t("whoever runs this server") })
            : t("invited by {{by}}, until {{day}}", {
                by: by || t("whoever runs this server"),
                day: dateText(DateTime.fromISO(until), "d LLLL"),
              })}
        </Box>
      </Typography>
      {own && (
        <>
          <Button disabled={isLoading} onClick={() => void renew()} aria-label={t("A new address for {{name}}", { name })}>
            {t("New address")}
          </Button>
          <Button onClick={() => void told(withdraw(id))} aria-label={t("Take the invitation of {{name}} back", { name })}>
            {t("Take back")}
          </Button>
        </>
      )}
    </Box>
  );
}
