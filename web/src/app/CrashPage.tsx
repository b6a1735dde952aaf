/** What shows when a page breaks, or when its code could not be fetched. */
import { Box, Button, CircularProgress, Typography } from "@mui/material";
import { useEffect } from "react";
import { CodeNotFetched } from "../base/lost-code";
import { isServerReady } from "../base/ready";
import { t } from "../base/words";
import { PageTitle } from "../parts/PageTitle";

const EVERY_MS = 2000;

export function CrashPage({ error }: { error: unknown }) {
  return (
    <Box component="main" role={error instanceof CodeNotFetched ? undefined : "alert"} sx={{ p: { xs: 3, md: 6 }, maxWidth: 640 }}>
      {error instanceof CodeNotFetched ? <NotFetched /> : <Broken message={error instanceof Error ? error.message : ""} />}
    </Box>
  );
}

/** Calm: nothing is broken, and it goes on by itself. @param reload for tests */
export function NotFetched({ reload = () => location.reload() }: { reload?: () => void }) {
  useEffect(() => {
    // While the server answers, loading anew was tried already (base/lost-code.ts).
    let wasAway = !navigator.onLine;
    const timer = setInterval(async () => {
      const ready = await isServerReady();
      if (ready && wasAway) reload();
      wasAway ||= !ready;
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [reload]);
  return (
    <>
      <PageTitle title={t("This page is not on this device yet")} />
      <Box role="status" sx={{ display: "flex", alignItems: "center", gap: 2, mb: 3 }}>
        <CircularProgress size={22} aria-label={t("Trying again")} />
        <Typography>
          {t("There is no connection to fetch it. It opens by itself as soon as there is one; what you did before is kept.")}
        </Typography>
      </Box>
      <Button variant="contained" onClick={reload} sx={{ mr: 2 }}>
        {t("Reload")}
      </Button>
      <Button onClick={() => history.back()}>{t("Back")}</Button>
    </>
  );
}

function Broken({ message }: { message: string }) {
  return (
    <>
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
        {message}
      </Typography>
    </>
  );
}
