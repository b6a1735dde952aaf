/** A secret address that was just made: the only time it is seen. */
import { Alert, Box } from "@mui/material";
import { t } from "../base/words";
import { CopyField } from "../parts/CopyField";

export function MadeAddress({ path }: { path: string }) {
  return (
    <Box sx={{ width: "100%", display: "grid", gap: 1, mb: 1.5 }}>
      <Alert severity="success" variant="outlined">
        {t("The link is made. Its address is shown only now.")}
      </Alert>
      <CopyField label={t("Address of the calendar")} value={`${location.origin}${path}`} />
    </Box>
  );
}
