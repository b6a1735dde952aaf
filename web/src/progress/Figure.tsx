import { Box, Typography } from "@mui/material";

/** One figure, large, with what it is under it. */
export function Figure({ value, label }: { value: string; label: string }) {
  return (
    <Box>
      <Typography component="p" sx={{ fontSize: "2.6rem", fontWeight: 750, lineHeight: 1 }}>
        {value}
      </Typography>
      <Typography sx={{ color: "text.secondary" }}>{label}</Typography>
    </Box>
  );
}
