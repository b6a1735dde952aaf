/** What every page before the sign-in looks like: who we are on the one side, what is to be done on the other. */
import { Box, Typography } from "@mui/material";
import type { FormEvent, ReactNode } from "react";
import { t } from "../base/words";

interface SignInFrameProps {
  /** What it is done with Enter; none for a page with nothing to send. */
  onSubmit?(): void;
  children: ReactNode;
}

export function SignInFrame({ onSubmit, children }: SignInFrameProps) {
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onSubmit?.();
  };
  return (
    <Box component="main" sx={{ minHeight: "100dvh", display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1.1fr 1fr" } }}>
      <Box
        sx={{
          bgcolor: "#17594F",
          color: "#F6F2E9",
          p: { xs: 4, md: 8 },
          display: "flex",
          flexDirection: "column",
          justifyContent: "space-between",
          gap: 4,
        }}
      >
        <Box component="img" src="/mark.svg" alt="" sx={{ width: 56 }} />
        <Box>
          <Typography
            component="p"
            sx={{ fontSize: { xs: "2.2rem", md: "3.2rem" }, fontWeight: 750, lineHeight: 1.08, letterSpacing: "-0.02em", maxWidth: 560 }}
          >
            {t("Two hands, one shift, a dozen people, a clock.")}
          </Typography>
          <Typography sx={{ mt: 2, maxWidth: 480, fontSize: "1.1rem" }}>
            {t("Hand, wrist and forearm programs for crews: timed to the second, placed on real shifts, led and kept on record.")}
          </Typography>
        </Box>
        <Typography variant="caption">{t("Prevention, not treatment.")}</Typography>
      </Box>
      <Box
        component="form"
        onSubmit={submit}
        noValidate
        sx={{ p: { xs: 4, md: 8 }, alignSelf: "center", display: "flex", flexDirection: "column", gap: 2.5, maxWidth: 560 }}
      >
        {children}
      </Box>
    </Box>
  );
}
