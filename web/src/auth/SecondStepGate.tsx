/** In the way of everything else while the practice asks for a second step and this sign-in has none. */
import { Box, Button, Typography } from "@mui/material";
import { ShieldCheck } from "lucide-react";
import { serverApi } from "../base/api";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { useTellFailure } from "../base/tell-failure";
import { PasskeyList } from "../practice/PasskeyList";
import { SecondFactor } from "../practice/SecondFactor";
import { authApi } from "./api";

export default function SecondStepGate({ practice }: { practice: string }) {
  const told = useTellFailure();
  const [signOut] = authApi.useSignOutMutation();
  const dispatch = useAppDispatch();
  const step = authApi.useSecondFactorQuery().data;
  const passkeys = authApi.usePasskeysQuery().data ?? [];
  const isThere = (step?.since ?? null) !== null || passkeys.length > 0;
  return (
    <Box component="main" sx={{ maxWidth: 720, mx: "auto", p: { xs: 2, md: 5 }, display: "grid", gap: 4 }}>
      <Box>
        <ShieldCheck size={40} aria-hidden />
        <Typography variant="h1">{t("One more thing before you go on")}</Typography>
        <Typography sx={{ mt: 1 }}>
          {t(
            "{{practice}} keeps health answers of working people and asks its trainers for more than a password: a second step, or a passkey.",
            {
              practice,
            },
          )}
        </Typography>
      </Box>
      <PasskeyList />
      <SecondFactor />
      <Box sx={{ display: "flex", gap: 1.5 }}>
        <Button variant="contained" disabled={!isThere} onClick={() => dispatch(serverApi.util.invalidateTags(["Me"]))}>
          {t("Go on")}
        </Button>
        <Button onClick={() => void told(signOut())}>{t("Sign out")}</Button>
      </Box>
    </Box>
  );
}
