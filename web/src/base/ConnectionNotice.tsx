/** Calm words while the server or its records are away; goes by itself when they are back. */
import { Box, CircularProgress, Typography } from "@mui/material";
import { useEffect } from "react";
import { t } from "./words";
import { serverApi } from "./api";
import { connectionFound } from "./connection";
import { useAppDispatch, useAppSelector } from "./store";

const EVERY_MS = 2000;

/** @param page fills the screen, for when nothing could be loaded yet */
export function ConnectionNotice({ page = false }: { page?: boolean }) {
  const away = useAppSelector((state) => state.connection.away);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!away) return;
    const timer = setInterval(async () => {
      const ready = await fetch("/readyz").then(
        (answer) => answer.ok,
        () => false,
      );
      if (!ready) return;
      dispatch(connectionFound());
      dispatch(serverApi.util.invalidateTags(["Me", "Crews", "People", "Programs", "Plan", "Runs"]));
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [away, dispatch]);
  if (!away) return null;
  return (
    <Box
      role="status"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 2,
        ...(page
          ? { minHeight: "100dvh", justifyContent: "center", p: 4 }
          : { bgcolor: "warm.light", borderRadius: 2, px: 2, py: 1.25, mb: 2 }),
      }}
    >
      <CircularProgress size={22} color="inherit" aria-label={t("Trying again")} />
      <Typography>
        <strong>{t("The records cannot be reached at the moment.")}</strong>{" "}
        {t("What you do here is kept and sent when they are back. This goes away by itself.")}
      </Typography>
    </Box>
  );
}
