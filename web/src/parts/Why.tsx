/** The working behind a figure, one tap away. */
import { Box } from "@mui/material";
import type { ReactNode } from "react";
import { t } from "../base/words";

export function Why({ label = t("Why"), children }: { label?: string; children: ReactNode }) {
  return (
    <Box
      component="details"
      sx={{
        "& summary": { cursor: "pointer", color: "text.secondary", fontWeight: 600, minHeight: 32, width: "fit-content" },
        "@media print": { display: "none" },
      }}
    >
      <summary>{label}</summary>
      <Box sx={{ borderLeft: "4px solid", borderColor: "line", pl: 2, py: 0.5, mb: 1, maxWidth: 760 }}>{children}</Box>
    </Box>
  );
}
