import { Box, Typography } from "@mui/material";
import { type ReactNode, useEffect } from "react";

/** Letters that stand in one line of the narrowest page that has buttons beside its heading. */
const SHORT = 30;

/** The page's heading, which is also the title of the browser tab. */
export function PageTitle({ title, lead, children }: { title: string; lead?: ReactNode; children?: ReactNode }) {
  useTabTitle(title);
  // A short heading never breaks: what stands beside it goes below it instead.
  const isShort = title.length <= SHORT;
  return (
    <Box sx={{ display: "flex", alignItems: "flex-end", flexWrap: "wrap", gap: 2, mb: 3 }}>
      <Box sx={{ flex: 1, minWidth: { xs: "min(100%, 260px)", sm: 260, ...(isShort && { md: "min-content" }) } }}>
        <Typography variant="h1" sx={isShort ? { whiteSpace: { md: "nowrap" } } : undefined}>
          {title}
        </Typography>
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
