/** One line of a list: what it is, a drawing of it, what that says; one below the other where it is narrow, and never broken on paper. */
import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";

interface PictureRowProps {
  /** Of the line, for screen readers; left out where the name says it. */
  label?: string;
  name: ReactNode;
  about: ReactNode;
  /** Null where there is nothing to draw. */
  picture: ReactNode;
  /** What it says. */
  children: ReactNode;
}

export function PictureRow({ label, name, about, picture, children }: PictureRowProps) {
  return (
    <Box
      component="li"
      aria-label={label}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(200px, 1fr) minmax(0, 1.6fr) minmax(0, 1.4fr)" },
        columnGap: 3,
        rowGap: 0.5,
        alignItems: "center",
        py: 1.25,
        borderTop: "1px solid",
        borderColor: "line",
        breakInside: "avoid",
      }}
    >
      <Box>
        {name}
        <Typography sx={{ color: "text.secondary" }}>{about}</Typography>
      </Box>
      {picture ?? <span />}
      <Box>{children}</Box>
    </Box>
  );
}
