/** Crews a colleague would share: accepted or declined here. */
import { Box, Button, Typography } from "@mui/material";
import { Handshake } from "lucide-react";
import type { Invitation } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { crewApi } from "./api";

export function Invitations() {
  const { data = [] } = crewApi.useInvitationsQuery();
  const [accept, accepting] = crewApi.useAcceptInvitationMutation();
  const [decline, declining] = crewApi.useDeclineInvitationMutation();
  const dispatch = useAppDispatch();
  if (data.length === 0) return null;
  const answer = async ({ crewId, crewName }: Invitation, accepted: boolean) => {
    const { error } = await (accepted ? accept(crewId) : decline(crewId));
    const done = accepted ? t("{{crew}} is among your crews now.", { crew: crewName }) : t("Declined.");
    dispatch(notify({ text: error ? problemOf(error).message : done }));
  };
  const busy = accepting.isLoading || declining.isLoading;
  return (
    <Box component="section" aria-label={t("Invitations")} sx={{ mb: 3 }}>
      {data.map((invitation) => (
        <Box
          key={invitation.crewId}
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 2,
            flexWrap: "wrap",
            bgcolor: "primary.light",
            borderRadius: 2,
            px: 2,
            py: 1.5,
            mb: 1,
          }}
        >
          <Handshake size={26} aria-hidden />
          <Typography sx={{ flex: 1, minWidth: 240 }}>
            <strong>{t("{{name}} shares {{crew}} with you.", { name: invitation.by, crew: invitation.crewName })}</strong>{" "}
            {invitation.trade}
          </Typography>
          <Button variant="contained" disabled={busy} onClick={() => void answer(invitation, true)}>
            {t("Accept")}
          </Button>
          <Button disabled={busy} onClick={() => void answer(invitation, false)}>
            {t("Decline")}
          </Button>
        </Box>
      ))}
    </Box>
  );
}
