/** A secret address that was just made: the only time it is seen. */
import { Alert, Box } from "@mui/material";
import { t } from "../base/words";

export function MadeAddress({ path }: { path: string }) {
  return (
    <Alert severity="success" variant="outlined" sx={{ mb: 1.5, width: "100%" }}>
      {t("The address, shown only now:")}{" "}
      <Box component="span" sx={{ userSelect: "all", overflowWrap: "anywhere", fontWeight: 650 }}>
        {location.origin}
        {path}
      </Box>
    </Alert>
  );
}
