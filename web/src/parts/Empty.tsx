import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";

/** What stands where nothing is yet: what this place is for, and the first step. */
export function Empty({ title, text, children }: { title: string; text?: string; children?: ReactNode }) {
  return (
    <Box sx={{ py: 5, px: 3, maxWidth: 620, borderLeft: "4px solid", borderColor: "warm.main" }}>
      <Typography variant="h2">{title}</Typography>
      {text && <Typography sx={{ mt: 1, color: "text.secondary" }}>{text}</Typography>}
      {children && <Box sx={{ mt: 3, display: "flex", gap: 1.5, flexWrap: "wrap" }}>{children}</Box>}
    </Box>
  );
}
