/** Calm words while the server or its records are away; goes by itself when they are back. */
import { Box, CircularProgress, Typography } from "@mui/material";
import { useEffect } from "react";
import { t } from "./words";
import { serverApi } from "./api";
import { connectionFound, roomFound } from "./connection";
import { isServerReady } from "./ready";
import { useAppDispatch, useAppSelector } from "./store";

const EVERY_MS = 2000;

/** @param page fills the screen, for when nothing could be loaded yet */
export function ConnectionNotice({ page = false }: { page?: boolean }) {
  const { away, full } = useAppSelector((state) => state.connection);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!away && !full) return;
    const timer = setInterval(async () => {
      if (!(await isServerReady())) return;
      dispatch(connectionFound());
      dispatch(roomFound());
      dispatch(serverApi.util.invalidateTags(["Me", "Path", "Crews", "People", "Programs", "Plan", "Runs"]));
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [away, full, dispatch]);
  if (!away && !full) return null;
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
        <strong>
          {away ? t("The records cannot be reached at the moment.") : t("The server's disk is full: nothing new can be kept there.")}
        </strong>{" "}
        {away
          ? t("What you do here is kept and sent when they are back. This goes away by itself.")
          : t("What was saved is safe, and what you do here waits until there is room. Tell whoever looks after the server.")}
      </Typography>
    </Box>
  );
}
