/** What I lead, over all crews, as a calendar to subscribe to by a secret link. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { DateTime } from "luxon";
import { v7 as uuid } from "uuid";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { t } from "../base/words";
import { Loaded } from "../parts/Loaded";
import { MadeAddress } from "../dayplan/MadeAddress";
import { ownWeekApi } from "./api";

export function OwnCalendarDialog({ onClose }: { onClose(): void }) {
  const links = ownWeekApi.useOwnCalendarsQuery();
  const [make, making] = ownWeekApi.useMakeOwnCalendarMutation();
  const [withdraw, withdrawing] = ownWeekApi.useWithdrawOwnCalendarMutation();
  const failure = making.error ?? withdrawing.error;
  const stillGood = links.data?.some(({ id, withdrawnAt }) => id === making.originalArgs && withdrawnAt === null);
  const day = (at: string) => dateText(DateTime.fromISO(at), "d LLL HH:mm");
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="own-calendar">
      <DialogTitle id="own-calendar">{t("My week as a calendar")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, justifyItems: "start" }}>
        <Typography>
          {t("A secret address that your calendar reads again by itself: what you lead, over all crews, without names of people.")}
        </Typography>
        <Button variant="outlined" disabled={making.isLoading} onClick={() => void make(uuid())}>
          {t("Make a link")}
        </Button>
        {failure && (
          <Alert severity="error" variant="outlined">
            {problemOf(failure).message}
          </Alert>
        )}
        {making.data && stillGood && <MadeAddress path={making.data.path} />}
        <Loaded query={links}>
          {(list) => (
            <Box sx={{ width: "100%" }}>
              {list
                .filter(({ withdrawnAt }) => withdrawnAt === null)
                .map((link) => (
                  <Box
                    key={link.id}
                    sx={{ display: "flex", alignItems: "center", gap: 1.5, borderTop: "1px solid", borderColor: "line", minHeight: 48 }}
                  >
                    <Typography sx={{ flex: 1 }}>
                      {link.lastReadAt
                        ? t("Made {{madeAt}}, last read {{readAt}}", { madeAt: day(link.madeAt), readAt: day(link.lastReadAt) })
                        : t("Made {{madeAt}}, not read yet", { madeAt: day(link.madeAt) })}
                    </Typography>
                    <Button onClick={() => void withdraw(link.id)}>{t("Withdraw")}</Button>
                  </Box>
                ))}
            </Box>
          )}
        </Loaded>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t("Done")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
