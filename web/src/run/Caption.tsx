/** What the voice says, to be read: its room stays, so that nothing jumps when it comes and goes. */
import { Box, Typography, type SxProps } from "@mui/material";

export function Caption({ text, size, sx }: { text: string | null; size: string; sx?: SxProps }) {
  return (
    <Box
      data-caption
      aria-live="off"
      sx={[{ minHeight: "2.6em", fontSize: size, display: "grid", alignItems: "center" }, ...(Array.isArray(sx) ? sx : [sx])]}
    >
      {text !== null && <Typography sx={{ fontSize: "inherit", fontWeight: 650, lineHeight: 1.25 }}>{text}</Typography>}
    </Box>
  );
}
