/** What shows when a page breaks. */
import { Box, Button, Typography } from "@mui/material";
import { useRouteError } from "react-router";
import { t } from "../base/words";
import { PageTitle } from "../parts/PageTitle";

export function CrashPage() {
  const error = useRouteError();
  return (
    <Box role="alert" sx={{ p: 6, maxWidth: 640 }}>
      <PageTitle title={t("This page stopped working")} />
      <Typography sx={{ mb: 3 }}>
        {t("Everything that was saved is safe. Reload the page to go on; if it stops again, go back to Today.")}
      </Typography>
      <Button variant="contained" onClick={() => location.reload()} sx={{ mr: 2 }}>
        {t("Reload")}
      </Button>
      <Button component="a" href="/today">
        {t("Today")}
      </Button>
      <Typography variant="caption" component="p" sx={{ mt: 4, color: "text.secondary" }}>
        {error instanceof Error ? error.message : ""}
      </Typography>
    </Box>
  );
}
