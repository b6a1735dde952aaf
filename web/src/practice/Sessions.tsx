/** Where one is signed in, and ending what should not be. */
import { Box, Button, Typography } from "@mui/material";
import { Monitor, Smartphone } from "lucide-react";
import { DateTime } from "luxon";
import type { SignedInSession } from "@kind-grip/core/api";
import { authApi } from "../auth/api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { Loaded } from "../parts/Loaded";
import { deviceName } from "../base/device-name";

export function Sessions() {
  const query = authApi.useSessionsQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Box component="section" aria-label={t("Where you are signed in")}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t("Where you are signed in")}
      </Typography>
      <Loaded query={query}>
        {(sessions) => (
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {[...sessions]
              .sort((a, b) => Number(b.here) - Number(a.here))
              .map((session) => (
                <Session key={session.id} session={session} />
              ))}
          </Box>
        )}
      </Loaded>
    </Box>
  );
}

function Session({ session }: { session: SignedInSession }) {
  const [end, { isLoading }] = authApi.useEndSessionMutation();
  const dispatch = useAppDispatch();
  const { name, isPhone } = deviceName(session.device);
  const since = dateText(DateTime.fromISO(session.since), "d LLL HH:mm");
  const Icon = isPhone ? Smartphone : Monitor;
  const endIt = async () => {
    const answer = await end(session.id);
    dispatch(
      notify({
        text: answer.error ? problemOf(answer.error).message : t("{{name}} is signed out.", { name }),
      }),
    );
  };
  return (
    <Box
      component="li"
      sx={{ display: "flex", gap: 1.5, alignItems: "center", minHeight: 56, borderTop: "1px solid", borderColor: "line" }}
    >
      <Icon size={22} aria-hidden />
      <Typography sx={{ flex: 1 }}>
        <strong>{name}</strong>
        <Box component="span" sx={{ display: "block", fontSize: "0.9rem", color: "text.secondary" }}>
          {session.here ? t("here, since {{since}}", { since }) : t("since {{since}}", { since })}
        </Box>
      </Typography>
      {!session.here && (
        <Button disabled={isLoading} onClick={() => void endIt()} aria-label={t("End {{name}}, since {{since}}", { name, since })}>
          {t("End")}
        </Button>
      )}
    </Box>
  );
}
