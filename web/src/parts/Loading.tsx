import { Box, CircularProgress } from "@mui/material";
import { t } from "../base/words";

/** Shown only once loading takes long enough to be noticed. */
export function Loading() {
  return (
    <Box
      role="status"
      aria-label={t("Loading")}
      sx={{
        display: "grid",
        placeItems: "center",
        minHeight: "40vh",
        opacity: 0,
        animation: "appear 0.2s 0.3s forwards",
        "@keyframes appear": { to: { opacity: 1 } },
      }}
    >
      <CircularProgress aria-hidden />
    </Box>
  );
}
