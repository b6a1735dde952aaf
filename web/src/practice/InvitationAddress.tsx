/** The address of an invitation, the only time it is seen: sent, or to be passed on by hand. */
import { Alert, Box, Typography } from "@mui/material";
import type { MadeInvitation } from "@kind-grip/core/api";
import { t } from "../base/words";
import { CopyField } from "../parts/CopyField";

export function InvitationAddress({ made: { token, mailed }, email }: { made: MadeInvitation; email: string }) {
  return (
    <Box sx={{ display: "grid", gap: 1.5 }}>
      {mailed === "sent" && (
        <Alert severity="success" variant="outlined">
          {t("It is on its way to {{email}}.", { email })}
        </Alert>
      )}
      {mailed === "failed" && (
        <Alert severity="warning" variant="outlined">
          {t("The e-mail could not be sent. Pass the address on yourself.")}
        </Alert>
      )}
      <Typography>
        {mailed === "sent"
          ? t("Or pass this address on yourself. It is shown only now, and good once, for two weeks:")
          : t("Pass this address on, by hand or message. It is shown only now, and good once, for two weeks:")}
      </Typography>
      <CopyField label={t("Address of the invitation")} value={`${location.origin}/link#${token}`} />
    </Box>
  );
}
