import { Box, Typography } from "@mui/material";
import { type ReactNode, useEffect } from "react";

/** The page's heading, which is also the title of the browser tab. */
export function PageTitle({ title, lead, children }: { title: string; lead?: ReactNode; children?: ReactNode }) {
  useTabTitle(title);
  return (
    <Box sx={{ display: "flex", alignItems: "flex-end", flexWrap: "wrap", gap: 2, mb: 3 }}>
      <Box sx={{ flex: 1, minWidth: { xs: "min(100%, 260px)", sm: 260 } }}>
        <Typography variant="h1">{title}</Typography>
        {lead && <Typography sx={{ color: "text.secondary", mt: 0.5, maxWidth: 720 }}>{lead}</Typography>}
      </Box>
      {children && <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", "@media print": { display: "none" } }}>{children}</Box>}
    </Box>
  );
}

export function useTabTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} – Kind Grip`;
  }, [title]);
}
